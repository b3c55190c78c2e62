import { type Formula, finishedComponents } from '../formula/formula';
import type { Climate } from '../matter/climate';
import { addTimes, noComponents, noneNegative } from '../matter/component-vector';
import { TENTH_SD } from '../normal';
import { nth } from '../nth';
import { climateAt } from './climate';
import { CURVE_FROM_C, CURVE_TO_C } from './curve';
import { lnDoubtOfResistance, modelDoubt } from './doubt';
import { inputDoubts } from './input-doubt';
import { flowIn, prepareBatch } from './state';
import { type Thermometer, thermometerSd, USUAL_THERMOMETER } from './thermometer';

/** Temperatures at which slopes are taken; between them the doubt runs straight. */
const KNOTS = 17;
/** Part of a standard deviation by which a slope is taken. */
const STEP = 0.2;

/**
 * The band of the curve to first order, at once: eight batches in ten, as {@link monteCarlo} gives it by drawing.
 *
 * Slopes of ln(resistance) along every doubt, the thermometer's among them, are squared and summed with the model's own. Good to about 0.05 in ln away from
 * inversion and seizing.
 *
 * @param formula mass above 0
 * @param restedHours h at each temperature
 * @param thermometer how far readings may be off
 * @returns the factor by which the band reaches up and down, as a function of °C
 */
export function linearDoubt(
  formula: Formula,
  restedHours: number,
  thermometer: Thermometer = USUAL_THERMOMETER,
): (temperatureC: number) => number {
  const base = finishedComponents(formula);
  const batch = prepareBatch(base, formula.process);
  const doubt = modelDoubt(batch.mixture);
  const at = (knot: number) => CURVE_FROM_C + ((CURVE_TO_C - CURVE_FROM_C) * knot) / (KNOTS - 1);
  const climates: Climate[] = Array.from({ length: KNOTS }, (_, k) => climateAt(at(k), [[restedHours, at(k)]]));
  const flows = climates.map((climate) => flowIn(batch, climate));
  const variance = flows.map((flow, k) => {
    const off = STEP * thermometerSd(at(k), thermometer);
    const warmer = flowIn(batch, climateAt(at(k) + off, [[restedHours, at(k) + off]])).resistancePa;
    const byReading = Math.log(warmer / flow.resistancePa) / STEP;
    return lnDoubtOfResistance(flow, doubt) ** 2 + byReading ** 2;
  });

  const grams = noComponents();
  for (const direction of inputDoubts(formula.lines)) {
    grams.set(base);
    const moved = prepareBatch(noneNegative(addTimes(grams, direction, STEP)), formula.process);
    climates.forEach((climate, k) => {
      const slope = Math.log(flowIn(moved, climate).resistancePa / (flows[k]?.resistancePa ?? 1)) / STEP;
      variance[k] = nth(variance, k) + slope * slope;
    });
  }
  const sd = variance.map(Math.sqrt);
  return (temperatureC) => {
    const place = ((temperatureC - CURVE_FROM_C) / (CURVE_TO_C - CURVE_FROM_C)) * (KNOTS - 1);
    const k = Math.min(Math.max(Math.floor(place), 0), KNOTS - 2);
    const between = Math.min(Math.max(place - k, 0), 1);
    return Math.exp(TENTH_SD * (nth(sd, k) * (1 - between) + nth(sd, k + 1) * between));
  };
}
