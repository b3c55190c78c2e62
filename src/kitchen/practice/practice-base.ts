import { atThePour, onceSet } from '@/core/formula/moment-role';
import { roleOfRow } from '@/core/method/row-role';
import type { PracticeBase } from '@/core/practice/hidden-pan';
import type { FormulaFile } from '@/formats/formula-file';
import { itemOf, type Larder } from '../known-item';
import { keyed, predictPan } from '../known-pan';

/** °C and h where a formula names no moment once it has set. */
const USUAL_EATEN = { eatC: 5, hours: 12 } as const;
const USUAL_POUR_C = 36;

/** A formula as it is practised: its rows with their roles, how warm it is poured and eaten; nothing while nothing known is in it. */
export function practiceBase(file: FormulaFile, larder: Larder): PracticeBase | undefined {
  const predicted = predictPan(keyed(file), larder, 'standard');
  if (!predicted) return undefined;
  const { formula, prediction } = predicted;
  const known = file.lines.filter(({ ingredient }) => itemOf(file, larder, ingredient) !== undefined);
  const set = onceSet(prediction.moments)?.moment;
  return {
    rows: formula.lines.map(({ perGram, grams }, i) => ({
      name: itemOf(file, larder, known[i]?.ingredient ?? '')?.name ?? '',
      role: roleOfRow(perGram),
      perGram,
      grams,
    })),
    process: formula.process,
    pourC: atThePour(prediction.moments)?.moment.temperatureC ?? USUAL_POUR_C,
    eatC: set?.temperatureC ?? USUAL_EATEN.eatC,
    hours: set?.history.reduce((sum, [hours]) => sum + hours, 0) ?? USUAL_EATEN.hours,
  };
}
