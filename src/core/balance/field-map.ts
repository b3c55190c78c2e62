import type { Formula } from '../formula/formula';
import { addTimes, noComponents } from '../matter/component-vector';
import { boilOff } from '../matter/mixing';
import { nth } from '../nth';
import { climateAt } from '../predict/climate';
import { onScale, quantityOf } from '../predict/quantities';
import { prepareBatch, stateIn } from '../predict/state';

/** One side of the field: the grams of a row, or the ratio of two rows whose sum stays. */
export type MapAxis =
  | { readonly kind: 'grams'; readonly line: number }
  | { readonly kind: 'ratio'; readonly over: number; readonly under: number };

/** A field spanned by two axes around a formula, worked out on a grid. */
export interface FieldMap {
  readonly columns: number;
  readonly rows: number;
  /** values of the axes at the columns and rows, rising */
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  /** row by row: how far inside all gates, on the scale of the worst of them; 0 or more lands */
  readonly inside: Float64Array;
  /** by gate: how far inside its lower edge and its upper edge */
  readonly gates: readonly { readonly low: Float64Array | undefined; readonly high: Float64Array | undefined }[];
  /** row by row: the highest of the risks of splitting, seizing and graininess over the moments, 0-1 */
  readonly risk: Float64Array;
}

/** Reach of an axis beside where the formula stands. */
const LEAST_TIMES = 0.4;
const MOST_TIMES = 2;
/** An empty row reaches to this share of the batch. */
const EMPTY_REACH = 0.15;

/** Value of an axis where the formula stands. */
export function axisValue(formula: Formula, axis: MapAxis): number {
  const grams = (line: number) => formula.lines[line]?.grams ?? 0;
  return axis.kind === 'grams' ? grams(axis.line) : grams(axis.over) / Math.max(grams(axis.under), 1e-9);
}

/** From where to where an axis runs. */
export function axisReach(formula: Formula, axis: MapAxis): readonly [number, number] {
  const value = axisValue(formula, axis);
  const batchG = formula.lines.reduce((sum, line) => sum + line.grams, 0);
  if (axis.kind === 'ratio') return [value / 3, value * 3];
  return value > 0 ? [LEAST_TIMES * value, MOST_TIMES * value] : [0, EMPTY_REACH * batchG];
}

/** Grams of every line with an axis at a value. The rest stays; the total moves. */
export function atAxis(grams: readonly number[], axis: MapAxis, value: number): number[] {
  if (axis.kind === 'grams') return grams.map((g, i) => (i === axis.line ? value : g));
  const sum = (grams[axis.over] ?? 0) + (grams[axis.under] ?? 0);
  return grams.map((g, i) =>
    i === axis.over ? (sum * value) / (1 + value) : i === axis.under ? sum / (1 + value) : g,
  );
}

const spaced = ([from, to]: readonly [number, number], count: number) =>
  Float64Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1));

/**
 * Works a field out over a grid: where every gate holds, how far from each edge, where it is risky.
 *
 * A generator, so that a worker can tell how far it is and leave off: it yields the share done after every row.
 *
 * @param formula mass above 0
 * @param axes x and y, of different lines
 * @param size columns and rows of the grid, 2 or more each
 */
export function* mapField(
  formula: Formula,
  axes: readonly [MapAxis, MapAxis],
  size: { readonly columns: number; readonly rows: number },
): Generator<number, FieldMap> {
  const { columns, rows } = size;
  const [xs, ys] = [spaced(axisReach(formula, axes[0]), columns), spaced(axisReach(formula, axes[1]), rows)];
  const start = formula.lines.map((line) => line.grams);
  const climates = formula.moments.map(({ temperatureC, history }) => climateAt(temperatureC, history));
  const momentOf = formula.gates.map((gate) => formula.moments.findIndex(({ name }) => name === gate.moment));
  const cells = () => new Float64Array(columns * rows);
  const inside = cells();
  const risk = cells();
  const gates = formula.gates.map(({ low, high }) => ({
    low: low ? cells() : undefined,
    high: high === undefined ? undefined : cells(),
  }));
  const components = noComponents();
  for (let row = 0; row < rows; row++) {
    const withY = atAxis(start, axes[1], nth(ys, row));
    for (let column = 0; column < columns; column++) {
      const grams = atAxis(withY, axes[0], nth(xs, column));
      const cell = row * columns + column;
      components.fill(0);
      let massG = 0;
      let cost = 0;
      formula.lines.forEach(({ perGram, pricePerKg = 0 }, i) => {
        const g = nth(grams, i);
        massG += g;
        cost += g * pricePerKg;
        addTimes(components, perGram, g);
      });
      if (massG <= 0) {
        inside[cell] = -1;
        continue;
      }
      const batch = prepareBatch(boilOff(components, formula.evaporationG ?? 0), formula.process);
      const states = climates.map((climate) => stateIn(batch, climate));
      for (const { risks } of states) {
        risk[cell] = Math.max(nth(risk, cell), risks.broken, risks.seized, risks.grainy);
      }
      let worst = Number.POSITIVE_INFINITY;
      formula.gates.forEach(({ quantity, low, high }, g) => {
        const state = states[nth(momentOf, g)];
        if (!state) return;
        const value = onScale(
          quantity,
          quantityOf({ mixture: batch.mixture, state, costPerKg: cost / batch.mixture.massG }, quantity),
        );
        const edges = gates[g];
        if (low && edges?.low) {
          edges.low[cell] = value - onScale(quantity, low);
          worst = Math.min(worst, nth(edges.low, cell));
        }
        if (high !== undefined && edges?.high) {
          edges.high[cell] = onScale(quantity, high) - value;
          worst = Math.min(worst, nth(edges.high, cell));
        }
      });
      inside[cell] = worst;
    }
    yield (row + 1) / rows;
  }
  return { columns, rows, xs, ys, inside, gates, risk };
}
