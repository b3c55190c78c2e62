/** What was done to the batch, as far as the equations feel it. All shares run from 0 to 1. */
export interface Process {
  /** share of the starch that is gelatinised */
  readonly cook: number;
  /** quality of the emulsion: stick blender 0.9, stirred 0.5, careless 0.3 */
  readonly mix: number;
  /** share of the cocoa butter seeded in its stable form */
  readonly temper: number;
  /** recently stirred or kneaded after setting */
  readonly worked: number;
  /** stirred on while setting */
  readonly overwork: number;
  /** °C while it was mixed */
  readonly mixTemperatureC: number;
  /** share of the cream that went in cold */
  readonly coldCream: number;
  /** °C by which the storage temperature swings */
  readonly swingC: number;
  /** 1 with a cover on the surface */
  readonly covered: number;
  /** gelatin strength in g bloom */
  readonly bloomG: number;
  /** this kitchen's ln offset for flow */
  readonly warmOffset: number;
  /** this kitchen's ln offset for the fat set */
  readonly coldOffset: number;
  /** this kitchen's ln offset for what gels and cooked starch set */
  readonly gelOffset: number;
  /** this kitchen's ln offset of the time it takes to set: above 0 slower */
  readonly timeOffset: number;
  /** what this kitchen's own tests taught, where they are taken into account: how sure its figures are, ln, and its offset of shine */
  readonly learnt?:
    | {
        readonly warmSd: number;
        readonly coldSd: number;
        readonly gelSd: number;
        readonly shine: { readonly mean: number; readonly sd: number };
      }
    | undefined;
}

/** The plain case: stirred well, not cooked, not tempered, covered, 200 bloom. */
export const DEFAULT_PROCESS: Process = {
  cook: 0,
  mix: 0.6,
  temper: 0,
  worked: 0,
  overwork: 0,
  mixTemperatureC: 38,
  coldCream: 0,
  swingC: 1,
  covered: 1,
  bloomG: 200,
  warmOffset: 0,
  coldOffset: 0,
  gelOffset: 0,
  timeOffset: 0,
};

/** Hours spent at a temperature (h, °C), oldest first, ending now. */
export type ThermalHistory = readonly (readonly [hours: number, temperatureC: number])[];

/** Hours given to a reading that names no history: poured while warm, or left a day to set. */
const FRESH_HOURS = 0.3;
const RESTED_HOURS = 24;
const WARM_ABOVE_C = 30;

/**
 * The history meant when none is given: a warm reading (above 30 °C) is fresh, 0.3 h; a cold one has rested 24 h (J).
 *
 * @param temperatureC °C of the reading
 * @example usualHistory(36) // [[0.3, 36]]
 */
export function usualHistory(temperatureC: number): ThermalHistory {
  return [[temperatureC > WARM_ABOVE_C ? FRESH_HOURS : RESTED_HOURS, temperatureC]];
}
