import { GRAVITY } from '../gravity';

/** Yield stress up to which a bag can be squeezed in comfort through a 10 mm tip: 30 kPa of hand over about 10 (J). */
export const HAND_LIMIT_PA = 3000;

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
