import { keysOf } from '@/core/keys-of';
import { COMPONENT_COUNT, COMPONENT_INDEX, type Composition } from '@/core/matter/components';
import { DEFAULT_PROCESS, type ThermalHistory } from '@/core/matter/process';
import { type Batch, prepareBatch, type State, stateAt } from '@/core/predict/state';

/** A batch straight from grams of components. */
export function exampleBatch(grams: Composition): Batch {
  const vector = new Float64Array(COMPONENT_COUNT);
  for (const name of keysOf(grams)) vector[COMPONENT_INDEX[name]] = grams[name] ?? 0;
  return prepareBatch(vector, DEFAULT_PROCESS);
}

/** 100 g of a 60 % dark chocolate and 100 g of a 35 % cream: the batch every example on the page speaks of. */
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

const ganache = exampleBatch(EQUAL_GANACHE);

/** The example ganache at a temperature after a history. */
export function exampleState(temperatureC: number, history: ThermalHistory): State {
  return stateAt(ganache, temperatureC, history);
}
