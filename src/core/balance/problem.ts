import { COMPONENT_COUNT } from '../matter/components';
import type { Formula } from '../predict/formula';
import type { Moment } from '../predict/moments';
import { prepareBatch, stateAt } from '../predict/state';
import { GATE_WEIGHT, momentOf, quantityIn } from './gates';

/** Default reach of a line that names no most: three times what it is, or this share of the batch. */
const REACH_TIMES = 3;
const REACH_SHARE_OF_BATCH = 0.35;
/** Part of the batch added to a line's grams where its change is measured, so that small lines are not frozen. */
export const CHANGE_SHARE_OF_BATCH = 0.02;

/** One edge of a gate as the solver sees it: `sign * (reading - edge)` must be 0 or more. */
export interface Edge {
  /** place in the readings */
  readonly gate: number;
  readonly sign: 1 | -1;
  /** weighted ln of the band's edge, moved inward */
  readonly at: number;
}

/**
 * A balance as numbers: the free lines as scaled changes y = (g - g0) / scale, their bounds, and the gates in weighted logarithms.
 * The objective is the sum of y² over the free lines.
 */
export interface BalanceProblem {
  /** place in the formula's lines of each variable */
  readonly free: readonly number[];
  /** g a unit of y stands for */
  readonly scale: readonly number[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  readonly edges: readonly Edge[];
  /** whether the total must stay; one equality scale · y = 0 */
  readonly keepTotal: boolean;
  /** the weighted logarithm of every gate's quantity at y */
  readings(y: readonly number[]): Float64Array;
  readonly formula: Formula;
}

/** The grams a balance may give a line of a batch, least and most. */
export function reachOf(
  line: { grams: number; minGrams?: number | undefined; maxGrams?: number | undefined },
  batchG: number,
): { least: number; most: number } {
  const least = line.minGrams ?? 0;
  const most = line.maxGrams ?? Math.max(REACH_TIMES * line.grams, REACH_SHARE_OF_BATCH * batchG);
  return { least, most: Math.max(least, most) };
}

/**
 * Sets a formula up for the solver.
 *
 * @param formula with mass above 0
 * @param options `inward` moves every band's edges in by this many weighted ln units (at most a quarter of the band) so that
 * rounding keeps them; `freeTotal` lets the batch grow or shrink
 */
export function balanceProblem(
  formula: Formula,
  options: { inward: number; freeTotal?: boolean | undefined },
): BalanceProblem {
  const batchG = formula.lines.reduce((sum, line) => sum + line.grams, 0);
  const free = formula.lines.flatMap((line, index) => (line.locked ? [] : [index]));
  const start = free.map((index) => (formula.lines[index] as Formula['lines'][number]).grams);
  const scale = start.map((grams) => grams + CHANGE_SHARE_OF_BATCH * batchG);
  const reaches = free.map((index) => reachOf(formula.lines[index] as Formula['lines'][number], batchG));
  const perGram = free.map((index) => (formula.lines[index] as Formula['lines'][number]).perGram);

  const base = new Float64Array(COMPONENT_COUNT);
  for (const { perGram: parts, grams } of formula.lines) {
    for (let i = 0; i < COMPONENT_COUNT; i++) base[i] = (base[i] as number) + grams * (parts[i] as number);
  }

  const visits = new Map<Moment, number[]>();
  formula.gates.forEach((gate, index) => {
    const moment = momentOf(gate, formula.moments);
    visits.set(moment, [...(visits.get(moment) ?? []), index]);
  });

  const edges: Edge[] = [];
  formula.gates.forEach((gate, index) => {
    const weight = GATE_WEIGHT[gate.quantity];
    const low = gate.low ? weight * Math.log(gate.low) : undefined;
    const high = gate.high === undefined ? undefined : weight * Math.log(Math.max(gate.high, 1e-9));
    const inward =
      low !== undefined && high !== undefined ? Math.min(options.inward, (high - low) / 4) : options.inward;
    if (low !== undefined) edges.push({ gate: index, sign: 1, at: low + inward });
    if (high !== undefined) edges.push({ gate: index, sign: -1, at: high - inward });
  });

  const grams = new Float64Array(COMPONENT_COUNT);
  return {
    free,
    scale,
    lower: reaches.map(({ least }, i) => (least - (start[i] as number)) / (scale[i] as number)),
    upper: reaches.map(({ most }, i) => (most - (start[i] as number)) / (scale[i] as number)),
    edges,
    keepTotal: !options.freeTotal,
    formula,
    readings(y) {
      grams.set(base);
      for (let k = 0; k < y.length; k++) {
        const change = (y[k] as number) * (scale[k] as number);
        const parts = perGram[k] as Float64Array;
        for (let i = 0; i < COMPONENT_COUNT; i++) grams[i] = (grams[i] as number) + change * (parts[i] as number);
      }
      for (let i = 0; i < COMPONENT_COUNT; i++) grams[i] = Math.max(grams[i] as number, 0);
      const batch = prepareBatch(grams, formula.process);
      const readings = new Float64Array(formula.gates.length);
      for (const [moment, gates] of visits) {
        const state = stateAt(batch, moment.temperatureC, moment.history);
        for (const index of gates) {
          const { quantity } = formula.gates[index] as Formula['gates'][number];
          readings[index] = GATE_WEIGHT[quantity] * Math.log(Math.max(quantityIn(state, quantity), 1e-9));
        }
      }
      return readings;
    },
  };
}

/** Signed distances to the edges, 0 or more inside, in weighted ln units. */
export function clearances(problem: BalanceProblem, readings: Float64Array): number[] {
  return problem.edges.map(({ gate, sign, at }) => sign * ((readings[gate] as number) - at));
}
