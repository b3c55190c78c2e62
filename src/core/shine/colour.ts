import type { Mixture } from '../matter/mixture';

/** Colour as linear-light or sRGB channels. */
type Channels = readonly [red: number, green: number, blue: number];

/** Absorption of a batch without cocoa: ivory from milk fat and browned milk. Judgement, tuned by eye. */
const IVORY: Channels = [0.006, 0.016, 0.06];
/** Absorption per share of cocoa solids. Judgement, tuned by eye on dark couverture. */
const COCOA: Channels = [52, 175, 340];
/** Scattering without milk, and per share of milk protein, milk fat and crystals. */
const PLAIN_SCATTER = 1;
const MILK_SCATTER = 16;
const FAT_SCATTER = 0.8;

/** Light thrown back by a thick layer. @see Kubelka & Munk 1931 */
function reflectance(absorption: number, scattering: number): number {
  const ratio = absorption / scattering;
  return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
}

/** Encodes linear light for the screen. */
function toSrgb(linear: number): number {
  const encoded = linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055;
  return Math.round(255 * Math.min(Math.max(encoded, 0), 1));
}

/**
 * The colour to draw a batch in, from its cocoa, milk and fat: a white glaze, a milk sauce and a dark ganache look different. Form: thick-layer
 * reflectance (published); coefficients are judgement, tuned by eye; alkalised cocoa and caramel are not told apart.
 *
 * @param mixture the batch, mass above 0
 * @returns CSS hex colour
 * @example chocolateColour(batch.mixture) // '#4a2a1e'
 */
export function chocolateColour(mixture: Mixture): string {
  const share = (grams: number) => grams / mixture.massG;
  const cocoa = share(mixture.cocoaSolidsG);
  const scattering = PLAIN_SCATTER + MILK_SCATTER * share(mixture.proteinG) + FAT_SCATTER * share(mixture.fatG);
  const channel = (index: 0 | 1 | 2) => toSrgb(reflectance(IVORY[index] + COCOA[index] * cocoa, scattering));
  return `#${([0, 1, 2] as const).map((index) => channel(index).toString(16).padStart(2, '0')).join('')}`;
}
