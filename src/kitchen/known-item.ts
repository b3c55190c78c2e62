import type { Composition } from '@/core/matter/components';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { lookUp } from '@/formats/look-up';

/** The larder by id. */
export type Larder = ReadonlyMap<string, Ingredient>;

/** A larder by id. */
export const larderOf = (ingredients: readonly Ingredient[]): Larder =>
  new Map(ingredients.map((each) => [each.id, each]));

/** What a row of a pan is made of, whether the larder knows it or only the formula does. */
export interface KnownItem
  extends Pick<Ingredient, 'id' | 'name' | 'allergens' | 'mayContain' | 'transFatG' | 'cholesterolMg'> {
  readonly components: Composition;
  /** nothing where nobody has said */
  readonly vegan: boolean | undefined;
  readonly pricePerKg: number | null;
  /** what it is itself made of, as its pack lists it; empty where nobody has said */
  readonly madeOf: string;
  /** as the larder has it; nothing for what only the formula knows */
  readonly stocked: Ingredient | undefined;
}

/** As much of a formula as tells what its rows are made of. */
export type WithOwn = Pick<FormulaFile, 'ingredients'>;

/** What an ingredient of a formula is: the formula's own first, as in all that is predicted, then the larder's; nothing when neither knows it. */
export function itemOf({ ingredients }: WithOwn, larder: Larder, id: string): KnownItem | undefined {
  const own = lookUp(ingredients, id);
  if (own) {
    return {
      id,
      name: own.name,
      components: own.components,
      allergens: own.allergens ?? null,
      mayContain: own.mayContain ?? [],
      vegan: own.vegan,
      pricePerKg: own.pricePerKg ?? null,
      madeOf: own.madeOf ?? '',
      transFatG: own.transFatG ?? null,
      cholesterolMg: own.cholesterolMg ?? null,
      stocked: undefined,
    };
  }
  const stocked = larder.get(id);
  return stocked && { ...stocked, stocked };
}

/** The items in a pan, each once, rows without grams left out; and the ids of rows nobody knows. */
export function itemsIn(
  formula: WithOwn & { readonly lines: readonly { readonly ingredient: string; readonly grams: number }[] },
  larder: Larder,
): { readonly items: readonly KnownItem[]; readonly unknown: readonly string[] } {
  const ids = [...new Set(formula.lines.filter(({ grams }) => grams > 0).map(({ ingredient }) => ingredient))];
  const found = ids.map((id) => ({ id, item: itemOf(formula, larder, id) }));
  return {
    items: found.flatMap(({ item }) => item ?? []),
    unknown: found.filter(({ item }) => !item).map(({ id }) => id),
  };
}
