import { stirInterval } from '@/core/cook/stir-interval';
import type { FollowedStep } from '@/core/method/follow-method';
import { batchOfPan, bowlOf } from '@/core/pan/settle';
import { stillMaterial } from '@/core/pan/still';
import { NO_FLOW_OFFSETS } from '@/core/predict/flow-parts';
import { COOLING_PLACES } from '@/core/set/cooling';

/**
 * How often a step of cooling is stirred.
 *
 * @returns s; nothing for other steps, and for those that are left alone
 */
export function stirEvery({ step, start }: FollowedStep): number | undefined {
  if (step.end.kind !== 'cooled' || step.stir === 0 || start.temperatureC <= step.end.temperatureC) return undefined;
  const place = { surface: COOLING_PLACES.room, aroundC: start.vessel.kitchenC };
  return stirInterval(bowlOf(start), stillMaterial(batchOfPan(start, NO_FLOW_OFFSETS)), place, start.temperatureC);
}
