import { predictFormula } from '@/core/predict/predict-formula';
import type { FrozenBatch } from '@/formats/batch';
import type { BatchState } from '@/formats/batch-state';
import { lookUp } from '@/formats/look-up';
import type { Keeping } from '@/formats/shelf';
import type { CookedBatch } from '../cook/cook-batch';
import { dangerClock } from '../cook/danger-clock';

/** What the keeping of a batch is judged by: its water, spirit and dairy, and its own clock while it cooled. */
export function keepingOf(cooked: CookedBatch, state: BatchState, { file }: FrozenBatch): Keeping | undefined {
  const prediction = predictFormula(cooked.formula);
  if (!prediction) return undefined;
  const read = state.temperatures.map(({ ms, temperatureC }) => ({ ms, temperatureC }));
  return {
    waterActivity: prediction.asKept.waterActivity,
    alcoholPercentVol: prediction.alcoholPercentVol,
    hasDairy: file.lines.some(({ ingredient }) => lookUp(file.ingredients, ingredient)?.allergens?.includes('milk')),
    growsH: read.length > 1 ? dangerClock(read).growsH : null,
  };
}
