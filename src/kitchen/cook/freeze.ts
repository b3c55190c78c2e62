import type { Calibration } from '@/core/learn/kitchen';
import { roundToScale } from '@/core/matter/scale-rounding';
import type { FrozenBatch } from '@/formats/batch';
import type { FormulaFile } from '@/formats/formula-file';
import { processHere } from '@/formats/process-here';
import { resolveFormula, resolveLines } from '@/formats/resolve-formula';
import { itemOf, type Larder } from '../known-item';
import { fileSteps } from '../method/file-steps';
import { kitchenOf, workMethod } from '../method/work-method';

/** A formula with all it is made of in the file itself: a larder that changes later changes nothing here. */
function selfContained(file: FormulaFile, larder: Larder): FormulaFile {
  const used = [...new Set(file.lines.map(({ ingredient }) => ingredient))];
  const ingredients = used.flatMap((id) => {
    const item = itemOf(file, larder, id);
    if (!item) return [];
    const { name, components, pricePerKg, allergens, mayContain, vegan, madeOf, transFatG, cholesterolMg } = item;
    const own = {
      name,
      components,
      ...(pricePerKg === null ? {} : { pricePerKg }),
      ...(allergens === null ? {} : { allergens: [...allergens] }),
      ...(mayContain.length > 0 ? { mayContain: [...mayContain] } : {}),
      ...(vegan === undefined ? {} : { vegan }),
      ...(madeOf === '' ? {} : { madeOf }),
      ...(transFatG === null ? {} : { transFatG }),
      ...(cholesterolMg === null ? {} : { cholesterolMg }),
    };
    return [[id, own] as const];
  });
  return { ...file, ingredients: { ...file.ingredients, ...Object.fromEntries(ingredients) } };
}

/** A formula with what the kitchen's tests taught in its own process: a batch is reckoned as this kitchen pours, whatever is learnt later. */
function inKitchen(file: FormulaFile, calibration: Calibration): FormulaFile {
  const { warmOffset, coldOffset, gelOffset, timeOffset } = processHere(
    file.process,
    resolveLines(file, new Map()),
    calibration,
  );
  return { ...file, process: { ...file.process, warmOffset, coldOffset, gelOffset, timeOffset } };
}

/** A pan without a way of working, as it is: all it is made of stands in it. */
export function freezePan(file: FormulaFile, larder: Larder, at: Pick<FrozenBatch, 'stove' | 'kitchenC'>): FrozenBatch {
  return freezeBatch(file, larder, 'standard', { times: 1, ...at }) ?? { file: selfContained(file, larder), ...at };
}

/**
 * What a batch is begun with: the formula times so much, with its method in full and all it is made of.
 *
 * @param calibration whose figures the batch is predicted by, whatever is learnt later
 * @returns nothing where a row is unknown or no way of working suits it
 */
export function freezeBatch(
  file: FormulaFile,
  larder: Larder,
  calibration: Calibration,
  { times, stove, kitchenC }: Pick<FrozenBatch, 'stove' | 'kitchenC'> & { readonly times: number },
): FrozenBatch | undefined {
  if (file.lines.some(({ ingredient }) => itemOf(file, larder, ingredient) === undefined)) return undefined;
  const lines = file.lines.map((line) => ({ ...line, grams: roundToScale(line.grams * times) }));
  const scaled = inKitchen(selfContained({ ...file, lines }, larder), calibration);
  const worked = workMethod(scaled, resolveFormula(scaled, new Map(), 'standard'), kitchenOf(scaled, kitchenC, stove));
  if (!worked) return undefined;
  const steps = fileSteps(
    worked.followed.map(({ step }) => step),
    lines,
  );
  return { file: { ...scaled, method: { way: worked.way, steps } }, stove, kitchenC };
}
