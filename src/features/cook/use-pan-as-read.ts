import { useMemo } from 'react';
import type { Cook } from './use-cook';

/** The pan as a step is to leave it, as warm as it was read last in this step. */
export function usePanAsRead(cook: Cook, place: number) {
  const planned = cook.cooked.method.followed[place]?.end;
  const begunMs = cook.state.steps[place]?.begunMs ?? Number.POSITIVE_INFINITY;
  const readC = cook.state.temperatures.findLast(({ ms }) => ms >= begunMs)?.temperatureC;
  const end = useMemo(() => planned && { ...planned, temperatureC: readC ?? planned.temperatureC }, [planned, readC]);
  return { end, readC };
}
