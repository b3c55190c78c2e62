'use client';

import { useEffect, useMemo, useReducer, useRef } from 'react';

import type { Calibration } from '@/core/learn/kitchen';
import type { FormulaFile } from '@/formats/formula-file';
import type { Larder } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import type { Edit } from './edit';
import { type DraftHistory, draftOf, reduceDraft } from './formula-draft';
import { highestKey, keepSteps, keptSteps } from './kept-steps';
import { useAutomaticVersions } from './use-automatic-versions';

/** Takes back the steps of before the page was left, and keeps them when it is. */
function useKeptSteps(id: string, file: FormulaFile, history: DraftHistory, onKept: (kept: DraftHistory) => void) {
  const opened = useRef(file);
  const restore = useRef(onKept);
  restore.current = onKept;
  useEffect(() => {
    const kept = keptSteps(id, opened.current);
    if (kept) restore.current(kept);
  }, [id]);
  const latest = useRef(history);
  latest.current = history;
  useEffect(() => {
    const keep = () => keepSteps(id, latest.current);
    addEventListener('pagehide', keep);
    return () => {
      removeEventListener('pagehide', keep);
      keep();
    };
  }, [id]);
}

/**
 * The open formula: its draft with undo, and its prediction, derived anew at every edit.
 *
 * @param base the formula it is a variant of
 */
export function useFormula(
  id: string,
  file: FormulaFile,
  larder: Larder,
  calibration: Calibration,
  base: FormulaFile | undefined,
) {
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
  useKeptSteps(id, file, history, (kept) => {
    nextKey.current = Math.max(nextKey.current, highestKey(kept));
    dispatch({ type: 'restore', history: kept });
  });
  const keepBefore = useAutomaticVersions(id);
  const latest = useRef(present);
  latest.current = present;
  const predicted = useMemo(() => predictPan(present, larder, calibration), [present, larder, calibration]);
  const steps = useMemo(
    () => ({
      edit: (edit: Edit) => {
        keepBefore(edit, latest.current);
        dispatch({ type: 'edit', edit });
      },
      undo: () => dispatch({ type: 'undo' }),
      redo: () => dispatch({ type: 'redo' }),
      pause: () => dispatch({ type: 'pause' }),
    }),
    [keepBefore],
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
