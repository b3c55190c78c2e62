'use client';

import { proxy } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { Brief } from '@/core/brief/brief';
import { messageOf } from '@/formats/message-of';
import type { Answer, Shelf } from '@/kitchen/brief/brief-answers';
import type { BriefDoor } from '@/workers/brief.worker';
import { StoppedError, threadOf } from '@/workers/thread';

/** Rest after the last word before the search begins, ms. */
const REST_MS = 220;

/** A thread that knows the shelf. */
const startThread = (shelf: Shelf) =>
  threadOf<BriefDoor>(
    () => new Worker(new URL('../../workers/brief.worker.ts', import.meta.url), { type: 'module' }),
    (door) => void door.open(shelf),
  );

/**
 * What a brief could start from, from a worker: the first at once, with how far it is and a way to stop it.
 *
 * @param shelf nothing while it is fetched: the search waits for it
 */
export function useProposals(brief: Brief, pinned: string | undefined, shelf: Shelf | undefined) {
  const thread = useMemo(() => shelf && startThread(shelf), [shelf]);
  const [answer, setAnswer] = useState<Answer | undefined>();
  const [share, setShare] = useState(0);
  const [asks, setAsks] = useState(0);
  const [stoppedAt, setStoppedAt] = useState<{ brief: Brief; asks: number } | undefined>();
  // Holds until the brief changes or it is asked again: figures of the kitchen that arrive late start nothing.
  const stopped = stoppedAt?.brief === brief && stoppedAt.asks === asks;
  const [fault, setFault] = useState<string | undefined>();

  useEffect(() => thread?.close, [thread]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: asking again asks the same once more
  useEffect(() => {
    if (stopped) return;
    let wanted = true;
    setFault(undefined);
    setShare(0);
    if (!thread) return;
    const timer = setTimeout(async () => {
      const told = proxy((found: Answer, done: number) => {
        if (!wanted) return;
        setAnswer(found);
        setShare(done);
      });
      try {
        const last = await thread.ask((door) => door.propose({ brief, pinned }, told));
        if (!wanted || !last) return;
        setAnswer(last);
        setShare(1);
      } catch (error) {
        if (wanted && !(error instanceof StoppedError)) setFault(`The search stopped: ${messageOf(error)}`);
      }
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [brief, pinned, thread, asks, stopped]);

  return {
    answer,
    share,
    stopped,
    /** why nothing more comes, if it does not */
    fault,
    stop: () => {
      thread?.close();
      setStoppedAt({ brief, asks });
    },
    again: () => setAsks(asks + 1),
  };
}
