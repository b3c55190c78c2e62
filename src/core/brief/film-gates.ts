import { GRAVITY } from '../gravity';

/**
 * How a use leaves its film: the side it runs down, the time until it stops, and what part of the coat wanted the yield stress and the draining
 * may each make up, least and most.
 *
 * The parts are read backwards from the bands of the uses at their usual coat, so that those bands come out again there; at another coat or
 * side they move as the film's own physics says.
 */
export interface FilmUse {
  /** m */
  readonly sideM: number;
  /** s */
  readonly stopsS: number;
  /** part of the weight that pulls along the side, above 0 to 1: the sine of its slope; 1 when left out, an upright side */
  readonly pull?: number;
  readonly held: readonly [number, number];
  readonly drained: readonly [number, number];
}

/** By use; the bands behind them are judgement. */
export const FILM_USES = {
  coat: { sideM: 0.02, stopsS: 8, held: [0.177, 1.108], drained: [0.2883, 0.6228] },
  glaze: { sideM: 0.05, stopsS: 3, held: [0, 0.4255], drained: [0.4862, 1.0314] },
  nap: { sideM: 0.05, stopsS: 5, held: [0, 1.3296], drained: [0.5157, 1.3315] },
  // A wafer dipped, but eaten as it comes out: it drains for no longer than it takes to the mouth.
  fondue: { sideM: 0.04, stopsS: 6, held: [0.1, 1.3035], drained: [0.3, 1.0111] },
  dip: { sideM: 0.04, stopsS: 6, held: [0.1564, 1.3035], drained: [0.4522, 1.0111] },
} as const satisfies Record<string, FilmUse>;

/** A band of yield stress and one of apparent viscosity. */
export interface FilmBands {
  /** Pa; a low of 0 is no lower edge */
  readonly yieldStressPa: readonly [number, number];
  /** Pa·s at 10 1/s */
  readonly apparentViscosityPaS: readonly [number, number];
}

/**
 * What flow leaves a coat of a thickness.
 *
 * @param use how the film runs and stops
 * @param coatMm mm wanted, above 0
 * @param densityKgM3 kg/m³
 * @returns bands of yield stress (Pa) and apparent viscosity (Pa·s)
 * @see Jeffreys 1930 (drainage, published), turned round; the parts are judgement
 * @example filmBands(FILM_USES.coat, 2, 1150).yieldStressPa // [4, 25]
 */
export function filmBands(use: FilmUse, coatMm: number, densityKgM3: number): FilmBands {
  const weight = densityKgM3 * GRAVITY * (use.pull ?? 1);
  const coat = coatMm / 1000;
  const viscosity = (part: number) => ((part * coat) ** 2 * weight * use.stopsS) / use.sideM;
  return {
    yieldStressPa: [use.held[0] * weight * coat, use.held[1] * weight * coat],
    apparentViscosityPaS: [viscosity(use.drained[0]), viscosity(use.drained[1])],
  };
}
