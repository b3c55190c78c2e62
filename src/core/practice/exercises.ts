import { filmThickness } from '../flow/film';
import { usualHistory } from '../matter/process';
import { nth } from '../nth';
import { type Batch, stateAt } from '../predict/state';
import { seededNumbers } from '../random';
import { type PourWindow, pourWindow } from '../serve/pour-window';
import { asMeant, mendingRows, pourGate, resistanceAt, rowsOf } from './as-meant';
import { type Cause, type HiddenPan, hiddenPan, type PracticeBase, STILL_DISTURBANCE, UNDISTURBED } from './hidden-pan';
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
/** What it does to the flow. */
export const FLOW_CALLS = ['thinner', 'same', 'thicker'] as const;
export type FlowCall = (typeof FLOW_CALLS)[number];

/** Where a pan is looked at again: eaten as the formula has it, left in a room until tomorrow, or on the upright side of a cake as it is poured. */
export const PLACES = ['eaten', 'room', 'side'] as const;

/** An exercise as it was drawn: what is asked, and what only the judge knows. */
export type Exercise = { readonly seed: number } & (
  | {
      readonly kind: 'tomorrow';
      readonly pan: HiddenPan;
      /** °C it stands at while it is judged: at its pour, or still hotter */
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
      readonly atC: number;
      /** resistance it should have there, Pa */
      readonly low: number;
      readonly high: number;
      /** places of the rows that may go in */
      readonly choices: readonly number[];
    }
  | { readonly kind: 'when'; readonly pan: HiddenPan; readonly fromC: number; readonly window: PourWindow }
  | {
      readonly kind: 'which';
      readonly pans: readonly [HiddenPan, HiddenPan];
      readonly atC: number;
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
      readonly filling: Filling;
      readonly answer: FlowCall;
      /** viscosity over what was meant */
      readonly times: number;
    }
);

/** What a pan will be. */
export type Tomorrow = Extract<Exercise, { kind: 'tomorrow' }>;

/** A pan is drawn anew until what is asked can be told from what is shown; so often at most. */
const MOST_DRAWS = 60;
/** A truth lies no nearer to the middle between two steps than this part of the way (J). */
const CLEAR_OF_BETWEEN = 0.48;
/** m of a cake's side above the place that is looked at, and s until the coat is judged (J). */
const SIDE = { heightM: 0.05, seconds: 40 } as const;
/** ln by which a pan that is to be mended is off at least, and two that are compared differ. */
const CLEARLY_OFF = Math.log(1.7);
const CLEARLY_OTHER = Math.log(1.6);
/** A flow within this is the same; beyond the second it is another (J). */
const SAME_FLOW = Math.log(1.12);
const OTHER_FLOW = Math.log(1.35);
/** °C above its pour a pan may be judged at, and how hot at most (J). */
const HOTTER_BY = [0, 0, 12, 24] as const;
const HOTTEST_C = 75;
/** °C of rooms a pan is left in, the last ones warm, and hours until tomorrow (J). */
const ROOMS_C = [18, 20, 22, 26, 28] as const;
const TOMORROW_H = 20;
/** Where it is looked at is drawn apart from what is in it. */
const OTHER_DICE = 23_497;
const HOTTER_C = 22;
/** A ring that hardly leaves its place tells nothing, mm (J). */
const RING_TELLS_MM = 57;

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
export function coatOf(batch: Batch, temperatureC: number): number {
  const { flow } = stateAt(batch, temperatureC, usualHistory(temperatureC));
  return filmThickness({ ...flow, densityKgM3: flow.phases.densityKgM3 }, SIDE.heightM, SIDE.seconds);
}

/** What a pan is like where it is looked at again: Pa, or mm of coat. */
export function truthOf({ pan, where, thenC, hours }: Pick<Tomorrow, 'pan' | 'where' | 'thenC' | 'hours'>): number {
  return where === 'side'
    ? coatOf(pan.batch, pan.base.pourC)
    : stateAt(pan.batch, thenC, [[hours, thenC]]).flow.resistancePa;
}

