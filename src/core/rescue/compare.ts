import type { Formula } from '../formula/formula';
import { momentOf, readGate } from '../formula/gates';
import type { ComponentVector } from '../matter/components';
import { quantityOf } from '../predict/quantities';
import { prepareBatch, stateAt } from '../predict/state';
import { alcoholPercentVol, taste } from '../taste/taste';
import { panMass, panWith, type RescuePan } from './addition-curve';
import { type Band, type Belief, beliefMean, type Seen } from './belief';
import { nextPortion } from './portion';

/** What may be put in. */
export interface Additive {
  readonly id: string;
  /** what 1 g of it is made of */
  readonly perGram: ComponentVector;
  /** a kilogram, in the money of the kitchen */
  readonly pricePerKg: number;
}

/** What an additive would do, put in until the pan is right. */
export interface AdditiveOutcome {
  readonly id: string;
  /** g of the next portion, and of all on the mean */
  readonly grams: number;
  readonly inAll: number;
  /** gates of the formula that it lands now and would not land then */
  readonly loses: readonly number[];
  readonly wins: readonly number[];
  /** times as firm as now, from the fridge */
  readonly coldTimes: number;
  readonly waterActivity: number;
  readonly sweetness: number;
  readonly alcoholPercentVol: number;
  readonly massG: number;
  readonly cost: number;
  /** the emulsion stays well inside its window on the way */
  readonly isSmooth: boolean;
}

/** Fat between the drops from which an emulsion is no longer safe (J). */
const SMOOTH_MOST = 0.7;
const COLD = { temperatureC: 5, history: [[12, 5]] as const };

/** How much each counts beside the mass that goes in (J): sweetness most, then the set; a % vol of alcohol as much as a quarter of the pan. */
const WEIGHS = { sweetness: 1, cold: 0.3, notSmooth: 1, missed: 0.5, alcohol: 0.25 };

/** % vol of a pan that was read. */
const alcoholOf = ({ mixture, cold }: ReturnType<typeof readAll>) =>
  alcoholPercentVol(mixture.ethanolG, cold.flow.phases.volumeMl);

/** How far something takes a pan from what it was, besides mending it. */
function harm(outcome: AdditiveOutcome, before: ReturnType<typeof readAll>, pan: RescuePan): number {
  const sweetness = Math.abs(Math.log((outcome.sweetness + 1) / (taste(before.mixture).sweetness + 1)));
  const cold = Math.abs(Math.log(Math.max(outcome.coldTimes, 1e-6)));
  const grows = outcome.inAll / panMass(pan.components);
  return (
    grows +
    WEIGHS.sweetness * sweetness +
    WEIGHS.cold * cold +
    WEIGHS.missed * (outcome.loses.length - outcome.wins.length) +
    WEIGHS.alcohol * Math.max(outcome.alcoholPercentVol - alcoholOf(before), 0) +
    (outcome.isSmooth ? 0 : WEIGHS.notSmooth)
  );
}

/** A pan with its gates read, all of it. */
function readAll(formula: Pick<Formula, 'gates' | 'moments'>, pan: RescuePan, costPerKg: number) {
  const batch = prepareBatch(pan.components, pan.process);
  const { mixture } = batch;
  const gates = formula.gates.map((gate) => {
    const { temperatureC, history } = momentOf(gate, formula.moments);
    const subject = { mixture, state: stateAt(batch, temperatureC, history), costPerKg };
    return readGate(gate, quantityOf(subject, gate.quantity)).lands;
  });
  const cold = stateAt(batch, COLD.temperatureC, COLD.history);
  return { gates, cold, mixture };
}

/** A pan as it is believed to be: off what is reckoned by the mean of what is believed of its warm flow, or of its set. */
function asBelieved(pan: RescuePan, belief: Belief, about: 'warm' | 'cold'): RescuePan {
  const { process } = pan;
  const off = beliefMean(belief);
  return {
    ...pan,
    process:
      about === 'warm'
        ? { ...process, warmOffset: process.warmOffset + off }
        : { ...process, coldOffset: process.coldOffset + off },
  };
}

/**
 * Several things that could be put in, side by side, by what they do to everything else. Those that cannot mend the pan are left out.
 *
 * @param costPerKg of the pan as it is
 * @param seen how it was seen as it is now
 * @param about whether what is believed is of its warm flow or of its set: the gates are judged by a pan that is off so
 * @returns what changes least besides first
 */
export function compareAdditives(
  formula: Pick<Formula, 'gates' | 'moments'>,
  pan: RescuePan,
  band: Band,
  belief: Belief,
  additives: readonly Additive[],
  costPerKg: number,
  seen?: Seen,
  about: 'warm' | 'cold' = 'warm',
): AdditiveOutcome[] {
  const before = readAll(formula, asBelieved(pan, belief, about), costPerKg);
  return additives
    .flatMap(({ id, perGram, pricePerKg }): AdditiveOutcome[] => {
      const next = nextPortion(pan, perGram, belief, band, seen);
      if (next.kind !== 'add') return [];
      const { grams, inAll } = next;
      const then = panWith(pan, perGram, inAll);
      const massG = panMass(then.components);
      const cost = (panMass(pan.components) * costPerKg + inAll * pricePerKg) / massG;
      const after = readAll(formula, asBelieved(then, belief, about), cost);
      return [
        {
          id,
          grams,
          inAll,
          loses: before.gates.flatMap((lands, g) => (lands && after.gates[g] === false ? [g] : [])),
          wins: before.gates.flatMap((lands, g) => (!lands && after.gates[g] === true ? [g] : [])),
          coldTimes: after.cold.flow.resistancePa / Math.max(before.cold.flow.resistancePa, 1e-9),
          waterActivity: after.cold.waterActivity,
          sweetness: taste(after.mixture).sweetness,
          alcoholPercentVol: alcoholOf(after),
          massG,
          cost: (inAll / 1000) * pricePerKg,
          isSmooth: after.cold.flow.phases.fatCrowding < SMOOTH_MOST,
        },
      ];
    })
    .sort((a, b) => harm(a, before, pan) - harm(b, before, pan));
}
