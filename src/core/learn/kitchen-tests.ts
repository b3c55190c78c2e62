import { filmThickness, yieldForSpoonLine } from '../flow/film';
import { yieldToStand } from '../flow/piping';
import { PLATE_TEST } from '../flow/ring-spread';
import { spreadMultiplier } from '../flow/spread-inversion';
import { type ThermalHistory, usualHistory } from '../matter/process';
import { BARELY_SET_PA } from '../pan/setting-time';
import { pouredBody, stand, standingFlow, stillMaterial } from '../pan/still';
import { type Batch, type State, stateAt } from '../predict/state';
import { COOLING_PLACES } from '../set/cooling';
import { yieldFromBall, yieldFromDroppedBall, yieldFromDroppedRod } from '../set/indentation';
import { READING_SD } from './calibration';
import { LAMP_SHINE, type LampSeen } from './lamp';
import type { Learnt } from './learnt';
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

/** What one test says: how far off the book is, in natural logarithms (for shine on the index before its curve). */
export interface TestReading {
  readonly about: Learnt;
  /** above 0: thicker, firmer, shinier or slower than the book */
  readonly residual: number;
  /** standard error of it */
  readonly se: number;
}

/** From here on it flows: below, it has set (J). */
const WARM_FROM_C = 28;
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
  spoonLine: READING_SD.feel,
  handle: READING_SD.dentOrCone,
  ball: READING_SD.dentOrCone,
  spoonRest: READING_SD.dentOrCone,
  stands: READING_SD.feel,
  feels: READING_SD.feel,
  lamp: 0.5,
  sets: 0.3,
  taste: undefined,
  grains: undefined,
} as const satisfies Record<KitchenTest['test'], number | undefined>;
/** A ring no wider than itself is read as this, mm. */
const LEAST_RING_MM = 50.5;
/** How often a layer is looked at while it sets, h, and until when. */
const LOOK_H = 1 / 12;
const LONGEST_H = 72;
const LN_REACH = Math.log(1e4);
const HALVINGS = 50;

const logit = (index: number) => Math.log(index / (100 - index));
const historyOf = ({ temperatureC, hours }: Set): ThermalHistory => [[Math.max(hours, 0.05), temperatureC]];
const aboutFlow = (temperatureC: number): Learnt => (temperatureC >= WARM_FROM_C ? 'warm' : 'cold');

/** The factor on the whole flow that makes a film as thick as it was; its logarithm. */
function lnFilmFactor({ flow }: State, mm: number): number {
  let [low, high] = [-LN_REACH, LN_REACH];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    const factor = Math.exp(middle);
    const thick = filmThickness(
      {
        apparentViscosityPaS: factor * flow.apparentViscosityPaS,
        yieldStressPa: factor * flow.yieldStressPa,
        densityKgM3: flow.phases.densityKgM3,
      },
      FILM.heightM,
      FILM.seconds,
    );
    if (thick < mm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** What a yes or no to a threshold says: nothing where the book says the same. */
const lnBeyond = (thresholdPa: number, yieldPa: number, holds: boolean) => {
  const needed = Math.log(thresholdPa / Math.max(yieldPa, 1e-9));
  return holds ? Math.max(needed, 0) : Math.min(needed, 0);
};

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

/**
 * What a test says of a batch.
 *
 * @param batch as the book reckons it: without any offset of the kitchen
 * @returns nothing where the book has no figure to hold it against
 * @see science of kitchen tests: rings and films (published), dents (Tabor 1951), thresholds and lamps (judgement)
 */
export function readTest(batch: Batch, test: KitchenTest): TestReading | undefined {
  if (test.test === 'sets') {
    const reckoned = hoursToSet(batch, test.depthMm, test.fromC, test.aroundC);
    return reckoned === undefined
      ? undefined
      : { about: 'time', residual: Math.log(test.hours / reckoned), se: TEST_SE.sets };
  }
  if (test.test === 'taste' || test.test === 'grains' || sinksIn(test)) return undefined;
  const history = 'hours' in test ? historyOf(test) : usualHistory(test.temperatureC);
  const state = stateAt(batch, test.temperatureC, history);
  const { flow } = state;
  const about = aboutFlow(test.temperatureC);
  switch (test.test) {
    case 'ring': {
      const reckoned = { ...flow, densityKgM3: flow.phases.densityKgM3 };
      const reading = { ...PLATE_TEST, seconds: test.seconds, diameterMm: Math.max(test.diameterMm, LEAST_RING_MM) };
      return { about, residual: Math.log(spreadMultiplier(reckoned, reading)), se: TEST_SE.ring };
    }
    case 'film':
      return { about, residual: lnFilmFactor(state, test.mm), se: TEST_SE.film };
    case 'spoonLine': {
      const needed = yieldForSpoonLine({ ...flow, densityKgM3: flow.phases.densityKgM3 });
      return { about, residual: lnBeyond(needed, flow.yieldStressPa, test.holds), se: TEST_SE.spoonLine };
    }
    case 'stands': {
      const needed = yieldToStand(test.heightMm, flow.phases.densityKgM3);
      return { about, residual: lnBeyond(needed, flow.yieldStressPa, test.holds), se: TEST_SE.stands };
    }
    case 'feels':
      return { about, residual: Math.log(test.likePa / flow.resistancePa), se: TEST_SE.feels };
    case 'lamp':
      return {
        about: 'shine',
        residual: logit(LAMP_SHINE[test.seen]) - logit(Math.min(Math.max(state.shine, 1), 99)),
        se: TEST_SE.lamp,
      };
    default:
      return {
        about,
        residual: Math.log(yieldOfDent(test) / Math.max(flow.yieldStressPa, 1e-9)),
        se: TEST_SE[test.test],
      };
  }
}
