import { addTimes } from '../matter/component-vector';
import { DEFAULT_PROCESS, usualHistory } from '../matter/process';
import { flowAt, prepareBatch } from '../predict/state';
import { massG, type PanState } from './pan';
import { baseArea, type Vessel } from './vessel';

/** A pan is this much of its width high (J). */
const PAN_HEIGHT = 0.55;
/** What boils foams: no more of a pan than this is filled (J). */
export const FILL_FOR_BOILING = 0.5;

/** ml a pan holds to its rim. */
export const rimMl = (vessel: Pick<Vessel, 'diameterM'>): number =>
  1e6 * baseArea(vessel) * PAN_HEIGHT * vessel.diameterM;

/** ml that are in a pan, lumps too. */
function volumeMl(pan: PanState): number {
  const all = pan.liquid.slice();
  for (const { perGram, grams } of pan.lumps) addTimes(all, perGram, grams);
  const { densityKgM3 } = flowAt(
    prepareBatch(all, DEFAULT_PROCESS),
    pan.temperatureC,
    usualHistory(pan.temperatureC),
  ).phases;
  return (1000 * massG(pan)) / densityKgM3;
}

/** How a pan is filled: it takes it, it boils over when it boils, or it does not hold it at all. */
export type Fill = 'fits' | 'boilsOver' | 'overflows';

/** Whether a pan takes what is in it. */
export function fillOf(pan: PanState): Fill {
  if (!(massG(pan) > 0)) return 'fits';
  const full = volumeMl(pan) / rimMl(pan.vessel);
  if (full > 1) return 'overflows';
  return full > FILL_FOR_BOILING ? 'boilsOver' : 'fits';
}
