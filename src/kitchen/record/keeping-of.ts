import { partOf } from '@/core/matter/component-vector';
import { predictFormula } from '@/core/predict/predict-formula';
import type { FrozenBatch } from '@/formats/batch';
import type { BatchState } from '@/formats/batch-state';
import type { Keeping } from '@/formats/shelf';
import type { CookedBatch } from '../cook/cook-batch';
import { dangerClock } from '../cook/danger-clock';
import { panContents } from '../pan-contents';
import { asMade } from './as-made';

/** g of milk protein from which a batch counts as dairy whatever is declared. */
const TRACE_G = 0.01;

/** What the keeping of a batch is judged by: the water, spirit and dairy that really went into it, and its own clock while it cooled. */
export function keepingOf(cooked: CookedBatch, state: BatchState, frozen: FrozenBatch): Keeping | undefined {
  const { file, formula } = asMade(cooked, state, frozen.file);
  const prediction = predictFormula(formula);
  if (!prediction) return undefined;
  const read = state.temperatures.map(({ ms, temperatureC }) => ({ ms, temperatureC }));
  return {
    waterActivity: prediction.asKept.waterActivity,
    alcoholPercentVol: prediction.alcoholPercentVol,
    hasDairy:
      panContents(file, new Map()).contains.includes('milk') || partOf(prediction.components, 'milk_protein') > TRACE_G,
    growsH: read.length > 1 ? dangerClock(read).growsH : null,
  };
}
