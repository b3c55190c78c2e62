import { partOf } from '../matter/component-vector';
import type { ComponentName, ComponentVector } from '../matter/components';
import { POLYOL_NAMES, polyolSolubility } from '../matter/polyols';
import { lactoseSolubility, sucroseSolubility } from '../serum/dissolved';
import { type Lump, radiusNow } from './lump';
import { transferNumber } from './transfer';

/** kg/m³ of a crystal (J). */
const CRYSTAL_DENSITY = 1590;

/** Diffusion in water at 25 °C, m²/s x 1e10 (published; polyols and salt J). */
const DIFFUSION = { sucrose: 5.2, glucose: 6.7, fructose: 6.9, lactose: 4.9, polyol: 7, salt: 16 };
const WATER_VISCOSITY = 0.00089;
const OTHERS_SOLUBILITY = 9;

type Solute = ComponentName;

/** The component a grain dissolves as: the one there is most of, among those that dissolve. */
function soluteOf(perGram: ComponentVector): Solute {
  const candidates: Solute[] = [
    'sucrose',
    'lactose',
    'glucose',
    'fructose',
    'maltose',
    'higher_saccharides',
    'salt',
    'inulin',
    ...POLYOL_NAMES,
  ];
  return candidates.reduce((best, name) => (partOf(perGram, name) > partOf(perGram, best) ? name : best));
}

/** Whether something holds anything that dissolves: else it cannot go in as grains. */
export const dissolves = (perGram: ComponentVector): boolean => partOf(perGram, soluteOf(perGram)) > 0;

const isPolyol = (name: Solute): name is (typeof POLYOL_NAMES)[number] => POLYOL_NAMES.some((each) => each === name);

function diffusionOf(name: Solute): number {
  if (isPolyol(name)) return DIFFUSION.polyol;
  if (name === 'glucose' || name === 'fructose' || name === 'lactose' || name === 'salt') return DIFFUSION[name];
  return DIFFUSION.sucrose;
}

/**
 * Grams of a solute that saturate a gram of water.
 *
 * @returns g per g
 * @see sucrose Charles 1960, lactose handbook, polyols by their own tables (published); salt 0.36; what mixes freely 9 (J)
 */
export function solubilityOf(name: ComponentName, temperatureC: number): number {
  if (name === 'sucrose') return sucroseSolubility(Math.min(temperatureC, 100));
  if (name === 'lactose') return lactoseSolubility(temperatureC);
  if (name === 'salt') return 0.36;
  return isPolyol(name) ? polyolSolubility(name, temperatureC) : OTHERS_SOLUBILITY;
}

/** Concentration of a solution, kg/m³, by g of solute per g of water. */
const concentration = (perWater: number) => (1000 * perWater) / (1 + 0.62 * perWater);

/** What a liquid offers to grains. */
export interface DissolvingWater {
  /** g of water free to dissolve things */
  readonly waterG: number;
  readonly temperatureC: number;
  /** Pa·s of the syrup */
  readonly serumViscosityPaS: number;
  readonly densityKgM3: number;
  /** g of each component in the liquid */
  readonly liquid: ComponentVector;
}

/** Water free to dissolve grains, g: what cocoa binds is not. */
export function dissolvingWater(liquid: ComponentVector, sugarsG: number): number {
  const water = partOf(liquid, 'water');
  return water - (0.6 * partOf(liquid, 'cocoa_solids') * water) / (water + 1 + sugarsG);
}

/**
 * Grams of a grain that dissolve in a second.
 *
 * @param lump grains with something left
 * @param stir 0 left alone to 1 hard
 * @returns g/s, never more in all than the water there can take
 * @see Nernst 1904, film theory; Stokes-Einstein for warm and thick syrups (published)
 */
export function dissolvingRate(lump: Lump, water: DissolvingWater, stir: number): number {
  const { waterG, temperatureC, serumViscosityPaS, densityKgM3, liquid } = water;
  if (lump.grams <= 0 || waterG <= 1e-6) return 0;
  const solute = soluteOf(lump.perGram);
  const most = solubilityOf(solute, temperatureC);
  const there = partOf(liquid, solute) / waterG;
  if (there >= most) return 0;
  const diffusion =
    ((diffusionOf(solute) * 1e-10 * (temperatureC + 273.15)) / 298.15) * (WATER_VISCOSITY / serumViscosityPaS);
  const radius = radiusNow(lump);
  const areaM2 = (3 * (lump.grams / 1000)) / (CRYSTAL_DENSITY * radius);
  const sherwood = transferNumber(radius, stir, {
    densityKgM3,
    viscosityPaS: serumViscosityPaS,
    diffusivityM2S: diffusion,
  });
  const kgPerS = ((areaM2 * sherwood * diffusion) / (2 * radius)) * (concentration(most) - concentration(there));
  const room = ((most - there) * waterG) / Math.max(partOf(lump.perGram, solute), 1e-6);
  return Math.min(1000 * kgPerS, room);
}
