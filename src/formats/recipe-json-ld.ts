import { z } from 'zod';
import type { FormulaFile } from './formula-file';

const recipeSchema = z.looseObject({
  name: z.string().optional(),
  recipeIngredient: z.array(z.string()).optional(),
  ingredients: z.array(z.string()).optional(),
  description: z.string().optional(),
});

/** A recipe found in a JSON-LD document: its name and its ingredient lines, to be read as text. */
export interface FoundRecipe {
  readonly name: string;
  readonly lines: readonly string[];
}

const isRecipe = (value: Record<string, unknown>) => [value['@type']].flat().includes('Recipe');

/** The first schema.org Recipe in a parsed JSON-LD document, also inside a list or a graph. */
export function findRecipe(value: unknown): FoundRecipe | undefined {
  if (Array.isArray(value)) {
    for (const each of value) {
      const found = findRecipe(each);
      if (found) return found;
    }
    return undefined;
  }
  if (value === null || typeof value !== 'object') return undefined;
  const object = value as Record<string, unknown>;
  if (!isRecipe(object)) return findRecipe(object['@graph']);
  const parsed = recipeSchema.safeParse(object);
  if (!parsed.success) return undefined;
  const lines = parsed.data.recipeIngredient ?? parsed.data.ingredients ?? [];
  return { name: parsed.data.name ?? 'Recipe', lines };
}

/**
 * Writes a formula as a schema.org Recipe.
 *
 * @param nameOf an ingredient's name by its id
 */
export function recipeJsonLd(file: FormulaFile, nameOf: (ingredient: string) => string) {
  const total = file.lines.reduce((sum, line) => sum + line.grams, 0);
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: file.name,
    ...(file.note ? { description: file.note } : {}),
    ...(file.tags?.length ? { keywords: file.tags.join(', ') } : {}),
    recipeYield: `${Math.round(total)} g`,
    recipeIngredient: file.lines.map(
      ({ ingredient, grams, form }) =>
        `${Math.round(grams * 10) / 10} g ${nameOf(ingredient)}${form ? `, ${form}` : ''}`,
    ),
  };
}
