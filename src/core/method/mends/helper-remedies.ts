import { partOf } from '../../matter/component-vector';
import { nth } from '../../nth';
import { changedStep, movedStep, shareIn, withShare, withStepAt } from '../edit-steps';
import type { MethodStep } from '../step';
import { coolTo, step } from '../ways/parts';
import { type Case, hereOf, type Remedy, rowsIn } from './remedy';

/** g of cold liquid a gram of starch, and of water a gram of gelatin, is wet with (J). */
const WET = { starch: 5, gelatin: 5 };
const LONGER_S = 60;
/** °C gelatin goes in at, after a boil (J). */
const GELATIN_C = 75;

/** More of the pan's thinnest liquid into what is soaked or slaked. */
export function wetterAside(which: Case, what: 'starch' | 'gelatin'): Remedy[] {
  const { steps, at, rows } = which;
  const of = (name: 'starch' | 'gelatin' | 'water', wanted: MethodStep) =>
    wanted.adds.reduce((sum, { row, share }) => {
      const { perGram, grams } = nth(rows.lines, row);
      return sum + partOf(perGram, name) * grams * share;
    }, 0);
  const here = hereOf(which);
  const others =
    here.adds.reduce((sum, { row, share }) => sum + nth(rows.lines, row).grams * share, 0) - of(what, here);
  const missing = WET[what] * of(what, here) - (what === 'starch' ? others : of('water', here));
  const from = steps.flatMap((each, i) => (i === at ? [] : rowsIn(which, each, 'liquid').map((row) => ({ i, row }))));
  return from.flatMap(({ i, row }): Remedy[] => {
    const { perGram, grams } = nth(rows.lines, row);
    const share = missing / Math.max(grams * (what === 'starch' ? 1 : partOf(perGram, 'water')), 1e-9);
    const had = shareIn(nth(steps, i), row);
    if (share > had) return [];
    const taken = withShare(steps, i, row, had - share);
    return [['moreLiquidAside', withShare(taken, at, row, shareIn(here, row) + share)]];
  });
}

/** Starch that is not cooked: longer where it cooks out, else cooked out. */
export function cooking(which: Case): Remedy[] {
  const { steps, at } = which;
  const { leastSeconds, end } = hereOf(which);
  const cookOut = step(
    'cookOut',
    'pan',
    { kind: 'cooked', share: 0.9 },
    { heat: 'medium', stir: 0.6, tool: 'whisk', leastSeconds: LONGER_S },
  );
  return [
    [
      'longer',
      changedStep(
        steps,
        at,
        end.kind === 'seconds'
          ? { end: { ...end, seconds: end.seconds + LONGER_S } }
          : { leastSeconds: (leastSeconds ?? 0) + LONGER_S },
      ),
    ],
    ['cookOut', changedStep(steps, at, cookOut)],
    ['cookOut', withStepAt(steps, at + 1, cookOut)],
  ];
}

/** Gelatin that is boiled: it goes in after the last boil. */
export function afterBoil({ steps, at }: Case): Remedy[] {
  const gelatin = steps.findIndex(({ kind }) => kind === 'gelatin');
  if (gelatin < 0 || gelatin >= at) return [];
  const later = movedStep(steps, gelatin, at);
  return [
    ['afterTheBoil', later],
    ['afterTheBoil', withStepAt(later, at, coolTo(GELATIN_C, 'pan'))],
  ];
}
