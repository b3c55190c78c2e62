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

/** Lists within lists that are looked into: deeper no document has its recipe. */
const MAX_DEPTH = 20;

/** The first schema.org Recipe in a parsed JSON-LD document, also inside a list or a graph. */
export function findRecipe(value: unknown, depth = 0): FoundRecipe | undefined {
  if (value === null || typeof value !== 'object' || depth > MAX_DEPTH) return undefined;
  if (Array.isArray(value)) {
    for (const each of value) {
      const found = findRecipe(each, depth + 1);
      if (found) return found;
    }
    return undefined;
  }
  const object = value as Record<string, unknown>;
  if (!isRecipe(object)) return findRecipe(object['@graph'], depth + 1);
  const parsed = recipeSchema.safeParse(object);
  if (!parsed.success) return undefined;
  const lines = parsed.data.recipeIngredient ?? parsed.data.ingredients ?? [];
  return { name: parsed.data.name ?? 'Recipe', lines };
}

/** How a recipe is made, as schema.org tells it. */
export interface RecipeInstructions {
  readonly totalSeconds: number;
  readonly tools: readonly string[];
  readonly steps: readonly { readonly name: string; readonly text: string }[];
}

/** A duration of ISO 8601, in whole minutes. */
function isoMinutes(seconds: number): string {
  const minutes = Math.max(Math.round(seconds / 60), 1);
  const hours = Math.floor(minutes / 60);
  return `PT${hours > 0 ? `${hours}H` : ''}${minutes % 60 > 0 || hours === 0 ? `${minutes % 60}M` : ''}`;
}

/**
 * Writes a formula as a schema.org Recipe.
 *
 * @param nameOf an ingredient's name by its id
 * @param made how it is made, where that is known
 */
export function recipeJsonLd(file: FormulaFile, nameOf: (ingredient: string) => string, made?: RecipeInstructions) {
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
    ...(made
      ? {
          totalTime: isoMinutes(made.totalSeconds),
          tool: made.tools,
          recipeInstructions: made.steps.map(({ name, text }, i) => ({
            '@type': 'HowToStep',
            position: i + 1,
            name,
            text,
          })),
        }
      : {}),
  };
}
