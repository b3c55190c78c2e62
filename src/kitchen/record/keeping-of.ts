import { spoilersOf } from '@/core/keep/keeping';
import { modelDoubt } from '@/core/predict/doubt';
import { predictFormula } from '@/core/predict/predict-formula';
import type { FrozenBatch } from '@/formats/batch';
import type { BatchState } from '@/formats/batch-state';
import type { Keeping } from '@/formats/shelf';
import type { CookedBatch } from '../cook/cook-batch';
import { dangerClock } from '../cook/danger-clock';
import { asMade } from './as-made';

/** What the keeping of a batch is judged by: the water, the spirit and what spoils that really went into it, and its own clock while it cooled. */
export function keepingOf(cooked: CookedBatch, state: BatchState, frozen: FrozenBatch): Keeping | undefined {
  const { formula } = asMade(cooked, state, frozen.file);
  const prediction = predictFormula(formula);
  if (!prediction) return undefined;
  const read = state.temperatures.map(({ ms, temperatureC }) => ({ ms, temperatureC }));
  return {
    waterActivity: prediction.asKept.waterActivity,
    alcoholPercentVol: prediction.alcoholPercentVol,
    waterActivitySd: modelDoubt(prediction.batch.mixture).waterActivity,
    spoilers: spoilersOf(formula.lines),
    growsH: read.length > 1 ? dangerClock(read).growsH : null,
  };
}
