import { GRAVITY } from '../gravity';

/** Yield stress up to which a bag can be squeezed in comfort through a 10 mm tip: 30 kPa of hand over about 10 (J). */
export const HAND_LIMIT_PA = 3000;

/** The opening that {@link HAND_LIMIT_PA} is said of, mm. */
export const USUAL_NOZZLE_MM = 10;

/** mm across the bag above its tip, and along the tip's own wall (J): they give the "about 10" of a 10 mm tip. */
const BAG_MM = 40;
const TIP_MM = 15;
/** mm of opening the law of the tip is used for. */
const NOZZLE_REACH = [1, 30] as const;

/** Pressure of a paste through a bag and its tip over its yield stress: narrowing down, and sliding along the wall. */
function squeeze(nozzleMm: number): number {
  const opening = Math.min(Math.max(nozzleMm, NOZZLE_REACH[0]), NOZZLE_REACH[1]);
  return 2 * Math.sqrt(3) * Math.log(BAG_MM / opening) + (4 * TIP_MM) / opening;
}

/**
 * Yield stress up to which a hand squeezes a bag in comfort, by the opening of its tip: a narrow one tires it sooner.
 *
 * @param nozzleMm mm across, read within 1 to 30
 * @returns Pa
 * @see Benbow & Bridgwater 1993 (paste through a die, its form, published); the sizes of bag and tip are judgement
 * @example handLimit(10) // 3000
 */
export function handLimit(nozzleMm: number): number {
  return (HAND_LIMIT_PA * squeeze(USUAL_NOZZLE_MM)) / squeeze(nozzleMm);
}

/**
 * Yield stress a piped mound needs to stand under its own weight.
 *
 * @param heightMm mm, 0 or more
 * @param densityKgM3 kg/m³
 * @returns Pa
 * @example yieldToStand(30, 1100) // 187
 */
export function yieldToStand(heightMm: number, densityKgM3: number): number {
  return (densityKgM3 * GRAVITY * heightMm) / 1000 / Math.sqrt(3);
}

/**
 * Height of a piped mound that stands: {@link yieldToStand} read the other way.
 *
 * @returns mm
 */
export function standingHeight(yieldStressPa: number, densityKgM3: number): number {
  return (1000 * Math.sqrt(3) * yieldStressPa) / (densityKgM3 * GRAVITY);
}
