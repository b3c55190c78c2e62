import type { KnownItem } from '@/kitchen/known-item';

/** Water in 100 g from which something pours by itself. */
const LIQUID_WATER = 40;

/**
 * Whether an ingredient counts as chocolate in a ratio: it carries cocoa and melts, powders and pure butter left out. What only the formula
 * knows is judged by its composition alone.
 */
export function isChocolate({ stocked, components }: Pick<KnownItem, 'stocked' | 'components'>): boolean {
  const butter = components.cocoa_butter ?? 0;
  const isKind = stocked === undefined || stocked.group === 'chocolate';
  return isKind && butter >= 20 && butter < 90 && (components.cocoa_solids ?? 0) < 70;
}

/** Whether an ingredient counts as liquid in a ratio. */
export function isLiquid({ components }: Pick<KnownItem, 'components'>): boolean {
  return (components.water ?? 0) >= LIQUID_WATER;
}
