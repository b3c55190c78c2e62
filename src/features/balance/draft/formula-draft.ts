import type { FormulaFile } from '@/formats/formula-file';
import type { Edit, FormulaDraft, Loosening, PanLine } from './edit';
import { moveEdge, shiftGate } from './gate-edits';

/** The open formula and the ways back and forth. */
export interface DraftHistory {
  readonly past: readonly FormulaDraft[];
  readonly present: FormulaDraft;
  readonly future: readonly FormulaDraft[];
  /** edits in a row with the same mark are one step back */
  readonly mark: string | undefined;
  /** the pan whose flow “as it was” means: as it was opened, or last balanced, swapped or blended */
  readonly reference: FormulaDraft;
  /** what the last step was; nothing after going back or forth */
  readonly lastStep?: Edit['type'] | undefined;
}

export type DraftAction =
  | { readonly type: 'edit'; readonly edit: Edit }
  | { readonly type: 'undo' }
  | { readonly type: 'redo' }
  | { readonly type: 'pause' }
  | { readonly type: 'open'; readonly draft: FormulaDraft }
  /** the steps of before the page was left, where they end at what stands here */
  | { readonly type: 'restore'; readonly history: DraftHistory };

/** Steps back that are kept. */
const MOST_STEPS = 200;

/** Grams to the milligram: scaling leaves no binary dust. */
function tidyGrams(grams: number): number {
  return Math.round(grams * 1000) / 1000;
}

/** What is on the table: the pan less what boils off and what stays in pan and bowl, g. */
export function yieldGrams(draft: FormulaDraft): number {
  const lost = (draft.yield?.bowlLossGrams ?? 0) + (draft.yield?.evaporationGrams ?? 0);
  return Math.max(totalGrams(draft) - lost, 0);
}

/** Total of the pan, g. */
export function totalGrams(draft: FormulaDraft): number {
  return tidyGrams(draft.lines.reduce((sum, line) => sum + line.grams, 0));
}

function changeLine(draft: FormulaDraft, key: string, change: Partial<PanLine>): FormulaDraft {
  return { ...draft, lines: draft.lines.map((line) => (line.key === key ? { ...line, ...change } : line)) };
}

function moveLine(draft: FormulaDraft, key: string, to: number): FormulaDraft {
  const line = draft.lines.find((candidate) => candidate.key === key);
  if (!line) return draft;
  const rest = draft.lines.filter((candidate) => candidate.key !== key);
  const place = Math.min(Math.max(to, 0), rest.length);
  return { ...draft, lines: [...rest.slice(0, place), line, ...rest.slice(place)] };
}

/** Scales every row, its limits and the yield wanted, to another total. */
function scaleTo(draft: FormulaDraft, wanted: number): FormulaDraft {
  const total = totalGrams(draft);
  if (total <= 0) return draft;
  const factor = wanted / total;
  const scaled = (grams: number | undefined) => (grams === undefined ? undefined : tidyGrams(grams * factor));
  return {
    ...draft,
    lines: draft.lines.map((line) => ({
      ...line,
      grams: tidyGrams(line.grams * factor),
      minGrams: scaled(line.minGrams),
      maxGrams: scaled(line.maxGrams),
    })),
    yield: draft.yield && {
      targetGrams: scaled(draft.yield.targetGrams),
      bowlLossGrams: tidyGrams(draft.yield.bowlLossGrams * factor),
      evaporationGrams: scaled(draft.yield.evaporationGrams),
    },
  };
}

/** The brief for other numbers of pieces. */
function withCounts(draft: FormulaDraft, counts: readonly number[]): FormulaDraft {
  const { brief } = draft;
  if (!brief) return draft;
  return {
    ...draft,
    brief: { ...brief, jobs: brief.jobs.map((job, i) => ({ ...job, count: counts[i] ?? job.count })) },
  };
}

/** Lets locks, limits and gates go. */
function loosen(draft: FormulaDraft, things: readonly Loosening[]): FormulaDraft {
  const has = (kind: Loosening['kind'], of: string | number) =>
    things.some((thing) => thing.kind === kind && ('key' in thing ? thing.key : thing.gate) === of);
  return {
    ...draft,
    lines: draft.lines.map((line) => ({
      ...line,
      locked: line.locked && !has('lock', line.key),
      minGrams: has('least', line.key) ? undefined : line.minGrams,
      maxGrams: has('most', line.key) ? undefined : line.maxGrams,
    })),
    gates: draft.gates.filter((_, i) => !has('gate', i)),
  };
}

/** The rows with other grams; those nothing is said of stay. */
export function withGrams(lines: readonly PanLine[], grams: ReadonlyMap<string, number>): PanLine[] {
  return lines.map((line) => ({ ...line, grams: grams.get(line.key) ?? line.grams }));
}

