import type { Allergen } from '@/core/matter/allergens';
import { aimOf } from '@/core/matter/blend';
import { compositionVector } from '@/core/matter/components';
import { type Contents, contentsOf, isFreeOfAllergen } from '@/core/matter/contents';
import { nutrition } from '@/core/matter/nutrition';
import type { StoredIngredient } from '@/formats/ingredient';
import { plainMeaning } from '@/formats/ingredient-words';
import { allergenLine } from '@/kitchen/words/allergen-sentences';

/** An ingredient as the table shows it. */
export interface LarderRow {
  readonly ingredient: StoredIngredient;
  readonly contents: Contents;
  readonly name: string;
  readonly group: string;
  readonly cocoaPercent: number | undefined;
  readonly fat: number;
  readonly water: number;
  readonly sugars: number;
  readonly price: number | undefined;
  readonly stockG: number | undefined;
  /** all that search looks through, lower case */
  readonly words: string;
}

const rows = new WeakMap<StoredIngredient, LarderRow>();

/** The table's row of an ingredient, worked out once. */
export function rowOf(ingredient: StoredIngredient): LarderRow {
  let row = rows.get(ingredient);
  if (!row) {
    const perGram = compositionVector(ingredient.components);
    const contents = contentsOf(ingredient);
    row = {
      ingredient,
      contents,
      name: ingredient.name,
      group: ingredient.group,
      cocoaPercent: ingredient.cocoaPercent ?? undefined,
      fat: aimOf({ perGram }, 'fatPercent'),
      water: ingredient.components.water ?? 0,
      sugars: nutrition(perGram).sugars,
      price: ingredient.pricePerKg ?? undefined,
      stockG: ingredient.stockG ?? undefined,
      words: [
        ingredient.name,
        ingredient.group,
        ingredient.note,
        allergenLine(contents),
        contents.vegan === 'yes' ? 'vegan' : '',
        ingredient.origin === 'own' ? 'own' : '',
      ]
        .join(' ')
        .toLowerCase(),
    };
    rows.set(ingredient, row);
  }
  return row;
}

/** What of the larder is shown. */
export interface LarderFilter {
  readonly query: string;
  /** '' for all groups */
  readonly group: string;
  /** allergen it must be free of; '' for no such wish */
  readonly without: Allergen | '';
  readonly vegan: boolean;
  readonly own: boolean;
}

export const EVERYTHING: LarderFilter = { query: '', group: '', without: '', vegan: false, own: false };

/** Every number of a query stands in a name: 35 % cream is no 12 % cream. */
const hasNumbers = (name: string, query: string) =>
  (query.match(/\d+/g) ?? []).every((number) => name.includes(number));

/**
 * The rows that pass a filter: every word of the query stands somewhere in them, or they are what the query plainly means in a kitchen's words. What
 * is asked for by a number is near it only where nothing has that number.
 */
export function filterRows(all: readonly LarderRow[], filter: LarderFilter): LarderRow[] {
  const words = filter.query.toLowerCase().split(/\s+/).filter(Boolean);
  const { found } = plainMeaning(
    filter.query,
    all.map(({ ingredient }) => ingredient),
  );
  const numbered = found.filter(({ name }) => hasNumbers(name, filter.query));
  const meant = new Set((numbered.length > 0 ? numbered : found).map(({ id }) => id));
  return all.filter(
    ({ ingredient, contents, words: has, group }) =>
      (filter.group === '' || group === filter.group) &&
      (filter.without === '' || isFreeOfAllergen(filter.without, contents)) &&
      (!filter.vegan || contents.vegan === 'yes') &&
      (!filter.own || ingredient.origin === 'own') &&
      (words.every((word) => has.includes(word)) || meant.has(ingredient.id)),
  );
}
