import { crystalAge, crystallisedAt } from '../fat/crystallisation';
import { solidFat } from '../fat/solid-fat';
import { climateAt } from '../predict/climate';
import type { Batch } from '../predict/state';
import { solidFatFraction } from './fat-network';

/** How a batch takes and leads heat. */
export interface HeatProperties {
  /** J/kg/K without the heat of crystallising fat */
  readonly heatCapacity: number;
  /** W/m/K */
  readonly conductivity: number;
}

/** J/kg of fat that turns solid. */
export const FAT_LATENT_HEAT = 130_000;
const REST_HOURS = 48;

/** °C at which a heat capacity is read where no temperature is meant. */
const NO_TEMPERATURE_C = 40;

/**
 * Heat capacity by shares of water, alcohol and fat, the rest being dry.
 *
 * @param temperatureC °C; where none is meant, 40
 * @returns J/kg/K
 * @see Choi & Okos 1986, rounded (published)
 */
export function heatCapacityBy(
  { water, ethanol, fat }: { water: number; ethanol: number; fat: number },
  temperatureC = NO_TEMPERATURE_C,
): number {
  const dry = 1549 + 1.96 * temperatureC - 5.94e-3 * temperatureC ** 2;
  return 4180 * (water + 0.6 * ethanol) + 2000 * fat + dry * Math.max(1 - water - ethanol - fat, 0);
}

/**
 * Heat capacity and conductivity from composition.
 *
 * @param batch mass above 0
 * @param temperatureC °C; where none is meant, 40
 * @see Choi & Okos 1986, rounded (published)
 */
export function heatProperties(batch: Batch, temperatureC = NO_TEMPERATURE_C): HeatProperties {
  const { massG, waterG, ethanolG, fatG, lecithinG } = batch.mixture;
  const fat = (fatG - lecithinG) / massG;
  const water = waterG / massG;
  const ethanol = ethanolG / massG;
  const rest = Math.max(1 - water - ethanol - fat, 0);
  return {
    heatCapacity: heatCapacityBy({ water, ethanol, fat }, temperatureC),
    conductivity: 0.58 * water + 0.17 * fat + 0.25 * rest,
  };
}

/** Share of the fat that is solid after two days at a temperature. */
export function restingSolidFat(batch: Batch, temperatureC: number, waterContinuous: number): number {
  const climate = climateAt(temperatureC, [[REST_HOURS, temperatureC]]);
  const solid = solidFat(batch.mixture, batch.melting, climate);
  return solidFatFraction(
    batch.mixture,
    solid,
    crystallisedAt(crystalAge(climate.crystalClock, waterContinuous), batch.mixture.process.timeOffset),
  );
}

/**
 * Heat capacity over a span of cooling, with the heat of the fat that turns solid in it.
 *
 * @param batch mass above 0
 * @param fromC °C, above `toC`
 * @param toC °C
 * @param waterContinuous 1 droplets in water, 0 bulk fat
 * @returns J/kg/K
 */
export function apparentHeatCapacity(batch: Batch, fromC: number, toC: number, waterContinuous: number): number {
  const { mixture } = batch;
  const fat = (mixture.fatG - mixture.lecithinG) / mixture.massG;
  const solidified = restingSolidFat(batch, toC, waterContinuous) - restingSolidFat(batch, fromC, waterContinuous);
  return (
    heatProperties(batch).heatCapacity + (FAT_LATENT_HEAT * fat * Math.max(solidified, 0)) / Math.max(fromC - toC, 1)
  );
}
