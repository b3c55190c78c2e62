import { inThisKitchen, type KitchenKnowledge } from '@/core/learn/kitchen';
import type { ComponentVector } from '@/core/matter/components';
import type { Process } from '@/core/matter/process';
import { mainChocolate } from '@/core/method/main-chocolate';

/** How a formula is made in this kitchen: with what its tests taught of itself and of the formula's chocolate, where they count. */
export function processHere(
  process: Process,
  lines: readonly { readonly ingredient: string; readonly perGram: ComponentVector; readonly grams: number }[],
  pours: KitchenKnowledge | undefined,
): Process {
  if (!pours) return process;
  const chocolate = mainChocolate(lines);
  return inThisKitchen(process, pours, chocolate === undefined ? undefined : lines[chocolate]?.ingredient);
}
