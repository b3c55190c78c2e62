'use client';

import { useMemo, useReducer, useRef } from 'react';

import type { FormulaFile } from '@/formats/formula-file';
import type { Larder } from '@/kitchen/known-item';
import { predictPan } from '@/kitchen/known-pan';
import { draftOf, type Edit, reduceDraft } from './formula-draft';

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
  const predicted = useMemo(() => predictPan(present, larder), [present, larder]);
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
  const previous = useMemo(() => last && predictPan(last, larder), [last, larder]);
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
