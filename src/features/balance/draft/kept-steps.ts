import type { FormulaFile } from '@/formats/formula-file';
import { type DraftHistory, fileOf } from './formula-draft';

/** Steps back that outlive the page. */
const MOST_KEPT = 40;
/** Letters that are kept at most: a tablet's store is small. */
const MOST_LETTERS = 1_000_000;

const place = (id: string) => `dark-pour:steps:${id}`;

/** A formula as text, its fields in the order of the alphabet: what the server gives back may order them otherwise. */
function plainText(file: FormulaFile): string {
  return JSON.stringify(file, (_, value: unknown) =>
    value !== null && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}

/** Keeps the steps of an open formula for as long as its tab lives. */
export function keepSteps(id: string, { past, present, future, reference }: DraftHistory): void {
  const kept: DraftHistory = {
    past: past.slice(-MOST_KEPT),
    present,
    future: future.slice(0, MOST_KEPT),
    mark: undefined,
    reference,
  };
  const text = JSON.stringify(kept);
  try {
    if (text.length <= MOST_LETTERS) sessionStorage.setItem(place(id), text);
    else sessionStorage.removeItem(place(id));
  } catch {
    // Storage is full or barred: undo ends with the page.
  }
}

/** The steps of an earlier visit of this tab, where they end at the formula that is opened now. */
export function keptSteps(id: string, opened: FormulaFile): DraftHistory | undefined {
  try {
    const text = sessionStorage.getItem(place(id));
    if (text === null) return undefined;
    const history = JSON.parse(text) as DraftHistory;
    const ends = plainText(fileOf(history.present)) === plainText(JSON.parse(JSON.stringify(opened)));
    return ends && history.past.length + history.future.length > 0 ? history : undefined;
  } catch {
    return undefined;
  }
}

/** The highest number a row's key has in a history: new rows go on from there. */
export function highestKey({ past, present, future }: DraftHistory): number {
  const keys = [...past, present, ...future].flatMap(({ lines }) => lines.map(({ key }) => Number(key.split('-')[1])));
  return Math.max(0, ...keys.filter((number) => Number.isFinite(number)));
}
