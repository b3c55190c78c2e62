'use client';

import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import { messageOf } from '@/formats/message-of';
import { StoppedError } from '@/workers/thread';
import { drawnAhead, keepMapThread, type MapThread, ROUGH, takeMapThread } from './map-door';

const FINE = { columns: 84, rows: 63 };
/** Rest before the fine picture begins, ms. */
const REST_MS = 80;

/** A field, rough at once and fine a moment later, from a worker; with how far it is and a way to stop it. */
export function useFieldMap(formula: Formula, axes: readonly [MapAxis, MapAxis]) {
  const worker = useRef<MapThread | undefined>(undefined);
  const [map, setMap] = useState(() => drawnAhead(formula, axes));
  const [share, setShare] = useState(1);
  const [stopped, setStopped] = useState(false);
  const [fault, setFault] = useState<string | undefined>();
  const [asks, setAsks] = useState(0);

  useEffect(
    () => () => {
      if (worker.current) keepMapThread(worker.current);
      worker.current = undefined;
    },
    [],
  );

  const question = JSON.stringify([axes, formula.lines.map(({ grams }) => grams)]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the question says all that matters of formula and axes
  useEffect(() => {
    let wanted = true;
    setStopped(false);
    worker.current ??= takeMapThread();
    const { ask } = worker.current;
    const progress = proxy((done: number) => wanted && setShare(done));
    const draw = async (size: typeof ROUGH) => {
      try {
        const found = await ask((door) => door.map(formula, axes, size, progress));
        if (wanted && found) setMap(found);
      } catch (error) {
        if (wanted && !(error instanceof StoppedError)) setFault(messageOf(error));
      }
    };
    setFault(undefined);
    const drawn = drawnAhead(formula, axes);
    if (drawn) setMap(drawn);
    else void draw(ROUGH);
    const timer = setTimeout(async () => {
      setShare(0);
      await draw(FINE);
      if (wanted) setShare(1);
    }, REST_MS);
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [question, formula.gates, formula.moments, asks]);

  return {
    map,
    share,
    stopped,
    /** why there is no new picture, if there is none */
    fault,
    again: () => setAsks(asks + 1),
    stop: () => {
      worker.current?.close();
      setShare(1);
      setStopped(true);
    },
  };
}
