import { useCallback, useRef, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import type { StoredFormula } from '@/formats/server-answers';
import type { SaveState } from './save-state';
import { noteSave } from './saves-under-way';
import { answers, sendSave } from './send-save';
import { letGoOfUnsaved } from './unsaved-work';

/** What is kept there, what stands here, and whether they are the same. */
function useKeptState(
  id: string,
  opened: { readonly revision: number; readonly file: FormulaFile },
  file: FormulaFile,
) {
  const revision = useRef(opened.revision);
  const savedText = useRef(JSON.stringify(opened.file));
  const latest = useRef(file);
  latest.current = file;
  /** what was sent and never answered: it may have arrived */
  const unanswered = useRef<string[]>([]);

  const isUnsaved = useCallback(() => JSON.stringify(latest.current) !== savedText.current, []);

  /** What is kept there is this. */
  const startFrom = useCallback((at: number, saved: string) => {
    revision.current = at;
    savedText.current = saved;
  }, []);

  /** What stands here is what is kept there. */
  const settle = useCallback(
    (at: number, saved: string) => {
      startFrom(at, saved);
      unanswered.current = [];
      if (!isUnsaved()) void letGoOfUnsaved(id);
    },
    [id, startFrom, isUnsaved],
  );

  return { revision, savedText, latest, unanswered, isUnsaved, startFrom, settle };
}

/**
 * Saves a formula over the revision it was opened at, one save at a time, and meets what others saved.
 *
 * @param onFollow opens what another tablet saved
 */
export function useSaver(
  id: string,
  opened: { readonly revision: number; readonly file: FormulaFile },
  file: FormulaFile,
  onFollow: (file: FormulaFile) => void,
) {
  const kept = useKeptState(id, opened, file);
  const { revision, savedText, latest, unanswered, isUnsaved, startFrom, settle } = kept;
  const [state, setState] = useState<SaveState>({ kind: 'opening' });
  const follow = useRef(onFollow);
  follow.current = onFollow;
  const inFlight = useRef(false);

  /** Somebody saved meanwhile: followed where nothing was typed here, else told; unless it was this page, by a save whose answer was lost. */
  const meet = useCallback(
    async (theirs: StoredFormula) => {
      const { canonical } = await answers();
      const mine = JSON.stringify(latest.current);
      const theirText = JSON.stringify(theirs.file);
      const own = [mine, ...unanswered.current].find((sent) => canonical(JSON.parse(sent)) === theirText);
      if (own !== undefined) {
        settle(theirs.revision, own);
        setState({ kind: own === mine ? 'saved' : 'waiting' });
      } else if (mine === savedText.current) {
        startFrom(theirs.revision, JSON.stringify(theirs.file));
        follow.current(theirs.file);
        setState({ kind: 'followed', at: theirs.updatedAt });
      } else setState({ kind: 'stale', theirs });
    },
    [settle, startFrom, latest, savedText, unanswered],
  );

  const send = useCallback(async () => {
    const sending = JSON.stringify(latest.current);
    const sent = await sendSave(id, revision.current, sending);
    if (sent.kind === 'unanswered') unanswered.current.push(sending);
    if (sent.kind === 'kept') {
      settle(sent.revision, sending);
      setState({ kind: isUnsaved() ? 'waiting' : 'saved' });
    } else if (sent.kind === 'stale') await meet(sent.theirs);
    else setState(sent.kind === 'gone' ? sent : { kind: 'failed', message: sent.message });
  }, [id, meet, settle, isUnsaved, latest, revision, unanswered]);

  const save = useCallback(async () => {
    if (inFlight.current) return;
    if (!isUnsaved()) {
      setState((now) => (now.kind === 'stale' || now.kind === 'gone' ? now : { kind: 'saved' }));
      return;
    }
    inFlight.current = true;
    setState((now) => (now.kind === 'failed' ? now : { kind: 'saving' }));
    try {
      await noteSave(send());
    } finally {
      inFlight.current = false;
    }
  }, [send, isUnsaved]);

  /** What a look found; while a save is under way its answer tells. */
  const find = (kept: StoredFormula | undefined) => {
    if (inFlight.current) return;
    if (!kept) setState({ kind: 'gone' });
    else if (kept.revision > revision.current) void meet(kept);
  };

  return { state, setState, revision, savedText, latest, isUnsaved, startFrom, save, find };
}
