import { crystallisedAt } from '../fat/crystallisation';
import { type MeltingRange, meltingRange, solidFat } from '../fat/solid-fat';
import { cassonViscosity, SLOW_STIR } from '../flow/casson';
import { cocoaYield } from '../flow/cocoa-yield';
import { type FatContinuous, fatContinuous } from '../flow/fat-continuous';
import { type Phases, phases } from '../flow/phases';
import type { Climate } from '../matter/climate';
import type { ComponentVector } from '../matter/components';
import { foldMixture, type Mixture } from '../matter/mixture';
import type { Process, ThermalHistory } from '../matter/process';
import { K } from '../model-constants';
import { type Dissolved, dissolve, type Solvent, solvent } from '../serum/dissolved';
import { type Serum, serum } from '../serum/viscosity';
import { waterActivity } from '../serum/water-activity';
import { bridging, fatNetworkYield, networkFat, solidFatFraction, workedFactor } from '../set/fat-network';
import { gelYield } from '../set/gels';
import { bloomRisk, grain, shineIndex } from '../shine/shine-index';
import { halfPower } from '../smooth';
import { type Risks, risks } from '../stability/risks';
import { climateAt } from './climate';

/** A batch with all that does not depend on temperature worked out once. */
export interface Batch {
  readonly mixture: Mixture;
  readonly solvent: Solvent;
  readonly melting: MeltingRange;
  readonly inFat: FatContinuous;
}

/**
 * Prepares a batch for reading at many temperatures.
 *
 * @param grams g of each component, 0 or more, not all 0
 * @param process what was done to it
 * @example flowAt(prepareBatch(mix(lines), DEFAULT_PROCESS), 36, [[0.3, 36]]).resistancePa
 */
export function prepareBatch(grams: ComponentVector, process: Process): Batch {
  const mixture = foldMixture(grams, process);
  return { mixture, solvent: solvent(mixture), melting: meltingRange(mixture), inFat: fatContinuous(mixture) };
}

/** How a batch flows and sets at one temperature after one history. */
export interface Flow {
  readonly temperatureC: number;
  readonly dissolved: Dissolved;
  readonly serum: Serum;
  readonly phases: Phases;
  /** how far the fat has come towards its rest, 0-1 */
  readonly crystallised: number;
  /** share of all fat that is solid, 0-1 */
  readonly solidFatFraction: number;
  /** volume share of solid fat that builds a network, 0-1 */
  readonly networkFat: number;
  /** parts of the water-continuous yield stress, Pa */
  readonly cocoaYieldPa: number;
  readonly gelYieldPa: number;
  readonly fatYieldPa: number;
  /** seizing of the fat-continuous branch, 0-1 */
  readonly seizing: number;
  /** Pa */
  readonly yieldStressPa: number;
  /** Pa·s, at high shear */
  readonly plasticViscosityPaS: number;
  /** Pa·s at 10 1/s */
  readonly apparentViscosityPaS: number;
  /** Pa at 10 1/s: resistance to the spoon */
  readonly resistancePa: number;
}

/** Everything about a batch at one temperature. */
export interface State {
  readonly flow: Flow;
  readonly waterActivity: number;
  /** 0-100 */
  readonly shine: number;
  readonly risks: Risks;
}

/** Keeps the logarithm of a yield stress of nothing finite. */
const TRACE_YIELD_PA = 1e-6;

/**
 * Flow of a batch at one temperature: the water-continuous and the fat-continuous branch, blended by how far the emulsion is from
 * inverting: viscosities in logarithms, yields in roots, so that a side without a yield does not erase the other (blend: judgement).
 *
 * The yield stress of a paste filled with particles grows as the root of (1 - share) x viscosity factor (Chateau, Ovarlez & Trung 2008,
 * published).
 *
 * @param batch from {@link prepareBatch}, mass above 0
 * @param temperatureC °C, 0-95 in the data behind the laws
 * @param history hours and °C, oldest first, ending now
 */
export function flowAt(batch: Batch, temperatureC: number, history: ThermalHistory): Flow {
  return flowIn(batch, climateAt(temperatureC, history));
}

