import { nth } from '../nth';
import type { Body } from '../set/cooling';
import { pouredBody, type Standing, type StillMaterial, stand } from './still';

/** A body that has not come there after so long does not come there, h. */
const LONGEST_H = 240;

/**
 * Hours a body that stands still takes until its edge or its centre has come to a temperature.
 *
 * @param body poured at `fromC`
 * @param place where it stands
 * @returns h; nothing where it never comes there
 * @example a tray of 2 cm from 45 to 10 °C at the centre in a fridge: 4.3 h
 */
export function coolingTime(
  body: Body,
  material: StillMaterial,
  place: Omit<Standing, 'hours'>,
  { fromC, toC }: { readonly fromC: number; readonly toC: number },
  point: 'centre' | 'edge' = 'centre',
): number | undefined {
  const cools = fromC > toC;
  const isThere = (shells: Float64Array) => {
    const t = point === 'centre' ? nth(shells, 0) : nth(shells, shells.length - 1);
    return cools ? t <= toC : t >= toC;
  };
  if (cools ? place.aroundC >= toC : place.aroundC <= toC) return fromC === toC ? 0 : undefined;
  const { hours } = stand(pouredBody(body, fromC), material, { ...place, hours: LONGEST_H }, isThere);
  return hours < LONGEST_H ? hours : undefined;
}
