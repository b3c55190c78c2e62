import type { Formula } from '../formula/formula';
import { atThePour } from '../formula/moment-role';
import { predictFormula } from '../predict/predict-formula';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { timesOf } from './hands';
import { preparationOf } from './preparation';
import type { MethodRows } from './rows';
import type { WayId } from './step';
import { type Utensil, utensilsOf, VESSELS } from './utensils';
import type { TriedMethod } from './ways/in-kitchen';

/** What asks for care in a way that leaves nothing wrong. */
export type WayRisk = 'catches' | 'eggScrambles' | 'hotSpot' | 'boilsOver' | 'waterDrop' | 'air';

/** A way of working beside the others. */
export interface WaySummary {
  readonly way: WayId;
  /** s from the first heat to the pour, and those of them that need hands, with weighing and chopping before */
  readonly seconds: number;
  readonly handsS: number;
  /** pans and bowls that are washed after it */
  readonly vessels: readonly Utensil[];
  readonly faults: readonly MethodFault[];
  readonly risk: WayRisk | undefined;
  /** mm, 20 ml at its pour after 30 s; nothing where nothing can be predicted */
  readonly plateDiameterMm: number | undefined;
  /** 0-100, at the pour */
  readonly shine: number | undefined;
  /** g of water that boil off */
  readonly lostWaterG: number;
}

/** Share of catching that is worth a word; from 0.3 it is a fault (J). */
const CATCHING = 0.1;

/** What asks for care, the worst first. */
function riskOf(followed: readonly FollowedStep[]): WayRisk | undefined {
  const has = (is: (each: FollowedStep) => boolean) => followed.some(is);
  if (has(({ start, end }) => end.catching - start.catching > CATCHING)) return 'catches';
  if (has(({ step }) => step.kind === 'custard')) return 'eggScrambles';
  if (has(({ bursts }) => bursts !== undefined && bursts.length > 0)) return 'hotSpot';
  if (has(({ step }) => step.end.kind === 'boil')) return 'boilsOver';
  if (has(({ step }) => step.heat === 'bath')) return 'waterDrop';
  return has(({ step }) => step.kind === 'blend') ? 'air' : undefined;
}

/** What a method does to a batch, as a formula keeps it: cooked starch and emulsion to a hundredth, g of water to one gram. */
export interface MethodEffect {
  readonly cook: number;
  readonly mix: number;
  readonly evaporationG: number;
}

const hundredth = (value: number) => Math.round(100 * value) / 100;

/** What a method that was followed does to its batch; nothing where it has no steps. */
export function effectOf(followed: readonly FollowedStep[]): MethodEffect | undefined {
  const end = followed.at(-1)?.end;
  return end && { cook: hundredth(end.cook), mix: hundredth(end.mix), evaporationG: Math.round(end.lostWaterG) };
}

/** A formula as a method makes it. */
function madeBy(formula: Formula, followed: readonly FollowedStep[]): Formula {
  const effect = effectOf(followed);
  if (!effect) return formula;
  const { cook, mix, evaporationG } = effect;
  return { ...formula, process: { ...formula.process, cook, mix }, evaporationG };
}

/**
 * Sums up a way for a formula: what it takes, what it leaves wrong or asks care for, and what it makes of flow and shine.
 *
 * @param formula the same rows as a prediction needs them
 */
export function summariseWay(
  formula: Formula,
  rows: MethodRows,
  { method, followed, faults }: TriedMethod,
): WaySummary {
  const preparation = preparationOf(rows, followed);
  const times = timesOf(followed);
  const prediction = predictFormula(madeBy(formula, followed));
  const atPour = prediction && atThePour(prediction.moments);
  return {
    way: method.way,
    seconds: times.seconds,
    handsS: times.handsS + preparation.weighS + preparation.knifeS,
    vessels: utensilsOf(followed, false).filter((each) => VESSELS.has(each)),
    faults,
    risk: riskOf(followed),
    plateDiameterMm: atPour?.plateDiameterMm,
    shine: atPour?.state.shine,
    lostWaterG: followed.at(-1)?.end.lostWaterG ?? 0,
  };
}
