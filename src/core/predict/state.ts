import { crystalAge } from '../fat/crystallisation';
import { type MeltingRange, meltingRange, solidFat } from '../fat/solid-fat';
import { SLOW_STIR } from '../flow/casson';
import { cocoaYield } from '../flow/cocoa-yield';
import { type FatContinuous, fatContinuous } from '../flow/fat-continuous';
import { type Phases, phases } from '../flow/phases';
import type { Climate } from '../matter/climate';
import type { ComponentVector } from '../matter/components';
import { foldMixture, type Mixture } from '../matter/mixture';
import type { Process, ThermalHistory } from '../matter/process';
import { type Dissolved, dissolve, type Solvent, solvent } from '../serum/dissolved';
import { type Serum, serum } from '../serum/viscosity';
import { waterActivity } from '../serum/water-activity';
import { bridging, fatNetworkYield, restingNetworkFat, solidFatFraction, workedFactor } from '../set/fat-network';
import { gelYield } from '../set/gels';
import { bloomRisk, grain, shineIndex } from '../shine/shine-index';
import { type Risks, risks } from '../stability/risks';
import { climateAt } from './climate';
import { type CombinedFlow, combineFlow, type FlowParts, offsetsOf } from './flow-parts';

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
export interface Flow extends CombinedFlow {
  readonly temperatureC: number;
  readonly dissolved: Dissolved;
  readonly serum: Serum;
  readonly phases: Phases;
  /** what the offsets of a kitchen act on */
  readonly parts: FlowParts;
  /** share of all fat that is solid, 0-1 */
  readonly solidFatFraction: number;
  /** seizing of the fat-continuous branch, 0-1 */
  readonly seizing: number;
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

/**
 * Flow of a batch at one temperature, in the kitchen of its process.
 *
 * @param batch from {@link prepareBatch}, mass above 0
 * @param temperatureC °C, 0-95 in the data behind the laws
 * @param history hours and °C, oldest first, ending now
 */
export function flowAt(batch: Batch, temperatureC: number, history: ThermalHistory): Flow {
  return flowIn(batch, climateAt(temperatureC, history));
}

/**
 * {@link flowAt} for a climate that was prepared: sweeps over many batches read the same ones.
 *
 * The yield stress of a paste filled with particles grows as the root of (1 - share) x viscosity factor (Chateau, Ovarlez & Trung 2008,
 * published).
 */
export function flowIn(batch: Batch, climate: Climate): Flow {
  const { mixture, inFat } = batch;
  const { process } = mixture;
  const dissolved = dissolve(mixture, batch.solvent, climate);
  const syrup = serum(mixture, dissolved, climate);
  const room = phases(mixture, dissolved);
  const { waterContinuous, particlePacking, dropletPacking } = room;
  const handling = Math.exp(0.4 * (process.mix - 0.6));
  const byDroplets = Math.sqrt((1 - room.fat) * dropletPacking);
  const byAll = byDroplets * Math.sqrt(Math.max(1 - room.particles, 0) * particlePacking);
  const solid = solidFat(mixture, batch.melting, climate);
  const parts: FlowParts = {
    waterContinuous,
    viscosityInWaterPaS: syrup.viscosityPaS * particlePacking * dropletPacking * handling,
    viscosityInFatPaS: inFat.plasticViscosityAt40PaS * climate.inFatColdFactor,
    cocoaYieldPa: cocoaYield(room.cocoa, syrup.viscosityPaS, climate.cocoaColdFactor) * byDroplets * handling,
    gelYieldPa: gelYield(syrup, process, climate) * byAll,
    restingNetwork: restingNetworkFat(mixture, solid, room.fat),
    networkYieldPa: fatNetworkYield(particlePacking) * bridging(mixture, room),
    worked: workedFactor(mixture),
    yieldInFatPa: inFat.warmYieldPa,
    crystalAge: crystalAge(climate.crystalClock, waterContinuous),
    densityKgM3: room.densityKgM3,
  };
  const combined = combineFlow(parts, offsetsOf(process));
  return {
    ...combined,
    temperatureC: climate.temperatureC,
    dissolved,
    serum: syrup,
    phases: room,
    parts,
    solidFatFraction: solidFatFraction(mixture, solid, combined.crystallised),
    seizing: inFat.seizing,
    resistancePa: SLOW_STIR * combined.apparentViscosityPaS,
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
