import { useCallback, useMemo } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { FileMethod } from '@/formats/method';
import { itemOf, larderOf } from '@/kitchen/known-item';
import { keyed, knownPan } from '@/kitchen/known-pan';
import { proposalFor } from '@/kitchen/method/proposals';
import { kitchenOf, wayQuestion, workMethod } from '@/kitchen/method/work-method';
import { useCalibration } from '@/ui/pours/pours-provider';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useStove } from '@/ui/use-stove';

/**
 * The pan of a formula as a method sees it, and its method by any way, in this kitchen; rows nobody knows are left out and named.
 *
 * @param propose finds a way where none is chosen: the same function each time
 */
export function useMethodOf(
  id: string,
  file: FormulaFile,
  ingredients: readonly Ingredient[],
  propose: typeof proposalFor = proposalFor,
) {
  const [kitchenC] = useKitchenTemperature();
  const calibration = useCalibration(id);
  const { panCm, powerW, hob, microwaveW, altitudeM, dampPercent } = useStove();
  const pan = useMemo(() => {
    const larder = larderOf(ingredients);
    const whole = keyed(file);
    const { formula, unknown } = knownPan(whole, larder, calibration);
    const lines = file.lines.filter(({ ingredient }) => itemOf(file, larder, ingredient) !== undefined);
    return {
      unknown,
      formula,
      lines,
      names: lines.map(({ ingredient }) => itemOf(file, larder, ingredient)?.name ?? ingredient),
    };
  }, [file, ingredients, calibration]);
  const kitchenFor = useCallback(
    (brief: FormulaFile['brief']) =>
      kitchenOf({ brief }, kitchenC, { panCm, powerW, hob, microwaveW, altitudeM, dampPercent }),
    [kitchenC, panCm, powerW, hob, microwaveW, altitudeM, dampPercent],
  );
  const work = useCallback(
    (method: FileMethod | undefined, { brief }: Pick<FormulaFile, 'brief'> = file) =>
      workMethod({ ...file, brief, lines: pan.lines, method }, pan.formula, kitchenFor(brief), propose),
    [file, pan, kitchenFor, propose],
  );
  const question = useMemo(
    () => wayQuestion({ ...file, lines: pan.lines }, pan.formula, kitchenFor(file.brief)),
    [file, pan, kitchenFor],
  );
  return {
    pan,
    work,
    /** what is asked where its ways are tried */
    question,
  };
}
