import { roundArea } from '../yields/surfaces';

/** g a coating of rolled pieces takes, as a share of what it covers, and what is lost of it in the bowl (J). */
export const COATINGS = {
  cocoa: { share: 0.06, lost: 0.35, allergens: [] },
  sugar: { share: 0.08, lost: 0.3, allergens: [] },
  nuts: { share: 0.18, lost: 0.2, allergens: ['nuts'] },
  flakes: { share: 0.15, lost: 0.2, allergens: ['milk', 'soya'] },
  chocolate: { share: 0.3, lost: 0.1, allergens: ['milk', 'soya'] },
} as const;
export type Coating = keyof typeof COATINGS;

/** Order of the bowls: what dusts goes last, so that cocoa does not get into the nuts. */
export const COATING_ORDER: readonly Coating[] = ['chocolate', 'flakes', 'nuts', 'sugar', 'cocoa'];

/** How many pieces of a weight a batch makes, and what their coating takes. */
export function rolledPieces(
  batchG: number,
  eachG: number,
  coating: Coating,
): {
  readonly pieces: number;
  readonly leftG: number;
  readonly coatingG: number;
} {
  const pieces = Math.floor(batchG / eachG + 1e-9);
  const { share, lost } = COATINGS[coating];
  return { pieces, leftG: batchG - pieces * eachG, coatingG: (pieces * eachG * share) / (1 - lost) };
}

/** A frame and how it is cut. Lengths cm, depth mm. */
export interface Frame {
  readonly lengthCm: number;
  readonly widthCm: number;
  readonly depthMm: number;
  readonly cutCm: number;
}

/**
 * What a frame takes and gives: whole cuts alone, trimmings besides.
 *
 * @returns g it holds; cuts, g of each, g of trimmings
 */
export function framedSlab({ lengthCm, widthCm, depthMm, cutCm }: Frame, densityKgM3: number) {
  const gramsPerCm2 = (depthMm / 10) * (densityKgM3 / 1000);
  const holdsG = lengthCm * widthCm * gramsPerCm2;
  const along = Math.floor(lengthCm / cutCm + 1e-9);
  const across = Math.floor(widthCm / cutCm + 1e-9);
  const eachG = cutCm ** 2 * gramsPerCm2;
  return { holdsG, along, across, cuts: along * across, eachG, trimG: holdsG - along * across * eachG };
}

/** A moulded shell: g of filling under a lid of its own. Lengths mm. */
export function shellFill(acrossMm: number, deepMm: number, shellMm: number, capMm: number, densityKgM3: number) {
  const inner = Math.max(acrossMm - 2 * shellMm, 0) / 10;
  const depth = Math.max(deepMm - shellMm - capMm, 0) / 10;
  const volumeMl = roundArea(inner, 0, false) * depth;
  return { volumeMl, grams: (volumeMl * densityKgM3) / 1000, levelMm: capMm };
}

/**
 * Overrun of something whipped, by one cup weighed before and after.
 *
 * @returns share of air added: 1 is twice the volume
 * @example overrun(250, 125) // 1
 */
export function overrun(cupBeforeG: number, cupAfterG: number): number {
  return cupBeforeG / cupAfterG - 1;
}

/** Overrun at which whipped ganache is best stopped, and from which it turns dry (J). */
export const WHIPPED = { best: 0.8, tooFar: 1.2 } as const;