function drawTomorrow(base: PracticeBase, seed: number): Exercise | undefined {
  const pan = hiddenPan(base, seed);
  const dice = seededNumbers(seed + OTHER_DICE);
  const pick = <Item>(items: readonly Item[]) => nth(items, Math.floor(dice() * items.length));
  const where = pick(PLACES);
  const atC = where === 'side' ? base.pourC : Math.max(Math.min(base.pourC + pick(HOTTER_BY), HOTTEST_C), base.pourC);
  const then = where === 'room' ? { thenC: pick(ROOMS_C), hours: TOMORROW_H } : { thenC: base.eatC, hours: base.hours };
  const steps = where === 'side' ? COAT_MM : FIRMNESS_PA;
  const truth = truthOf({ pan, where, ...then });
  const isFair = clearOfBetween(truth, steps) >= CLEAR_OF_BETWEEN && tells(pan, atC);
  return isFair ? { kind: 'tomorrow', seed, pan, atC, where, ...then, steps, truth } : undefined;
}

function drawMend(base: PracticeBase, seed: number): Exercise | undefined {
  const choices = mendingRows(base);
  const [liquid] = rowsOf(base, ['liquid']);
  if (liquid === undefined || choices.length < 2) return undefined;
  const times = seed % 2 === 0 ? 0.66 : 1.5;
  const pan = hiddenPan(base, seed, STILL_DISTURBANCE, 'asPlanned', new Map([[liquid, times]]));
  const gate = pourGate(base);
  const off = Math.abs(Math.log(resistanceAt(pan, base.pourC) / Math.sqrt(gate.low * gate.high)));
  if (off < CLEARLY_OFF || !tells(pan, base.pourC)) return undefined;
  return { kind: 'mend', seed, pan, atC: base.pourC, ...gate, choices };
}

function drawWhen(base: PracticeBase, seed: number): Exercise {
  const pan = hiddenPan(base, seed, STILL_DISTURBANCE);
  return { kind: 'when', seed, pan, fromC: base.pourC + HOTTER_C, window: pourWindow(pan.batch, base.pourC) };
}

function drawWhich(base: PracticeBase, seed: number): Exercise | undefined {
  const candidates = rowsOf(base, ['liquid', 'chocolate', 'cocoa']);
  const row = candidates[seed % Math.max(candidates.length, 1)];
  if (row === undefined) return undefined;
  const answer = seededNumbers(seed)() < 0.5 ? 0 : 1;
  const make = (times: number) => hiddenPan(base, seed, STILL_DISTURBANCE, 'asPlanned', new Map([[row, times]]));
  const [more, plain] = [make(1.35), make(1)];
  const apart = Math.abs(Math.log(resistanceAt(more, base.pourC) / resistanceAt(plain, base.pourC)));
  if (apart < CLEARLY_OTHER || !tells(more, base.pourC) || !tells(plain, base.pourC)) return undefined;
  return { kind: 'which', seed, pans: answer === 0 ? [more, plain] : [plain, more], atC: base.pourC, row, answer };
}

const ASKED_WHY: readonly Cause[] = ['shortLiquid', 'boiledLong', 'notHot', 'sugarLate'];

function drawWhy(base: PracticeBase, seed: number): Exercise {
  const answer = nth(ASKED_WHY, Math.floor(seededNumbers(seed)() * ASKED_WHY.length));
  return { kind: 'why', seed, pan: hiddenPan(base, seed, STILL_DISTURBANCE, answer), atC: base.pourC, answer };
}

function drawSpoon(base: PracticeBase, seed: number): Exercise | undefined {
  const candidates = rowsOf(base, ['liquid', 'chocolate', 'cocoa', 'sugar', 'starch']);
  const dice = seededNumbers(seed);
  const row = candidates[Math.floor(dice() * candidates.length)];
  if (row === undefined) return undefined;
  const fillings = Object.keys(FILLINGS) as Filling[];
  const filling = nth(fillings, Math.floor(dice() * fillings.length));
  const pan = hiddenPan(base, seed, UNDISTURBED, 'asPlanned', new Map([[row, FILLINGS[filling]]]));
  const times = resistanceAt(pan, base.pourC) / resistanceAt(asMeant(base), base.pourC);
  const off = Math.abs(Math.log(times));
  if (off > SAME_FLOW && off < OTHER_FLOW) return undefined;
  const answer: FlowCall = off <= SAME_FLOW ? 'same' : times > 1 ? 'thicker' : 'thinner';
  return { kind: 'spoon', seed, pan, atC: base.pourC, row, filling, answer, times };
}

const DRAWS: Readonly<Record<ExerciseKind, (base: PracticeBase, seed: number) => Exercise | undefined>> = {
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
    const drawn = DRAWS[kind](base, seed + 7919 * i);
    if (drawn) return { ...drawn, seed };
  }
  return undefined;
}
