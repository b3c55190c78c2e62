import type { FollowedStep } from '@/core/method/follow-method';
import { coolingTime } from '@/core/pan/cooling-time';
import { batchOfPan, bowlOf } from '@/core/pan/settle';
import { stillMaterial } from '@/core/pan/still';
import { NO_FLOW_OFFSETS } from '@/core/predict/flow-parts';
import { COOLING_PLACES } from '@/core/set/cooling';

/**
 * Seconds a step of cooling would take if nobody stirred: the middle of the bowl stays warm long.
 *
 * @returns nothing for other steps, and where the kitchen is too warm for it
 */
export function leftAloneSeconds({ step, start }: FollowedStep): number | undefined {
  if (step.end.kind !== 'cooled' || start.temperatureC <= step.end.temperatureC) return undefined;
  const span = { fromC: start.temperatureC, toC: step.end.temperatureC };
  const place = { surface: COOLING_PLACES.room, aroundC: start.vessel.kitchenC };
  const hours = coolingTime(bowlOf(start), stillMaterial(batchOfPan(start, NO_FLOW_OFFSETS)), place, span);
  return hours === undefined ? undefined : 3600 * hours;
}
