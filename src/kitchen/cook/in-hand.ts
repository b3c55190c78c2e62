import type { Ingredient } from '@/formats/ingredient';

/** What nearly every kitchen has in hand to mend a pan with. */
const IN_HAND = [
  'water',
  'milk-whole',
  'cream-35',
  'glucose-syrup-de42',
  'dark-couverture-60',
  'unsweetened-chocolate-100',
  'sugar-caster',
] as const;

/** Groups whose things make a sauce thinner, thicker, sweeter or richer. */
const MENDING = new Set<Ingredient['group']>(['chocolate', 'dairy', 'plant', 'sugars']);
/** Most that are compared besides the usual ones. */
const MOST_MORE = 16;

/**
 * What can be put into a pan: the usual things, the formula's own rows, and what the kitchen says it has in hand; nothing of which it says that
 * none is left.
 *
 * @param own ids of the formula's rows
 */
export function inHand<Item extends Pick<Ingredient, 'id' | 'group' | 'stockG'>>(
  larder: readonly Item[],
  own: readonly string[],
): Item[] {
  const usual = new Set<string>([...IN_HAND, ...own]);
  const isLeft = ({ stockG }: Item) => stockG !== 0;
  const more = larder.filter(
    ({ id, group, stockG }) => !usual.has(id) && MENDING.has(group) && stockG !== null && stockG > 0,
  );
  return [...larder.filter(({ id }) => usual.has(id)).filter(isLeft), ...more.slice(0, MOST_MORE)];
}
