import { addTimes } from '../matter/component-vector';
import { DEFAULT_PROCESS } from '../matter/process';
import type { FlowOffsets } from '../predict/flow-parts';
import { type Batch, type Flow, prepareBatch } from '../predict/state';
import { type Body, bowlBody } from '../set/cooling';
import { massG, type PanState } from './pan';
import { meanTemperature, pouredBody, type Standing, stand, standingFlow, stillMaterial } from './still';

/** Edge and centre after a place. */
export interface StandingReading {
  /** h since it was poured */
  readonly hours: number;
  readonly centre: Flow;
  readonly edge: Flow;
}

/** kg/m³ of what stands in a bowl (J). */
const BOWL_DENSITY = 1100;

/** All of a pan in one bowl. */
export const bowlOf = (pan: PanState): Body => bowlBody(massG(pan), BOWL_DENSITY);

/** All that is in a pan as one batch, as it has been cooked and mixed, in a kitchen of these offsets. */
export function batchOfPan(pan: PanState, { warm, cold, gel, time }: FlowOffsets): Batch {
  const grams = pan.liquid.slice();
  for (const lump of pan.lumps) addTimes(grams, lump.perGram, lump.grams);
  return prepareBatch(grams, {
    ...DEFAULT_PROCESS,
    ...{ cook: pan.cook, mix: pan.mix },
    ...{ warmOffset: warm, coldOffset: cold, gelOffset: gel, timeOffset: time },
  });
}

/**
 * Pours a pan into something and lets it stand, place after place.
 *
 * @param pan something in it
 * @param body what it is poured into: its shape and how far heat has to travel
 * @param places where it stands, one after the other
 * @param offsets of the kitchen it stands in
 * @returns edge and centre after each place, and the pan as it is then: as warm as the body on the whole
 */
export function settle(pan: PanState, body: Body, places: readonly Standing[], offsets: FlowOffsets) {
  const batch = batchOfPan(pan, offsets);
  const material = stillMaterial(batch);
  let still = pouredBody(body, pan.temperatureC);
  const readings = places.map((place): StandingReading => {
    still = stand(still, material, place);
    return { hours: still.hours, ...standingFlow(still, batch) };
  });
  const after: PanState = {
    ...pan,
    seconds: pan.seconds + 3600 * still.hours,
    temperatureC: meanTemperature(still),
  };
  return { after, readings };
}
