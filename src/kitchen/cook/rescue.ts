import type { Formula } from '@/core/formula/formula';
import { roleOf } from '@/core/formula/moment-role';
import { learnOffset, READING_SD } from '@/core/learn/calibration';
import { type RingRead, ringResidual } from '@/core/learn/ring-residual';
import { compositionVector } from '@/core/matter/components';
import { foldMixture } from '@/core/matter/mixture';
import { usualHistory } from '@/core/matter/process';
import { modelDoubt } from '@/core/predict/doubt';
import { prepareBatch, type State } from '@/core/predict/state';
import { lnOf, panMass, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import {
  afterMeasuring,
  afterSeeing,
  type Band,
  type Belief,
  chanceInBand,
  priorBelief,
  SEEN,
  type Seen,
} from '@/core/rescue/belief';
import { causesOf } from '@/core/rescue/causes';
import { compareAdditives } from '@/core/rescue/compare';
import { MENDED, nextPortion } from '@/core/rescue/portion';
import type { Sign } from '@/core/rescue/signs';
import type { Ingredient } from '@/formats/ingredient';

/** Doubt of weights that nobody took, ln (J). */
const UNSURE_SD = 0.3;
/** A band where no gate says one: as it is reckoned, either way. */
const USUAL_BAND = 1.5;

type Flow = 'apparentViscosityPaS' | 'yieldStressPa' | 'resistancePa';
const FLOWS: readonly Flow[] = ['apparentViscosityPaS', 'resistancePa', 'yieldStressPa'];

/** Which quantity is off, at which warmth, and the band it should lie in: the formula's own gate, else as it was reckoned. */
function goalOf(formula: Formula, when: 'warm' | 'cold', reckoned: (temperatureC: number) => RescuePan) {
  const isWanted = (name: string) => {
    const moment = formula.moments.find((each) => each.name === name);
    const role = moment && roleOf(moment);
    return when === 'warm' ? role === 'pour' : role === 'fridge' || role === 'bench';
  };
  const gate = formula.gates.find(
    ({ quantity, moment, low, high }) =>
      FLOWS.some((flow) => flow === quantity) && isWanted(moment) && low !== undefined && high !== undefined && low > 0,
  );
  const moment = formula.moments.find(({ name }) => (gate ? name === gate.moment : isWanted(name)));
  const quantity = FLOWS.find((flow) => flow === gate?.quantity) ?? 'resistancePa';
  const temperatureC = moment?.temperatureC ?? (when === 'warm' ? 35 : 5);
  const read = ({ flow }: State) => flow[quantity];
  const usual = Math.exp(lnOf({ ...reckoned(temperatureC), read }));
  const band: Band = { low: gate?.low ?? usual / USUAL_BAND, high: gate?.high ?? usual * USUAL_BAND };
  return { band, read, temperatureC, history: moment?.history ?? usualHistory(temperatureC) };
}

/** What has been put in during this rescue. */
export interface PutIn {
  readonly ingredient: Ingredient;
  readonly grams: number;
}

/** What a pan is rescued from. */
export interface RescueInput {
  readonly formula: Formula;
  /** g of each component in the pan before this rescue */
  readonly components: RescuePan['components'];
  readonly isWeighed: boolean;
  /** ln of measured over reckoned, of each ring that was read of this pan before */
  readonly rings: readonly number[];
  readonly costPerKg: number;
  readonly additives: readonly Ingredient[];
}

/** One look at the pan, after so many things had gone in: how it was seen, or a ring that was read. */
export type Look = { readonly putIn: number } & ({ readonly seen: Seen } | { readonly ring: RingRead });

const seenIn = (look: Look | undefined) => (look && 'seen' in look ? look.seen : undefined);

/** How a rescue stands. */
export interface RescueHistory {
  readonly sign: Sign;
  readonly when: 'warm' | 'cold';
  /** °C it has now; at its pour where nobody says */
  readonly temperatureC: number | undefined;
  readonly looks: readonly Look[];
  readonly putIn: readonly PutIn[];
}

/** How a sign is seen: those of the night by their side. */
function firstSeen(sign: Sign): Seen {
  return SEEN.find((seen) => seen === sign) ?? (sign === 'softAfterNight' ? 'aBitThin' : 'aBitThick');
}

const grown = (pan: RescuePan, putIn: readonly PutIn[]) =>
  putIn.reduce((now, { ingredient, grams }) => panWith(now, compositionVector(ingredient.components), grams), pan);

/** What is believed of a pan: before anything was seen by its weights and rings, then by each look. */
function believed(input: RescueInput, history: RescueHistory, atNow: RescuePan, band: Band, modelSd: number): Belief {
  const { when, looks, putIn } = history;
  const unsure = input.isWeighed ? modelSd : Math.hypot(modelSd, UNSURE_SD);
  const before =
    when === 'warm'
      ? learnOffset({ mean: 0, sd: unsure }, input.rings, READING_SD.ringOrFilm)
      : { mean: 0, sd: unsure };
  return [{ seen: firstSeen(history.sign), putIn: 0 }, ...looks].reduce<Belief>(
    (now, look) => {
      const then = grown(atNow, putIn.slice(0, look.putIn));
      if ('seen' in look) return afterSeeing(now, look.seen, lnOf(then), band);
      const residual = ringResidual(prepareBatch(then.components, then.process), look.ring);
      return afterMeasuring(now, residual, 0, READING_SD.ringOrFilm);
    },
    priorBelief(before.mean, before.sd),
  );
}

/** What is to be mended, worked out for what has been seen and put in so far: why, what could go in, what is believed. */
export function rescueNow(input: RescueInput, history: RescueHistory) {
  const { formula, components, costPerKg, additives } = input;
  const { sign, when, temperatureC, looks, putIn } = history;
  const pan = (at: number): Omit<RescuePan, 'read'> => ({
    components,
    process: formula.process,
    temperatureC: at,
    history: usualHistory(at),
  });
  const goal = goalOf(formula, when, (at) => ({ ...pan(at), read: ({ flow }) => flow.resistancePa }));
  const atGoal: RescuePan = { ...pan(goal.temperatureC), history: goal.history, read: goal.read };
  const nowC = when === 'warm' ? (temperatureC ?? goal.temperatureC) : goal.temperatureC;
  const atNow: RescuePan = nowC === goal.temperatureC ? atGoal : { ...pan(nowC), read: goal.read };
  const doubt = modelDoubt(foldMixture(components, formula.process));
  const modelSd = when === 'warm' ? doubt.lnViscosity : doubt.lnYield;
  const first = firstSeen(sign);
  const belief = believed(input, history, atNow, goal.band, modelSd);
  const there = grown(atGoal, putIn);
  const last = looks.at(-1);
  const chance = chanceInBand(belief, lnOf(there), goal.band);
  const saysRight = seenIn(last) === 'right' && last?.putIn === putIn.length;
  const seen = putIn.length === 0 && !last ? first : last?.putIn === putIn.length ? seenIn(last) : undefined;
  const options = compareAdditives(
    formula,
    there,
    goal.band,
    belief,
    additives.map(({ id, components: parts, pricePerKg }) => ({
      id,
      perGram: compositionVector(parts),
      pricePerKg: pricePerKg ?? 0,
    })),
    costPerKg,
    seen,
    when,
  );
  return {
    goal,
    belief,
    pan: there,
    options,
    causes: causesOf(first, { lnNow: lnOf(atNow), lnAtPour: lnOf(atGoal) }, goal.band, modelSd),
    /** that it lies in its band, 0-1 */
    chance,
    /** the cook says it is right, and nothing went in since */
    saysRight,
    isMended: saysRight || chance > MENDED,
    /** it was looked at since something last went in */
    isLookedAt: putIn.length === 0 || last?.putIn === putIn.length,
    massG: panMass(there.components),
    portionOf: (ingredient: Ingredient) =>
      nextPortion(there, compositionVector(ingredient.components), belief, goal.band, seen),
  };
}
