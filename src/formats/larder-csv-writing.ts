import Papa from 'papaparse';
import { COMPONENT_NAMES } from '@/core/matter/components';
import type { Ingredient } from './ingredient';

/** Columns besides the components. */
const OTHER_COLUMNS = [
  'ph',
  'density_g_per_ml',
  'measures',
  'pieces',
  'cocoa_percent',
  'gelatin_bloom',
  'trans_fat_g',
  'cholesterol_mg',
  'allergens',
  'may_contain',
  'vegan',
  'price_per_kg',
  'stock_g',
  'keeps',
  'caution',
  'note',
  'made_of',
  'source',
  'origin',
] as const;

const pairsText = (pairs: Readonly<Record<string, number>>) =>
  Object.entries(pairs)
    .map(([name, value]) => `${name}=${value}`)
    .join(';');

/** An empty cell says that nobody has said. */
const declaredText = (declared: Ingredient['allergens']) =>
  declared === null ? '' : declared.length > 0 ? declared.join(';') : 'none';

/**
 * Writes ingredients as a CSV that spreadsheets open: cells that they would run as formulas are marked as text, the file begins with the mark of
 * UTF-8.
 */
export function writeLarderCsv(ingredients: readonly Ingredient[]): string {
  const rows = ingredients.map((ingredient) => ({
    id: ingredient.id,
    name: ingredient.name,
    group: ingredient.group,
    ...Object.fromEntries(COMPONENT_NAMES.map((name) => [name, ingredient.components[name] ?? 0])),
    ph: ingredient.ph,
    density_g_per_ml: ingredient.densityGPerMl,
    measures: pairsText(ingredient.measures),
    pieces: pairsText(ingredient.pieces),
    cocoa_percent: ingredient.cocoaPercent,
    gelatin_bloom: ingredient.gelatinBloomG,
    trans_fat_g: ingredient.transFatG,
    cholesterol_mg: ingredient.cholesterolMg,
    allergens: declaredText(ingredient.allergens),
    may_contain: ingredient.mayContain.join(';'),
    vegan: ingredient.vegan ? 'y' : 'n',
    price_per_kg: ingredient.pricePerKg,
    stock_g: ingredient.stockG,
    keeps: ingredient.keeps,
    caution: ingredient.caution,
    note: ingredient.note,
    made_of: ingredient.madeOf,
    source: ingredient.source,
    origin: ingredient.origin,
  }));
  const columns = ['id', 'name', 'group', ...COMPONENT_NAMES, ...OTHER_COLUMNS];
  return `\uFEFF${Papa.unparse({ fields: columns, data: rows.map((row) => columns.map((column) => row[column as keyof typeof row] ?? '')) }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
