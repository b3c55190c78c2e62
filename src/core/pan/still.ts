import { type ThermalHistory, usualHistory } from '../matter/process';
import { nth } from '../nth';
import { climateAt } from '../predict/climate';
import { type Batch, type Flow, flowAt, flowIn } from '../predict/state';
import type { Body } from '../set/cooling';
import { FAT_LATENT_HEAT, heatProperties, restingSolidFat } from '../set/heat';

/** One place a body stands in, for a while. */
export interface Standing {
  /** h, above 0 */
  readonly hours: number;
  /** W/m²/K to what is around */
  readonly surface: number;
  /** °C around */
  readonly aroundC: number;
}

/** °C a batch's density and outer phase are read at: as it is poured (J). */
const POURED_C = 40;
const SHELLS = 12;
const STEP_S = 60;
/** Whole degrees the set fat is tabled at. */
const TABLE_FROM_C = -1;
const TABLE_TO_C = 61;

/** A body that stands still: its shells from the centre outwards, each with its own past. Plain data. */
export interface StillBody {
  readonly body: Body;
  readonly hours: number;
  /** °C of each shell, the centre first */
  readonly temperaturesC: Float64Array;
  /** what centre and edge have been through, h and °C */
  readonly centreHistory: ThermalHistory;
  readonly edgeHistory: ThermalHistory;
}

/** What a body is made of, as far as its cooling goes. */
export interface StillMaterial {
  readonly densityKgM3: number;
  readonly conductivity: number;
  /** J/kg/K at a temperature, heat of the fat that sets there included */
  readonly heatCapacityAt: (temperatureC: number) => number;
}

/**
 * How a batch cools: its heat capacity grows where its fat sets.
 *
 * @param batch mass above 0
 */
export function stillMaterial(batch: Batch): StillMaterial {
  const { phases } = flowAt(batch, POURED_C, usualHistory(POURED_C));
  const { heatCapacity, conductivity } = heatProperties(batch);
  const { mixture } = batch;
  const fat = (mixture.fatG - mixture.lecithinG) / mixture.massG;
  const solid = Array.from({ length: TABLE_TO_C - TABLE_FROM_C + 3 }, (_, i) =>
    restingSolidFat(batch, TABLE_FROM_C - 1 + i, phases.waterContinuous),
  );
  const table = Float64Array.from(
    { length: TABLE_TO_C - TABLE_FROM_C + 1 },
    (_, i) => heatCapacity + (FAT_LATENT_HEAT * fat * Math.max(nth(solid, i) - nth(solid, i + 2), 0)) / 2,
  );
  return {
    densityKgM3: phases.densityKgM3,
    conductivity,
    heatCapacityAt: (temperatureC) =>
      nth(table, Math.min(Math.max(Math.floor(temperatureC) - TABLE_FROM_C, 0), table.length - 1)),
  };
}

/** A body poured at one temperature. */
export function pouredBody(body: Body, temperatureC: number): StillBody {
  return {
    body,
    hours: 0,
    temperaturesC: new Float64Array(SHELLS).fill(temperatureC),
    centreHistory: [],
    edgeHistory: [],
  };
}

/** Area at a distance from the middle, and room up to it, per unit of the shape. */
const SHAPES = {
  slab: { area: () => 1, room: (r: number) => r },
  cylinder: { area: (r: number) => 2 * r, room: (r: number) => r * r },
  sphere: { area: (r: number) => 3 * r * r, room: (r: number) => r ** 3 },
} as const;

/** Lengthens a history by a step; steps of nearly one temperature are one. */
function longer(history: (readonly [number, number])[], hours: number, temperatureC: number) {
  const last = history.at(-1);
  if (last && Math.abs(last[1] - temperatureC) < 0.05) {
    const all = last[0] + hours;
    history[history.length - 1] = [all, (last[0] * last[1] + hours * temperatureC) / all];
  } else history.push([hours, temperatureC]);
}

