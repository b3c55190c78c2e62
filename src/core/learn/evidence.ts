import { resistance } from '../flow/casson';
import { yieldForSpoonLine } from '../flow/film';
import { lnSpreadMultiplier } from '../flow/spread-inversion';
import { GRAVITY } from '../gravity';
import { type CombinedFlow, combineFlow, type FlowParts, NO_FLOW_OFFSETS } from '../predict/flow-parts';
import { LEARNT, type Learnt, type PerLearnt } from './learnt';

/** What was measured of a flow, or asked of it. */
export type FlowMeasured =
  | {
      readonly kind: 'ring';
      readonly diameterMm: number;
      readonly volumeMl: number;
      readonly seconds: number;
      readonly ringMm: number;
    }
  | { readonly kind: 'film'; readonly mm: number; readonly lengthM: number; readonly seconds: number }
  | { readonly kind: 'yieldStress'; readonly pa: number }
  | { readonly kind: 'apparentViscosity'; readonly paS: number }
  | { readonly kind: 'resistance'; readonly pa: number }
  /** it held, or gave way, where so much yield stress is needed */
  | { readonly kind: 'stands'; readonly neededPa: number; readonly held: boolean }
  | { readonly kind: 'spoonLine'; readonly held: boolean };

/** What one test says, with all that is needed to hold it against the model with any offsets. Plain data: it can be kept. */
export type Evidence =
  | { readonly of: 'flow'; readonly parts: FlowParts; readonly measured: FlowMeasured }
  /** on the index before its curve */
  | { readonly of: 'shine'; readonly away: number }
  /** ln of hours, and how the model's own follow the offsets */
  | { readonly of: 'time'; readonly away: number; readonly slopes: Readonly<Record<Exclude<Learnt, 'shine'>, number>> };

/** Nothing added. */
export const NO_OFFSETS: PerLearnt = { ...NO_FLOW_OFFSETS, shine: 0 };

const LEAST_PA = 1e-9;
/** By how much an offset is moved to see what a test says of it. */
const STEP = 0.02;
/** Below this a part carries nothing: its offset moves nothing. */
const NOTHING = 1e-9;

/** Whether what was asked about held; nothing of a test that measured. */
export const hasHeld = (evidence: Evidence): boolean | undefined =>
  evidence.of === 'flow' && 'held' in evidence.measured ? evidence.measured.held : undefined;

/** ln of the factor on the whole flow that makes a film as thick as it was: h = A s + B sqrt(s), solved for s. */
function lnFilmFactor(
  flow: CombinedFlow,
  densityKgM3: number,
  { mm, lengthM, seconds }: { mm: number; lengthM: number; seconds: number },
): number {
  const weight = densityKgM3 * GRAVITY;
  const held = flow.yieldStressPa / weight;
  const draining = Math.sqrt((flow.apparentViscosityPaS * lengthM) / (weight * seconds));
  const h = mm / 1000;
  // The root that does not subtract two like numbers.
  return 2 * Math.log((2 * h) / (draining + Math.sqrt(draining * draining + 4 * held * h)));
}

/** ln(measured or needed) - ln(model) of a flow. */
function lnAwayOfFlow(flow: CombinedFlow, densityKgM3: number, measured: FlowMeasured): number {
  switch (measured.kind) {
    case 'ring':
      return lnSpreadMultiplier({ ...flow, densityKgM3 }, measured);
    case 'film':
      return lnFilmFactor(flow, densityKgM3, measured);
    case 'yieldStress':
      return Math.log(measured.pa / Math.max(flow.yieldStressPa, LEAST_PA));
    case 'apparentViscosity':
      return Math.log(measured.paS / flow.apparentViscosityPaS);
    case 'resistance':
      return Math.log(measured.pa / resistance(flow.yieldStressPa, flow.plasticViscosityPaS));
    case 'stands':
      return Math.log(measured.neededPa / Math.max(flow.yieldStressPa, LEAST_PA));
    case 'spoonLine':
      return Math.log(yieldForSpoonLine({ ...flow, densityKgM3 }) / Math.max(flow.yieldStressPa, LEAST_PA));
  }
}

/**
 * How far a test lies from the model in a kitchen of these offsets.
 *
 * @returns ln(measured) - ln(model): 0 where it is as predicted, above 0 thicker, firmer, slower or shinier; of a yes or no ln(needed) - ln(model)
 */
export function lnAway(evidence: Evidence, offsets: PerLearnt): number {
  if (evidence.of === 'shine') return evidence.away - offsets.shine;
  if (evidence.of === 'time') {
    const { warm, cold, gel, time } = evidence.slopes;
    return evidence.away - warm * offsets.warm - cold * offsets.cold - gel * offsets.gel - time * offsets.time;
  }
  const { parts, measured } = evidence;
  return lnAwayOfFlow(combineFlow(parts, offsets), parts.densityKgM3, measured);
}

/** Whether an offset can move a flow at all. */
function isFelt(parts: FlowParts, about: Learnt): boolean {
  if (about === 'shine') return false;
  if (about === 'gel') return parts.gelYieldPa > NOTHING;
  return about === 'warm' || parts.restingNetwork > NOTHING;
}

/** What a test says at these offsets: how far it lies off, and how the model's figure follows each offset. */
export interface Leaning {
  readonly away: number;
  /** d ln(model) / d offset */
  readonly slopes: PerLearnt;
}

/** Holds a test against the model in a kitchen of these offsets, along its slope there. */
export function leaningOf(evidence: Evidence, offsets: PerLearnt): Leaning {
  const away = lnAway(evidence, offsets);
  if (evidence.of === 'shine') return { away, slopes: { ...NO_OFFSETS, shine: 1 } };
  if (evidence.of === 'time') return { away, slopes: { ...evidence.slopes, shine: 0 } };
  const slopes: Record<Learnt, number> = { ...NO_OFFSETS };
  for (const about of LEARNT) {
    if (!isFelt(evidence.parts, about)) continue;
    slopes[about] = (away - lnAway(evidence, { ...offsets, [about]: offsets[about] + STEP })) / STEP;
  }
  return { away, slopes };
}
