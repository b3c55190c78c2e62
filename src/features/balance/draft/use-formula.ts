'use client';

import { useMemo, useReducer, useRef } from 'react';

import type { Calibration } from '@/core/learn/kitchen';
import type { FormulaFile } from '@/formats/formula-file';
import type { Larder } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import type { Edit } from './edit';
import { draftOf, reduceDraft } from './formula-draft';

/**
 * The open formula: its draft with undo, and its prediction, derived anew at every edit.
 *
 * @param base the formula it is a variant of
 */
export function useFormula(file: FormulaFile, larder: Larder, calibration: Calibration, base: FormulaFile | undefined) {
  const nextKey = useRef(0);
  const newKey = () => {
    nextKey.current += 1;
    return `line-${nextKey.current}`;
  };
  const [history, dispatch] = useReducer(reduceDraft, undefined, () => {
    const present = draftOf(file, newKey);
    return { past: [], present, future: [], mark: undefined, reference: present };
  });
  const { present } = history;
  const predicted = useMemo(() => predictPan(present, larder, calibration), [present, larder, calibration]);
  const steps = useMemo(
    () => ({
      edit: (edit: Edit) => dispatch({ type: 'edit', edit }),
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      pause: () => dispatch({ type: 'pause' }),
    }),
    [],
  );
  const kept = history.reference;
  const reference = useMemo(() => (base ? keyed(base) : kept), [base, kept]);
  const last = history.past.at(-1);
  const previous = useMemo(() => last && predictPan(last, larder, calibration), [last, larder, calibration]);
  return {
    draft: present,
    /** whose figures are predicted */
    calibration,
    predicted,
    /** the state before the last step: the ghost on the chart */
    previous,
    previousDraft: last,
    /** the pan whose flow can be kept: the base of a variant, else as it was before these edits */
    reference,
    lastStep: history.lastStep,
    newKey,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    ...steps,
    open: (next: FormulaFile) => dispatch({ type: 'open', draft: draftOf(next, newKey) }),
  };
}

export type OpenFormula = ReturnType<typeof useFormula>;
