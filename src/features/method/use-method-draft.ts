import { useMemo, useState } from 'react';
import type { MethodStep } from '@/core/method/step';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { FileMethod } from '@/formats/method';
import { fileSteps } from '@/kitchen/method/file-steps';
import { withMethod } from '@/kitchen/method/with-method';
import { useAutosave } from '@/kitchen/saving/use-autosave';
import { useMethodOf } from './use-method-of';

/** A formula as the page opens it. */
export interface OpenedMethod {
  readonly revision: number;
  readonly baseId: string | null;
  readonly file: FormulaFile;
}

const MOST_UNDONE = 100;

/** The formula with its method while it is worked on: each change can be taken back, is worked out at once, and saved. */
export function useMethodDraft(id: string, opened: OpenedMethod, ingredients: readonly Ingredient[]) {
  const [{ past, file }, setHistory] = useState<{ past: readonly FormulaFile[]; file: FormulaFile }>({
    past: [],
    file: opened.file,
  });
  const open = (next: FormulaFile) => setHistory({ past: [], file: next });
  const autosave = useAutosave(id, opened, file, open);
  const { pan, work } = useMethodOf(id, file, ingredients);
  const method = useMemo(() => work(file.method), [work, file.method]);
  const take = (next: FormulaFile) => setHistory({ past: [...past, file].slice(-MOST_UNDONE), file: next });
  const change = (next: FileMethod) => {
    const worked = work(next);
    take(worked ? withMethod(file, worked) : { ...file, method: next });
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
    autosave,
    open,
    /** chooses a way, with the way's own steps */
    choose: (way: FileMethod['way']) => change({ way }),
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
