import { CURVE_FROM_C, CURVE_TO_C } from '@/core/predict/curve';

/** Where things stand on the resistance chart: temperatures along, the logarithm of resistance up. */
export const HEIGHT = 372;
export const LOWEST = -1.8;
export const HIGHEST = 5.5;
/** Room for the landmarks on the left and the temperatures below, px: the padding of the frame. */
export const LEFT = 96;
export const BOTTOM = 28;
export const TOP = 14;

/** Where the curve's drawing sits inside the card, px; measured from the chart once it is drawn. */
export interface Plot {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Height of a resistance on the chart's axis, kept inside it. */
export const level = (pa: number) => Math.min(Math.max(Math.log10(Math.max(pa, 1e-6)), LOWEST), HIGHEST);

export const xOf = (temperatureC: number, p: Plot) =>
  LEFT + p.left + (p.width * (CURVE_FROM_C - temperatureC)) / (CURVE_FROM_C - CURVE_TO_C);
export const yOf = (pa: number, p: Plot) => TOP + p.top + (p.height * (HIGHEST - level(pa))) / (HIGHEST - LOWEST);
/** {@link xOf} and {@link yOf} read backwards. */
export const temperatureAt = (x: number, p: Plot) =>
  CURVE_FROM_C - ((x - LEFT - p.left) / p.width) * (CURVE_FROM_C - CURVE_TO_C);
export const resistanceAtHeight = (y: number, p: Plot) =>
  10 ** (HIGHEST - ((y - TOP - p.top) / p.height) * (HIGHEST - LOWEST));
