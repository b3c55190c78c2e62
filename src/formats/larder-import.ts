import { keysOf } from '@/core/keys-of';
import type { Ingredient } from './ingredient';
import { idFromName } from './ingredient-id';
import type { CellFault, CsvRow } from './larder-csv';

/** What will happen with a row of an import. */
export type PlannedRow =
  | { readonly what: 'refuse'; readonly row: number; readonly name: string; readonly faults: readonly CellFault[] }
  | { readonly what: 'same'; readonly row: number; readonly name: string }
  | {
      readonly what: 'add' | 'change';
      readonly row: number;
      readonly name: string;
      readonly ingredient: Ingredient;
      /** fields that change, or why it is added beside another */
      readonly words: string;
    };

/** Fields of a typical ingredient that a kitchen may change. */
const KITCHEN_FIELDS: ReadonlySet<string> = new Set(['pricePerKg', 'stockG', 'note']);

const FIELD_WORDS: Partial<Record<keyof Ingredient, string>> = {
  components: 'composition',
  densityGPerMl: 'density',
  cocoaPercent: 'cocoa %',
  gelatinBloomG: 'bloom strength',
  transFatG: 'trans fat',
  cholesterolMg: 'cholesterol',
  pricePerKg: 'price',
  stockG: 'stock',
  mayContain: 'traces',
};

/** Text of a value in which the order of its parts does not matter. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return JSON.stringify([...value].sort());
  if (value && typeof value === 'object') {
    return JSON.stringify(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)));
  }
  return JSON.stringify(value);
}

/** Fields in which two ingredients differ. */
function differences(a: Ingredient, b: Ingredient): (keyof Ingredient)[] {
  return keysOf(b).filter(
    (field) => field !== 'id' && field !== 'origin' && canonical(a[field]) !== canonical(b[field]),
  );
}

const wordsOf = (fields: readonly (keyof Ingredient)[]) =>
  fields.map((field) => FIELD_WORDS[field] ?? field).join(', ');

/**
 * Plans an import, row by row: new ingredients are added as the kitchen's own, own ones are changed, of typical ones only price, stock and
 * note change; a typical one with another composition is added beside it.
 *
 * @param rows as read from the file
 * @param existing the larder now
 */
export function planImport(rows: readonly CsvRow[], existing: readonly Ingredient[]): PlannedRow[] {
  const byId = new Map(existing.map((ingredient) => [ingredient.id, ingredient]));
  const byName = new Map(existing.map((ingredient) => [ingredient.name.toLowerCase(), ingredient]));
  const ids = new Set(byId.keys());
  const names = new Set(byName.keys());
  const touched = new Set<string>();

  const add = (row: number, ingredient: Ingredient, words: string): PlannedRow => {
    let name = ingredient.name;
    for (let n = 1; names.has(name.toLowerCase()); n++) name = `${ingredient.name}, own${n > 1 ? ` ${n}` : ''}`;
    let id = byId.has(ingredient.id) || ids.has(ingredient.id) ? idFromName(name) : ingredient.id;
    for (let n = 2; ids.has(id); n++) id = `${idFromName(name)}-${n}`;
    names.add(name.toLowerCase());
    ids.add(id);
    return { what: 'add', row, name, ingredient: { ...ingredient, id, name, origin: 'own' }, words };
  };

  return rows.map(({ row, name, ingredient: read, faults }): PlannedRow => {
    if (!read) return { what: 'refuse', row, name, faults };
    const known = byName.get(read.name.toLowerCase()) ?? byId.get(read.id);
    if (!known) return add(row, read, 'new');
    // A file that says nothing of allergens takes nothing back.
    const ingredient = read.allergens === null ? { ...read, allergens: known.allergens } : read;
    if (touched.has(known.id)) {
      return { what: 'refuse', row, name, faults: [{ field: 'id', message: 'another row already changes this one' }] };
    }
    touched.add(known.id);
    const fields = differences(known, ingredient);
    if (fields.length === 0) return { what: 'same', row, name };
    if (known.origin === 'typical' && fields.some((field) => !KITCHEN_FIELDS.has(field))) {
      return add(row, ingredient, `the typical one stays; differs in ${wordsOf(fields)}`);
    }
    return {
      what: 'change',
      row,
      name,
      ingredient: { ...ingredient, id: known.id, origin: known.origin },
      words: wordsOf(fields),
    };
  });
}