/** Solves a tridiagonal system in place; the answer stands in `right`. */
function solveTridiagonal(lower: Float64Array, middle: Float64Array, upper: Float64Array, right: Float64Array): void {
  const n = middle.length;
  for (let i = 1; i < n; i++) {
    const factor = (lower[i] ?? 0) / (middle[i - 1] ?? 1);
    middle[i] = (middle[i] ?? 0) - factor * (upper[i - 1] ?? 0);
    right[i] = (right[i] ?? 0) - factor * (right[i - 1] ?? 0);
  }
  for (let i = n - 1; i >= 0; i--) {
    right[i] = ((right[i] ?? 0) - (i < n - 1 ? (upper[i] ?? 0) * (right[i + 1] ?? 0) : 0)) / (middle[i] ?? 1);
  }
}

/**
 * Lets a body stand in a place: concentric shells of equal thickness, an implicit step a minute.
 *
 * @param still from {@link pouredBody} or another standing
 * @param material from {@link stillMaterial}
 * @param place where, and how long at most
 * @param isOver looks at its shells each minute; when it says so, it has stood long enough
 * @see heat conduction, backward Euler (published); the number of shells is ours, within 1 % of twice as many
 */
export function stand(
  still: StillBody,
  material: StillMaterial,
  place: Standing,
  isOver: (temperaturesC: Float64Array) => boolean = () => false,
): StillBody {
  const { shape, lengthM } = still.body;
  const { area, room } = SHAPES[shape];
  const thickness = lengthM / SHELLS;
  const { conductivity, densityKgM3 } = material;
  const between = Float64Array.from({ length: SHELLS }, (_, i) => (conductivity / thickness) * area(i * thickness));
  const rooms = Float64Array.from({ length: SHELLS }, (_, i) => room((i + 1) * thickness) - room(i * thickness));
  const outside = area(lengthM) / (1 / Math.max(place.surface, 1e-9) + thickness / (2 * conductivity));

  const t = still.temperaturesC.slice();
  const [lower, middle, upper] = [new Float64Array(SHELLS), new Float64Array(SHELLS), new Float64Array(SHELLS)];
  const centreHistory = [...still.centreHistory];
  const edgeHistory = [...still.edgeHistory];
  let left = place.hours * 3600;
  while (left > 1e-6 && !isOver(t)) {
    const seconds = Math.min(STEP_S, left);
    left -= seconds;
    for (let i = 0; i < SHELLS; i++) {
      const store = (densityKgM3 * material.heatCapacityAt(nth(t, i)) * nth(rooms, i)) / seconds;
      const inner = i === 0 ? 0 : nth(between, i);
      const outer = i === SHELLS - 1 ? outside : nth(between, i + 1);
      lower[i] = -inner;
      upper[i] = i === SHELLS - 1 ? 0 : -outer;
      middle[i] = store + inner + outer;
      t[i] = store * nth(t, i) + (i === SHELLS - 1 ? outside * place.aroundC : 0);
    }
    solveTridiagonal(lower, middle, upper, t);
    longer(centreHistory, seconds / 3600, nth(t, 0));
    longer(edgeHistory, seconds / 3600, nth(t, SHELLS - 1));
  }
  return {
    body: still.body,
    hours: still.hours + place.hours - left / 3600,
    temperaturesC: t,
    centreHistory,
    edgeHistory,
  };
}

/** °C of a body as a whole, by the mass of its shells. */
export function meanTemperature({ body, temperaturesC }: StillBody): number {
  const { room } = SHAPES[body.shape];
  const share = (i: number) => room((i + 1) / SHELLS) - room(i / SHELLS);
  return temperaturesC.reduce((sum, t, i) => sum + t * share(i), 0);
}

/** How centre and edge flow and set: each at its own temperature, after its own past. */
export function standingFlow(still: StillBody, batch: Batch): { readonly centre: Flow; readonly edge: Flow } {
  const read = (temperatureC: number, history: ThermalHistory) =>
    flowIn(batch, climateAt(temperatureC, history.length > 0 ? history : [[STEP_S / 3600, temperatureC]]));
  return {
    centre: read(nth(still.temperaturesC, 0), still.centreHistory),
    edge: read(nth(still.temperaturesC, SHELLS - 1), still.edgeHistory),
  };
}
