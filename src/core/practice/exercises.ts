import { filmThickness } from '../flow/film';
import { keysOf } from '../keys-of';
import { usualHistory } from '../matter/process';
import { nth } from '../nth';
import { type Batch, stateAt } from '../predict/state';
import { seededNumbers } from '../random';
import { type PourWindow, pourWindow } from '../serve/pour-window';
import { asMeant, mendingRows, pourGate, resistanceAt, rowsOf } from './as-meant';
import {
  CAUSES,
  type Cause,
  type HiddenPan,
  hiddenPan,
  type PracticeBase,
  STILL_DISTURBANCE,
  UNDISTURBED,
} from './hidden-pan';
import { observe } from './observe';

/** What is practised. */
export const EXERCISE_KINDS = ['tomorrow', 'mend', 'when', 'which', 'why', 'spoon'] as const;
export type ExerciseKind = (typeof EXERCISE_KINDS)[number];

/** Steps of firmness a call is made in, Pa: a factor of ten lies between neighbours, as between things everybody knows. */
export const FIRMNESS_PA = [2, 10, 100, 1_000, 10_000, 100_000] as const;
/** Steps of a coat that stays on an upright side, mm. */
const COAT_MM = [0.5, 1.5, 4.5] as const;
/** How a spoonful was filled, with what went in for what was meant. */
export const FILLINGS = { loose: 0.8, level: 1, heaped: 1.3 } as const;
export type Filling = keyof typeof FILLINGS;
/** Where a pan is looked at again: eaten as the formula has it, left in a room until tomorrow, or on the upright side of a cake, poured at its pour. */
export const PLACES = ['eaten', 'room', 'side'] as const;

/** An exercise as it was drawn: what is asked, and what only the judge knows. */
export type Exercise = { readonly seed: number } & (
  | {
      readonly kind: 'tomorrow';
      readonly pan: HiddenPan;
      /** °C it stands at while it is judged */
      readonly atC: number;
      readonly where: (typeof PLACES)[number];
      /** °C and hours until it is looked at again; of no meaning on a side */
      readonly thenC: number;
      readonly hours: number;
      /** the steps a call is made in, and the truth on them: Pa, or mm of coat */
      readonly steps: readonly number[];
      readonly truth: number;
    }
  | {
      readonly kind: 'mend';
      readonly pan: HiddenPan;
      /** °C it stands at while it is judged */
      readonly atC: number;
      /** resistance it should have at its pour, Pa */
      readonly low: number;
      readonly high: number;
      /** places of the rows that may go in */
      readonly choices: readonly number[];
      /** parts of the whole that each portion is: no spoon is like the other */
      readonly portions: readonly number[];
    }
  | { readonly kind: 'when'; readonly pan: HiddenPan; readonly fromC: number; readonly window: PourWindow }
  | {
      readonly kind: 'which';
      readonly pans: readonly [HiddenPan, HiddenPan];
      /** °C each stands at */
      readonly atC: readonly [number, number];
      /** the row of which one has more */
      readonly row: number;
      readonly answer: 0 | 1;
    }
  | { readonly kind: 'why'; readonly pan: HiddenPan; readonly atC: number; readonly answer: Cause }
  | {
      readonly kind: 'spoon';
      readonly pan: HiddenPan;
      readonly atC: number;
      readonly row: number;
      readonly answer: Filling;
      /** resistance at the pour over what was meant */
      readonly times: number;
    }
);

/** What a pan will be. */
export type Tomorrow = Extract<Exercise, { kind: 'tomorrow' }>;

