'use client';

import { useMemo, useReducer, useRef } from 'react';

import { type Formula, type Prediction, predictFormula } from '@/core/predict/formula';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import { draftOf, type Edit, type FormulaDraft, reduceDraft } from './formula-draft';

/** The larder by id. */
export type Larder = ReadonlyMap<string, Ingredient>;

/** A draft with everything predicted of it. */
export interface Predicted {
  readonly formula: Formula;
  readonly prediction: Prediction;
}

/** Rows whose ingredient nobody knows any more count as nothing; the screen says so beside them. */
export function knownLines(draft: FormulaDraft, larder: Larder): FormulaDraft['lines'] {
  return draft.lines.filter((line) => Object.hasOwn(draft.ingredients, line.ingredient) || larder.has(line.ingredient));
}

/** Predicts a draft; nothing while the pan is empty. */
export function predictDraft(draft: FormulaDraft, larder: Larder): Predicted | undefined {
  const formula = resolveFormula({ ...draft, lines: [...knownLines(draft, larder)] }, larder);
  const prediction = predictFormula(formula);
  return prediction && { formula, prediction };
}

/** The open formula: its draft with undo, and its prediction, derived anew at every edit. */
export function useFormula(file: FormulaFile, larder: Larder) {
  const nextKey = useRef(0);
  const newKey = () => {
    nextKey.current += 1;
    return `line-${nextKey.current}`;
  };
  const [history, dispatch] = useReducer(reduceDraft, undefined, () => ({
    past: [],
    present: draftOf(file, newKey),
    future: [],
    mark: undefined,
  }));
  const { present } = history;
  const predicted = useMemo(() => predictDraft(present, larder), [present, larder]);
  const steps = useMemo(
    () => ({
      edit: (edit: Edit) => dispatch({ type: 'edit', edit }),
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      pause: () => dispatch({ type: 'pause' }),
    }),
    [],
  );
  const last = history.past.at(-1);
  const previous = useMemo(() => last && predictDraft(last, larder), [last, larder]);
  return {
    draft: present,
    predicted,
    /** the state before the last step: the ghost on the chart */
    previous,
    previousDraft: last,
    lastStep: history.lastStep,
    newKey,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    ...steps,
    open: (next: FormulaFile) => dispatch({ type: 'open', draft: draftOf(next, newKey) }),
  };
}

export type OpenFormula = ReturnType<typeof useFormula>;
