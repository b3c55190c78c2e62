import type { ThermalHistory } from '../matter/process';
import { softPlus } from '../smooth';

/** What a batch stands in while it cools, W/m²/K from its surface (J). */
export const COOLING_PLACES = {
  room: 9,
  fridge: 12,
  blast: 35,
  metalShelf: 60,
  iceBath: 250,
  iceBathStirred: 600,
} as const;

/** A body that cools without being stirred: the length heat has to travel, and how it spreads. */
export interface Body {
  readonly shape: 'slab' | 'cylinder' | 'sphere';
  /** m: depth of a tray cooled from one side (half of it from two), radius of a jar or ball */
  readonly lengthM: number;
}

/** First term of the Fourier series: its root squared, how the surface counts, and its factor at the centre. */
const SHAPES = {
  slab: { root: 2.467, sides: 1, factor: 1.2732 },
  cylinder: { root: 5.783, sides: 2, factor: 1.6018 },
  sphere: { root: 9.87, sides: 3, factor: 2 },
} as const;

/** What the body is made of. */
export interface CoolingMaterial {
  readonly densityKgM3: number;
  /** J/kg/K over the span, the heat of crystallising fat included */
  readonly heatCapacity: number;
  /** W/m/K */
  readonly conductivity: number;
}

/** From where to where, and what is around. */
export interface CoolingSpan {
  readonly fromC: number;
  readonly toC: number;
  readonly aroundC: number;
}

/** Where in the body the temperature is read. */
export type CoolingPoint = 'centre' | 'edge' | 'average';

/** Of the centre's one-term profile at the surface, by shape; `root` is the eigenvalue. */
function surfaceShare(shape: Body['shape'], root: number): number {
  if (shape === 'slab') return Math.cos(root);
  if (shape === 'sphere') return Math.sin(root) / root;
  const q = (root * root) / 4;
  return 1 - q + q ** 2 / 4 - q ** 3 / 36 + q ** 4 / 576 - q ** 5 / 14_400;
}

/** Thrown when the target is not between the surroundings and the start. */
export class CoolingError extends Error {
  override readonly name = 'CoolingError';
}

function checkSpan({ fromC, toC, aroundC }: CoolingSpan): void {
  if (!(aroundC < toC && toC < fromC)) {
    throw new CoolingError(`it cannot cool from ${fromC} to ${toC} °C where it is ${aroundC} °C`);
  }
}

/**
 * Hours until a point of an unstirred tray, jar or bowl reaches a temperature. Edges set before the centre.
 *
 * @param body shape and length
 * @param material density, heat capacity, conductivity
 * @param span from above the target to it, in surroundings below it
 * @param surface W/m²/K, one of {@link COOLING_PLACES}
 * @param point where it is read; `centre` when left out
 * @returns h
 * @throws {CoolingError} the target is not between start and surroundings
 * @see one-term Fourier series (published); the blend between slow and fast surfaces is ours, within 3 % of finite differences for a 2 cm tray
 */
export function coolingHours(
  body: Body,
  material: CoolingMaterial,
  span: CoolingSpan,
  surface: number,
  point: CoolingPoint = 'centre',
): number {
  checkSpan(span);
  const { root, sides, factor } = SHAPES[body.shape];
  const biot = (surface * body.lengthM) / material.conductivity;
  const rootSquared = 1 / (1 / root + 1 / (sides * biot));
  const centre = 1 + (factor - 1) * (biot / (biot + 2.2));
  const share =
    point === 'average' ? 1 : point === 'centre' ? centre : centre * surfaceShare(body.shape, Math.sqrt(rootSquared));
  const ratio = (share * (span.fromC - span.aroundC)) / (span.toC - span.aroundC);
  const scale =
    (material.densityKgM3 * material.heatCapacity * body.lengthM ** 2) / (material.conductivity * rootSquared);
  return (scale * softPlus(Math.log(ratio), 0.02)) / 3600;
}

/**
 * Hours until a stirred bowl reaches a temperature.
 *
 * @param massG g
 * @param areaM2 m² of surface heat leaves through
 * @param heatCapacity J/kg/K over the span
 * @param span from above the target to it, in surroundings below it
 * @param surface W/m²/K
 * @throws {CoolingError} the target is not between start and surroundings
 * @see Newton's law of cooling
 */
export function stirredCoolingHours(
  massG: number,
  areaM2: number,
  heatCapacity: number,
  span: CoolingSpan,
  surface: number,
): number {
  checkSpan(span);
  const seconds = ((massG / 1000) * heatCapacity) / (surface * areaM2);
  return (seconds * Math.log((span.fromC - span.aroundC) / (span.toC - span.aroundC))) / 3600;
}

/**
 * A bowl as a sphere of the same volume and surface.
 *
 * @param massG g in it
 * @param densityKgM3 kg/m³
 */
export function bowlBody(massG: number, densityKgM3: number): Body {
  const volume = massG / 1000 / densityKgM3;
  return { shape: 'sphere', lengthM: (3 * volume) / bowlArea(massG, densityKgM3) };
}

/** Surface of a bowl heat leaves through, m² (J: 6.1 V^2/3). */
function bowlArea(massG: number, densityKgM3: number): number {
  return 6.1 * (massG / 1000 / densityKgM3) ** (2 / 3);
}

/**
 * Thermal history of something that cools towards its surroundings, as steps the set in time can read.
 *
 * @param fromC °C at the start
 * @param aroundC °C it cools towards
 * @param timeConstantHours h until 63 % of the way is gone, above 0
 * @param hours h in all
 * @param steps equal steps, 8 are enough
 * @example coolingHistory(45, 5, 0.9, 4)
 */
export function coolingHistory(
  fromC: number,
  aroundC: number,
  timeConstantHours: number,
  hours: number,
  steps = 8,
): ThermalHistory {
  const step = hours / steps;
  return Array.from({ length: steps }, (_, i): readonly [number, number] => [
    step,
    aroundC + (fromC - aroundC) * Math.exp((-(i + 0.5) * step) / timeConstantHours),
  ]);
}