/** A pan is drawn anew until what is asked can be told from what is shown; so often at most. */
const MOST_DRAWS = 60;
/** From one draw to the next. */
const DRAWN_ANEW = 7919;
/** A truth lies no nearer to the middle between two steps than this part of the way (J). */
const CLEAR_OF_BETWEEN = 0.48;
/** m of a cake's side above the place that is looked at, and s until the coat is judged (J). */
const SIDE = { heightM: 0.05, seconds: 40 } as const;
/** ln by which a pan that is to be mended is off at least, and two that are compared differ. */
const CLEARLY_OFF = Math.log(1.7);
const CLEARLY_OTHER = Math.log(1.6);
/** ln by which a spoon that was filled otherwise makes it pour otherwise (J). */
const OTHER_FLOW = Math.log(1.35);
/** °C below and above its pour a pan may be judged at, how hot at most, and the part of pans that then look as they should though they are not (J). */
const STANDS = { belowC: 10, aboveC: 34, hottestC: 75, stepC: 4, deceives: 0.9 } as const;
/** Part of the liquid that went in, as somebody made it (J). */
const LIQUID_TIMES = [0.55, 0.75, 1, 1.3, 1.7] as const;
const MENDED_TIMES = [0.5, 0.62, 0.75, 1.35, 1.6, 2] as const;
/** °C from its pour at which a pan that is to be poured begins (J). */
const BEGINS_C = [-16, -8, 0, 9, 18, 27] as const;
/** Portions a pan is mended in at most, and how far one differs from the next (J). */
export const MOST_PORTIONS = 3;
const UNEVEN = 0.6;
/** °C of rooms a pan is left in, the last ones warm, and hours until tomorrow (J). */
const ROOMS_C = [18, 20, 22, 26, 28] as const;
const TOMORROW_H = 20;
/** Where it is looked at is drawn apart from what is in it. */
const OTHER_DICE = 23_497;
/** A ring that hardly leaves its place tells nothing, mm (J). */
const RING_TELLS_MM = 57;
/** Two rings that differ by so much are seen to differ, mm (J). */
const RING_TELLS_APART_MM = 4;

/** Whether a pan's ring spreads by enough to tell one from another. */
const tells = (pan: HiddenPan, temperatureC: number) => observe(pan, temperatureC).ringMm >= RING_TELLS_MM;

/** The step nearest to a value, by place. */
export function nearestStep(value: number, steps: readonly number[]): number {
  const distances = steps.map((step) => Math.abs(Math.log(value / step)));
  return distances.indexOf(Math.min(...distances));
}

/** Part of the way from the middle between two neighbours to a step, 0-1: steps are evenly apart in logarithms. */
function clearOfBetween(value: number, steps: readonly number[]): number {
  const half = Math.log(nth(steps, 1) / nth(steps, 0)) / 2;
  return 1 - Math.abs(Math.log(value / nth(steps, nearestStep(value, steps)))) / half;
}

/** mm of coat that stays on an upright side. */
function coatOf(batch: Batch, temperatureC: number): number {
  const { flow } = stateAt(batch, temperatureC, usualHistory(temperatureC));
  return filmThickness({ ...flow, densityKgM3: flow.phases.densityKgM3 }, SIDE.heightM, SIDE.seconds);
}

/** What a pan is like where it is looked at again: Pa, or mm of coat. */
export function truthOf({ pan, where, thenC, hours }: Pick<Tomorrow, 'pan' | 'where' | 'thenC' | 'hours'>): number {
  return where === 'side'
    ? coatOf(pan.batch, pan.base.pourC)
    : stateAt(pan.batch, thenC, [[hours, thenC]]).flow.resistancePa;
}

/** One of a few, by a die. */
const pick = <Item>(items: readonly Item[], dice: () => number) => nth(items, Math.floor(dice() * items.length));

/**
 * °C a pan stands at while it is judged: mostly such that it looks as the formula should at its pour, whatever it is. Who goes by the warm look alone is
 * led astray; who takes its temperature is not.
 */
function standsAt(pan: HiddenPan, dice: () => number): number {
  const { pourC } = pan.base;
  const mostC = Math.min(pourC + STANDS.aboveC, STANDS.hottestC);
  const count = Math.floor((mostC - pourC + STANDS.belowC) / STANDS.stepC) + 1;
  const around = Array.from({ length: count }, (_, i) => mostC - STANDS.stepC * i);
  if (dice() > STANDS.deceives) return pick(around, dice);
  const meantMm = observe(asMeant(pan.base), pourC).ringMm;
  const off = (atC: number) => Math.abs(observe(pan, atC).ringMm - meantMm);
  return around.reduce((best, atC) => (off(atC) < off(best) ? atC : best), pourC);
}

