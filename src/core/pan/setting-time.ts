import type { FlowOffsets } from '../predict/flow-parts';
import { flowAt } from '../predict/state';
import type { Body } from '../set/cooling';
import type { PanState } from './pan';
import { batchOfPan } from './settle';
import { pouredBody, type Standing, stand, standingFlow, stillMaterial } from './still';

/** Pa from which something is barely set: it holds where it is put (J). */
export const BARELY_SET_PA = 100;
/** Looks become rarer: most happens at the beginning, h. */
const FIRST_LOOK_H = 0.03;
const GROWTH = 1.12;
const LONGEST_H = 72;

/** When the edge and the centre of a body have set. */
export interface SettingTime {
  /** h; 0 where it holds as it is poured, nothing where it does not set in three days */
  readonly edgeH: number | undefined;
  readonly centreH: number | undefined;
  /** Pa the centre comes to in the end */
  readonly endsAtPa: number;
}

/**
 * Hours until a pan that is poured into something has barely set, edge and centre.
 *
 * @param pan something in it, as warm as it is poured
 * @param body what it is poured into
 * @param place where it stands
 * @param offsets of the kitchen it stands in
 * @returns about a tenth either way, as often as is looked
 */
export function settingTime(
  pan: PanState,
  body: Body,
  place: Omit<Standing, 'hours'>,
  offsets: FlowOffsets,
): SettingTime {
  const batch = batchOfPan(pan, offsets);
  const material = stillMaterial(batch);
  let still = pouredBody(body, pan.temperatureC);
  let edgeH: number | undefined;
  let centreH: number | undefined;
  for (let step = FIRST_LOOK_H; ; step *= GROWTH) {
    const { edge, centre } = standingFlow(still, batch);
    if (edge.yieldStressPa >= BARELY_SET_PA) edgeH ??= still.hours;
    if (centre.yieldStressPa >= BARELY_SET_PA) centreH = still.hours;
    if (centreH !== undefined || still.hours >= LONGEST_H) break;
    still = stand(still, material, { ...place, hours: Math.min(step, LONGEST_H - still.hours) });
  }
  const endsAtPa = flowAt(batch, place.aroundC, [[LONGEST_H, place.aroundC]]).yieldStressPa;
  return { edgeH, centreH, endsAtPa };
}
