'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import type { TheirVersion } from './saved-answers';

/** Loaded once the bench is there, and before it is needed. */
const answers = () => import('./saved-answers');

/** Where the open formula stands with what is kept. */
export type SaveState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'stale'; readonly theirs: TheirVersion }
  | { readonly kind: 'gone' };

const SAVE_AFTER_MS = 500;
const RETRY_AFTER_MS = 4_000;
const LOOK_EVERY_MS = 10_000;

const placeOf = (id: string) => `dark-pour:unsaved:${id}`;

/** Keeps unsaved work on this tablet, in case it goes dark before it is saved. */
const unsaved = {
  keep(id: string, revision: number, formula: FormulaFile) {
    try {
      localStorage.setItem(placeOf(id), JSON.stringify({ revision, formula }));
    } catch {
      // Storage is full or barred: the save itself still runs.
    }
  },
  letGo(id: string) {
    try {
      localStorage.removeItem(placeOf(id));
    } catch {
      // Nothing kept, nothing to let go.
    }
  },
  find(id: string): string | undefined {
    try {
      return localStorage.getItem(placeOf(id)) ?? undefined;
    } catch {
      return undefined;
    }
  },
};

/**
 * Saves the open formula shortly after each change, tells honestly where it stands, tries again while the server cannot be reached, and never
 * overwrites what another tablet saved meanwhile.
 */
export function useAutosave(id: string, opened: { revision: number; file: FormulaFile }, file: FormulaFile) {
  const [state, setState] = useState<SaveState>({ kind: 'opening' });
  const [left, setLeft] = useState<FormulaFile | undefined>();
  const revision = useRef(opened.revision);
  const savedText = useRef(JSON.stringify(opened.file));
  const latest = useRef(file);
  latest.current = file;
  const inFlight = useRef(false);
  const text = JSON.stringify(file);

  /** Somebody saved meanwhile: told, unless what they saved is what stands here (a save whose answer was lost). */
  const meet = useCallback(
    async (theirs: TheirVersion) => {
      const { canonical } = await answers();
      const mine = JSON.stringify(latest.current);
      if (canonical(JSON.parse(mine)) !== JSON.stringify(theirs.file)) {
        setState({ kind: 'stale', theirs });
        return;
      }
      revision.current = theirs.revision;
      savedText.current = mine;
      unsaved.letGo(id);
      setState({ kind: 'saved' });
    },
    [id],
  );

  const save = useCallback(async () => {
    if (inFlight.current) return;
    const sending = JSON.stringify(latest.current);
    if (sending === savedText.current) {
      setState((now) => (now.kind === 'stale' || now.kind === 'gone' ? now : { kind: 'saved' }));
      return;
    }
    inFlight.current = true;
    setState((now) => (now.kind === 'failed' ? now : { kind: 'saving' }));
    try {
      const answer = await fetch(`/api/formulas/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: `{"revision":${revision.current},"formula":${sending}}`,
        keepalive: true,
      });
      const [body, { readSaved, readStale, readRefused }] = await Promise.all([
        answer.json() as Promise<unknown>,
        answers(),
      ]);
      if (answer.ok) {
        revision.current = readSaved(body).revision;
        savedText.current = sending;
        const more = JSON.stringify(latest.current) !== sending;
        if (!more) unsaved.letGo(id);
        setState({ kind: more ? 'waiting' : 'saved' });
      } else if (answer.status === 409) {
        await meet(readStale(body));
      } else if (answer.status === 404) {
        setState({ kind: 'gone' });
      } else {
        setState({ kind: 'failed', message: readRefused(body) });
      }
    } catch {
      setState({ kind: 'failed', message: 'The server cannot be reached. The changes are kept here and tried again.' });
    } finally {
      inFlight.current = false;
    }
  }, [id, meet]);

  // A save that ends while more was typed starts the next one.
  useEffect(() => {
    if (
      text === savedText.current ||
      state.kind === 'opening' ||
      state.kind === 'stale' ||
      state.kind === 'gone' ||
      state.kind === 'saving'
    )
      return;
    unsaved.keep(id, revision.current, latest.current);
    if (state.kind === 'saved') setState({ kind: 'waiting' });
    const timer = setTimeout(save, state.kind === 'failed' ? RETRY_AFTER_MS : SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [text, state, id, save]);

  useEffect(() => {
    const text = unsaved.find(id);
    const opened = savedText.current;
    let here = true;
    answers().then(
      ({ readKept, canonical }) => {
        if (!here) return;
        const kept = text === undefined ? undefined : readKept(text);
        if (kept && JSON.stringify(kept) !== canonical(JSON.parse(opened))) setLeft(kept);
        else if (text !== undefined && unsaved.find(id) === text) unsaved.letGo(id);
      },
      () => {
        // Not reachable: what was kept stays kept.
      },
    );
    setState({ kind: 'saved' });
    return () => {
      here = false;
    };
  }, [id]);

  // Another tablet may have saved: look when this one wakes and now and then.
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
    const timer = setInterval(lookUp, LOOK_EVERY_MS);
    document.addEventListener('visibilitychange', lookUp);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', lookUp);
    };
  }, [id, meet]);

  useEffect(() => {
    const hurry = () => {
      if (document.visibilityState === 'hidden') void save();
    };
    document.addEventListener('visibilitychange', hurry);
    return () => document.removeEventListener('visibilitychange', hurry);
  }, [save]);

  return {
    state,
    saveNow: save,
    /** work of an earlier visit that was never saved */
    left,
    letGoOfLeft: () => {
      unsaved.letGo(id);
      setLeft(undefined);
    },
    /** goes on from what the other tablet saved; the caller opens it */
    takeTheirs: (theirs: TheirVersion) => {
      revision.current = theirs.revision;
      savedText.current = JSON.stringify(theirs.file);
      unsaved.letGo(id);
      setState({ kind: 'saved' });
    },
    /** saves this tablet's version over the other one, knowingly */
    keepMine: (theirs: TheirVersion) => {
      revision.current = theirs.revision;
      savedText.current = JSON.stringify(theirs.file);
      setState({ kind: 'waiting' });
    },
  };
}

export type Autosave = ReturnType<typeof useAutosave>;
