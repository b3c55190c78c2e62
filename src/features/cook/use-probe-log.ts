import { useEffect, useRef } from 'react';
import type { BatchState } from '@/formats/batch-state';
import type { ProbeReading } from '@/formats/device';
import type { useBatchLog } from '@/kitchen/cook/use-batch-log';

/** The probe is written down so often, ms; sooner where it has moved by so many degrees since. */
const EVERY_MS = 20_000;
const SOONEST_MS = 3_000;
const MOVED_C = 3;

/** Writes down what the probe says, as often as it tells something. */
export function useProbeLog(
  { log, state }: { log: ReturnType<typeof useBatchLog>; state: BatchState },
  probe: ProbeReading | undefined,
): void {
  const last = useRef<{ ms: number; temperatureC: number }>(undefined);
  const temperatureC = probe?.kind === 'celsius' ? probe.temperatureC : undefined;
  const { tell, now } = log;
  const isOver = state.over !== undefined;
  useEffect(() => {
    if (temperatureC === undefined || isOver) return;
    const ms = now();
    const before = last.current;
    const since = before ? ms - before.ms : Number.POSITIVE_INFINITY;
    const moved = before ? Math.abs(temperatureC - before.temperatureC) : Number.POSITIVE_INFINITY;
    if (since < SOONEST_MS || (since < EVERY_MS && moved < MOVED_C)) return;
    last.current = { ms, temperatureC };
    tell({ kind: 'temperature', temperatureC, by: 'probe' });
  }, [temperatureC, isOver, tell, now]);
}
