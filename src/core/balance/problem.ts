import { costOfLines, type Formula, type FormulaLine } from '../formula/formula';
import { momentOf } from '../formula/gates';
import type { Moment } from '../formula/moments';
import { addTimes, noComponents, noneNegative } from '../matter/component-vector';
import { boilOff, mix } from '../matter/mixing';
import { usualHistory } from '../matter/process';
import { type RowRole, roleOfRow } from '../method/row-role';
import { nth } from '../nth';
import { onScale, quantityOf } from '../predict/quantities';
import { flowAt, prepareBatch, stateAt } from '../predict/state';

/** Default reach of a line that names no most: three times what it is, or this share of the batch. */
const REACH_TIMES = 3;
const REACH_SHARE_OF_BATCH = 0.35;
/** Part of the batch added to a line's grams where its change is measured, so that small lines are not frozen. */
export const CHANGE_SHARE_OF_BATCH = 0.02;

/** °C at which a formula's standing is read. */
const WARM_C = 40;

/** One edge of a gate as the solver sees it: `sign * (reading - edge)` must be 0 or more. */
export interface Edge {
  /** place in the readings */
  readonly gate: number;
  readonly sign: 1 | -1;
  /** the band's edge on the scale of its quantity, moved inward */
  readonly at: number;
}

/**
 * A balance as numbers: the free lines as scaled changes y = (g - g0) / scale, their bounds, and the gates on the scales of their quantities.
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
  /** what must hold exactly, row · y = equals: the total kept, rows that keep their proportion */
  readonly equalities: readonly { readonly row: readonly number[]; readonly equals: number }[];
  /** every gate's quantity at y, on its scale and weighted */
  readings(y: readonly number[]): Float64Array;
  /** how the formula stands warm, before anything moves */
  standing(): { readonly waterContinuous: number; readonly seizing: number };
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

/** Share of a batch below which salt, spice, colour and extract are a pinch, and roles such a row has (J). */
const PINCH = 0.01;
const PINCHED: ReadonlySet<RowRole> = new Set(['flavour', 'spirit']);

/** Whether a row is there for its taste alone, a pinch of it: no balance moves it unless the cook has set how far it may go. */
export function isPinch({ grams, perGram, minGrams, maxGrams }: FormulaLine, batchG: number): boolean {
  const isAsked = minGrams !== undefined || maxGrams !== undefined;
  return !isAsked && grams > 0 && grams < PINCH * batchG && PINCHED.has(roleOfRow(perGram));
}

/** Lines a balance may move: not locked, not tied to a locked one, no pinch. */
function freeLines(formula: Formula, batchG: number): number[] {
  const held = new Set(formula.lines.flatMap(({ locked, tie }) => (locked && tie ? [tie] : [])));
  return formula.lines.flatMap((line, index) => {
    const { locked, tie } = line;
    return locked || (tie && held.has(tie)) || (!tie && isPinch(line, batchG)) ? [] : [index];
  });
}

/** Rows that keep the proportion of tied lines: g / g0 is the same for all of one tie. Lines of 0 g cannot be tied. */
function tieRows(formula: Formula, free: readonly number[], scale: readonly number[]) {
  const first = new Map<string, number>();
  return free.flatMap((index, k) => {
    const { tie, grams } = nth(formula.lines, index);
    if (!tie || grams <= 0) return [];
    const leader = first.get(tie);
    if (leader === undefined) {
      first.set(tie, k);
      return [];
    }
    const row = new Array<number>(free.length).fill(0);
    row[k] = nth(scale, k) / grams;
    row[leader] = -nth(scale, leader) / (formula.lines[nth(free, leader)]?.grams ?? 1);
    return [{ row, equals: 0 }];
  });
}

interface ProblemOptions {
  inward: number | readonly number[];
  mostOfBand?: number | undefined;
  freeTotal?: boolean | undefined;
}

