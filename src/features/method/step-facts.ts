import type { FollowedStep } from '@/core/method/follow-method';
import { isAtTheBoil } from '@/core/method/pan-checks';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { numeral } from '@/ui/settings/numerals';

const NARROW = '\u202f';

/** A time as a cook says it: `20 s`, `2½ min`, `1 h 10 min`. */
export function duration(seconds: number): string {
  if (seconds < 90) return `${numeral(Math.max(5 * Math.round(seconds / 5), 0), 0)}${NARROW}s`;
  const halves = Math.round(seconds / 30);
  if (seconds < 600) return `${numeral(Math.floor(halves / 2), 0)}${halves % 2 === 1 ? '½' : ''}${NARROW}min`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 100) return `${numeral(minutes, 0)}${NARROW}min`;
  const rest = minutes % 60;
  return `${numeral(Math.floor(minutes / 60), 0)}${NARROW}h${rest > 0 ? ` ${numeral(rest, 0)}${NARROW}min` : ''}`;
}

/** Steps during which hands are free. */
const WAITS: ReadonlySet<FollowedStep['step']['kind']> = new Set(['soak', 'pourOver', 'wait', 'cool', 'chill']);

/** Whether a step leaves the hands free. */
export const isWait = ({ step }: FollowedStep) => WAITS.has(step.kind);

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
