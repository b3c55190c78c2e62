import { nth } from '../nth';
import { pouredBody, type Standing, type StillMaterial, stand } from '../pan/still';
import type { Body } from '../set/cooling';

/** °C by which the rim may run ahead of the middle before it sets into lumps there (J). */
export const RIM_AHEAD_C = 4;
/** Nobody stirs more often, and nobody should wait longer, s (J). */
const LEAST_S = 60;
const MOST_S = 900;

/**
 * How long a bowl that cools may be left before its rim is too far ahead of its middle.
 *
 * @param body of the bowl, stirred even at `fromC`
 * @param place what it stands in
 * @returns s, from a minute to a quarter of an hour
 */
export function stirInterval(
  body: Body,
  material: StillMaterial,
  place: Omit<Standing, 'hours'>,
  fromC: number,
): number {
  const { hours } = stand(
    pouredBody(body, fromC),
    material,
    { ...place, hours: MOST_S / 3600 },
    (shells) => nth(shells, 0) - nth(shells, shells.length - 1) >= RIM_AHEAD_C,
  );
  return Math.max(3600 * hours, LEAST_S);
}
