import type { Ingredient } from '@/formats/ingredient';

/** Water in 100 g from which something pours by itself. */
const LIQUID_WATER = 40;

/** Whether an ingredient counts as chocolate in a ratio: it carries cocoa and melts, powders and pure butter left out. */
export function isChocolate({ group, components }: Pick<Ingredient, 'group' | 'components'>): boolean {
  const butter = components.cocoa_butter ?? 0;
  return group === 'chocolate' && butter >= 20 && butter < 90 && (components.cocoa_solids ?? 0) < 70;
}

/** Whether an ingredient counts as liquid in a ratio. */
export function isLiquid({ components }: Pick<Ingredient, 'components'>): boolean {
  return (components.water ?? 0) >= LIQUID_WATER;
}
