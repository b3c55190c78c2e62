import { useMemo } from 'react';
import { atThePour } from '@/core/formula/moment-role';
import { usualHistory } from '@/core/matter/process';
import { chocolateColour } from '@/core/shine/colour';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { larderOf } from '@/kitchen/known-item';
import { keyed, predictPan } from '@/kitchen/known-pan';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { panContents } from '@/kitchen/pan-contents';
import { useCalibration } from '@/ui/pours/pours-provider';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

const USUAL_POUR_C = 35;

/** Everything serving reads of a formula, as this kitchen pours; nothing while nothing is in it. */
export function useServing(id: string, file: FormulaFile, ingredients: readonly Ingredient[]) {
  const [kitchenC, setKitchenC] = useKitchenTemperature();
  const calibration = useCalibration(id);
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = useStove();
  const larder = useMemo(() => larderOf(ingredients), [ingredients]);
  const predicted = useMemo(() => predictPan(keyed(file), larder, calibration), [file, larder, calibration]);
  const method = useMemo(() => {
    if (!predicted || predicted.unknown.length > 0) return undefined;
    const stove = { panCm, powerW, hob, microwaveW, altitudeM, dampPercent };
    return workMethod(file, predicted.formula, kitchenOf(file, kitchenC, stove));
  }, [file, predicted, kitchenC, panCm, powerW, hob, microwaveW, altitudeM, dampPercent]);
  return useMemo(() => {
    if (!predicted) return undefined;
    const { prediction, formula } = predicted;
    const pour = atThePour(prediction.moments)?.moment ?? {
      temperatureC: USUAL_POUR_C,
      history: usualHistory(USUAL_POUR_C),
    };
    return {
      id,
      file,
      larder,
      formula,
      prediction,
      method,
      pour,
      kitchenC,
      setKitchenC,
      contents: panContents(file, larder),
      batchG: prediction.massG,
      colour: chocolateColour(prediction.batch.mixture),
      unknown: predicted.unknown,
    };
  }, [id, file, larder, predicted, method, kitchenC, setKitchenC]);
}

export type Serving = NonNullable<ReturnType<typeof useServing>>;
