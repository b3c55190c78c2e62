import { crystallisedAt } from '../fat/crystallisation';
import { cassonViscosity, SLOW_STIR } from '../flow/casson';
import type { Process } from '../matter/process';
import { K } from '../model-constants';
import { halfPower } from '../smooth';

/** A flow taken apart into what each of a kitchen's offsets acts on. Without any offset; plain numbers, so that it can be kept. */
export interface FlowParts {
  /** 1 where water surrounds the fat, 0 where fat surrounds everything */
  readonly waterContinuous: number;
  /** Pa·s of the water-continuous branch, and of the fat-continuous one */
  readonly viscosityInWaterPaS: number;
  readonly viscosityInFatPaS: number;
  /** Pa of cocoa flocs, and of gels and starch */
  readonly cocoaYieldPa: number;
  readonly gelYieldPa: number;
  /** volume share of solid fat that builds a network once it has had all its time, 0-1 */
  readonly restingNetwork: number;
  /** Pa that a network of 1 would have in water, and how kneading weakens it */
  readonly networkYieldPa: number;
  readonly worked: number;
  /** Pa of the fat-continuous branch before any fat has set */
  readonly yieldInFatPa: number;
  /** age of the fat crystals: 1 at the half time */
  readonly crystalAge: number;
  readonly densityKgM3: number;
}

/** What a kitchen adds, natural logarithms: to the warm flow, to the set by fat, to the set by gels and starch, to the half time of setting. */
export interface FlowOffsets {
  readonly warm: number;
  readonly cold: number;
  readonly gel: number;
  readonly time: number;
}

/** Nothing added: the standard figures. */
export const NO_FLOW_OFFSETS: FlowOffsets = { warm: 0, cold: 0, gel: 0, time: 0 };

/** The offsets of a process. */
export const offsetsOf = ({ warmOffset, coldOffset, gelOffset, timeOffset }: Process): FlowOffsets => ({
  warm: warmOffset,
  cold: coldOffset,
  gel: gelOffset,
  time: timeOffset,
});

/** A flow put together again. */
export interface CombinedFlow {
  /** how far the fat has come towards its rest, 0-1 */
  readonly crystallised: number;
  /** volume share of solid fat that builds a network now, 0-1 */
  readonly networkFat: number;
  /** parts of the water-continuous yield stress, Pa */
  readonly cocoaYieldPa: number;
  readonly gelYieldPa: number;
  readonly fatYieldPa: number;
  /** Pa */
  readonly yieldStressPa: number;
  /** Pa·s, at high shear */
  readonly plasticViscosityPaS: number;
  /** Pa·s at 10 1/s */
  readonly apparentViscosityPaS: number;
}

/** Keeps the logarithm of a yield stress of nothing finite. */
const TRACE_YIELD_PA = 1e-6;

/**
 * Puts a flow together, with a kitchen's offsets: the water-continuous and the fat-continuous branch, blended by how far the emulsion is from
 * inverting: viscosities in logarithms, yields in roots, so that a side without a yield does not erase the other (blend: judgement).
 *
 * @example combineFlow(parts, { warm: 0, cold: 0.3, gel: 0, time: 0 }).yieldStressPa // firmer where fat carries it
 */
export function combineFlow(parts: FlowParts, { warm, cold, gel, time }: FlowOffsets): CombinedFlow {
  const { waterContinuous, viscosityInWaterPaS, viscosityInFatPaS, restingNetwork } = parts;
  const byWarm = warm === 0 ? 1 : Math.exp(warm);
  const byCold = cold === 0 ? parts.worked : Math.exp(cold) * parts.worked;
  const crystallised = crystallisedAt(parts.crystalAge, time);
  const networkFat = restingNetwork * crystallised;
  const cocoaYieldPa = parts.cocoaYieldPa * byWarm;
  const gelYieldPa = gel === 0 ? parts.gelYieldPa : parts.gelYieldPa * Math.exp(gel);
  const fatYieldPa = parts.networkYieldPa * halfPower(networkFat + 1e-9, K.fatYieldPower) * byCold;
  const yieldInWater = cocoaYieldPa + gelYieldPa + fatYieldPa;
  const yieldInFat = parts.yieldInFatPa + K.setInFat * halfPower(networkFat + 1e-9, K.setInFatPower) * byCold;
  const plasticViscosityPaS = Math.exp(
    waterContinuous * Math.log(viscosityInWaterPaS * byWarm) + (1 - waterContinuous) * Math.log(viscosityInFatPaS),
  );
  const yieldRoot = waterContinuous * Math.sqrt(yieldInWater) + (1 - waterContinuous) * Math.sqrt(yieldInFat);
  const yieldStressPa = yieldRoot * yieldRoot + TRACE_YIELD_PA;
  return {
    crystallised,
    networkFat,
    cocoaYieldPa,
    gelYieldPa,
    fatYieldPa,
    yieldStressPa,
    plasticViscosityPaS,
    apparentViscosityPaS: cassonViscosity(yieldStressPa, plasticViscosityPaS, SLOW_STIR),
  };
}
