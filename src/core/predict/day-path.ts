import { climateAt } from './climate';
import type { Moment } from './moments';
import { type Batch, flowIn } from './state';

/** The resistance along the day, from the pan to the plate. */
export interface DayPath {
  /** h since the pan, rising */
  readonly hours: Float64Array;
  readonly temperatureC: Float64Array;
  /** Pa */
  readonly resistancePa: Float64Array;
  /** where each moment is reached */
  readonly moments: readonly { readonly name: string; readonly hours: number; readonly resistancePa: number }[];
}

/** Hours until 63 % of the way to a new temperature is gone: a shallow tray (J). */
const TIME_CONSTANT_H = 0.5;
const STEPS_A_MOMENT = 12;

/** Hours spent at a moment: its own history's length. */
const hoursAt = ({ history }: Moment) => history.reduce((sum, [hours]) => sum + hours, 0);

/**
 * Follows a batch along its moments in their order: at each it cools (or warms) from the temperature before towards the moment's own, for as long as
 * the moment's history lasts. Every point reads the whole history so far, in small steps.
 *
 * @param batch mass above 0
 * @param moments in the order of the day, one or more
 */
export function dayPath(batch: Batch, moments: readonly Moment[]): DayPath {
  const hours: number[] = [];
  const temperatures: number[] = [];
  const resistances: number[] = [];
  const reached: { name: string; hours: number; resistancePa: number }[] = [];
  const history: (readonly [number, number])[] = [];
  let now = 0;
  let temperatureC = moments[0]?.temperatureC ?? 20;
  const read = () => {
    const { resistancePa } = flowIn(
      batch,
      climateAt(temperatureC, history.length > 0 ? history : [[1e-3, temperatureC]]),
    );
    hours.push(now);
    temperatures.push(temperatureC);
    resistances.push(resistancePa);
    return resistancePa;
  };
  read();
  for (const moment of moments) {
    const from = temperatureC;
    const lasts = Math.max(hoursAt(moment), 0.02);
    let before = 0;
    for (let step = 1; step <= STEPS_A_MOMENT; step++) {
      // Short steps first: the temperature moves fastest then.
      const at = lasts * (step / STEPS_A_MOMENT) ** 2;
      temperatureC = moment.temperatureC + (from - moment.temperatureC) * Math.exp(-at / TIME_CONSTANT_H);
      history.push([at - before, temperatureC]);
      now += at - before;
      before = at;
      const resistancePa = read();
      if (step === STEPS_A_MOMENT) reached.push({ name: moment.name, hours: now, resistancePa });
    }
  }
  return {
    hours: Float64Array.from(hours),
    temperatureC: Float64Array.from(temperatures),
    resistancePa: Float64Array.from(resistances),
    moments: reached,
  };
}