/** The edges of all gates, in weighted ln units, moved inward as asked. */
function edgesOf(formula: Formula, options: ProblemOptions): Edge[] {
  const edges: Edge[] = [];
  formula.gates.forEach((gate, index) => {
    const at = (edge: number) => (gate.weight ?? 1) * onScale(gate.quantity, edge);
    const low = gate.low ? at(gate.low) : undefined;
    const high = gate.high === undefined ? undefined : at(gate.high);
    const wanted = typeof options.inward === 'number' ? options.inward : (options.inward[index] ?? 0);
    const most = low !== undefined && high !== undefined ? (high - low) * (options.mostOfBand ?? 0.25) : wanted;
    const inward = Math.min(wanted, most);
    if (low !== undefined) edges.push({ gate: index, sign: 1, at: low + inward });
    if (high !== undefined) edges.push({ gate: index, sign: -1, at: high - inward });
  });
  return edges;
}

/**
 * Sets a formula up for the solver.
 *
 * @param formula with mass above 0
 * @param options `inward` moves every band's edges in by this many weighted ln units, all alike or gate by gate, so that rounding keeps them
 * or a margin is left (at most `mostOfBand` of a band from either edge, a quarter when left out); `freeTotal` lets the batch grow or shrink
 */
export function balanceProblem(formula: Formula, options: ProblemOptions): BalanceProblem {
  const batchG = formula.lines.reduce((sum, line) => sum + line.grams, 0);
  const free = freeLines(formula, batchG);
  const start = free.map((index) => nth(formula.lines, index).grams);
  const scale = start.map((grams) => grams + CHANGE_SHARE_OF_BATCH * batchG);
  const reaches = free.map((index) => reachOf(nth(formula.lines, index), batchG));
  const perGram = free.map((index) => nth(formula.lines, index).perGram);

  const base = mix(formula.lines);

  const visits = new Map<Moment, number[]>();
  formula.gates.forEach((gate, index) => {
    const moment = momentOf(gate, formula.moments);
    visits.set(moment, [...(visits.get(moment) ?? []), index]);
  });

  const tied = tieRows(formula, free, scale);
  const prices = formula.lines.map((line) => line.pricePerKg ?? 0);
  const baseCost = costOfLines(formula.lines);
  const grams = noComponents();
  return {
    free,
    scale,
    lower: reaches.map(({ least }, i) => (least - nth(start, i)) / nth(scale, i)),
    upper: reaches.map(({ most }, i) => (most - nth(start, i)) / nth(scale, i)),
    edges: edgesOf(formula, options),
    equalities: options.freeTotal ? tied : [{ row: scale, equals: 0 }, ...tied],
    formula,
    standing() {
      const batch = prepareBatch(boilOff(base.slice(), formula.evaporationG ?? 0), formula.process);
      const { phases, seizing } = flowAt(batch, WARM_C, usualHistory(WARM_C));
      return { waterContinuous: phases.waterContinuous, seizing };
    },
    readings(y) {
      grams.set(base);
      let cost = baseCost;
      for (let k = 0; k < y.length; k++) {
        const change = nth(y, k) * nth(scale, k);
        cost += change * nth(prices, nth(free, k));
        addTimes(grams, nth(perGram, k), change);
      }
      boilOff(noneNegative(grams), formula.evaporationG ?? 0);
      const batch = prepareBatch(grams, formula.process);
      const readings = new Float64Array(formula.gates.length);
      for (const [moment, gates] of visits) {
        const state = stateAt(batch, moment.temperatureC, moment.history);
        const subject = { mixture: batch.mixture, state, costPerKg: cost / Math.max(batch.mixture.massG, 1e-9) };
        for (const index of gates) {
          const { quantity, weight = 1 } = nth(formula.gates, index);
          readings[index] = weight * onScale(quantity, quantityOf(subject, quantity));
        }
      }
      return readings;
    },
  };
}

/** Signed distances to the edges, 0 or more inside, in weighted ln units. */
export function clearances(problem: BalanceProblem, readings: Float64Array): number[] {
  return problem.edges.map(({ gate, sign, at }) => sign * (nth(readings, gate) - at));
}
