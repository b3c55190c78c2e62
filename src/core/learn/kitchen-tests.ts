import { yieldToStand } from '../flow/piping';
import { PLATE_TEST, RING_MM } from '../flow/ring-spread';
import { type ThermalHistory, usualHistory } from '../matter/process';
import { BARELY_SET_PA } from '../pan/setting-time';
import { pouredBody, stand, standingFlow, stillMaterial } from '../pan/still';
import { type Batch, flowAt, stateAt } from '../predict/state';
import { COOLING_PLACES } from '../set/cooling';
import { yieldFromBall, yieldFromDroppedBall, yieldFromDroppedRod } from '../set/indentation';
import { READING_SD } from './calibration';
import { type Evidence, type FlowMeasured, hasHeld, type Leaning, leaningOf, NO_OFFSETS } from './evidence';
import { LAMP_SHINE, type LampSeen } from './lamp';
import { KITCHEN_PRIOR, LEARNT, type Learnt } from './learnt';
import type { Felt, Tasted } from './tongue';

interface Set {
  /** °C it is at */
  readonly temperatureC: number;
  /** h since it was poured */
  readonly hours: number;
}

/** A test anyone can do with what is in a kitchen, and what it gave. Lengths in mm. */
export type KitchenTest =
  /** 20 ml from a ring of 5 cm on a cold plate, after 30 s or 3 min */
  | { readonly test: 'ring'; readonly diameterMm: number; readonly temperatureC: number; readonly seconds: number }
  /** left on an upright slice, 5 cm below its rim, after 5 s */
  | { readonly test: 'film'; readonly mm: number; readonly temperatureC: number }
  /** a line drawn through the back of a spoon */
  | { readonly test: 'spoonLine'; readonly holds: boolean; readonly temperatureC: number }
  /** a spoon's handle of 20 g, 9 mm across, dropped from 10 cm */
  | ({ readonly test: 'handle'; readonly depthMm: number } & Set)
  /** a ball of 46 g, 43 mm across, dropped from 10 cm */
  | ({ readonly test: 'ball'; readonly depthMm: number } & Set)
  /** a spoon's bowl of 22 g laid on it */
  | ({ readonly test: 'spoonRest'; readonly depthMm: number } & Set)
  /** a piped mound so high stands, or sinks */
  | ({ readonly test: 'stands'; readonly heightMm: number; readonly holds: boolean } & Set)
  /** it feels like something everybody knows, Pa */
  | ({ readonly test: 'feels'; readonly likePa: number } & Set)
  /** a lamp in its surface */
  | ({ readonly test: 'lamp'; readonly seen: LampSeen } & Set)
  /** how it tastes between bitter and sweet; teaches nothing, the book is what is tested */
  | { readonly test: 'taste'; readonly tasted: Tasted }
  /** what the tongue feels of the sugar; teaches nothing either */
  | ({ readonly test: 'grains'; readonly felt: Felt } & Set)
  /** a layer so deep took so long until a spoon's print stayed */
  | {
      readonly test: 'sets';
      readonly hours: number;
      readonly depthMm: number;
      readonly fromC: number;
      readonly aroundC: number;
    };

/** What one test says: how far off the standard figures are, in natural logarithms (for shine on the index before its curve). */
export interface TestReading {
  /** what it says most of */
  readonly about: Learnt;
  /** above 0: thicker, firmer, shinier or slower than the standard figures; 0 where a yes or no is as they say */
  readonly residual: number;
  /** standard error of it */
  readonly se: number;
  /** all it takes to hold it against the model with any offsets */
  readonly evidence: Evidence;
}

