import { costOfLines, type Formula, finishedComponents } from '../formula/formula';
import type { GateQuantity } from '../formula/gate-quantities';
import { readGate } from '../formula/gates';
import { recordOf } from '../keys-of';
import type { Climate } from '../matter/climate';
import { addTimes, noComponents, noneNegative } from '../matter/component-vector';
import type { ThermalHistory } from '../matter/process';
import { normalQuantile } from '../normal';
import { nth } from '../nth';
import { normalNumbers, seededNumbers } from '../random';
import { climateAt } from './climate';
import { curveClimates } from './curve';
import { modelDoubt } from './doubt';
import { inputDoubts } from './input-doubt';
import { offFlow, offState } from './model-error';
import { quantityOf } from './quantities';
import { flowIn, prepareBatch, stateIn } from './state';
import { reallyAt, type Thermometer, thermometerSd, USUAL_THERMOMETER } from './thermometer';

/** Where eight batches in ten fall. */
export interface DoubtBand {
  readonly low: number;
  readonly high: number;
}

/** Quantities whose band is given at every moment, gated or not. */
export const MOMENT_QUANTITIES = [
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
  'shine',
  'waterActivity',
] as const satisfies readonly GateQuantity[];

export type MomentQuantity = (typeof MOMENT_QUANTITIES)[number];

/** What is not known of a formula, by many draws. */
export interface Doubt {
  /** how many draws stand behind it */
  readonly draws: number;
  readonly curve: {
    readonly temperatureC: Float64Array;
    readonly lowPa: Float64Array;
    readonly highPa: Float64Array;
  };
  /** by moment, in the formula's order */
  readonly moments: readonly Readonly<Record<MomentQuantity, DoubtBand>>[];
  /** by gate, in the formula's order */
  readonly gates: readonly (DoubtBand & { readonly chance: number })[];
  /** that every gate lands, 0-1 */
  readonly chance: number;
}

export interface DoubtOptions {
  /** h the curve has rested at each temperature */
  readonly restedHours: number;
  readonly seed: number;
  readonly draws: number;
  /** how far readings may be off; a cook's usual probe when left out */
  readonly thermometer?: Thermometer | undefined;
}

/** Draws between two yields. */
const BREATH = 256;
/** The band of the curve is drawn at every so many of its temperatures; between them it runs straight in logarithms. */
const EVERY = 2;
const LOW = 0.1;
const HIGH = 0.9;
/** Readings of the thermometer that are drawn: equally likely errors, worked out ahead. */
const READINGS = 16;
const READING_ERRORS = (() => {
  const middles = Array.from({ length: READINGS }, (_, k) => normalQuantile((k + 0.5) / READINGS));
  const spread = Math.sqrt(middles.reduce((sum, z) => sum + z * z, 0) / READINGS);
  return middles.map((z) => z / spread);
})();

/** The band of samples: their first and last tenth left out. Sorts them. */
function bandOf(samples: Float64Array): DoubtBand {
  samples.sort();
  const at = (share: number) => nth(samples, Math.round(share * (samples.length - 1)));
  return { low: at(LOW), high: at(HIGH) };
}

/** Values known at some places of a list, filled in between them in logarithms. */
function between(
  places: readonly { readonly i: number }[],
  valueAt: (k: number) => number,
  length: number,
): Float64Array {
  const filled = new Float64Array(length);
  places.forEach(({ i }, k) => {
    filled[i] = valueAt(k);
    const before = places[k - 1]?.i ?? i;
    for (let j = before + 1; j < i; j++) {
      const share = (j - before) / (i - before);
      filled[j] = Math.exp((1 - share) * Math.log(valueAt(k - 1)) + share * Math.log(valueAt(k)));
    }
  });
  return filled;
}

/** What a temperature that was read may really be: one climate for each of the thermometer's errors. */
function asRead(
  { temperatureC, history }: { readonly temperatureC: number; readonly history: ThermalHistory },
  thermometer: Thermometer,
): readonly Climate[] {
  const sd = thermometerSd(temperatureC, thermometer);
  return READING_ERRORS.map((z) => climateAt(temperatureC + sd * z, reallyAt(history, sd * z)));
}

