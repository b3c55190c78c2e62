import { partOf } from '../matter/component-vector';
import type { MixingLine } from '../matter/mixing';
import { nth } from '../nth';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { isCondensed, isCultured, isEgg, isPowderOf } from './row-kind';
import type { MethodRows } from './rows';

/** °C egg is cooked from, and scrambles over where there is no starch to hold it (J, common practice). */
const EGG = { cookedC: 75, scramblesC: 85, starch: 0.02 };
/** °C cultured dairy keeps its texture to (J), and by which a stop at the limit is still at it. */
const CULTURED_MOST_C = 40;
const NEAR_C = 0.5;
/** °C condensed milk bears over a flame (J). */
const CONDENSED_MOST_C = 90;
/** °C and s that agar and pectin must have had to set (J; a minute's boil, with what a watch misses). */
const GELS = { agar: { neededC: 90, seconds: 45 }, pectin: { neededC: 95, seconds: 45 } } as const;
/** °C at the hottest moment of a step. */
const hottestOf = ({ start, end, curve }: FollowedStep) =>
  Math.max(start.temperatureC, end.temperatureC, ...curve.map(([, temperatureC]) => temperatureC));

/** s of a step at or over a temperature. */
const secondsOver = ({ curve }: FollowedStep, temperatureC: number) =>
  curve.reduce((sum, [seconds, warm], i) => {
    const [before, was] = curve[i - 1] ?? [seconds, warm];
    return Math.min(warm, was) >= temperatureC ? sum + seconds - before : sum;
  }, 0);

/** The steps in which some of a row is in the pan: what waits aside comes in with the step that takes it. */
function stepsWith(
  rows: MethodRows,
  followed: readonly FollowedStep[],
  is: (line: MixingLine) => boolean,
): readonly (readonly [number, FollowedStep])[] {
  const holds = ({ step }: FollowedStep) => step.adds.some(({ row }) => is(nth(rows.lines, row)));
  const first = followed.findIndex(holds);
  if (first < 0) return [];
  const isAside = nth(followed, first).step.where === 'aside';
  const from = isAside
    ? followed.findIndex(({ step }, i) => i > first && (step.kind === 'slurry' || step.kind === 'gelatin'))
    : first;
  if (from < 0) return [];
  return followed.flatMap((each, i) => (i >= from && each.step.where !== 'aside' ? [[i, each] as const] : []));
}

/** Egg that scrambles, or is never cooked. */
function eggFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const steps = stepsWith(rows, followed, isEgg);
  if (steps.length === 0) return [];
  const all = rows.lines.reduce((sum, { grams }) => sum + grams, 0);
  const starch = rows.lines.reduce((sum, { perGram, grams }) => sum + grams * partOf(perGram, 'starch'), 0);
  const [hot, most] = steps.map(([i, each]) => [i, hottestOf(each)] as const).reduce((a, b) => (b[1] > a[1] ? b : a));
  if (most < EGG.cookedC) return [{ kind: 'eggUncooked', step: hot, temperatureC: most }];
  const scrambles = steps.find(([, each]) => hottestOf(each) > EGG.scramblesC);
  if (!scrambles || starch >= EGG.starch * all) return [];
  return [{ kind: 'eggScrambles', step: scrambles[0], temperatureC: hottestOf(scrambles[1]) }];
}

/** Cultured dairy that is most of the liquid, and gets too warm. */
function culturedFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const wet = (is: (line: MixingLine) => boolean) =>
    rows.lines.reduce((sum, line) => (is(line) ? sum + line.grams * partOf(line.perGram, 'water') : sum), 0);
  if (wet(isCultured) < wet((line) => !isCultured(line))) return [];
  const found = stepsWith(rows, followed, isCultured).find(([, each]) => hottestOf(each) > CULTURED_MOST_C + NEAR_C);
  return found ? [{ kind: 'culturedWarm', step: found[0], temperatureC: hottestOf(found[1]) }] : [];
}

/** Condensed milk over a flame, too hot. */
function condensedFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const found = stepsWith(rows, followed, isCondensed).find(
    ([, each]) => each.step.heat !== undefined && hottestOf(each) > CONDENSED_MOST_C,
  );
  return found ? [{ kind: 'condensedHot', step: found[0], temperatureC: hottestOf(found[1]) }] : [];
}

/** Agar and pectin powder that have not boiled: they do not set. */
function gelFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  return (['agar', 'pectin'] as const).flatMap((gel): MethodFault[] => {
    const steps = stepsWith(rows, followed, ({ perGram }) => isPowderOf(perGram, gel));
    if (steps.length === 0) return [];
    const { neededC, seconds } = GELS[gel];
    if (steps.reduce((sum, [, each]) => sum + secondsOver(each, neededC), 0) >= seconds) return [];
    const [hot, most] = steps.map(([i, each]) => [i, hottestOf(each)] as const).reduce((a, b) => (b[1] > a[1] ? b : a));
    return [{ kind: 'gelNotBoiled', step: hot, gel, temperatureC: most }];
  });
}

/** Faults of what must get hot enough, or may not get too hot: egg, cultured dairy, condensed milk, agar and pectin. */
export const heatFaults = (rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] => [
  ...eggFaults(rows, followed),
  ...culturedFaults(rows, followed),
  ...condensedFaults(rows, followed),
  ...gelFaults(rows, followed),
];
