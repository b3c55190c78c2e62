import { readPan } from './advance';
import { liquidG, type PanState } from './pan';
import { baseArea } from './vessel';
import { surfaceLoss } from './water';

/** What happens to a batch that is kept warm, open and left alone. */
export interface HeldWarm {
  /** g of water an hour */
  readonly lostGPerHour: number;
  /** min until its surface has dried to a skin; nothing where it hardly dries */
  readonly skinMinutes: number | undefined;
}

/** g/m² of water lost by a still surface at which a skin forms (J). */
const SKIN_G_M2 = 60;
const LONGEST_MIN = 720;

/**
 * Holds a batch at a temperature: what it loses, and when a skin forms. A cover stops both.
 *
 * @param pan something liquid in it
 * @param temperatureC °C it is held at
 * @see surfaceLoss: heat and mass transfer alike
 */
export function holdWarm(pan: PanState, temperatureC: number): HeldWarm {
  if (!(liquidG(pan) > 0)) return { lostGPerHour: 0, skinMinutes: undefined };
  const { waterActivity } = readPan({ ...pan, temperatureC });
  const gPerSecond = 1000 * surfaceLoss(temperatureC, waterActivity, pan.vessel, 0);
  const minutes = (SKIN_G_M2 * baseArea(pan.vessel)) / (60 * Math.max(gPerSecond, 1e-12));
  return { lostGPerHour: 3600 * gPerSecond, skinMinutes: minutes > LONGEST_MIN ? undefined : minutes };
}
