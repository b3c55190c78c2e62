/** A temperature that was read, s since some beginning. */
export interface CoolingReading {
  readonly seconds: number;
  readonly temperatureC: number;
}

/** How fast a pan comes to what is around it: ln of the rate (1/s), with its doubt. */
export interface CoolingRate {
  readonly lnRate: number;
  readonly sd: number;
}

/** How far the engine's own rate may be off: kitchens have draughts and thick bowls (J). */
const PRIOR_SD = 0.4;
/** °C by which a reading may be off, and above the surroundings of which a reading still tells something (J). */
const READING_C = 0.6;
const LEAST_ABOVE_C = 2;
/** The rate itself drifts as a pan cools (J). */
const DRIFT_SD = 0.08;

/**
 * The rate at which a pan cools, from what was read of it: Newton's law through the readings by least squares, with the engine's own rate as what was
 * known before.
 *
 * @param readings in order; those near the surroundings tell nothing
 * @param aroundC °C of the surroundings
 * @param expected 1/s, above 0, as the engine reckons
 */
export function coolingRate(readings: readonly CoolingReading[], aroundC: number, expected: number): CoolingRate {
  const told = readings.filter(({ temperatureC }) => temperatureC > aroundC + LEAST_ABOVE_C);
  const prior = { lnRate: Math.log(expected), sd: PRIOR_SD };
  const first = told[0];
  if (!first || told.length < 2) return prior;
  const points = told.map(({ seconds, temperatureC }) => {
    const above = temperatureC - aroundC;
    return { x: seconds - first.seconds, y: Math.log(above), weight: (above / READING_C) ** 2 };
  });
  const sum = (of: (point: (typeof points)[number]) => number) => points.reduce((all, each) => all + of(each), 0);
  const weight = sum((p) => p.weight);
  const [meanX, meanY] = [sum((p) => p.weight * p.x) / weight, sum((p) => p.weight * p.y) / weight];
  const spread = sum((p) => p.weight * (p.x - meanX) ** 2);
  const slope = spread > 0 ? -sum((p) => p.weight * (p.x - meanX) * (p.y - meanY)) / spread : 0;
  // A pan that was read warmer than before says only that it is slow.
  const rate = Math.max(slope, expected / 20);
  const sd = Math.hypot(1 / (Math.sqrt(Math.max(spread, 1e-9)) * rate), DRIFT_SD);
  const precision = 1 / prior.sd ** 2 + 1 / sd ** 2;
  return {
    lnRate: (prior.lnRate / prior.sd ** 2 + Math.log(rate) / sd ** 2) / precision,
    sd: 1 / Math.sqrt(precision),
  };
}

/**
 * Seconds until a pan has cooled so far.
 *
 * @returns nothing where it never comes there; with the doubt of the rate, 80 % either way
 */
export function secondsToCool(
  fromC: number,
  toC: number,
  aroundC: number,
  { lnRate, sd }: CoolingRate,
): { readonly seconds: number; readonly least: number; readonly most: number } | undefined {
  if (toC <= aroundC) return undefined;
  if (fromC <= toC) return { seconds: 0, least: 0, most: 0 };
  const times = Math.log((fromC - aroundC) / (toC - aroundC));
  const at = (shift: number) => times / Math.exp(lnRate + shift * 1.2816 * sd);
  return { seconds: at(0), least: at(1), most: at(-1) };
}