/** Rows that ended at nothing leave; one that stood at nothing before stays. */
export function withoutLeft(before: readonly PanLine[], after: readonly PanLine[]): PanLine[] {
  const had = new Set(before.filter(({ grams }) => grams > 0).map(({ key }) => key));
  return after.filter(({ key, grams }) => grams > 0 || !had.has(key));
}

/** The draft after one edit. */
export function applyEdit(draft: FormulaDraft, edit: Edit): FormulaDraft {
  switch (edit.type) {
    case 'grams':
      return changeLine(draft, edit.key, { grams: edit.grams });
    case 'limits':
      return changeLine(draft, edit.key, { minGrams: edit.minGrams, maxGrams: edit.maxGrams });
    case 'form':
      return changeLine(draft, edit.key, { form: edit.form || undefined });
    case 'lock':
      return changeLine(draft, edit.key, { locked: !draft.lines.find((line) => line.key === edit.key)?.locked });
    case 'tie':
      return changeLine(draft, edit.key, { tie: edit.tie });
    case 'byVolume':
      return changeLine(draft, edit.key, { byVolume: edit.byVolume || undefined });
    case 'lines':
      return { ...draft, lines: [...edit.lines] };
    case 'add':
      return { ...draft, lines: [...draft.lines, edit.line] };
    case 'remove':
      return { ...draft, lines: draft.lines.filter((line) => line.key !== edit.key) };
    case 'move':
      return moveLine(draft, edit.key, edit.to);
    case 'scale':
      return scaleTo(draft, edit.totalGrams);
    case 'pieces':
      return withCounts(scaleTo(draft, edit.totalGrams), edit.counts);
    case 'balanced':
      return {
        ...draft,
        lines: withoutLeft(draft.lines, withGrams(draft.lines, edit.grams)).map((line) => ({
          ...line,
          byVolume: edit.byVolume?.has(line.key) || line.byVolume,
        })),
      };
    case 'mapped':
      return { ...draft, lines: withGrams(draft.lines, edit.grams) };
    case 'stage':
      return changeLine(draft, edit.key, { stage: edit.stage });
    case 'gateEdge':
      return moveEdge(draft, edit);
    case 'shiftGate':
      return shiftGate(draft, edit);
    case 'loosen':
      return loosen(draft, edit.things);
    case 'tags':
      return { ...draft, tags: [...edit.tags] };
    case 'name':
      return { ...draft, name: edit.name };
    case 'targets':
      return { ...draft, use: edit.use, moments: [...edit.moments], gates: [...edit.gates], yield: edit.yield };
  }
}

/** Typing on in one field is one step back. */
function markOf(edit: Edit): string | undefined {
  if (edit.type === 'grams' || edit.type === 'limits' || edit.type === 'form') return `${edit.type} ${edit.key}`;
  if (edit.type === 'gateEdge') return `gateEdge ${edit.gate} ${edit.edge}`;
  if (edit.type === 'shiftGate') return `shiftGate ${edit.moment}`;
  return edit.type === 'name' || edit.type === 'scale' || edit.type === 'pieces' || edit.type === 'mapped'
    ? edit.type
    : undefined;
}

/** Steps after which the pan is as the cook wants it to flow. */
const SETTLES: ReadonlySet<Edit['type']> = new Set(['balanced', 'lines']);

/** The one reducer of the open formula, with undo. */
export function reduceDraft(history: DraftHistory, action: DraftAction): DraftHistory {
  const { past, present, future, reference } = history;
  switch (action.type) {
    case 'edit': {
      const next = applyEdit(present, action.edit);
      const mark = markOf(action.edit);
      if (mark !== undefined && mark === history.mark)
        return { past, present: next, future: [], mark, reference, lastStep: action.edit.type };
      return {
        past: [...past, present].slice(-MOST_STEPS),
        present: next,
        future: [],
        mark,
        reference: SETTLES.has(action.edit.type) ? next : reference,
        lastStep: action.edit.type,
      };
    }
    case 'undo': {
      const previous = past.at(-1);
      if (!previous) return history;
      return { past: past.slice(0, -1), present: previous, future: [present, ...future], mark: undefined, reference };
    }
    case 'redo': {
      const next = future[0];
      if (!next) return history;
      return { past: [...past, present], present: next, future: future.slice(1), mark: undefined, reference };
    }
    case 'restore':
      return past.length === 0 && history.future.length === 0 ? action.history : history;
    case 'pause':
      return { ...history, mark: undefined };
    case 'open':
      return {
        past: [...past, present],
        present: action.draft,
        future: [],
        mark: undefined,
        reference: action.draft,
      };
  }
}

/** Opens a formula file as a draft. */
export function draftOf(file: FormulaFile, newKey: () => string): FormulaDraft {
  return { ...file, lines: file.lines.map((line) => ({ ...line, key: newKey() })) };
}

/** The formula file of a draft. */
export function fileOf(draft: FormulaDraft): FormulaFile {
  return { ...draft, lines: draft.lines.map(({ key: _, ...line }) => line) };
}