/** The band at every temperature of the curve, from those that were drawn. */
function curveBand(
  climates: readonly Climate[],
  drawn: readonly { readonly i: number }[],
  samples: readonly Float64Array[],
): Doubt['curve'] {
  const bands = samples.map(bandOf);
  return {
    temperatureC: Float64Array.from(climates, ({ temperatureC }) => temperatureC),
    lowPa: between(drawn, (k) => bands[k]?.low ?? 0, climates.length),
    highPa: between(drawn, (k) => bands[k]?.high ?? 0, climates.length),
  };
}

/** Grams of each component as they may really be in the pan, into `grams`. */
function drawComponents(
  grams: Float64Array,
  base: Float64Array,
  directions: readonly Float64Array[],
  normal: () => number,
): Float64Array {
  grams.set(base);
  for (const direction of directions) addTimes(grams, direction, normal());
  return noneNegative(grams);
}

/**
 * Draws formulas as they may really be in the pan, predicts each, and gives the bands and the chance to land.
 *
 * What is drawn: amounts by scale or measure and compositions ({@link inputDoubts}), how far the thermometer is off, and the model's own error
 * for warm flow, gels, fat set, water activity and shine.
 *
 * A generator, so that a worker can tell how far it is and leave off: it yields the share done every few hundred draws.
 *
 * @param formula mass above 0
 * @param options `draws` 100 or more; the same seed gives the same answer
 */
export function* drawDoubt(formula: Formula, options: DoubtOptions): Generator<number, Doubt> {
  const { draws, seed, restedHours, thermometer = USUAL_THERMOMETER } = options;
  const normal = normalNumbers(seededNumbers(seed));
  const base = finishedComponents(formula);
  const directions = inputDoubts(formula.lines);
  const climates = curveClimates(restedHours);
  const drawn = climates.flatMap((climate, i) =>
    i % EVERY === 0 || i === climates.length - 1 ? [{ readings: asRead(climate, thermometer), i }] : [],
  );
  const momentReadings = formula.moments.map((moment) => asRead(moment, thermometer));
  const cost = costOfLines(formula.lines);
  const subjectOf = formula.gates.map((gate) => formula.moments.findIndex(({ name }) => name === gate.moment));

  const samples = () => new Float64Array(draws);
  const curve = drawn.map(samples);
  const moments = formula.moments.map(() => MOMENT_QUANTITIES.map(samples));
  const gates = formula.gates.map(samples);
  const landings = new Array<number>(formula.gates.length).fill(0);
  let allLand = 0;

  const grams = noComponents();
  for (let draw = 0; draw < draws; draw++) {
    const batch = prepareBatch(drawComponents(grams, base, directions, normal), formula.process);
    const doubt = modelDoubt(batch.mixture);
    const error = { warm: normal(), gel: normal(), cold: normal(), waterActivity: normal(), shine: normal() };
    const reading = draw % READINGS;
    drawn.forEach(({ readings }, k) => {
      nth(curve, k)[draw] = offFlow(flowIn(batch, nth(readings, reading)), doubt, error).resistancePa;
    });
    const subjects = momentReadings.map((readings) => ({
      mixture: batch.mixture,
      state: offState(stateIn(batch, nth(readings, reading)), doubt, error),
      costPerKg: cost / batch.mixture.massG,
    }));
    subjects.forEach((subject, m) => {
      MOMENT_QUANTITIES.forEach((quantity, q) => {
        nth(nth(moments, m), q)[draw] = quantityOf(subject, quantity);
      });
    });
    let lands = true;
    formula.gates.forEach((gate, g) => {
      const subject = subjects[nth(subjectOf, g)];
      const value = subject ? quantityOf(subject, gate.quantity) : Number.NaN;
      nth(gates, g)[draw] = value;
      if (readGate(gate, value).lands) landings[g] = nth(landings, g) + 1;
      else lands = false;
    });
    if (lands) allLand++;
    if (draw % BREATH === BREATH - 1) yield draw / draws;
  }

  return {
    draws,
    curve: curveBand(climates, drawn, curve),
    moments: moments.map((byQuantity) => recordOf(MOMENT_QUANTITIES, (_, q) => bandOf(nth(byQuantity, q)))),
    gates: gates.map((values, g) => ({ ...bandOf(values), chance: nth(landings, g) / draws })),
    chance: allLand / draws,
  };
}

/** {@link drawDoubt} to its end at once. */
export function monteCarlo(formula: Formula, options: DoubtOptions): Doubt {
  const drawing = drawDoubt(formula, options);
  for (;;) {
    const step = drawing.next();
    if (step.done) return step.value;
  }
}
