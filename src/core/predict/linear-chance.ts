import { costOfLines, type Formula } from '../formula/formula';
import type { GateQuantity } from '../formula/gate-quantities';
import type { Gate } from '../formula/gates';
import { keysOf } from '../keys-of';
import { addTimes, noComponents, noneNegative } from '../matter/component-vector';
import { normalQuantile } from '../normal';
import { nth } from '../nth';
import { climateAt } from './climate';
import { modelDoubt } from './doubt';
import { inputDoubts } from './input-doubt';
import { type ModelError, offState } from './model-error';
import type { Prediction } from './predict-formula';
import { onScale, quantityOf } from './quantities';
import { prepareBatch, type State, stateIn } from './state';
import { reallyAt, type Thermometer, thermometerSd, USUAL_THERMOMETER } from './thermometer';

/** Part of a standard deviation by which slopes are taken. */
const STEP = 0.2;
/** Points at which the chance is counted. */
const POINTS = 256;
const NO_ERROR: ModelError = { warm: 0, gel: 0, cold: 0, waterActivity: 0, shine: 0 };
const PARTS = keysOf(NO_ERROR);
const PRIMES = [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53];

/** How far a gate's value may be off, on the scale of its quantity. */
export interface GateDoubt {
  readonly value: number;
  readonly sd: number;
}

/** A chance to land, and what it was counted from. */
export interface LinearChance {
  /** that every gate lands, 0-1 */
  readonly chance: number;
  /** by gate, in the formula's order */
  readonly gates: readonly GateDoubt[];
}

/** The van der Corput sequence to a base: points that fill 0-1 evenly. */
function radicalInverse(index: number, base: number): number {
  let [value, part, left] = [0, 1 / base, index];
  while (left > 0) {
    value += (left % base) * part;
    left = Math.floor(left / base);
    part /= base;
  }
  return value;
}

const evenly = new Map<number, readonly Float64Array[]>();

/** Points that fill a normal distribution of so many dimensions evenly (Halton 1960). */
function normalPoints(dimensions: number): readonly Float64Array[] {
  let points = evenly.get(dimensions);
  if (!points) {
    points = Array.from({ length: POINTS }, (_, i) =>
      Float64Array.from({ length: dimensions }, (__, d) =>
        normalQuantile(radicalInverse(i + 1, nth(PRIMES, d % PRIMES.length))),
      ),
    );
    evenly.set(dimensions, points);
  }
  return points;
}

/** Lower triangle whose product with its own transpose is the matrix (Cholesky); what is not independent gets no share of its own. */
function lowerTriangle(matrix: readonly Float64Array[]): Float64Array[] {
  const size = matrix.length;
  const lower = Array.from({ length: size }, () => new Float64Array(size));
  for (let i = 0; i < size; i++) {
    for (let j = 0; j <= i; j++) {
      const [a, b] = [nth(lower, i), nth(lower, j)];
      let left = nth(nth(matrix, i), j);
      for (let k = 0; k < j; k++) left -= nth(a, k) * nth(b, k);
      a[j] = i === j ? Math.sqrt(Math.max(left, 0)) : nth(b, j) > 1e-9 ? left / nth(b, j) : 0;
    }
  }
  return lower;
}

/** One gate's value with each doubt moved by a standard deviation, as differences from where it stands. */
function slopesOf(formula: Formula, prediction: Prediction, thermometer: Thermometer): Float64Array[] {
  const { batch, components } = prediction;
  const doubt = modelDoubt(batch.mixture);
  const cost = costOfLines(formula.lines);
  const places = formula.gates.map((gate) => formula.moments.findIndex(({ name }) => name === gate.moment));
  const read = ({ quantity }: Gate, state: State, { mixture }: typeof batch) =>
    onScale(quantity, quantityOf({ mixture, state, costPerKg: cost / mixture.massG }, quantity));
  const standing = formula.gates.map((gate, g) =>
    read(gate, prediction.moments[nth(places, g)]?.state as State, batch),
  );
  const slopes: number[][] = formula.gates.map(() => []);
  const add = (stateAt: (place: number) => State, of = batch) => {
    const states = new Map<number, State>();
    formula.gates.forEach((gate, g) => {
      const place = nth(places, g);
      const state = states.get(place) ?? stateAt(place);
      states.set(place, state);
      nth(slopes, g).push((read(gate, state, of) - nth(standing, g)) / STEP);
    });
  };

  for (const part of PARTS) {
    add((place) => offState(prediction.moments[place]?.state as State, doubt, { ...NO_ERROR, [part]: STEP }));
  }
  add((place) => {
    const { temperatureC, history } = nth(formula.moments, place);
    const off = STEP * thermometerSd(temperatureC, thermometer);
    return stateIn(batch, climateAt(temperatureC + off, reallyAt(history, off)));
  });
  const climates = formula.moments.map(({ temperatureC, history }) => climateAt(temperatureC, history));
  const grams = noComponents();
  for (const direction of inputDoubts(formula.lines)) {
    grams.set(components);
    const moved = prepareBatch(noneNegative(addTimes(grams, direction, STEP)), formula.process);
    add((place) => stateIn(moved, nth(climates, place)), moved);
  }
  return slopes.map((row) => Float64Array.from(row));
}

/** Edges of a gate on the scale of its quantity. */
function edgesOf({
  quantity,
  low,
  high,
}: {
  quantity: GateQuantity;
  low?: number | undefined;
  high?: number | undefined;
}) {
  return {
    low: low ? onScale(quantity, low) : Number.NEGATIVE_INFINITY,
    high: high === undefined ? Number.POSITIVE_INFINITY : onScale(quantity, high),
  };
}

/**
 * The chance that every gate lands, at once: every doubt moves the gates along straight lines, and the share of even points inside all bands is
 * counted. Within about five parts in a hundred of {@link monteCarlo}, in a fraction of a millisecond.
 *
 * @param formula with gates
 * @param prediction of that formula
 * @param thermometer how far readings may be off
 */
export function linearChance(
  formula: Formula,
  prediction: Prediction,
  thermometer: Thermometer = USUAL_THERMOMETER,
): LinearChance {
  const slopes = slopesOf(formula, prediction, thermometer);
  const covariance = slopes.map((a) =>
    Float64Array.from(slopes, (b) => a.reduce((sum, value, k) => sum + value * nth(b, k), 0)),
  );
  const lower = lowerTriangle(covariance);
  const values = prediction.gates.map(({ quantity, value }) => onScale(quantity, value));
  const edges = prediction.gates.map(edgesOf);
  let inside = 0;
  for (const point of normalPoints(values.length)) {
    let lands = true;
    for (let g = 0; lands && g < values.length; g++) {
      const row = nth(lower, g);
      let at = nth(values, g);
      for (let k = 0; k <= g; k++) at += nth(row, k) * nth(point, k);
      const { low, high } = nth(edges, g);
      lands = at >= low && at <= high;
    }
    if (lands) inside++;
  }
  return {
    chance: inside / POINTS,
    gates: values.map((value, g) => ({ value, sd: Math.sqrt(covariance[g]?.[g] ?? 0) })),
  };
}
