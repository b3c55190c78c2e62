'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { useChanges } from '@/kitchen/use-changes';
import type { TheirVersion } from './saved-answers';
import { noteSave } from './saves-under-way';
import { keepUnsaved, letGoOfUnsaved } from './unsaved-work';
import { useLeaving } from './use-leaving';
import { type LeftWork, useLeftWork } from './use-left-work';

/** Loaded once the bench is there, and before it is needed. */
const answers = () => import('./saved-answers');
const versions = () => import('../client/versions');

/** Where the open formula stands with what is kept. */
export type SaveState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'saved' }
  /** another tablet's save was opened here, where nothing was typed */
  | { readonly kind: 'followed'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'stale'; readonly theirs: TheirVersion }
  | { readonly kind: 'gone' };

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 4_000;
const LOOK_EVERY_MS = 10_000;
/** A save that is not answered by then is tried again. */
const ANSWER_MS = 12_000;
/** A browser lets a page send no more than this while it is being left. */
const MOST_KEEPALIVE_BYTES = 60_000;

const AFTER_IT = ' It is tried again by itself.';

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
  const [state, setState] = useState<SaveState>({ kind: 'opening' });
  const [isKept, setKept] = useState(true);
  const revision = useRef(opened.revision);
  const savedText = useRef(JSON.stringify(opened.file));
  const latest = useRef(file);
  latest.current = file;
  const follow = useRef(onFollow);
  follow.current = onFollow;
  const inFlight = useRef(false);
  /** what was sent and never answered: it may have arrived */
  const unanswered = useRef<string[]>([]);
  const text = JSON.stringify(file);

  const isUnsaved = useCallback(() => JSON.stringify(latest.current) !== savedText.current, []);

  /** What stands here is what is kept there. */
  const settle = useCallback(
    (at: number, saved: string) => {
      revision.current = at;
      savedText.current = saved;
      unanswered.current = [];
      if (JSON.stringify(latest.current) === saved) void letGoOfUnsaved(id);
    },
    [id],
  );

  /** Somebody saved meanwhile: followed where nothing was typed here, else told; unless it was this page, by a save whose answer was lost. */
  const meet = useCallback(
    async (theirs: TheirVersion) => {
      const { canonical } = await answers();
      const mine = JSON.stringify(latest.current);
      const own = [mine, ...unanswered.current].find(
        (sent) => canonical(JSON.parse(sent)) === JSON.stringify(theirs.file),
      );
      if (own !== undefined) {
        settle(theirs.revision, own);
        setState({ kind: own === mine ? 'saved' : 'waiting' });
      } else if (mine === savedText.current) {
        revision.current = theirs.revision;
        savedText.current = JSON.stringify(theirs.file);
        follow.current(theirs.file);
        setState({ kind: 'followed', at: theirs.updatedAt });
      } else setState({ kind: 'stale', theirs });
    },
    [settle],
  );

  const send = useCallback(async () => {
    const sending = JSON.stringify(latest.current);
    const body = `{"revision":${revision.current},"formula":${sending}}`;
    try {
      const answer = await fetch(`/api/formulas/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body,
        keepalive: body.length < MOST_KEEPALIVE_BYTES,
        signal: AbortSignal.timeout(ANSWER_MS),
      });
      const [read, { readSaved, readStale, readRefused }] = await Promise.all([
        answer.json() as Promise<unknown>,
        answers(),
      ]);
      if (answer.ok) {
        settle(readSaved(read).revision, sending);
        setState({ kind: isUnsaved() ? 'waiting' : 'saved' });
      } else if (answer.status === 409) await meet(readStale(read));
      else if (answer.status === 404) setState({ kind: 'gone' });
      else setState({ kind: 'failed', message: `${readRefused(read)}${answer.status === 503 ? AFTER_IT : ''}` });
    } catch (error) {
      unanswered.current.push(sending);
      const isLate = error instanceof DOMException && error.name === 'TimeoutError';
      setState({
        kind: 'failed',
        message: `The server ${isLate ? 'does not answer' : 'cannot be reached'}.${AFTER_IT}`,
      });
    }
  }, [id, meet, settle, isUnsaved]);

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

  // Whatever saving does, what is typed is kept on the tablet at once.
  useEffect(() => {
    if (text === savedText.current) return;
    let here = true;
    void keepUnsaved({ formulaId: id, revision: revision.current, formula: JSON.parse(text) }).then(
      (kept) => here && setKept(kept),
    );
    return () => {
      here = false;
    };
  }, [text, id]);

  // A save that ends while more was typed starts the next one.
  useEffect(() => {
    if (text === savedText.current || ['opening', 'stale', 'gone', 'saving'].includes(state.kind)) return;
    if (state.kind === 'saved' || state.kind === 'followed') setState({ kind: 'waiting' });
    const timer = setTimeout(save, state.kind === 'failed' ? RETRY_AFTER_MS : SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [text, state, save]);

  useEffect(() => setState({ kind: 'saved' }), []);

  // Another tablet may have saved: look when that is told, when this one wakes, and now and then.
  const look = useRef<() => void>(() => undefined);
  const { baseId } = opened;
  useChanges((change) => {
    if (change.what === 'formula' && (change.id === id || change.id === baseId)) look.current();
  });
  useEffect(() => {
    const lookUp = async () => {
      if (document.visibilityState !== 'visible' || inFlight.current) return;
      try {
        const answer = await fetch(`/api/formulas/${id}`);
        if (answer.status === 404) setState({ kind: 'gone' });
        if (!answer.ok || inFlight.current) return;
        const { readStored } = await answers();
        const theirs = readStored(await answer.json());
        if (theirs.revision > revision.current) await meet(theirs);
      } catch {
        // Not reachable just now; saving will tell.
      }
    };
    look.current = () => void lookUp();
    const timer = setInterval(lookUp, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', lookUp);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', lookUp);
    };
  }, [id, meet]);

  useLeaving(isUnsaved, save);
  const { left, letGoOfLeft } = useLeftWork(id, opened.file);

  /** Keeps a state as a version before it is let go of; what cannot be kept is not let go of. */
  const keepFirst = async (name: string, formula: FormulaFile, then: () => void) => {
    try {
      await (await versions()).addVersion(id, name, '', formula);
      then();
    } catch (error) {
      setState({ kind: 'failed', message: (error as Error).message });
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
    takeTheirs: (theirs: TheirVersion, open: () => void) =>
      keepFirst('Typed here, while another tablet saved', latest.current, () => {
        revision.current = theirs.revision;
        savedText.current = JSON.stringify(theirs.file);
        void letGoOfUnsaved(id);
        open();
        setState({ kind: 'saved' });
      }),
    /** saves this tablet's work over the other's, which stays as a version */
    keepMine: (theirs: TheirVersion) =>
      keepFirst('Saved by another tablet', theirs.file, () => {
        revision.current = theirs.revision;
        savedText.current = JSON.stringify(theirs.file);
        setState({ kind: 'waiting' });
      }),
  };
}

export type Autosave = ReturnType<typeof useAutosave>;
