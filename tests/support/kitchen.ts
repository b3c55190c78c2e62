import { readFileSync } from 'node:fs';
import type { Formula } from '@/core/formula/formula';
import type { Gate } from '@/core/formula/gates';
import { COMPONENT_COUNT, COMPONENT_INDEX, type ComponentName, type Composition } from '@/core/matter/components';
import { DEFAULT_PROCESS, type Process, type ThermalHistory, usualHistory } from '@/core/matter/process';
import { type Batch, prepareBatch, type State, stateAt } from '@/core/predict/state';
import { readFormula } from '@/formats/formula-file';
import { parseLarderCsv } from '@/formats/larder-csv';
import { resolveFormula } from '@/formats/resolve-formula';

/** The starting larder, by id. */
export const larder = new Map(
  parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map((ingredient) => [ingredient.id, ingredient]),
);

/** A batch straight from grams of components. */
export function batchOf(components: Composition, process: Partial<Process> = {}): Batch {
  const grams = new Float64Array(COMPONENT_COUNT);
  for (const [name, amount] of Object.entries(components)) grams[COMPONENT_INDEX[name as ComponentName]] = amount;
  return prepareBatch(grams, { ...DEFAULT_PROCESS, ...process });
}

/** The state of a batch; rested or fresh as usual when no history is given. */
export function stateOf(
  components: Composition,
  temperatureC: number,
  history: ThermalHistory = usualHistory(temperatureC),
  process: Partial<Process> = {},
): State {
  return stateAt(batchOf(components, process), temperatureC, history);
}

type Row = readonly [ingredient: string, grams: number, more?: object];

/** A formula from larder rows. Moments: pan 60, pour 36, bench 20, fridge 4 °C after 12 h. */
export function formulaOf(rows: readonly Row[], gates: readonly Gate[] = [], process: Partial<Process> = {}): Formula {
  return resolveFormula(readFormula(fileOf(rows, gates, process)), larder, 'standard');
}

/** The same as a formula file. */
export function fileOf(rows: readonly Row[], gates: readonly Gate[] = [], process: Partial<Process> = {}) {
  return {
    format: 'dark-pour/formula',
    version: 1,
    name: 'Test pour',
    lines: rows.map(([ingredient, grams, more]) => ({ ingredient, grams, ...more })),
    process,
    moments: [
      { name: 'pan', temperatureC: 60 },
      { name: 'pour', temperatureC: 36 },
      { name: 'bench', temperatureC: 20 },
      { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
    ],
    gates,
  };
}

/** Equal weights of dark chocolate and cream, as grams of components. */
export const EQUAL_GANACHE: Composition = {
  water: 59.9,
  cocoa_butter: 38,
  cocoa_solids: 21.6,
  sucrose: 39.2,
  lecithin: 0.5,
  milk_fat: 35,
  milk_protein: 2.1,
  lactose: 3.1,
  milk_ash: 0.5,
};

/** Sums compositions. */
export function together(...parts: readonly Composition[]): Composition {
  const sum: Record<string, number> = {};
  for (const part of parts) for (const [name, grams] of Object.entries(part)) sum[name] = (sum[name] ?? 0) + grams;
  return sum;
}

/** A composition times a factor. */
export function times(factor: number, part: Composition): Composition {
  return Object.fromEntries(Object.entries(part).map(([name, grams]) => [name, grams * factor]));
}

/** Typical materials per 100 g, as the published facts use them. */
export const DARK_60: Composition = { water: 0.7, cocoa_butter: 38, cocoa_solids: 21.6, sucrose: 39.2, lecithin: 0.5 };
export const CREAM_35: Composition = { water: 59.2, milk_fat: 35, milk_protein: 2.1, lactose: 3.1, milk_ash: 0.5 };
export const MILK: Composition = { water: 87.7, milk_fat: 3.6, milk_protein: 3.3, lactose: 4.7, milk_ash: 0.7 };