/** {@link flowAt} for a climate that was prepared: sweeps over many batches read the same ones. */
export function flowIn(batch: Batch, climate: Climate): Flow {
  const { mixture, inFat } = batch;
  const { temperatureC } = climate;
  const dissolved = dissolve(mixture, batch.solvent, climate);
  const syrup = serum(mixture, dissolved, climate);
  const room = phases(mixture, dissolved);
  const { waterContinuous, particlePacking, dropletPacking } = room;

  const handling = Math.exp(0.4 * (mixture.process.mix - 0.6) + mixture.process.warmOffset);
  const viscosityInWater = syrup.viscosityPaS * particlePacking * dropletPacking * handling;

  const byDroplets = Math.sqrt((1 - room.fat) * dropletPacking);
  const byAll = byDroplets * Math.sqrt(Math.max(1 - room.particles, 0) * particlePacking);
  const cocoaYieldPa = cocoaYield(room.cocoa, syrup.viscosityPaS, climate.cocoaColdFactor) * byDroplets * handling;
  const gelYieldPa = gelYield(syrup, mixture.process, climate) * byAll * Math.exp(mixture.process.gelOffset);

  const solid = solidFat(mixture, batch.melting, climate);
  const progress = crystallisedAt(climate.crystalClock, waterContinuous, mixture.process.timeOffset);
  const network = networkFat(mixture, solid, progress, room.fat);
  const worked = workedFactor(mixture);
  const fatYieldPa = fatNetworkYield(network, particlePacking, worked) * bridging(mixture, room);
  const yieldInWater = cocoaYieldPa + gelYieldPa + fatYieldPa;

  const yieldInFat = inFat.warmYieldPa + K.setInFat * halfPower(network + 1e-9, K.setInFatPower) * worked;

  const plasticViscosityPaS = Math.exp(
    waterContinuous * Math.log(viscosityInWater) +
      (1 - waterContinuous) * Math.log(inFat.plasticViscosityAt40PaS * climate.inFatColdFactor),
  );
  const yieldRoot = waterContinuous * Math.sqrt(yieldInWater) + (1 - waterContinuous) * Math.sqrt(yieldInFat);
  const yieldStressPa = yieldRoot * yieldRoot + TRACE_YIELD_PA;
  const apparentViscosityPaS = cassonViscosity(yieldStressPa, plasticViscosityPaS, SLOW_STIR);
  return {
    temperatureC,
    dissolved,
    serum: syrup,
    phases: room,
    crystallised: progress,
    solidFatFraction: solidFatFraction(mixture, solid, progress),
    networkFat: network,
    cocoaYieldPa,
    gelYieldPa,
    fatYieldPa,
    seizing: inFat.seizing,
    yieldStressPa,
    plasticViscosityPaS,
    apparentViscosityPaS,
    resistancePa: SLOW_STIR * apparentViscosityPaS,
  };
}

/**
 * Everything about a batch at one temperature: flow, water activity, shine and risks.
 *
 * @param batch from {@link prepareBatch}, mass above 0
 * @param temperatureC °C, 0-95 in the data behind the laws
 * @param history hours and °C, oldest first, ending now
 * @example stateAt(prepareBatch(mix(lines), DEFAULT_PROCESS), 36, [[0.3, 36]]).waterActivity
 */
export function stateAt(batch: Batch, temperatureC: number, history: ThermalHistory): State {
  return stateIn(batch, climateAt(temperatureC, history));
}

/** {@link stateAt} for a climate that was prepared. */
export function stateIn(batch: Batch, climate: Climate): State {
  const { mixture } = batch;
  const flow = flowIn(batch, climate);
  const aw = waterActivity(mixture, flow.dissolved);
  const graininess = grain(mixture, flow.dissolved, flow.phases.waterContinuous);
  const bloom = bloomRisk(mixture, flow.solidFatFraction, flow.phases.fat);
  const shared = {
    mixture,
    dissolved: flow.dissolved,
    serum: flow.serum,
    phases: flow.phases,
    networkFat: flow.networkFat,
    grain: graininess,
    bloom,
    seizing: flow.seizing,
    apparentViscosityPaS: flow.apparentViscosityPaS,
    waterActivity: aw,
  };
  return { flow, waterActivity: aw, shine: shineIndex(shared), risks: risks(shared, climate.temperatureC) };
}
