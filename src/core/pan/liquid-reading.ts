import { cassonViscosity } from '../flow/casson';
import type { ComponentVector } from '../matter/components';
import { DEFAULT_PROCESS, usualHistory } from '../matter/process';
import { flowAt, prepareBatch } from '../predict/state';
import { waterActivity } from '../serum/water-activity';
import { heatProperties } from '../set/heat';
import { dissolvingWater } from './dissolving';
import { boilingPoint } from './water';

/** 1/s at which a film at the base is sheared. */
const BASE_SHEAR = 50;

/** The laws of the mixture end here, °C: a pan boiled dry is hotter, and is read as if it were not. */
const HOTTEST_READ_C = 130;

/** All that the pan asks of its liquid. */
export interface LiquidReading {
  readonly heatCapacity: number;
  readonly conductivity: number;
  readonly densityKgM3: number;
  readonly waterActivity: number;
  readonly boilsAtC: number;
  /** Pa·s at the base */
  readonly baseViscosityPaS: number;
  readonly serumViscosityPaS: number;
  /** 1 droplets in water, 0 bulk fat */
  readonly waterContinuous: number;
  /** g free to dissolve grains */
  readonly dissolvingWaterG: number;
  /** g of sugars per g */
  readonly sugar: number;
}

/**
 * Reads a liquid at its temperature.
 *
 * @param liquid g of each component, mass above 0
 * @param altitudeM m above the sea
 */
export function readLiquid(
  liquid: ComponentVector,
  temperatureC: number,
  { cook, mix }: { readonly cook: number; readonly mix: number },
  altitudeM: number,
): LiquidReading {
  const batch = prepareBatch(liquid, { ...DEFAULT_PROCESS, cook, mix });
  const readC = Math.min(temperatureC, HOTTEST_READ_C);
  const flow = flowAt(batch, readC, usualHistory(readC));
  const aw = waterActivity(batch.mixture, flow.dissolved);
  return {
    ...heatProperties(batch, readC),
    densityKgM3: flow.phases.densityKgM3,
    waterActivity: aw,
    boilsAtC: boilingPoint(aw, altitudeM),
    baseViscosityPaS: cassonViscosity(flow.yieldStressPa, flow.plasticViscosityPaS, BASE_SHEAR),
    serumViscosityPaS: flow.serum.viscosityPaS,
    waterContinuous: flow.phases.waterContinuous,
    dissolvingWaterG: dissolvingWater(liquid, batch.mixture.sugarsG),
    sugar: batch.mixture.sugarsG / batch.mixture.massG,
  };
}
