import { useCallback, useMemo } from 'react';
import type { WayId } from '@/core/method/step';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { itemOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/** The pan of a formula as a method sees it, and its method by any way, in this kitchen; rows nobody knows are left out and named. */
export function useMethodOf(file: FormulaFile, ingredients: readonly Ingredient[]) {
  const [kitchenC] = useKitchenTemperature();
  const { panCm, powerW, hob, microwaveW } = useStove();
  const pan = useMemo(() => {
    const larder = new Map(ingredients.map((each) => [each.id, each]));
    const whole = keyed(file);
    const { formula, unknown } = knownPan(whole, larder);
    const lines = file.lines.filter(({ ingredient }) => itemOf(file, larder, ingredient) !== undefined);
    return {
      unknown,
      formula,
      lines,
      names: lines.map(({ ingredient }) => itemOf(file, larder, ingredient)?.name ?? ingredient),
    };
  }, [file, ingredients]);
  const work = useCallback(
    (way: WayId | undefined) =>
      workMethod(
        { ...file, lines: pan.lines, method: way && { way } },
        pan.formula.lines,
        kitchenOf(file, kitchenC, { panCm, powerW, hob, microwaveW }),
      ),
    [file, pan, kitchenC, panCm, powerW, hob, microwaveW],
  );
  return { pan, work };
}
