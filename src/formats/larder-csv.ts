import Papa from 'papaparse';
import { COMPONENT_NAMES } from '@/core/matter/components';
import { type Ingredient, ingredientSchema } from './ingredient';

/** Reads `chopped=0.55;chips=0.72` as numbers by name. */
function pairs(text: string): Record<string, number> {
  return Object.fromEntries(
    text
      .split(';')
      .filter((pair) => pair.includes('='))
      .map((pair) => {
        const [name, value] = pair.split('=') as [string, string];
        return [name.trim(), Number(value)];
      }),
  );
}

const orNull = (text: string | undefined) => (text?.trim() ? Number(text) : null);

/**
 * Reads the larder's CSV: one ingredient a row, g per 100 g by component.
 *
 * @param text CSV with a header row
 * @throws {Error} naming the row and the field that cannot be read
 */
export function parseLarderCsv(text: string): Ingredient[] {
  const { data, errors } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  const first = errors[0];
  if (first) throw new Error(`larder row ${(first.row ?? 0) + 2}: ${first.message}`);
  return data.map((row, index) => {
    const components = Object.fromEntries(
      COMPONENT_NAMES.filter((name) => Number(row[name]) !== 0).map((name) => [name, Number(row[name])]),
    );
    const parsed = ingredientSchema.safeParse({
      id: row.id,
      name: row.name,
      group: row.group,
      components,
      measures: pairs(row.measures ?? ''),
      pieces: pairs(row.pieces ?? ''),
      densityGPerMl: orNull(row.density_g_per_ml),
      cocoaPercent: orNull(row.cocoa_percent),
      allergens: (row.allergens ?? '')
        .split(';')
        .map((name) => name.trim())
        .filter(Boolean),
      vegan: row.vegan === 'y',
      priceEurPerKg: orNull(row.price_eur_per_kg),
      keeps: row.keeps ?? '',
      caution: row.caution ?? '',
      source: row.source ?? '',
    });
    if (!parsed.success) {
      const issue = parsed.error.issues[0];
      throw new Error(`larder row ${index + 2}, ${issue?.path.join('.')}: ${issue?.message}`);
    }
    return parsed.data;
  });
}
