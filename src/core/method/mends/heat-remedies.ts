import { nth } from '../../nth';
import { changedStep, movedRow, movedStep, withStepAt } from '../edit-steps';
import { isEgg } from '../row-kind';
import type { MethodStep } from '../step';
import { boil, boiledOn, cookCustard, coolTo, step } from '../ways/parts';
import { wetterAside } from './helper-remedies';
import { type Case, hereOf, type Remedy, rowsIn } from './remedy';

/** °C of what egg goes into (J). */
const BEFORE_EGG_C = 70;
const CHILL_H = 12;
const SLAKE_S = 30;

/** Egg that scrambles: a gentle heat and an end before it does; out of a step that must be hotter it goes in once that has cooled. */
export function belowScrambling(which: Case): Remedy[] {
  const { steps, at, rows } = which;
  const { where, adds, kind } = hereOf(which);
  const eggs = adds.flatMap(({ row }) => (isEgg(nth(rows.lines, row)) ? [row] : []));
  return (['low', 'medium'] as const).flatMap((heat): Remedy[] => {
    const own = cookCustard([], heat, where);
    const cooled = withStepAt(withStepAt(steps, at + 1, coolTo(BEFORE_EGG_C, where)), at + 2, own);
    return [
      ['belowScrambling', changedStep(steps, at, { ...own, kind, adds })],
      ['belowScrambling', eggs.reduce<readonly MethodStep[]>((now, row) => movedRow(now, row, at, at + 2), cooled)],
    ];
  });
}

/** Egg that is not cooked: warmed until it coats the spoon. */
export const cookTheEgg = ({ steps, at }: Case): Remedy[] =>
  (['low', 'medium'] as const).map((heat) => ['cookTheEgg', withStepAt(steps, at + 1, cookCustard([], heat))]);

/** Agar and pectin boiled for a minute, where they are hottest. */
export const boilAMinute = ({ steps, at }: Case): Remedy[] => [
  ['boilAMinute', withStepAt(steps, at + 1, boiledOn)],
  ['boilAMinute', withStepAt(withStepAt(steps, at + 1, boil([], 'medium')), at + 2, boiledOn)],
];

/** A night in the cold before it is whipped. */
export const chillFirst = ({ steps, at }: Case): Remedy[] => [
  ['chillFirst', withStepAt(steps, at, step('chill', 'bowl', { kind: 'stand', hours: CHILL_H }, { cover: 1 }))],
];

/** Dry starch slaked in a part of the liquid beside the pan, and put in as a slurry. */
export function slakeFirst(which: Case): Remedy[] {
  const { steps, at, rows } = which;
  const starch = rowsIn(which, hereOf(which), 'starch');
  const here = hereOf(which).adds.filter(({ row }) => !starch.includes(row));
  const dry = hereOf(which).adds.filter(({ row }) => starch.includes(row));
  const changed = changedStep(steps, at, { kind: 'slurry', adds: here });
  const aside = withStepAt(
    changed,
    0,
    step('soak', 'aside', { kind: 'seconds', seconds: SLAKE_S }, { adds: dry, stir: 0.6 }),
  );
  return wetterAside({ ...which, rows, steps: aside, at: 0 }, 'starch').map(([, steps]) => ['slakeFirst', steps]);
}

/** What is hot first, then what it is poured over. */
export const hotFirst = ({ steps, at }: Case): Remedy[] =>
  steps.flatMap((each, from): Remedy[] =>
    from > at && each.heat !== undefined ? [['liquidFirst', movedStep(steps, from, at)]] : [],
  );
