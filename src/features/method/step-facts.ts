import type { FollowedStep } from '@/core/method/follow-method';
import { isAtTheBoil } from '@/core/method/pan-checks';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';

/** What the pan looks like at the end of a step. */
export interface PanLook {
  /** share of the pan's height that is filled, 0-1 */
  readonly level: number;
  readonly boils: boolean;
  /** share of pieces that are still there, and of grains, 0-1 */
  readonly pieces: number;
  readonly grains: number;
}

/** How full the fullest pan of a method is drawn. */
const FULLEST = 0.72;

/**
 * How a step leaves the pan.
 *
 * @param mostG g of the fullest step
 */
export function lookOf({ end }: FollowedStep, mostG: number): PanLook {
  const all = Math.max(massG(end), 1e-6);
  return {
    level: (FULLEST * all) / Math.max(mostG, all),
    boils: isAtTheBoil(end),
    pieces: unmeltedG(end) / all,
    grains: undissolvedG(end) / all,
  };
}
