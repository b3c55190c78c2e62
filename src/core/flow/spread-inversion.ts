import { spreadDiameter } from './ring-spread';

/** A batch as the ring feels it. */
export interface RingFlow {
  readonly plasticViscosityPaS: number;
  readonly yieldStressPa: number;
  readonly densityKgM3: number;
}

/** One reading of the ring test. */
export interface RingReading {
  readonly volumeMl: number;
  readonly seconds: number;
  readonly diameterMm: number;
}

/** Range in which a multiplier or a stress is looked for, in natural logarithms either way. */
const LN_REACH = Math.log(1e5);
const HALVINGS = 60;
/** Rounds in which two readings are taken in turn. */
const TURNS = 40;

/**
 * Halves an interval of ln(x) until the diameter that `spread` gives for x meets the one read. The diameter falls with x.
 *
 * @returns x; the end of the interval when the reading lies beyond it
 */
function solveFalling(spread: (x: number) => number, diameterMm: number, around: number): number {
  let low = Math.log(around) - LN_REACH;
  let high = Math.log(around) + LN_REACH;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (spread(Math.exp(middle)) > diameterMm) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/**
 * The one factor on viscosity and yield stress together that makes the ring spread as it did.
 *
 * After about 10 s the ring measures the yield stress, hardly the viscosity, so one reading cannot tell the two apart.
 *
 * @param flow as predicted
 * @param reading volume above 0 mL, time above 0 s, diameter above the ring's 50 mm
 * @returns factor, 1 when it spread as predicted; the end of 1e-5 - 1e5 when no factor explains it
 * @see Huppert 1982; Roussel & Coussot 2005, inverted by bisection
 * @example spreadMultiplier(flow, { volumeMl: 50, seconds: 30, diameterMm: spreadDiameter(flow, 50, 30) }) // 1
 */
export function spreadMultiplier(flow: RingFlow, reading: RingReading): number {
  const spread = (factor: number) =>
    spreadDiameter(
      {
        ...flow,
        plasticViscosityPaS: factor * flow.plasticViscosityPaS,
        yieldStressPa: factor * flow.yieldStressPa,
      },
      reading.volumeMl,
      reading.seconds,
    );
  return solveFalling(spread, reading.diameterMm, 1);
}

/**
 * Viscosity and yield stress from an early reading (about 10 s) and a late one (about 3 min): the late one gives the yield stress, the
 * early one the viscosity, in turns.
 *
 * @param start flow to begin from, and the density
 * @param early reading at about 10 s
 * @param late reading at about 3 min
 * @returns Pa·s and Pa
 */
export function flowFromTwoSpreads(start: RingFlow, early: RingReading, late: RingReading): RingFlow {
  let flow = start;
  for (let turn = 0; turn < TURNS; turn++) {
    const yieldStressPa = solveFalling(
      (tau) => spreadDiameter({ ...flow, yieldStressPa: tau }, late.volumeMl, late.seconds),
      late.diameterMm,
      1,
    );
    flow = { ...flow, yieldStressPa };
    const plasticViscosityPaS = solveFalling(
      (eta) => spreadDiameter({ ...flow, plasticViscosityPaS: eta }, early.volumeMl, early.seconds),
      early.diameterMm,
      1,
    );
    flow = { ...flow, plasticViscosityPaS };
  }
  return flow;
}
