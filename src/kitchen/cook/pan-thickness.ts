import { learnOffset, type Offset, READING_SD } from '@/core/learn/calibration';
import { CHOCOLATE_SD, FORMULA_SD, KITCHEN_PRIOR } from '@/core/learn/learnt';
import { type RingRead, ringResidual } from '@/core/learn/ring-residual';
import { learnSeen, type SeenClass } from '@/core/learn/seen-class';
import { massG } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import type { BatchState } from '@/formats/batch-state';
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

/** How many times as thick a spoon's line is drawn beside the one that is expected (J): three times is seen at once. */
export const DRAWN_APART = 3;

/** What an eye said of the spoon's line at the end of each step: its last word of each. */
function linesSeen(checks: BatchState['checks']): readonly SeenClass[] {
  const last = new Map(checks.filter(({ check }) => check === 'coats').map((each) => [each.step, each]));
  return [...last.values()].flatMap(({ isGood, sign }): SeenClass[] => {
    if (isGood) return ['like'];
    if (sign === 'bitThin' || sign === 'farTooThin') return ['thinner'];
    return sign === 'bitThick' || sign === 'farTooThick' ? ['thicker'] : [];
  });
}

/** How much thicker this very pan pours than calculated, in ln, by all its rings and by what was seen of its spoon's line; nothing before the first. */
export function panThickness(
  cooked: CookedBatch,
  { rings, checks }: Pick<BatchState, 'rings' | 'checks'>,
): Offset | undefined {
  const residuals = ringResiduals(cooked, rings);
  const seen = linesSeen(checks);
  if (residuals.length + seen.length === 0) return undefined;
  const byRings = learnOffset({ mean: 0, sd: BEFORE_SD }, residuals, READING_SD.ringOrFilm);
  return learnSeen(byRings, seen, Math.log(DRAWN_APART) / 2);
}
