import { z } from 'zod';
import { type Declared, inOrder } from '@/core/matter/allergens';
import { recogniseAllergens } from './allergen-words';

/** What a pack declares, as texts: at most so many, so long. */
const texts = z.array(z.string().trim().min(1).max(400, 'must be at most 400 characters')).max(60);

/** The two lists of a pack, as they may come: whatever words somebody used. */
export const allergenFields = {
  /** what it contains; nothing when nobody has said, an empty list when somebody looked and found none */
  allergens: texts.nullable(),
  mayContain: texts.default([]),
};

interface Written {
  readonly allergens: readonly string[] | null;
  readonly mayContain: readonly string[];
}

/** The same thing with both lists recognised: traces that were written among the allergens move to where they belong. */
export function recogniseFields<Item extends Written>(
  item: Item,
): Omit<Item, keyof Written> & { allergens: Declared[] | null; mayContain: Declared[] } {
  const written = item.allergens && recogniseAllergens(item.allergens);
  const traces = recogniseAllergens(item.mayContain);
  return {
    ...item,
    allergens: written && [...written.contains],
    mayContain: inOrder([...(written?.mayContain ?? []), ...traces.contains, ...traces.mayContain]),
  };
}
