import { useMemo, useReducer, useState } from 'react';
import { carryEdits } from '@/core/method/carry-edits';
import type { MethodStep } from '@/core/method/step';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { FileMethod } from '@/formats/method';
import { fileSteps } from '@/kitchen/method/file-steps';
import { keepProposal, knownProposal, type Proposal } from '@/kitchen/method/proposals';
import { withMethod } from '@/kitchen/method/with-method';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { useAutosave } from '@/kitchen/saving/use-autosave';
import { useMethodOf } from './use-method-of';
import { useWays } from './use-ways';

/** A formula as the page opens it. */
export interface OpenedMethod {
  readonly revision: number;
  readonly baseId: string | null;
  readonly file: FormulaFile;
  /** what the server proposes for it in a usual kitchen, so that the page begins with it */
  readonly proposed: { readonly key: string; readonly proposal: Proposal | undefined } | undefined;
}

const stepsOf = ({ followed }: WorkedMethod) => followed.map(({ step }) => step);

const MOST_UNDONE = 100;

/** The formula with its method while it is worked on: each change can be taken back, is worked out at once, and saved. */
export function useMethodDraft(id: string, opened: OpenedMethod, ingredients: readonly Ingredient[]) {
  const [{ past, file }, setHistory] = useState<{ past: readonly FormulaFile[]; file: FormulaFile }>({
    past: [],
    file: opened.file,
  });
  useState(() => opened.proposed && keepProposal(opened.proposed.key, opened.proposed.proposal));
  const open = (next: FormulaFile) => setHistory({ past: [], file: next });
  const autosave = useAutosave(id, opened, file, open);
  const { pan, work, question } = useMethodOf(id, file, ingredients, knownProposal);
  const [found, hearFound] = useReducer((n: number) => n + 1, 0);
  const ways = useWays(question, pan.formula, file.method === undefined, hearFound);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a proposal that was found is one that is known now
  const method = useMemo(() => work(file.method), [work, file.method, found]);
  const take = (next: FormulaFile) => setHistory({ past: [...past, file].slice(-MOST_UNDONE), file: next });
  const change = (next: FileMethod) => {
    const worked = work(next);
    take(worked ? withMethod(file, worked) : { ...file, method: next });
  };
  const [carried, setCarried] = useState<{ readonly kept: number; readonly dropped: number } | undefined>();
  const choose = (way: FileMethod['way']) => {
    const own = file.method?.steps && file.method.way !== way ? work({ way: file.method.way }) : undefined;
    const next = own && method && work({ way });
    if (!own || !next || !method) {
      setCarried(undefined);
      change({ way });
      return;
    }
    const { steps, carried: kept, dropped } = carryEdits(stepsOf(own), stepsOf(method), stepsOf(next));
    const withEdits: FileMethod = { way, steps: fileSteps(steps, pan.lines) };
    // A change that makes this way fail stays behind.
    const isFine = kept > 0 && (work(withEdits)?.faults.length ?? 0) <= next.faults.length;
    setCarried({ kept: isFine ? kept : 0, dropped: isFine ? dropped : kept + dropped });
    change(isFine ? withEdits : { way });
  };
  const inPan = (panCm: number) => {
    if (!file.brief) return;
    const next = { ...file, brief: { ...file.brief, making: { ...file.brief.making, panCm } } };
    const worked = file.method && work(file.method, next);
    take(worked ? withMethod(next, worked) : next);
  };
  return {
    file,
    pan,
    method,
    ways,
    autosave,
    open,
    /** chooses a way with its own steps; what was changed in the steps of another goes along where it can */
    choose,
    /** how many changes went along with the way that was chosen last, and how many found no place */
    carried,
    /** makes the steps these */
    edit: (steps: readonly MethodStep[]) => method && change({ way: method.way, steps: fileSteps(steps, pan.lines) }),
    /** another pan in its brief; a method that was chosen is followed in it */
    inPan,
    canUndo: past.length > 0,
    undo: () => {
      const last = past.at(-1);
      if (last) setHistory({ past: past.slice(0, -1), file: last });
    },
  };
}

export type MethodDraft = ReturnType<typeof useMethodDraft>;
