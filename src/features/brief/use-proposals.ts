'use client';

import { proxy, type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import type { Answer, Shelf } from '@/formats/brief-answers';
import type { BriefDoor } from '@/workers/brief.worker';

/** Rest after the last word before the search begins, ms. */
const REST_MS = 220;

/** What a brief could start from, from a worker: the first at once, with how far it is and a way to stop it. */
export function useProposals(brief: Brief, pinned: string | undefined, shelf: Shelf) {
  const worker = useRef<{ thread: Worker; door: Remote<BriefDoor> } | undefined>(undefined);
  const [answer, setAnswer] = useState<Answer | undefined>();
  const [share, setShare] = useState(0);
  const [stopped, setStopped] = useState(false);
  const [asks, setAsks] = useState(0);
  const [fault, setFault] = useState<string | undefined>();

  const close = () => {
    worker.current?.thread.terminate();
    worker.current = undefined;
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: closes what is open when the screen goes
  useEffect(() => close, []);

  // biome-ignore lint/correctness/useExhaustiveDependencies: asking again asks the same once more
  useEffect(() => {
    let wanted = true;
    setStopped(false);
    setFault(undefined);
    setShare(0);
    const timer = setTimeout(async () => {
      if (!worker.current) {
        const thread = new Worker(new URL('../../workers/brief.worker.ts', import.meta.url), { type: 'module' });
        const door = wrap<BriefDoor>(thread);
        worker.current = { thread, door };
        void door.open(shelf);
      }
      const told = proxy((found: Answer, done: number) => {
        if (!wanted) return;
        setAnswer(found);
        setShare(done);
      });
      try {
        const last = await worker.current.door.propose({ brief, pinned }, told);
        if (!wanted || !last) return;
        setAnswer(last);
        setShare(1);
      } catch (error) {
        if (wanted) setFault(`The search stopped: ${(error as Error).message}`);
      }
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [brief, pinned, shelf, asks]);

  return {
    answer,
    share,
    stopped,
    /** why nothing more comes, if it does not */
    fault,
    stop: () => {
      close();
      setStopped(true);
    },
    again: () => setAsks(asks + 1),
  };
}
