import { type Calibration, inThisKitchen } from '@/core/learn/kitchen';
import type { ComponentVector } from '@/core/matter/components';
import type { Process } from '@/core/matter/process';
import { mainChocolate } from '@/core/method/main-chocolate';

/** How a formula is made with these figures: with what a kitchen's tests taught of itself, of the formula's chocolate and of the formula. */
export function processHere(
  process: Process,
  lines: readonly { readonly ingredient: string; readonly perGram: ComponentVector; readonly grams: number }[],
  calibration: Calibration,
): Process {
  if (calibration === 'standard') return process;
  const { knowledge, formula } = calibration;
  const chocolate = mainChocolate(lines);
  return inThisKitchen(process, knowledge, {
    chocolate: chocolate === undefined ? undefined : lines[chocolate]?.ingredient,
    formula,
  });
}
