import { partOf } from '../matter/component-vector';
import type { ComponentVector } from '../matter/components';
import { FAT_LATENT_HEAT, heatCapacityBy } from '../set/heat';
import type { LiquidReading } from './liquid-reading';
import { type Lump, radiusNow } from './lump';
import { transferNumber } from './transfer';

/** kg/m³ of a piece of chocolate or butter (J). */
const PIECE_DENSITY = 1250;

/** J/kg of fat that turns liquid, and the shares of each that are solid in a cold piece (latent published, shares J). */
const SOLID_SHARE = { cocoaButter: 0.8, milkFat: 0.5, lauricFat: 0.8 };

interface Fats {
  readonly cocoaButter: number;
  readonly milkFat: number;
  readonly lauricFat: number;
}

/** Fats of 1 g that are solid in the cold, g; `hard_fat` melts as milk fat does (J). */
function solidFats(perGram: ComponentVector): Fats {
  return {
    cocoaButter: partOf(perGram, 'cocoa_butter'),
    milkFat: partOf(perGram, 'milk_fat') + partOf(perGram, 'hard_fat'),
    lauricFat: partOf(perGram, 'lauric_fat'),
  };
}

/** g of fat that can be solid, in 1 g. */
export function solidFatOf(perGram: ComponentVector): number {
  const { cocoaButter, milkFat, lauricFat } = solidFats(perGram);
  return cocoaButter + milkFat + lauricFat;
}

/**
 * Where a piece melts: cocoa butter highest, lauric fat lowest.
 *
 * @param perGram what 1 g of it is made of, with some fat
 * @returns °C (J)
 */
export function meltingPoint(perGram: ComponentVector): number {
  const { cocoaButter, milkFat, lauricFat } = solidFats(perGram);
  const all = Math.max(cocoaButter + milkFat + lauricFat, 1e-12);
  return 30 + (4 * cocoaButter) / all - (4 * lauricFat) / all;
}

/** J/kg/K of something by its composition, at a temperature where one is meant. */
export function heatCapacityOf(perGram: ComponentVector, temperatureC?: number): number {
  const fat = solidFatOf(perGram) + partOf(perGram, 'liquid_oil');
  return heatCapacityBy({ water: partOf(perGram, 'water'), ethanol: partOf(perGram, 'ethanol'), fat }, temperatureC);
}

/**
 * Heat that melts a kilogram of a piece, warming it to its melting point included. A piece that is warmer than that has only its latent
 * heat to take.
 *
 * @param perGram what 1 g of it is made of
 * @param temperatureC °C it is at
 * @returns J/kg, never negative; 0 of something warm that holds no fat
 */
export function meltHeat(perGram: ComponentVector, temperatureC: number): number {
  return heatCapacityOf(perGram) * Math.max(meltingPoint(perGram) - temperatureC, 0) + latentHeat(perGram);
}

/** J/kg that melting alone takes. */
export function latentHeat(perGram: ComponentVector): number {
  const { cocoaButter, milkFat, lauricFat } = solidFats(perGram);
  return (
    FAT_LATENT_HEAT *
    (SOLID_SHARE.cocoaButter * cocoaButter + SOLID_SHARE.milkFat * milkFat + SOLID_SHARE.lauricFat * lauricFat)
  );
}

/**
 * Heat that pieces take from the liquid around them.
 *
 * @param lump pieces with something left
 * @param liquidC °C
 * @param reading of the liquid
 * @param stir 0 left alone to 1 hard
 * @returns W; 0 in a liquid that is not warmer than the melting point
 * @see quasi-steady Stefan problem of a sphere (published)
 */
export function heatIntoPieces(lump: Lump, liquidC: number, reading: LiquidReading, stir: number): number {
  const above = liquidC - meltingPoint(lump.perGram);
  if (above <= 0 || lump.grams <= 0) return 0;
  const radius = radiusNow(lump);
  const areaM2 = (3 * (lump.grams / 1000)) / (PIECE_DENSITY * radius);
  const { conductivity, densityKgM3, heatCapacity, baseViscosityPaS } = reading;
  const nusselt = transferNumber(radius, stir, {
    densityKgM3,
    viscosityPaS: baseViscosityPaS,
    diffusivityM2S: conductivity / (densityKgM3 * heatCapacity),
  });
  return areaM2 * nusselt * (conductivity / (2 * radius)) * above;
}