/** A pan as somebody made it: with other parts of its liquid than were meant. */
export function somebodysPan(base: PracticeBase, seed: number, times?: number): HiddenPan {
  const drawn = times ?? pick(LIQUID_TIMES, seededNumbers(seed + OTHER_DICE));
  const change = new Map(rowsOf(base, ['liquid']).map((row) => [row, drawn]));
  return hiddenPan(base, seed, undefined, 'asPlanned', change);
}

function drawTomorrow(base: PracticeBase, seed: number, round: number): Exercise | undefined {
  const dice = seededNumbers(seed - DRAWN_ANEW * round + OTHER_DICE);
  const where = pick(PLACES, dice);
  const then =
    where === 'room' ? { thenC: pick(ROOMS_C, dice), hours: TOMORROW_H } : { thenC: base.eatC, hours: base.hours };
  const steps = where === 'side' ? COAT_MM : FIRMNESS_PA;
  const [thin, thick] = [LIQUID_TIMES.at(-1), LIQUID_TIMES[0]].map((times) =>
    nearestStep(truthOf({ pan: somebodysPan(base, seed, times), where, ...then }), steps),
  );
  const [from, to] = [Math.min(thin ?? 0, thick ?? 0), Math.max(thin ?? 0, thick ?? 0)];
  // What every pan of a formula becomes is told without looking.
  if (from === to) return undefined;
  const wanted = from + Math.floor(dice() * (to - from + 1));
  const pan = somebodysPan(base, seed);
  const truth = truthOf({ pan, where, ...then });
  if (nearestStep(truth, steps) !== wanted || clearOfBetween(truth, steps) < CLEAR_OF_BETWEEN) return undefined;
  const atC = standsAt(pan, dice);
  return tells(pan, atC) ? { kind: 'tomorrow', seed, pan, atC, where, ...then, steps, truth } : undefined;
}

function drawMend(base: PracticeBase, seed: number): Exercise | undefined {
  const choices = mendingRows(base);
  const [liquid] = rowsOf(base, ['liquid']);
  if (liquid === undefined || choices.length < 2) return undefined;
  const dice = seededNumbers(seed + OTHER_DICE);
  const times = pick(MENDED_TIMES, dice);
  const pan = hiddenPan(base, seed, STILL_DISTURBANCE, 'asPlanned', new Map([[liquid, times]]));
  const gate = pourGate(base);
  const off = Math.abs(Math.log(resistanceAt(pan, base.pourC) / Math.sqrt(gate.low * gate.high)));
  if (off < CLEARLY_OFF) return undefined;
  const atC = standsAt(pan, dice);
  if (!tells(pan, atC)) return undefined;
  const sizes = Array.from({ length: MOST_PORTIONS }, () => 1 + UNEVEN * (dice() - 0.5));
  const sum = sizes.reduce((all, each) => all + each, 0);
  return { kind: 'mend', seed, pan, atC, ...gate, choices, portions: sizes.map((size) => size / sum) };
}

function drawWhen(base: PracticeBase, seed: number): Exercise {
  const pan = hiddenPan(base, seed, STILL_DISTURBANCE);
  const fromC = base.pourC + pick(BEGINS_C, seededNumbers(seed + OTHER_DICE));
  return { kind: 'when', seed, pan, fromC, window: pourWindow(pan.batch, base.pourC) };
}

/** °C at which the thicker of two pans looks like the thinner; nothing where no warmth of a kitchen makes it. */
function lookOtherWayRound(a: HiddenPan, b: HiddenPan): readonly [number, number] | undefined {
  const { pourC } = a.base;
  const isThicker = resistanceAt(a, pourC) > resistanceAt(b, pourC);
  const [thick, thin] = isThicker ? [a, b] : [b, a];
  const coolC = pourC - STANDS.stepC;
  const thinMm = observe(thin, coolC).ringMm;
  for (
    let hotC = pourC + STANDS.stepC;
    hotC <= Math.min(pourC + STANDS.aboveC, STANDS.hottestC);
    hotC += STANDS.stepC
  ) {
    if (observe(thick, hotC).ringMm > thinMm + RING_TELLS_APART_MM) return isThicker ? [hotC, coolC] : [coolC, hotC];
  }
  return undefined;
}

