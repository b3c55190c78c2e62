import type { Formula } from '@/core/formula/formula';
import type { Gate } from '@/core/formula/gates';
import { roleOf } from '@/core/formula/moment-role';
import type { MomentRole } from '@/core/formula/moments';
import { learnOffset, READING_SD } from '@/core/learn/calibration';
import { type RingRead, ringResidual } from '@/core/learn/ring-residual';
import { compositionVector } from '@/core/matter/components';
import { foldMixture } from '@/core/matter/mixture';
import { type ThermalHistory, usualHistory } from '@/core/matter/process';
import { modelDoubt } from '@/core/predict/doubt';
import { prepareBatch, type State, stateAt } from '@/core/predict/state';
import { lnOf, panMass, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import { becomes } from '@/core/rescue/becomes';
import {
  afterMeasuring,
  afterSeeing,
  type Band,
  type Belief,
  beliefMean,
  chanceInBand,
  priorBelief,
  SEEN,
  type Seen,
  sideSeen,
} from '@/core/rescue/belief';
import { causesOf } from '@/core/rescue/causes';
import { asBelieved, compareAdditives } from '@/core/rescue/compare';
import { panKindOf } from '@/core/rescue/pan-kind';
import { nextPortion, type SeenNow, settled } from '@/core/rescue/portion';
import type { Sign } from '@/core/rescue/signs';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';

/** Doubt of weights that nobody took, ln (J). */
const UNSURE_SD = 0.3;
/** A band where no gate says one: as it is reckoned, either way. */
const USUAL_BAND = 1.5;

type Flow = 'apparentViscosityPaS' | 'yieldStressPa' | 'resistancePa';
const FLOWS: readonly Flow[] = ['apparentViscosityPaS', 'resistancePa', 'yieldStressPa'];

/** What is mended: a quantity at its warmth, and the band it should lie in. */
export interface RescueGoal {
  readonly band: Band;
  readonly read: (state: State) => number;
  readonly temperatureC: number;
  readonly history: ThermalHistory;
}

/** A gate's band; one that is open on a side ends as far from the other as a usual band is wide. */
function bandOf({ low, high }: Pick<Gate, 'low' | 'high'>): Band | undefined {
  const wide = USUAL_BAND ** 2;
  const [from, to] = [low ?? (high ?? 0) / wide, high ?? (low ?? 0) * wide];
  return from > 0 && to > from ? { low: from, high: to } : undefined;
}

/** Roles of moments by which a pan is judged, warm and after the night, those that are asked first before the others. */
const JUDGED_AT: Readonly<Record<'warm' | 'cold', readonly MomentRole[]>> = {
  warm: ['pour', 'pan', 'bench', 'eat'],
  cold: ['fridge', 'bench', 'eat'],
};
/** °C where neither a moment nor the cook says one. */
const USUAL_C = { warm: 35, cold: 5 };

/** The gate on its flow that a pan is judged by: of the pour or the fridge first, of several the one nearest to how warm it is, with both edges before one. */
function judgingGate({ gates, moments }: Formula, when: 'warm' | 'cold', temperatureC: number | undefined) {
  const nearC = temperatureC ?? USUAL_C[when];
  return gates
    .flatMap((gate) => {
      const moment = moments.find(({ name }) => name === gate.moment);
      const band = bandOf(gate);
      const flow = FLOWS.find((each) => each === gate.quantity);
      const place = moment ? JUDGED_AT[when].indexOf(roleOf(moment)) : -1;
      if (!moment || !band || !flow || place < 0) return [];
      const isOpen = gate.low === undefined || gate.high === undefined;
      const far = Math.abs(moment.temperatureC - nearC);
      // Where there is no pour or fridge what counts is how near it is.
      return [{ moment, band, flow, order: [place === 0 ? 0 : 1, far, isOpen ? 1 : 0] as const }];
    })
    .sort((a, b) => a.order[0] - b.order[0] || a.order[1] - b.order[1] || a.order[2] - b.order[2])[0];
}

/**
 * Which quantity is off, at which warmth, and the band it should lie in: the formula's own gate, else as it was calculated.
 *
 * @param temperatureC °C the pan has now
 */
function goalOf(
  formula: Formula,
  when: 'warm' | 'cold',
  temperatureC: number | undefined,
  calculated: (temperatureC: number) => RescuePan,
): RescueGoal {
  const gate = judgingGate(formula, when, temperatureC);
  if (gate) {
    const { moment, band, flow } = gate;
    const read = (state: State) => state.flow[flow];
    return { band, read, temperatureC: moment.temperatureC, history: moment.history };
  }
  const [first] = JUDGED_AT[when];
  const moment = formula.moments.find((each) => roleOf(each) === first);
  const atC = moment?.temperatureC ?? USUAL_C[when];
  const read = ({ flow }: State) => flow.resistancePa;
  const usual = Math.exp(lnOf({ ...calculated(atC), read }));
  const band: Band = { low: usual / USUAL_BAND, high: usual * USUAL_BAND };
  return { band, read, temperatureC: atC, history: moment?.history ?? usualHistory(atC) };
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
  /** g of each ingredient that is in it, by its id */
  readonly inPan: ReadonlyMap<string, number>;
  /** it is to be whipped, or has been */
  readonly isWhipped: boolean;
  readonly isWeighed: boolean;
  /** ln of measured over calculated, of each ring that was read of this pan before */
  readonly rings: readonly number[];
  readonly costPerKg: number;
  readonly additives: readonly Ingredient[];
}

/**
 * g of each ingredient that is in the pan, by its id: rows of the same ingredient together.
 *
 * @param rows g of each row of the formula
 */
export function inPanOf({ lines }: Pick<FormulaFile, 'lines'>, rows: readonly number[]): ReadonlyMap<string, number> {
  const grams = new Map<string, number>();
  for (const [row, { ingredient }] of lines.entries()) {
    grams.set(ingredient, (grams.get(ingredient) ?? 0) + (rows[row] ?? 0));
  }
  return grams;
}

/** One look at the pan, after so many things had gone in: how it was seen, or a ring that was read. */
export type Look = {
  readonly putIn: number;
  /** °C it had then; at its pour where nobody says */
  readonly temperatureC?: number | undefined;
} & ({ readonly seen: Seen } | { readonly ring: RingRead });

/** How a rescue stands. */
export interface RescueHistory {
  readonly sign: Sign;
  readonly when: 'warm' | 'cold';
  /** °C it had when the sign was seen; at its pour where nobody says */
  readonly temperatureC: number | undefined;
  readonly looks: readonly Look[];
  readonly putIn: readonly PutIn[];
}

/** What comes next in a rescue. */
export type RescueStage =
  /** something went in and nobody has looked since */
  | { readonly kind: 'look' }
  /** it was judged at another warmth than its own, where it is likely right: bring it there first, then look */
  | { readonly kind: 'bring'; readonly temperatureC: number; readonly chance: number }
  /** it looks right, and that is not sure yet */
  | { readonly kind: 'lookAgain'; readonly chance: number }
  | { readonly kind: 'done'; readonly chance: number }
  | { readonly kind: 'add' };

/** How a sign is seen: those of the night by their side. */
function firstSeen(sign: Sign): Seen {
  return SEEN.find((seen) => seen === sign) ?? (sign === 'softAfterNight' ? 'bitThin' : 'bitThick');
}

const grown = (pan: RescuePan, putIn: readonly PutIn[]) =>
  putIn.reduce((now, { ingredient, grams }) => panWith(now, compositionVector(ingredient.components), grams), pan);

/** Every look, the sign that was seen first among them. */
const allLooks = ({ sign, temperatureC, looks }: RescueHistory): readonly Look[] => [
  { seen: firstSeen(sign), putIn: 0, temperatureC },
  ...looks,
];

/** How the pan was seen as it is now, and how often in a row as right. */
function seenNow(history: RescueHistory): SeenNow {
  const looks = allLooks(history).filter(({ putIn }) => putIn === history.putIn.length);
  const last = looks.at(-1);
  const lastOther = looks.findLastIndex((look) => !('seen' in look && look.seen === 'right'));
  return { seen: last && 'seen' in last ? last.seen : undefined, timesRight: looks.length - 1 - lastOther };
}

/** What is believed of a pan: before anything was seen by its weights and rings, then by each look. */
function believed(
  input: RescueInput,
  history: RescueHistory,
  at: (temperatureC: number | undefined) => RescuePan,
  band: Band,
  modelSd: number,
): Belief {
  const unsure = input.isWeighed ? modelSd : Math.hypot(modelSd, UNSURE_SD);
  const before =
    history.when === 'warm'
      ? learnOffset({ mean: 0, sd: unsure }, input.rings, READING_SD.ringOrFilm)
      : { mean: 0, sd: unsure };
  return allLooks(history).reduce<Belief>(
    (now, look) => {
      const then = grown(at(look.temperatureC), history.putIn.slice(0, look.putIn));
      if ('seen' in look) return afterSeeing(now, look.seen, lnOf(then), band);
      const residual = ringResidual(prepareBatch(then.components, then.process), look.ring);
      return afterMeasuring(now, residual, 0, READING_SD.ringOrFilm);
    },
    priorBelief(before.mean, before.sd),
  );
}

/** °C by which a look may be off the warmth of the goal before it is brought there first. */
const WARMTH_MATTERS_C = 3;
/** From this chance on it is rather no longer on the side that was seen once it is there. */
const RATHER = 0.5;

/** Where a pan was seen off on a side that its own warmth mends: that warmth, and how likely it is right there. */
function broughtTo(
  belief: Belief,
  lnAtGoal: number,
  goal: RescueGoal,
  nowC: number | undefined,
  seen: Seen | undefined,
) {
  const side = seen && sideSeen(seen);
  if (nowC === undefined || side === undefined) return undefined;
  const by = nowC - goal.temperatureC;
  // Warmer is thinner: only a thin look at a hot pan and a thick one at a cold pan may be all about warmth.
  if (Math.abs(by) <= WARMTH_MATTERS_C || (side === 'thin') !== by > 0) return undefined;
  const { low, high } = goal.band;
  const beyond: Band =
    side === 'thin' ? { low: Number.MIN_VALUE, high: low } : { low: high, high: Number.POSITIVE_INFINITY };
  if (chanceInBand(belief, lnAtGoal, beyond) > RATHER) return undefined;
  return { kind: 'bring', temperatureC: goal.temperatureC, chance: chanceInBand(belief, lnAtGoal, goal.band) } as const;
}

function stageOf(history: RescueHistory, belief: Belief, lnAtGoal: number, goal: RescueGoal): RescueStage {
  const last = allLooks(history).at(-1);
  if (last?.putIn !== history.putIn.length) return { kind: 'look' };
  const now = seenNow(history);
  const chance = chanceInBand(belief, lnAtGoal, goal.band);
  const bring = history.when === 'warm' ? broughtTo(belief, lnAtGoal, goal, last.temperatureC, now.seen) : undefined;
  if (bring) return bring;
  switch (settled(now, chance)) {
    case 'mended':
      return { kind: 'done', chance };
    case 'look':
      return { kind: 'lookAgain', chance };
    case undefined:
      return { kind: 'add' };
  }
}

/** Portions after which a pan that still looks a bit off is told what it will be cold. */
const STUBBORN = 3;
const COLD = { temperatureC: 5, history: [[12, 5]] as const };

/** What a pan that goes on to look a bit off will be in the fridge; nothing before the third portion. */
function coldOf(history: RescueHistory, there: RescuePan, belief: Belief): State | undefined {
  const { seen } = seenNow(history);
  const isStubborn = history.putIn.length >= STUBBORN && (seen === 'bitThick' || seen === 'bitThin');
  if (!isStubborn || history.when === 'cold') return undefined;
  const process = { ...there.process, warmOffset: there.process.warmOffset + beliefMean(belief) };
  return stateAt(prepareBatch(there.components, process), COLD.temperatureC, COLD.history);
}

/** What is to be mended, worked out for what has been seen and put in so far: why, what could go in, what is believed. */
export function rescueNow(input: RescueInput, history: RescueHistory) {
  const { formula, components, costPerKg, additives, inPan } = input;
  const { sign, when, temperatureC, putIn } = history;
  const pan = (at: number): Omit<RescuePan, 'read'> => ({
    components,
    process: formula.process,
    temperatureC: at,
    history: usualHistory(at),
  });
  const goal = goalOf(formula, when, temperatureC, (at) => ({ ...pan(at), read: ({ flow }) => flow.resistancePa }));
  const atGoal: RescuePan = { ...pan(goal.temperatureC), history: goal.history, read: goal.read };
  const at = (warmC: number | undefined): RescuePan =>
    when === 'cold' || warmC === undefined || warmC === goal.temperatureC ? atGoal : { ...pan(warmC), read: goal.read };
  const mixture = foldMixture(components, formula.process);
  const doubt = modelDoubt(mixture);
  const modelSd = when === 'warm' ? doubt.lnViscosity : doubt.lnYield;
  const belief = believed(input, history, at, goal.band, modelSd);
  const there = grown(atGoal, putIn);
  const now = seenNow(history);
  const stage = stageOf(history, belief, lnOf(there), goal);
  const options =
    stage.kind === 'add' || stage.kind === 'bring'
      ? compareAdditives(formula, {
          pan: there,
          kind: panKindOf(mixture, input.isWhipped),
          band: goal.band,
          belief,
          additives: additives.map(({ id, components: parts, pricePerKg }) => ({
            id,
            perGram: compositionVector(parts),
            pricePerKg: pricePerKg ?? 0,
            inPanG: inPan.get(id) ?? 0,
          })),
          costPerKg,
          now,
          about: when,
        })
      : [];
  return {
    goal,
    belief,
    pan: there,
    options,
    stage,
    causes: causesOf(firstSeen(sign), { lnNow: lnOf(at(temperatureC)), lnAtPour: lnOf(atGoal) }, goal.band, modelSd),
    /** that it lies in its band, 0-1 */
    chance: chanceInBand(belief, lnOf(there), goal.band),
    /** what it will be in the fridge, where it goes on to look a bit off */
    cold: coldOf(history, there, belief),
    massG: panMass(there.components),
    /** other uses whose limits it meets, as it is believed to be */
    becomes: becomes(there.components, asBelieved(there, belief, when).process),
    portionOf: (ingredient: Ingredient) =>
      nextPortion(there, compositionVector(ingredient.components), belief, goal.band, now),
  };
}
