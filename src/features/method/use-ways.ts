import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Formula } from '@/core/formula/formula';
import type { WaySummary } from '@/core/method/way-summary';
import { isKnown, keepProposal, keyOfQuestion, type WayQuestion } from '@/kitchen/method/proposals';
import { type Thread, threadOf } from '@/workers/thread';
import type { WaysDoor } from '@/workers/ways.worker';

const startThread = () =>
  threadOf<WaysDoor>(() => new Worker(new URL('../../workers/ways.worker.ts', import.meta.url), { type: 'module' }));

/** The ways of a formula, tried beside the screen: which is proposed, and all of them side by side. */
export interface Ways {
  /** grows as ways are tried */
  readonly tried: readonly WaySummary[];
  readonly isWhole: boolean;
  /** share of the ways tried until one can be proposed, 0-1; nothing once it is known */
  readonly share: number | undefined;
  /** the worker could not be loaded */
  readonly isLost: boolean;
  readonly again: () => void;
}

/**
 * Tries the ways of a formula in a worker; whatever it works on for a formula that is no more is left off.
 *
 * @param question nothing while the pan cannot be predicted
 * @param wantsProposal no way is chosen
 * @param onProposal hears that a proposal is known now
 */
export function useWays(question: WayQuestion, formula: Formula, wantsProposal: boolean, onProposal: () => void): Ways {
  const thread = useRef<Thread<WaysDoor>>(undefined);
  const [tried, setTried] = useState<readonly WaySummary[]>([]);
  const [isWhole, setWhole] = useState(false);
  const [share, setShare] = useState(0);
  const [isLost, setLost] = useState(false);
  const [asks, setAsks] = useState(0);
  const latest = useRef({ question, formula, onProposal });
  latest.current = { question, formula, onProposal };
  const key = keyOfQuestion(question);

  useEffect(() => () => thread.current?.close(), []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key tells one question from another; asking again asks the same once more
  useEffect(() => {
    const { question: asked, formula: of } = latest.current;
    let isHere = true;
    thread.current?.close();
    thread.current ??= startThread();
    const own = thread.current;
    setTried([]);
    setWhole(false);
    setLost(false);
    const propose = async () => {
      setShare(0);
      const hears = proxy((done: number) => isHere && setShare(done));
      const proposal = await own.ask((door) => door.propose(asked, hears));
      if (!isHere) return;
      keepProposal(key, proposal);
      latest.current.onProposal();
    };
    const compare = async () => {
      const hears = proxy((ways: readonly WaySummary[]) => isHere && setTried(ways));
      const all = await own.ask((door) => door.compare(asked, of, hears));
      if (!isHere) return;
      setTried(all);
      setWhole(true);
    };
    const work = async () => {
      if (wantsProposal && !isKnown(asked)) await propose();
      await compare();
    };
    work().catch(() => isHere && setLost(true));
    return () => {
      isHere = false;
    };
  }, [key, wantsProposal, asks]);

  const isTrying = wantsProposal && !isKnown(question);
  return { tried, isWhole, share: isTrying && !isLost ? share : undefined, isLost, again: () => setAsks(asks + 1) };
}
