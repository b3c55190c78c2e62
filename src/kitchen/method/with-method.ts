import { effectOf } from '@/core/method/way-summary';
import type { FormulaFile } from '@/formats/formula-file';
import type { WorkedMethod } from './work-method';

/**
 * A formula that is made by a method: what the method does to the batch is what the predictions reckon with from now on: how much of the starch
 * is cooked, how fine the emulsion is, how much water boils off.
 *
 * @param worked the method, followed to its end
 * @returns the formula as it was but for its method, process and evaporation; one that is only warmed again keeps what its making did
 */
export function withMethod(file: FormulaFile, worked: WorkedMethod): FormulaFile {
  const method = worked.kept;
  const effect = effectOf(worked.followed);
  if (!effect || worked.way === 'reheated') return { ...file, method };
  return {
    ...file,
    method,
    process: { ...file.process, cook: effect.cook, mix: effect.mix },
    yield: { bowlLossGrams: 0, ...file.yield, evaporationGrams: effect.evaporationG },
  };
}
