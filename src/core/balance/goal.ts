import type { Formula, FormulaLine } from '../formula/formula';
import type { GateQuantity } from '../formula/gate-quantities';
import type { Gate } from '../formula/gates';
import { atThePour } from '../formula/moment-role';
import { type Doubt, monteCarlo } from '../predict/monte-carlo';
import { predictFormula } from '../predict/predict-formula';
import { type BalanceOptions, balance } from './balance';
import { isPinch } from './problem';
import { type BalanceResult, sizeOfChange } from './result';

/** What a balance is after, beside landing. */
export const BALANCE_GOALS = ['close', 'cheapest', 'leastSugar', 'bestShine', 'mostRobust'] as const;

export type BalanceGoal = (typeof BALANCE_GOALS)[number];

/** Least and most of a row beside what it is, when more than landing is wanted: no new recipe. */
const LEAST_OF_ROW = 0.5;
const MOST_OF_ROW = 2;
const HALVINGS = 5;
/** Best that is hoped for, beside where it lands: a share of the value. */
const HOPE = 0.5;
/** Draws that rank two landings by their chance. */
const DRAWS = 400;
/** Parts of a band's half width by which it is narrowed to land safely, the boldest first. */
const NARROWINGS = [0.9, 0.7, 0.5, 0.3, 0.15];

/** A formula whose rows stay near what they are, a pinch as it is. */
function nearby(formula: Formula): Formula {
  const batchG = formula.lines.reduce((sum, { grams }) => sum + grams, 0);
  const reach = (line: FormulaLine): FormulaLine => ({
    ...line,
    minGrams: line.minGrams ?? LEAST_OF_ROW * line.grams,
    maxGrams: line.maxGrams ?? MOST_OF_ROW * line.grams,
  });
  return { ...formula, lines: formula.lines.map((line) => (isPinch(line, batchG) ? line : reach(line))) };
}

/** A result with the gates and limits that were asked, not those it was steered by; what changed is counted from the formula. */
function asAsked(formula: Formula, grams: readonly number[]): BalanceResult | undefined {
  const next = { ...formula, lines: formula.lines.map((line, i) => ({ ...line, grams: grams[i] ?? line.grams })) };
  const prediction = predictFormula(next);
  if (!prediction?.lands) return undefined;
  const from = formula.lines.map((line) => line.grams);
  return { status: 'lands', grams, formula: next, prediction, change: sizeOfChange(from, grams), inTheWay: [] };
}

/** Pushes one quantity down (or up) as far as the gates let it: a gate on it is tightened by halving. */
function push(formula: Formula, landed: BalanceResult, quantity: GateQuantity, down: boolean): BalanceResult {
  const moment = atThePour(landed.prediction.moments)?.moment;
  if (!moment) return landed;
  const read = (result: BalanceResult) => {
    const probe = predictFormula({ ...result.formula, gates: [{ moment: moment.name, quantity, low: 0, high: 1e9 }] });
    return probe?.gates[0]?.value ?? 0;
  };
  let best = landed;
  let reached = read(landed);
  let hoped = down ? reached * HOPE : quantity === 'shine' ? reached + (100 - reached) * HOPE : reached * (1 + HOPE);
  const near = nearby(landed.formula);
  for (let i = 0; i < HALVINGS; i++) {
    const edge: Gate = { moment: moment.name, quantity, ...(down ? { high: hoped } : { low: hoped }) };
    const next = balance({ ...near, gates: [...formula.gates, edge] }, { explain: false });
    const kept = next.status === 'lands' ? asAsked(formula, next.grams) : undefined;
    if (kept) {
      best = kept;
      reached = read(kept);
      hoped = down ? reached * HOPE : (reached + (quantity === 'shine' ? 100 : reached * (1 + HOPE))) / 2;
    } else {
      hoped = (hoped + reached) / 2;
    }
  }
  return best;
}

/** A gate narrowed from its edges inward, in logarithms; a one-sided one is moved by as much of a factor two. */
function narrowed(gate: Gate, part: number): Gate {
  const { low, high } = gate;
  if (low && high !== undefined) {
    const by = Math.exp((part * Math.log(high / low)) / 2);
    return { ...gate, low: low * by, high: high / by };
  }
  const one = gate.quantity === 'waterActivity' ? 1.02 ** part : gate.quantity === 'shine' ? 1.3 ** part : 2 ** part;
  return { ...gate, low: low ? low * one : low, high: high === undefined ? high : high / one };
}

/** Of several landings the one that lands most often when nothing is known for certain. */
function mostRobust(formula: Formula, landed: BalanceResult): BalanceResult {
  const chance = ({ formula: found }: BalanceResult): Doubt['chance'] =>
    monteCarlo(found, { restedHours: 24, seed: 11, draws: DRAWS }).chance;
  let best = { result: landed, chance: chance(landed) };
  const near = nearby(landed.formula);
  for (const part of NARROWINGS) {
    const gates = formula.gates.map((gate) => narrowed(gate, part));
    const next = balance({ ...near, gates }, { explain: false });
    const kept = asAsked(formula, next.grams);
    if (!kept) continue;
    const odds = chance(kept);
    if (odds > best.chance) best = { result: kept, chance: odds };
  }
  return best.result;
}

/**
 * Brings a formula through its gates with a goal: the least change for the chance to land, or beside landing the lowest cost, the least sugar, the best shine, or the
 * highest chance to land. Beside landing, rows stay between half and twice what they are. When it cannot land, the nearest is given as by
 * {@link balance}.
 *
 * @param formula mass above 0
 * @param goal what is wanted beside landing
 * @param options as of {@link balance}; household measures only for the goal `close`
 */
export function balanceFor(formula: Formula, goal: BalanceGoal, options: BalanceOptions = {}): BalanceResult {
  const landed = balance(formula, { ...options, margin: goal === 'close' });
  if (goal === 'close' || landed.status !== 'lands') return landed;
  switch (goal) {
    case 'cheapest':
      return push(formula, landed, 'costPerKg', true);
    case 'leastSugar':
      return push(formula, landed, 'sugarPercent', true);
    case 'bestShine':
      return push(formula, landed, 'shine', false);
    case 'mostRobust':
      return mostRobust(formula, landed);
  }
}
