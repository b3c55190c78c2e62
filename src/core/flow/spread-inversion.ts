import { BLEND, RING_MM, spreadDiameter, spreadRadii, TRACE_YIELD_PA } from './ring-spread';

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
  /** mm across the ring itself; 50 where it is left out */
  readonly ringMm?: number | undefined;
}

/** Newton's turns: the spread is nearly a power of the factor, so that a few are enough. */
const NEWTON_TURNS = 12;
/** A factor looked for, in natural logarithms either way; and most a turn moves it. */
const LN_REACH = Math.log(1e5);
const MOST_MOVE = 4;
/** Rounds in which two readings are taken in turn. */
const TURNS = 40;

/** A ring that did not spread says "thicker than any": it is read as this much wider than itself. */
const LEAST_SPREAD = 1.01;

/**
 * ln of the one factor on viscosity and yield stress together that makes the ring spread as it did.
 *
 * After about 10 s the ring measures the yield stress, hardly the viscosity, so one reading cannot tell the two apart.
 *
 * @param flow as predicted
 * @param reading volume above 0 mL, time above 0 s
 * @returns 0 when it spread as predicted, above 0 thicker; the end of ln 1e-5 - 1e5 when no factor explains it
 * @see Huppert 1982; Roussel & Coussot 2005, inverted by Newton's method
 * @example lnSpreadMultiplier(flow, { volumeMl: 50, seconds: 30, diameterMm: spreadDiameter(flow, 50, 30) }) // 0
 */
export function lnSpreadMultiplier(flow: RingFlow, reading: RingReading): number {
  const { volumeMl, seconds, ringMm = RING_MM } = reading;
  const { viscous, yielding } = spreadRadii(flow, volumeMl, seconds);
  const half = Math.max(reading.diameterMm, LEAST_SPREAD * ringMm) / 2000;
  const wanted = Math.log((half ** 6 - (ringMm / 2000) ** 6) ** (-BLEND / 6));
  const [byViscosity, byYield] = [viscous ** -BLEND, yielding ** -BLEND];
  const trace = TRACE_YIELD_PA / (flow.yieldStressPa + TRACE_YIELD_PA);
  let x = 0;
  for (let turn = 0; turn < NEWTON_TURNS; turn++) {
    const s = Math.exp(x);
    const slow = byViscosity * s ** (BLEND / 8);
    const stress = s * (1 - trace) + trace;
    const stiff = byYield * stress ** (BLEND / 5);
    const miss = Math.log(slow + stiff) - wanted;
    const slope = ((BLEND / 8) * slow + ((BLEND / 5) * stiff * s * (1 - trace)) / stress) / (slow + stiff);
    const move = Math.min(Math.max(miss / slope, -MOST_MOVE), MOST_MOVE);
    x = Math.min(Math.max(x - move, -LN_REACH), LN_REACH);
    if (Math.abs(move) < 1e-10) break;
  }
  return x;
}

/** The factor itself: {@link lnSpreadMultiplier}. */
export const spreadMultiplier = (flow: RingFlow, reading: RingReading): number =>
  Math.exp(lnSpreadMultiplier(flow, reading));

const HALVINGS = 60;

/**
 * Halves an interval of ln(x) until the diameter that `spread` gives for x meets the one read. The diameter falls with x.
 *
 * @returns x; the end of the interval when the reading lies beyond it
 */
function solveFalling(spread: (x: number) => number, diameterMm: number): number {
  let [low, high] = [-LN_REACH, LN_REACH];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (spread(Math.exp(middle)) > diameterMm) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
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
    );
    flow = { ...flow, yieldStressPa };
    const plasticViscosityPaS = solveFalling(
      (eta) => spreadDiameter({ ...flow, plasticViscosityPaS: eta }, early.volumeMl, early.seconds),
      early.diameterMm,
    );
    flow = { ...flow, plasticViscosityPaS };
  }
  return flow;
}
