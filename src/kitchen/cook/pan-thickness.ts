import { learnOffset, type Offset, READING_SD } from '@/core/learn/calibration';
import { CHOCOLATE_SD, FORMULA_SD, KITCHEN_PRIOR } from '@/core/learn/learnt';
import { type RingRead, ringResidual } from '@/core/learn/ring-residual';
import { massG } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import type { CookedBatch } from './cook-batch';

/** ln of measured over reckoned of each ring that was read of a batch; none where its method ends with nothing in the pan. */
export function ringResiduals({ method, formula }: CookedBatch, rings: readonly RingRead[]): number[] {
  const end = method.followed.at(-1)?.end;
  if (!end || !(massG(end) > 0)) return [];
  const batch = prepareBatch(end.liquid, { ...formula.process, mix: end.mix, cook: end.cook });
  return rings.map((ring) => ringResidual(batch, ring));
}

/** How far a pan may be off before its first ring: by the kitchen, by its chocolate, by its formula. */
const BEFORE_SD = Math.hypot(KITCHEN_PRIOR.warm.sd, CHOCOLATE_SD, FORMULA_SD);

/** How much thicker this very pan pours than reckoned, in ln, by all its rings; nothing before the first. */
export function panThickness(cooked: CookedBatch, rings: readonly RingRead[]): Offset | undefined {
  const residuals = ringResiduals(cooked, rings);
  if (residuals.length === 0) return undefined;
  return learnOffset({ mean: 0, sd: BEFORE_SD }, residuals, READING_SD.ringOrFilm);
}
