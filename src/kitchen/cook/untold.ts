import { type RefusedEvent, type Told, toldSchema } from '@/formats/batch';
import { byWhom } from './by-whom';

const place = (batch: string) => `dark-pour:untold:${batch}`;
const asidePlace = (batch: string) => `dark-pour:set-aside:${batch}`;

/** Letters that make an event or a tablet this one. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return [...bytes].map((byte) => byte.toString(36).padStart(2, '0')).join('');
}

/** Which tablet this is: a name it gave itself. */
function thisTablet(): string {
  try {
    const kept = localStorage.getItem('dark-pour:tablet') ?? newKey();
    localStorage.setItem('dark-pour:tablet', kept);
    return kept;
  } catch {
    return 'unnamed';
  }
}

/** An event of this tablet, now. */
export const toldNow = (what: Told['what']): Told => ({
  key: newKey(),
  tablet: thisTablet(),
  by: byWhom(),
  tabletMs: Date.now(),
  what,
});

/** A list this tablet keeps; what of it cannot be read is left out. */
function keptList<T>(at: string, read: (each: unknown) => T | undefined): T[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(at) ?? '[]');
    return Array.isArray(kept) ? kept.flatMap((each) => read(each) ?? []) : [];
  } catch {
    return [];
  }
}

/** What this tablet has not yet been acknowledged: it outlives a reload and a tablet that goes dark. */
export const untold = (batch: string): Told[] => keptList(place(batch), (each) => toldSchema.safeParse(each).data);

/** An event the batch does not take, with the reason: it is not told again, and shown until a cook has read it. */
export interface SetAside {
  readonly told: Told;
  readonly message: string;
}

export const setAside = (batch: string): SetAside[] =>
  keptList(asidePlace(batch), (each) => {
    const { told, message } = each as { told?: unknown; message?: unknown };
    const read = toldSchema.safeParse(told);
    return read.success && typeof message === 'string' ? { told: read.data, message } : undefined;
  });

/**
 * Keeps what was refused, with the reasons, beside what was before.
 *
 * @returns all that is set aside of the batch
 */
export function keepSetAside(
  batch: string,
  sent: readonly Told[],
  refused: readonly RefusedEvent[],
): readonly SetAside[] {
  const more = refused.flatMap(({ key, message }): SetAside[] => {
    const told = sent.find((each) => each.key === key);
    return told ? [{ told, message }] : [];
  });
  const all = [...setAside(batch), ...more];
  try {
    if (more.length > 0) localStorage.setItem(asidePlace(batch), JSON.stringify(all));
  } catch {
    // No room: it is shown for as long as this page is open.
  }
  return all;
}

/** A cook has read what was set aside. */
export function letGoOfSetAside(batch: string): void {
  try {
    localStorage.removeItem(asidePlace(batch));
  } catch {
    // Storage barred: nothing was kept.
  }
}

/** Two lists of events as one, each once. */
export function together(some: readonly Told[], others: readonly Told[]): Told[] {
  const isIn = new Set(some.map(({ key }) => key));
  return [...some, ...others.filter(({ key }) => !isIn.has(key))];
}

/**
 * Keeps what is not acknowledged yet, at once. What another page of this tablet keeps for the same batch stays.
 *
 * @param own of this page
 * @param acknowledged keys the server has by now
 * @returns false where the tablet has no room
 */
export function keepUntold(
  batch: string,
  own: readonly Told[],
  acknowledged: ReadonlySet<string> = new Set(),
): boolean {
  try {
    const all = together(untold(batch), own).filter(({ key }) => !acknowledged.has(key));
    if (all.length === 0) localStorage.removeItem(place(batch));
    else localStorage.setItem(place(batch), JSON.stringify(all));
    return true;
  } catch {
    return false;
  }
}
