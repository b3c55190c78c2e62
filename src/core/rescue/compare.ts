import type { Formula } from '../formula/formula';
import { momentOf, readGate } from '../formula/gates';
import { partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import { isEgg } from '../method/row-kind';
import { type RowRole, roleOfRow } from '../method/row-role';
import { quantityOf } from '../predict/quantities';
import { prepareBatch, stateAt } from '../predict/state';
import { alcoholPercentVol, taste } from '../taste/taste';
import { lnOf, panMass, panWith, type RescuePan } from './addition-curve';
import { type Band, type Belief, beliefMean } from './belief';
import type { PanKind } from './pan-kind';
import { nextPortion, type SeenNow } from './portion';

/** What may be put in. */
export interface Additive {
  readonly id: string;
  /** what 1 g of it is made of */
  readonly perGram: ComponentVector;
  /** a kilogram, in the money of the kitchen */
  readonly pricePerKg: number;
  /** g of it that are in the pan already */
  readonly inPanG?: number;
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

/** What mends each side of a pan, by what it is to a method: the first of them that are in the pan already go before all else. */
const MENDS: Readonly<Record<PanKind, Readonly<Record<'down' | 'up', readonly RowRole[]>>>> = {
  // Water stiffens melted chocolate: only fat thins it.
  plain: { down: ['butter', 'oil'], up: ['chocolate'] },
  ganache: { down: ['liquid'], up: ['chocolate', 'cocoa', 'starch'] },
  waterSauce: { down: ['liquid'], up: ['cocoa', 'chocolate', 'starch'] },
  whipped: { down: ['liquid'], up: ['chocolate'] },
  gelatinGlaze: { down: ['liquid'], up: ['chocolate', 'cocoa'] },
};
/** Water in something from which it seizes plain chocolate, as a share (J). */
const SEIZES_WATER = 0.05;

/** Where something stands among what could go in: what the pan is made of first, by how much of it is in; else behind. */
function place({ perGram, inPanG = 0 }: Additive, { pan, kind, about }: AdditiveQuestion, side: 'down' | 'up'): number {
  if (inPanG <= 0) return Number.POSITIVE_INFINITY;
  const usual = MENDS[kind][side];
  const roles: readonly RowRole[] =
    kind === 'gelatinGlaze' && about === 'cold' && side === 'up' ? ['gelatin', ...usual] : usual;
  const at = roles.indexOf(roleOfRow(perGram));
  // Egg is liquid, and no thinner of a pan.
  return at < 0 || isEgg({ perGram }) ? Number.POSITIVE_INFINITY : at + 1 - inPanG / panMass(pan.components);
}

/** Whether something may go into a kind of pan at all. */
const mayGoIn = ({ perGram }: Additive, kind: PanKind) =>
  !isEgg({ perGram }) && (kind !== 'plain' || partOf(perGram, 'water') < SEIZES_WATER);

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

/** A pan as it is believed to be: off what is calculated by the mean of what is believed of its warm flow, or of its set. */
export function asBelieved(pan: RescuePan, belief: Belief, about: 'warm' | 'cold'): RescuePan {
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

/** What is compared, and by what. */
export interface AdditiveQuestion {
  readonly pan: RescuePan;
  readonly kind: PanKind;
  readonly band: Band;
  readonly belief: Belief;
  readonly additives: readonly Additive[];
  /** of the pan as it is */
  readonly costPerKg: number;
  /** how it was seen as it is now */
  readonly now?: SeenNow | undefined;
  /** whether what is believed is of its warm flow or of its set: the gates are judged by a pan that is off so */
  readonly about: 'warm' | 'cold';
}

/**
 * Several things that could be put in, side by side, by what they do to everything else. Those that cannot mend the pan are left out.
 *
 * @returns what is in the pan already first, then what changes least besides
 */
export function compareAdditives(
  formula: Pick<Formula, 'gates' | 'moments'>,
  comparison: AdditiveQuestion,
): AdditiveOutcome[] {
  const { pan, kind, band, belief, additives, costPerKg, now, about } = comparison;
  const before = readAll(formula, asBelieved(pan, belief, about), costPerKg);
  const lnNow = lnOf(pan);
  return additives
    .filter((additive) => mayGoIn(additive, kind))
    .flatMap((additive): { readonly outcome: AdditiveOutcome; readonly at: number; readonly harm: number }[] => {
      const { id, perGram, pricePerKg } = additive;
      const next = nextPortion(pan, perGram, belief, band, now);
      if (next.kind !== 'add') return [];
      const { grams, inAll } = next;
      const then = panWith(pan, perGram, inAll);
      const massG = panMass(then.components);
      const cost = (panMass(pan.components) * costPerKg + inAll * pricePerKg) / massG;
      const after = readAll(formula, asBelieved(then, belief, about), cost);
      const outcome: AdditiveOutcome = {
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
      };
      const side = lnOf(then) < lnNow ? 'down' : 'up';
      return [{ outcome, at: place(additive, comparison, side), harm: harm(outcome, before, pan) }];
    })
    .sort((a, b) => (a.at === b.at ? a.harm - b.harm : a.at - b.at))
    .map(({ outcome }) => outcome);
}
