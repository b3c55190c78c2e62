import { GRAVITY } from '../gravity';

/**
 * What a dent in the set tells of its yield stress. All are one-line balances of force or work: hardness = 3 x the yield in pull, which is
 * root 3 x the yield stress (Tabor 1951, published). Dropped tests read high, 1.5-2 times (J): they get an offset of their own.
 */
const HARDNESS = 3 * Math.sqrt(3);

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * A cone at rest under its weight.
 *
 * @param weightG g on the cone, above 0
 * @param depthMm mm it sank, above 0
 * @param halfAngleDeg half the angle at its tip, 10-80°
 * @returns Pa
 * @see Rehbinder's cone formula (published)
 * @example yieldFromCone(100, 10, 45) // 1560
 */
export function yieldFromCone(weightG: number, depthMm: number, halfAngleDeg: number): number {
  const a = radians(halfAngleDeg);
  const force = (weightG / 1000) * GRAVITY;
  return (((Math.cos(a) ** 2 / Math.tan(a)) * force) / Math.PI) * (1e6 / depthMm ** 2);
}

/** Area of the ball's print, m², radius and depth in m. */
const printArea = (radius: number, depth: number) => Math.PI * (2 * radius * depth - depth * depth);

/**
 * A ball, or the bowl of a spoon, at rest under its weight.
 *
 * @param weightG g
 * @param radiusMm mm of the ball
 * @param depthMm mm it sank, 0 < depth <= radius
 * @returns Pa
 * @see Tabor 1951
 * @example yieldFromBall(22, 19, 5) // 80
 */
export function yieldFromBall(weightG: number, radiusMm: number, depthMm: number): number {
  return ((weightG / 1000) * GRAVITY) / (HARDNESS * printArea(radiusMm / 1000, depthMm / 1000));
}

/**
 * How deep a ball sinks at rest: {@link yieldFromBall} read the other way.
 *
 * @returns mm, at most the radius (it sinks in)
 */
export function ballDepth(yieldStressPa: number, weightG: number, radiusMm: number): number {
  const radius = radiusMm / 1000;
  const half = ((weightG / 1000) * GRAVITY) / (HARDNESS * Math.PI * yieldStressPa);
  return half >= radius * radius ? radiusMm : 1000 * (radius - Math.sqrt(radius * radius - half));
}

/**
 * A ball dropped on the set.
 *
 * @param weightG g
 * @param dropMm mm of fall above the surface
 * @param radiusMm mm
 * @param depthMm mm it sank, 0 < depth <= radius
 * @returns Pa, reads high
 * @example yieldFromDroppedBall(46, 100, 21.35, 8) // 2500
 */
export function yieldFromDroppedBall(weightG: number, dropMm: number, radiusMm: number, depthMm: number): number {
  const [radius, depth] = [radiusMm / 1000, depthMm / 1000];
  const work = (weightG / 1000) * GRAVITY * ((dropMm + depthMm) / 1000);
  return work / (HARDNESS * Math.PI * (radius * depth * depth - depth ** 3 / 3));
}

/**
 * A rod or spoon handle dropped on its flat end.
 *
 * @param weightG g
 * @param dropMm mm of fall above the surface
 * @param endMm mm across the round end
 * @param depthMm mm it sank, above 0
 * @returns Pa, reads high
 * @example yieldFromDroppedRod(20, 100, 9, 15) // 4550
 */
export function yieldFromDroppedRod(weightG: number, dropMm: number, endMm: number, depthMm: number): number {
  const area = (Math.PI * (endMm / 1000) ** 2) / 4;
  const work = (weightG / 1000) * GRAVITY * ((dropMm + depthMm) / 1000);
  return work / (HARDNESS * area * (depthMm / 1000));
}