/** What is dropped reads high, by the speed it comes with (J). */
const DROPPED_TIMES = 1.75;
const HANDLE = { weightG: 20, dropMm: 100, endMm: 9 };
const BALL = { weightG: 46, dropMm: 100, radiusMm: 21.3 };
const SPOON = { weightG: 22, radiusMm: 19 };
const FILM = { heightM: 0.05, seconds: 5 };
/** Standard error of one reading, in natural logarithms (of a lamp, on its index before the curve); nothing for what is only compared (J). */
export const TEST_SE = {
  ring: READING_SD.ringOrFilm,
  film: READING_SD.ringOrFilm,
  spoonLine: READING_SD.threshold,
  handle: READING_SD.dentOrCone,
  ball: READING_SD.dentOrCone,
  spoonRest: READING_SD.dentOrCone,
  stands: READING_SD.threshold,
  feels: READING_SD.feel,
  lamp: 0.5,
  sets: READING_SD.chillTime,
  taste: undefined,
  grains: undefined,
} as const satisfies Record<KitchenTest['test'], number | undefined>;
/** How often a layer is looked at while it sets, h, and until when. */
const LOOK_H = 1 / 12;
const LONGEST_H = 72;
/** By how much an offset is moved to see how the hours to set follow it. */
const TIME_STEP = 0.3;

const logit = (index: number) => Math.log(index / (100 - index));
const historyOf = ({ temperatureC, hours }: Set): ThermalHistory => [[Math.max(hours, 0.05), temperatureC]];

/** Hours until a layer has barely set in its middle; nothing where it does not in three days. */
export function hoursToSet(batch: Batch, depthMm: number, fromC: number, aroundC: number): number | undefined {
  const material = stillMaterial(batch);
  const place = { surface: aroundC < 10 ? COOLING_PLACES.fridge : COOLING_PLACES.room, aroundC };
  let still = pouredBody({ shape: 'slab', lengthM: depthMm / 2000 }, fromC);
  while (still.hours < LONGEST_H) {
    if (standingFlow(still, batch).centre.yieldStressPa >= BARELY_SET_PA) return Math.max(still.hours, LOOK_H);
    still = stand(still, material, { ...place, hours: Math.max(LOOK_H, still.hours * 0.08) });
  }
  return undefined;
}

/** A ball or spoon that sinks right in tells nothing but that it was too heavy. */
const sinksIn = (test: KitchenTest) =>
  (test.test === 'ball' && test.depthMm >= BALL.radiusMm) ||
  (test.test === 'spoonRest' && test.depthMm >= SPOON.radiusMm);

/** Yield stress a dent tells of, Pa. */
function yieldOfDent(test: Extract<KitchenTest, { depthMm: number; temperatureC: number }>): number {
  const depth = Math.max(test.depthMm, 0.3);
  if (test.test === 'handle')
    return yieldFromDroppedRod(HANDLE.weightG, HANDLE.dropMm, HANDLE.endMm, depth) / DROPPED_TIMES;
  if (test.test === 'ball')
    return (
      yieldFromDroppedBall(BALL.weightG, BALL.dropMm, BALL.radiusMm, Math.min(depth, BALL.radiusMm)) / DROPPED_TIMES
    );
  return yieldFromBall(SPOON.weightG, SPOON.radiusMm, Math.min(depth, SPOON.radiusMm));
}

/** What a test says most of: what it would move furthest, before any other test. */
function mostOf({ slopes }: Leaning): Learnt {
  const weight = (about: Learnt) => Math.abs(slopes[about]) * KITCHEN_PRIOR[about].sd ** 2;
  return LEARNT.reduce((most, about) => (weight(about) > weight(most) ? about : most));
}

/** A reading by its evidence. */
export function readingOf(evidence: Evidence, se: number): TestReading {
  const leaning = leaningOf(evidence, NO_OFFSETS);
  const held = hasHeld(evidence);
  const { away } = leaning;
  const residual = held === undefined ? away : held ? Math.max(away, 0) : Math.min(away, 0);
  return { about: mostOf(leaning), residual, se, evidence };
}

/** Below this there is not enough solid fat to make anything firm, volume share. */
const LEAST_NETWORK = 0.01;
const HALF_SET = 1;

