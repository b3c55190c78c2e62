'use client';

import { useEffect, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { messageOf } from '@/formats/message-of';
import type { StoredFormula } from '@/formats/server-answers';
import { keepUnsaved, letGoOfUnsaved } from './unsaved-work';
import { useLeaving } from './use-leaving';
import { type LeftWork, useLeftWork } from './use-left-work';
import { useLooking } from './use-looking';
import { useSaver } from './use-saver';

const versions = () => import('../client/versions');

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 4_000;

/** Keeps what is typed on the tablet at once, whatever saving does; false where the tablet has no room. */
function useKeptOnTablet(id: string, text: string, { savedText, revision }: ReturnType<typeof useSaver>): boolean {
  const [isKept, setKept] = useState(true);
  useEffect(() => {
    if (text === savedText.current) return;
    let here = true;
    void keepUnsaved({ formulaId: id, revision: revision.current, formula: JSON.parse(text) }).then(
      (kept) => here && setKept(kept),
    );
    return () => {
      here = false;
    };
  }, [text, id, savedText, revision]);
  return isKept;
}

/**
 * Saves the open formula shortly after each change and tells honestly where it stands. The policy, on every path: what is typed is kept on the
 * tablet until its save is acknowledged; nothing another tablet saved is overwritten but knowingly, and then kept as a version first; a
 * tablet on which nothing was typed follows what others save.
 *
 * @param onFollow opens what another tablet saved
 */
export function useAutosave(
  id: string,
  opened: { revision: number; baseId: string | null; file: FormulaFile },
  file: FormulaFile,
  onFollow: (file: FormulaFile) => void,
) {
  const saver = useSaver(id, opened, file, onFollow);
  const { state, setState, revision, savedText, latest, isUnsaved, startFrom, save } = saver;
  const text = JSON.stringify(file);

  const isKept = useKeptOnTablet(id, text, saver);

  // A save that ends while more was typed starts the next one.
  useEffect(() => {
    if (text === savedText.current && state.kind === 'waiting') {
      // What was typed was taken back before it was saved.
      void letGoOfUnsaved(id);
      setState({ kind: 'saved' });
    }
    if (text === savedText.current || ['opening', 'stale', 'gone', 'saving'].includes(state.kind)) return;
    if (state.kind === 'saved' || state.kind === 'followed') setState({ kind: 'waiting' });
    const timer = setTimeout(save, state.kind === 'failed' ? RETRY_AFTER_MS : SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [id, text, state, save, savedText, setState]);

  useEffect(() => setState({ kind: 'saved' }), [setState]);
  useLooking({ id, baseId: opened.baseId }, saver.find);
  useLeaving(isUnsaved, save);
  const { left, letGoOfLeft } = useLeftWork(id, opened.file);

  /** Keeps a state as a version before it is let go of; what cannot be kept is not let go of. */
  const keepFirst = async (name: string, formula: FormulaFile, then: () => void) => {
    try {
      await (await versions()).addVersion(id, name, '', formula);
      then();
    } catch (error) {
      setState({ kind: 'failed', message: messageOf(error) });
    }
  };

  return {
    state,
    saveNow: save,
    /** false where the tablet has no room: what is typed then lives on this page alone */
    isKept,
    /** work of an earlier visit that was never saved */
    left,
    letGoOfLeft,
    /** brings that work back; what was saved since stays as a version */
    bringBack: async (work: LeftWork, open: () => void) => {
      const then = () => {
        open();
        letGoOfLeft();
      };
      if (work.revision === revision.current) then();
      else await keepFirst('Before unsaved work was brought back', JSON.parse(savedText.current), then);
    },
    /** goes on from what the other tablet saved; what was typed here stays as a version */
    takeTheirs: (theirs: StoredFormula, open: () => void) =>
      keepFirst('Typed here, while another tablet saved', latest.current, () => {
        startFrom(theirs.revision, JSON.stringify(theirs.file));
        void letGoOfUnsaved(id);
        open();
        setState({ kind: 'saved' });
      }),
    /** saves this tablet's work over the other's, which stays as a version */
    keepMine: (theirs: StoredFormula) =>
      keepFirst('Saved by another tablet', theirs.file, () => {
        startFrom(theirs.revision, JSON.stringify(theirs.file));
        setState({ kind: 'waiting' });
      }),
  };
}

export type Autosave = ReturnType<typeof useAutosave>;
