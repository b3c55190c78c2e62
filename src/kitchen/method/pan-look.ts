import { DEFAULT_PROCESS } from '@/core/matter/process';
import type { FollowedStep } from '@/core/method/follow-method';
import { isAtTheBoil } from '@/core/method/pan-checks';
import { massG, undissolvedG, unmeltedG } from '@/core/pan/pan';
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

/** How each step of a method leaves the pan. */
export function panLooks(followed: readonly FollowedStep[]): PanLook[] {
  const mostG = Math.max(...followed.map(({ end }) => massG(end)));
  return followed.map(({ end }): PanLook => {
    const all = Math.max(massG(end), 1e-6);
    return {
      level: (FULLEST * all) / Math.max(mostG, all),
      boils: isAtTheBoil(end),
      pieces: unmeltedG(end) / all,
      grains: undissolvedG(end) / all,
      colour: chocolateColour(prepareBatch(end.liquid, DEFAULT_PROCESS).mixture),
    };
  });
}
