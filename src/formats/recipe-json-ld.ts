import { z } from 'zod';
import type { FormulaFile } from './formula-file';

const recipeSchema = z.looseObject({
  name: z.string().optional(),
  recipeIngredient: z.array(z.string()).optional(),
  ingredients: z.array(z.string()).optional(),
  description: z.string().optional(),
});

/** A recipe found in a JSON-LD document: its name, its ingredient lines to be read as text, and its steps. */
export interface FoundRecipe {
  readonly name: string;
  readonly lines: readonly string[];
  readonly steps: readonly string[];
}

const isRecipe = (value: Record<string, unknown>) => [value['@type']].flat().includes('Recipe');

/** Lists within lists that are looked into: deeper no document has its recipe. */
const MAX_DEPTH = 20;
const MOST_STEPS = 60;
const MOST_STEP_LETTERS = 500;

/** Signs a web page writes by name. */
const ENTITIES: Readonly<Record<string, string>> = {
  ...{ amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: ' ', deg: '°', times: '×', ndash: '–', mdash: '—' },
  ...{ frac12: '½', frac14: '¼', frac34: '¾', frac13: '⅓', frac23: '⅔', rsquo: '’', lsquo: '‘', hellip: '…' },
  ...{ eacute: 'é', egrave: 'è', ecirc: 'ê', agrave: 'à', acirc: 'â', ccedil: 'ç', ocirc: 'ô', ucirc: 'û' },
  ...{ auml: 'ä', ouml: 'ö', uuml: 'ü', Auml: 'Ä', Ouml: 'Ö', Uuml: 'Ü', szlig: 'ß', ntilde: 'ñ', iacute: 'í' },
};

/** Text of a web page as it is read: named and numbered signs, no tags, one space where there are many. */
export function plainText(text: string): string {
  return text
    .replace(/<[^<>]*>/g, ' ')
    .replace(/&(#x[\da-f]{1,6}|#\d{1,7}|[a-z]{2,8}\d{0,2});/gi, (whole, name: string) => {
      if (!name.startsWith('#')) return ENTITIES[name] ?? whole;
      const code = /^#x/i.test(name) ? Number.parseInt(name.slice(2), 16) : Number(name.slice(1));
      return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : whole;
    })
    .replace(/\s+/g, ' ')
    .trim();
}

/** Steps as schema.org writes them: texts, steps, sections of steps. */
function stepsOf(value: unknown, depth = 0): string[] {
  if (typeof value === 'string') return [plainText(value)];
  if (value === null || typeof value !== 'object' || depth > MAX_DEPTH) return [];
  if (Array.isArray(value)) return value.flatMap((each) => stepsOf(each, depth + 1));
  const { itemListElement, text, name } = value as Record<string, unknown>;
  if (itemListElement !== undefined) return stepsOf(itemListElement, depth + 1);
  return stepsOf(typeof text === 'string' ? text : typeof name === 'string' ? name : undefined, depth + 1);
}

/** The first schema.org Recipe in a parsed JSON-LD document, wherever it stands in it. */
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
  if (!isRecipe(object)) return findRecipe(Object.values(object), depth + 1);
  const parsed = recipeSchema.safeParse(object);
  if (!parsed.success) return undefined;
  const lines = parsed.data.recipeIngredient ?? parsed.data.ingredients ?? [];
  const steps = stepsOf(object.recipeInstructions)
    .filter((step) => step !== '')
    .slice(0, MOST_STEPS)
    .map((step) => step.slice(0, MOST_STEP_LETTERS));
  return { name: plainText(parsed.data.name ?? 'Recipe'), lines: lines.map(plainText), steps };
}

const SCRIPT = '<script';
const SCRIPT_END = '</script';

/** The first recipe in the JSON-LD of a saved web page; nothing where it has none. */
export function findRecipeInPage(html: string): FoundRecipe | undefined {
  const lower = html.toLowerCase();
  for (let at = lower.indexOf(SCRIPT); at >= 0; at = lower.indexOf(SCRIPT, at + SCRIPT.length)) {
    const open = lower.indexOf('>', at);
    const end = open < 0 ? -1 : lower.indexOf(SCRIPT_END, open);
    if (end < 0) return undefined;
    if (lower.slice(at, open).includes('application/ld+json')) {
      try {
        const found = findRecipe(JSON.parse(html.slice(open + 1, end)));
        if (found) return found;
      } catch {
        // Not this one.
      }
    }
    at = end;
  }
  return undefined;
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
