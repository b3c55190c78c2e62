import { DEFAULT_PROCESS } from '@/core/matter/process';
import type { FollowedStep } from '@/core/method/follow-method';
import { isAtTheBoil } from '@/core/method/pan-checks';
import { nth } from '@/core/nth';
import { massG, type PanState, undissolvedG, unmeltedG } from '@/core/pan/pan';
import { prepareBatch } from '@/core/predict/state';
import { chocolateColour } from '@/core/shine/colour';

/** What the pan looks like at the end of a step. */
export interface PanLook {
  /** share of the pan's height that is filled, 0-1 */
  readonly level: number;
  readonly boils: boolean;
  /** share of pieces that are still there, and of grains, 0-1 */
  readonly pieces: number;
  readonly grains: number;
  /** of what is in it, as a screen draws it */
  readonly colour: string;
}

/** How full the fullest pan of a method is drawn. */
const FULLEST = 0.72;

function lookOf(pan: PanState, mostG: number): PanLook {
  const all = Math.max(massG(pan), 1e-6);
  return {
    level: (FULLEST * all) / Math.max(mostG, all),
    boils: isAtTheBoil(pan),
    pieces: unmeltedG(pan) / all,
    grains: undissolvedG(pan) / all,
    colour: chocolateColour(prepareBatch(pan.liquid, DEFAULT_PROCESS).mixture),
  };
}

const fullest = (followed: readonly FollowedStep[]) => Math.max(...followed.map(({ end }) => massG(end)));

/** How each step of a method leaves the pan. */
export function panLooks(followed: readonly FollowedStep[]): PanLook[] {
  const mostG = fullest(followed);
  return followed.map(({ end }) => lookOf(end, mostG));
}

/** From this share of a step on it looks as at its end (J). */
const AS_AT_THE_END = 0.85;

/**
 * How a pan looks on the way through a step.
 *
 * @param progress share of the step that has gone by, 0-1
 */
export function lookAlong(followed: readonly FollowedStep[], place: number, progress: number): PanLook {
  const mostG = fullest(followed);
  const { start, end } = nth(followed, place);
  const [from, to] = [lookOf(start, mostG), lookOf(end, mostG)];
  const share = Math.min(Math.max(progress, 0), 1);
  const between = (a: number, b: number) => a + (b - a) * share;
  const late = share >= AS_AT_THE_END ? to : from;
  return {
    level: between(from.level, to.level),
    pieces: between(from.pieces, to.pieces),
    grains: between(from.grains, to.grains),
    boils: late.boils,
    colour: share >= 0.5 ? to.colour : from.colour,
  };
}