function drawWhich(base: PracticeBase, seed: number): Exercise | undefined {
  const candidates = rowsOf(base, ['liquid', 'chocolate', 'cocoa']);
  const row = candidates[seed % Math.max(candidates.length, 1)];
  if (row === undefined) return undefined;
  const dice = seededNumbers(seed + OTHER_DICE);
  const answer = dice() < 0.5 ? 0 : 1;
  const make = (times: number) => hiddenPan(base, seed, STILL_DISTURBANCE, 'asPlanned', new Map([[row, times]]));
  const [more, plain] = [make(1.35), make(1)];
  const apart = Math.abs(Math.log(resistanceAt(more, base.pourC) / resistanceAt(plain, base.pourC)));
  if (apart < CLEARLY_OTHER) return undefined;
  const turned = lookOtherWayRound(more, plain);
  if (!turned) return undefined;
  const [moreC, plainC] = dice() < 0.5 ? turned : ([base.pourC, base.pourC] as const);
  const pans = answer === 0 ? ([more, plain] as const) : ([plain, more] as const);
  const atC = answer === 0 ? ([moreC, plainC] as const) : ([plainC, moreC] as const);
  return pans.every((pan, i) => tells(pan, nth(atC, i))) ? { kind: 'which', seed, pans, atC, row, answer } : undefined;
}

function drawWhy(base: PracticeBase, seed: number): Exercise | undefined {
  const dice = seededNumbers(seed + OTHER_DICE);
  const answer = pick(CAUSES, dice);
  const pan = hiddenPan(base, seed, STILL_DISTURBANCE, answer);
  const atC = standsAt(pan, dice);
  return tells(pan, atC) ? { kind: 'why', seed, pan, atC, answer } : undefined;
}

function drawSpoon(base: PracticeBase, seed: number): Exercise | undefined {
  const candidates = rowsOf(base, ['liquid', 'chocolate', 'cocoa', 'sugar', 'starch']);
  const dice = seededNumbers(seed + OTHER_DICE);
  const row = candidates[Math.floor(dice() * candidates.length)];
  if (row === undefined) return undefined;
  const answer = pick(keysOf(FILLINGS), dice);
  const poured = (filling: Filling) =>
    hiddenPan(base, seed, UNDISTURBED, 'asPlanned', new Map([[row, FILLINGS[filling]]]));
  const timesOf = (pan: HiddenPan) => resistanceAt(pan, base.pourC) / resistanceAt(asMeant(base), base.pourC);
  const pan = poured(answer);
  const differs = (['loose', 'heaped'] as const).every(
    (each) => Math.abs(Math.log(timesOf(poured(each)))) >= OTHER_FLOW,
  );
  if (!differs) return undefined;
  const atC = standsAt(pan, dice);
  return tells(pan, atC) ? { kind: 'spoon', seed, pan, atC, row, answer, times: timesOf(pan) } : undefined;
}

const DRAWS: Readonly<Record<ExerciseKind, (base: PracticeBase, seed: number, round: number) => Exercise | undefined>> =
  {
    tomorrow: drawTomorrow,
    mend: drawMend,
    when: drawWhen,
    which: drawWhich,
    why: drawWhy,
    spoon: drawSpoon,
  };

/**
 * Draws an exercise that can be solved by what is shown of it.
 *
 * @param seed any integer: the same one draws the same exercise
 * @returns nothing where this formula has none of the kind: no liquid to mend with, nothing that tells two pans apart
 */
export function drawExercise(kind: ExerciseKind, base: PracticeBase, seed: number): Exercise | undefined {
  for (let i = 0; i < MOST_DRAWS; i++) {
    const drawn = DRAWS[kind](base, seed + DRAWN_ANEW * i, i);
    if (drawn) return { ...drawn, seed };
  }
  return undefined;
}
