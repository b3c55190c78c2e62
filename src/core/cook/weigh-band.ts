import { type Formula, finishedMass } from '../formula/formula';
import type { GateReading } from '../formula/gates';
import { atThePour, onceSet } from '../formula/moment-role';
import { keepingBand } from '../keep/shelf';
import { keysOf } from '../keys-of';
import { linearChance } from '../predict/linear-chance';
import { type Prediction, predictFormula } from '../predict/predict-formula';
import type { Risks } from '../stability/risks';

/** What is noticed first beyond an edge of a band, in the order it is asked; `reach` where nothing is: the band is not shown wider. */
export type BandReason = 'chance' | 'flow' | 'set' | 'sweetness' | 'yield' | 'keeping' | 'risk' | 'reach';

/** One edge of the band within which it does not matter how much of a row goes in. */
export interface BandEdge {
  readonly grams: number;
  readonly reason: BandReason;
  /** the gate that is missed beyond it, where one is */
  readonly gate?: GateReading | undefined;
  /** the risk that comes beyond it, where one does */
  readonly risk?: keyof Risks | undefined;
}

/** How much of a row may go in without anybody noticing. */
export interface WeighBand {
  readonly low: BandEdge;
  readonly high: BandEdge;
}

/** As far as a band is shown either way, times the grams of the row. */
const REACH = 0.25;
const HALVINGS = 10;
/** What nobody notices (published as this project's definition): chance to land, ln of the flow at the pour and of the set, shares of sweetness and yield. */
const UNNOTICED = { chance: 0.05, flowLn: Math.log(1.15), setLn: Math.log(1.25), sweetness: 0.08, yield: 0.03 };
/** A risk above this is one a cook would notice (J). */
const RISKY = 0.3;

/** What is looked at of a batch. */
interface Looked {
  readonly prediction: Prediction;
  readonly chance: number;
}

function look(formula: Formula): Looked | undefined {
  const prediction = predictFormula(formula);
  return prediction && { prediction, chance: linearChance(formula, prediction).chance };
}

/** ln of how far a resistance has moved; 0 where it is missing on either side. */
function movedLn(before: number | undefined, after: number | undefined): number {
  return before && after ? Math.abs(Math.log(after / before)) : 0;
}

const flowOf = ({ prediction }: Looked) => atThePour(prediction.moments)?.state.flow.resistancePa;
const setOf = ({ prediction }: Looked) => onceSet(prediction.moments)?.state.flow.yieldStressPa;

/** A risk that is high now and was not before, at any moment. */
function newRisk(before: Looked, after: Looked): keyof Risks | undefined {
  for (const [m, { state }] of after.prediction.moments.entries()) {
    const were = before.prediction.moments[m]?.state.risks;
    const found = keysOf(state.risks).find((risk) => state.risks[risk] > RISKY && (were?.[risk] ?? 0) <= RISKY);
    if (found) return found;
  }
  return undefined;
}

/** What is noticed of a batch that was meant to be another; nothing where nobody would. */
function noticed(
  before: Looked,
  after: Looked,
  yields: readonly [before: number, after: number],
): Pick<BandEdge, 'reason' | 'gate' | 'risk'> | undefined {
  const missed = after.prediction.gates.find((gate, g) => before.prediction.gates[g]?.lands && !gate.lands);
  if (after.chance < before.chance - UNNOTICED.chance) return { reason: 'chance', gate: missed };
  if (movedLn(flowOf(before), flowOf(after)) > UNNOTICED.flowLn) return { reason: 'flow', gate: missed };
  if (movedLn(setOf(before), setOf(after)) > UNNOTICED.setLn) return { reason: 'set', gate: missed };
  const [was, is] = [before.prediction.taste.sweetness, after.prediction.taste.sweetness];
  if (Math.abs(is - was) > UNNOTICED.sweetness * was) return { reason: 'sweetness' };
  if (Math.abs(yields[1] - yields[0]) > UNNOTICED.yield * yields[0]) return { reason: 'yield' };
  const keeps = ({ prediction }: Looked) => keepingBand(prediction.asKept.waterActivity);
  if (keeps(after) !== keeps(before)) return { reason: 'keeping' };
  const risk = newRisk(before, after);
  return risk ? { reason: 'risk', risk } : undefined;
}

/**
 * The band within which the weight of a row does not matter, the others as they are: the chance to land falls by no more than 5 points, and nothing
 * is noticed: flow at the pour within x/÷ 1.15, set within x/÷ 1.25, sweetness within 8 %, yield within 3 %, the same band of keeping, no new risk
 * above 0.3. The planned weight stays the aim.
 *
 * @param formula mass above 0, rows that are in as they were weighed
 * @param row with grams above 0
 * @returns at most a quarter either way
 */
export function weighBand(formula: Formula, row: number): WeighBand {
  const planned = formula.lines[row]?.grams ?? 0;
  const before = look(formula);
  const wholeG = finishedMass(formula);
  const noticedAt = (grams: number) => {
    const other = { ...formula, lines: formula.lines.map((line, i) => (i === row ? { ...line, grams } : line)) };
    const after = look(other);
    return before && after && noticed(before, after, [wholeG, finishedMass(other)]);
  };
  const towards = (end: number): BandEdge => {
    let found = noticedAt(end);
    if (!found) return { grams: end, reason: 'reach' };
    let [inside, outside] = [planned, end];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (inside + outside) / 2;
      const now = noticedAt(middle);
      if (now) [outside, found] = [middle, now];
      else inside = middle;
    }
    return { grams: inside, ...found };
  };
  return { low: towards(planned * (1 - REACH)), high: towards(planned * (1 + REACH)) };
}

/**
 * The band of the part of a row that goes in at one time.
 *
 * @param elsewhere g of the row that go in at other times, 0 or more
 */
export function bandOfPart({ low, high }: WeighBand, elsewhere: number): WeighBand {
  const part = (edge: BandEdge) => ({ ...edge, grams: Math.max(edge.grams - elsewhere, 0) });
  return { low: part(low), high: part(high) };
}