/**
 * Hours until what stands at one temperature from the beginning is firm: its fat has come half way to its rest. A kitchen's other offsets do not
 * move it.
 *
 * @returns nothing where no fat makes it firm
 */
export function hoursUntilFirm(batch: Batch, temperatureC: number): number | undefined {
  const { parts } = flowAt(batch, temperatureC, [[1, temperatureC]]);
  if (parts.restingNetwork < LEAST_NETWORK) return undefined;
  return (HALF_SET / parts.crystalAge) * Math.exp(batch.mixture.process.timeOffset);
}

/**
 * How long something took to set, and how the model's own hours follow each offset.
 *
 * @param measuredHours h it took
 * @param hoursOf h it takes by the model; nothing where it never sets
 */
export function timeEvidence(
  batch: Batch,
  measuredHours: number,
  hoursOf: (batch: Batch) => number | undefined,
): Evidence | undefined {
  const lnHours = (of: Batch) => {
    const hours = hoursOf(of);
    return hours === undefined ? undefined : Math.log(hours);
  };
  const standard = lnHours(batch);
  if (standard === undefined) return undefined;
  const slope = (name: 'warmOffset' | 'coldOffset' | 'gelOffset' | 'timeOffset') => {
    const moved = lnHours({
      ...batch,
      mixture: { ...batch.mixture, process: { ...batch.mixture.process, [name]: TIME_STEP } },
    });
    return moved === undefined ? 0 : (moved - standard) / TIME_STEP;
  };
  return {
    of: 'time',
    away: Math.log(measuredHours) - standard,
    slopes: {
      warm: slope('warmOffset'),
      cold: slope('coldOffset'),
      gel: slope('gelOffset'),
      time: slope('timeOffset'),
    },
  };
}

/** What was measured of a flow by a test that measures one. */
function measuredOf(test: FlowTest, densityKgM3: number): FlowMeasured {
  switch (test.test) {
    case 'ring': {
      const { diameterMm, seconds } = test;
      return { kind: 'ring', diameterMm, seconds, volumeMl: PLATE_TEST.volumeMl, ringMm: RING_MM };
    }
    case 'film':
      return { kind: 'film', mm: test.mm, lengthM: FILM.heightM, seconds: FILM.seconds };
    case 'spoonLine':
      return { kind: 'spoonLine', held: test.holds };
    case 'stands':
      return { kind: 'stands', neededPa: yieldToStand(test.heightMm, densityKgM3), held: test.holds };
    case 'feels':
      return { kind: 'resistance', pa: test.likePa };
    default:
      return { kind: 'yieldStress', pa: yieldOfDent(test) };
  }
}

type FlowTest = Exclude<KitchenTest, { readonly test: 'taste' | 'grains' | 'lamp' | 'sets' }>;

/**
 * What a test says of a batch.
 *
 * @param batch with the standard figures: without any offset of the kitchen
 * @returns nothing where there is no figure to hold it against
 * @see science of kitchen tests: rings and films (published), dents (Tabor 1951), thresholds and lamps (judgement)
 */
export function readTest(batch: Batch, test: KitchenTest): TestReading | undefined {
  if (test.test === 'taste' || test.test === 'grains' || sinksIn(test)) return undefined;
  if (test.test === 'sets') {
    const { hours, depthMm, fromC, aroundC } = test;
    const evidence = timeEvidence(batch, hours, (of) => hoursToSet(of, depthMm, fromC, aroundC));
    return evidence && readingOf(evidence, TEST_SE.sets);
  }
  const state = stateAt(batch, test.temperatureC, 'hours' in test ? historyOf(test) : usualHistory(test.temperatureC));
  if (test.test === 'lamp') {
    const away = logit(LAMP_SHINE[test.seen]) - logit(Math.min(Math.max(state.shine, 1), 99));
    return readingOf({ of: 'shine', away }, TEST_SE.lamp);
  }
  const { parts } = state.flow;
  return readingOf({ of: 'flow', parts, measured: measuredOf(test, parts.densityKgM3) }, TEST_SE[test.test]);
}
