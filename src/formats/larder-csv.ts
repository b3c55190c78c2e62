import Papa from 'papaparse';
import type { z } from 'zod';
import { COMPONENT_NAMES, COMPOSITION_ROUNDING_G } from '@/core/matter/components';
import { saysNone } from './allergen-words';
import { isAmbiguous, readNumber } from './amount';
import { type Ingredient, ingredientSchema } from './ingredient';
import { idFromName } from './ingredient-id';

/** Largest CSV that is read, bytes; five thousand ingredients are about two megabytes. */
export const LARGEST_CSV_BYTES = 10_000_000;
const MOST_ROWS = 20_000;

/** Which column a field of an ingredient stands in. */
const COLUMN_OF: Readonly<Record<string, string>> = {
  densityGPerMl: 'density_g_per_ml',
  cocoaPercent: 'cocoa_percent',
  gelatinBloomG: 'gelatin_bloom',
  transFatG: 'trans_fat_g',
  cholesterolMg: 'cholesterol_mg',
  pricePerKg: 'price_per_kg',
  stockG: 'stock_g',
  mayContain: 'may_contain',
  madeOf: 'made_of',
};

/** Columns that had another name in older files. */
const FORMER_COLUMNS: ReadonlyMap<string, string> = new Map([['price_eur_per_kg', 'price_per_kg']]);

/** Thrown when a file cannot be read as a table of ingredients at all. */
export class LarderCsvError extends Error {
  override readonly name = 'LarderCsvError';
}

/** Something wrong in one cell of a row. */
export interface CellFault {
  /** the column */
  readonly field: string;
  readonly message: string;
}

/** One row of a CSV: an ingredient, or why it is none. */
export interface CsvRow {
  /** line of the table, the header being 1 */
  readonly row: number;
  readonly name: string;
  readonly ingredient: Ingredient | undefined;
  readonly faults: readonly CellFault[];
}

/**
 * Reads the bytes of a text file: UTF-8 or UTF-16 with their marks, else Windows-1252, as spreadsheets write it.
 *
 * @throws {LarderCsvError} too large, or no text
 */
export function decodeCsv(bytes: Uint8Array): string {
  if (bytes.length > LARGEST_CSV_BYTES) throw new LarderCsvError('The file is over 10 MB; a larder is a few at most.');
  const [a, b] = bytes;
  const utf16 = a === 0xff && b === 0xfe ? 'utf-16le' : a === 0xfe && b === 0xff ? 'utf-16be' : undefined;
  if (utf16) return new TextDecoder(utf16).decode(bytes);
  if (bytes.subarray(0, 4096).includes(0)) throw new LarderCsvError('This is no text file.');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

type Cells = Readonly<Record<string, string>>;

/** Takes off the mark that keeps a spreadsheet from running a cell as a formula. */
const plainText = (cell: string | undefined) => (cell ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '');

class RowReader {
  readonly faults: CellFault[] = [];

  constructor(private readonly cells: Cells) {}

  text(column: string): string {
    return plainText(this.cells[column]);
  }

  /** A number with decimal point or comma; nothing in an empty cell. */
  number(column: string): number | null {
    return this.readNumber(column, this.text(column));
  }

  private readNumber(column: string, text: string): number | null {
    if (text === '') return null;
    if (isAmbiguous(text)) {
      const [a, b] = [text.replace(',', '.'), text.replace(',', '')];
      this.faults.push({ field: column, message: `"${text}" may be ${a} or ${b}: write it without the comma` });
      return null;
    }
    const value = readNumber(text);
    if (Number.isFinite(value)) return value;
    this.faults.push({ field: column, message: `"${text.slice(0, 40)}" is not a number` });
    return null;
  }

  /** `chopped=0.55; chips=0.72` as numbers by name. */
  pairs(column: string): Record<string, number> {
    const found: Record<string, number> = {};
    for (const pair of this.text(column).split(';')) {
      if (pair.trim() === '') continue;
      const [name = '', value = ''] = pair.split('=').map((part) => part.trim());
      const number = this.readNumber(column, value);
      if (name === '' || value === '')
        this.faults.push({ field: column, message: `"${pair.trim()}" is not like chopped=0.55` });
      else if (number !== null) found[name] = number;
    }
    return found;
  }

  /** What a pack declares; nothing in an empty cell, an empty list where the cell says none. */
  declared(column: string): string[] | null {
    const text = this.text(column);
    return text === '' ? null : saysNone(text) ? [] : [text];
  }

  yes(column: string): boolean {
    return /^(y|yes|true|1|x)$/i.test(this.text(column));
  }
}

function faultOf(issue: z.core.$ZodIssue): CellFault {
  const [field = '', inner] = issue.path.map(String);
  if (field === 'components') return { field: inner ?? 'components', message: issue.message };
  return { field: COLUMN_OF[field] ?? field, message: issue.message };
}

/** Reads one row. `origin` counts only in the larder that ships; imported rows are the kitchen's own. */
function readRow(cells: Cells, row: number, columns: readonly string[]): CsvRow {
  const reader = new RowReader(cells);
  const name = reader.text('name');
  const components: Record<string, number> = {};
  for (const component of COMPONENT_NAMES) {
    if (!columns.includes(component)) continue;
    const grams = reader.number(component);
    if (grams) components[component] = grams;
  }
  const sum = Object.values(components).reduce((total, grams) => total + grams, 0);
  if (sum === 0) reader.faults.push({ field: 'water', message: 'no component is given: what is it made of?' });
  const parsed = ingredientSchema.safeParse({
    id: reader.text('id') || idFromName(name),
    name,
    group: reader.text('group'),
    components,
    measures: reader.pairs('measures'),
    pieces: reader.pairs('pieces'),
    densityGPerMl: reader.number('density_g_per_ml'),
    cocoaPercent: reader.number('cocoa_percent'),
    gelatinBloomG: reader.number('gelatin_bloom'),
    ph: reader.number('ph'),
    transFatG: reader.number('trans_fat_g'),
    cholesterolMg: reader.number('cholesterol_mg'),
    allergens: reader.declared('allergens'),
    mayContain: reader.declared('may_contain') ?? [],
    vegan: reader.yes('vegan'),
    pricePerKg: reader.number('price_per_kg'),
    stockG: reader.number('stock_g'),
    keeps: reader.text('keeps'),
    caution: reader.text('caution'),
    note: reader.text('note'),
    madeOf: reader.text('made_of'),
    source: reader.text('source'),
    origin: reader.text('origin') === 'own' ? 'own' : 'typical',
  });
  const faults = [...reader.faults, ...(parsed.success ? [] : parsed.error.issues.map(faultOf))];
  if (sum > 100 + COMPOSITION_ROUNDING_G && !faults.some(({ message }) => message.includes('add up'))) {
    faults.push({ field: 'components', message: `the parts add up to ${sum.toFixed(1)} g in 100 g` });
  }
  return { row, name: name || '(no name)', ingredient: faults.length === 0 ? parsed.data : undefined, faults };
}

/** Letters of the row that names the columns. */
const MAX_HEADER = 5_000;
/** So many rows at the head of a table that all are wrong: it is another table. */
const ALL_WRONG = 2_000;

/** Rows of a table with a header; the separator (comma, semicolon, tab) is told from the file. */
function readTable(text: string): { cells: Cells[]; columns: string[] } {
  const header = text.search(/[\r\n]/);
  if ((header < 0 ? text.length : header) > MAX_HEADER) {
    throw new LarderCsvError('The first row is far too long to name columns. Export the larder to see them all.');
  }
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t', '|'],
    transformHeader: (header) => {
      const column = header.trim().toLowerCase();
      return FORMER_COLUMNS.get(column) ?? column;
    },
  });
  const columns = meta.fields ?? [];
  if (!columns.includes('name')) {
    throw new LarderCsvError(
      'The first row must name the columns, among them "name"; export the larder to see them all.',
    );
  }
  if (!COMPONENT_NAMES.some((component) => columns.includes(component))) {
    throw new LarderCsvError(
      'No column is a component, like "water" or "cocoa_butter"; export the larder to see them all.',
    );
  }
  if (data.length > MOST_ROWS) throw new LarderCsvError(`That is ${data.length} rows; ${MOST_ROWS} are the most.`);
  return { cells: data, columns };
}

/**
 * Reads a CSV row by row: every row is an ingredient, or says what is wrong in which column. A name that stands twice is a fault of the later
 * row.
 *
 * A generator, so that a worker can tell how far it is: it yields the share done every 200 rows.
 *
 * @throws {LarderCsvError} no table of ingredients
 */
export function* readLarderRows(text: string): Generator<number, CsvRow[]> {
  const { cells, columns } = readTable(text);
  const seen = new Map<string, number>();
  const rows: CsvRow[] = [];
  for (const [index, each] of cells.entries()) {
    const read = readRow(each, index + 2, columns);
    const key = read.name.toLowerCase();
    const earlier = seen.get(key);
    seen.set(key, earlier ?? read.row);
    rows.push(
      earlier === undefined || !read.ingredient
        ? read
        : {
            ...read,
            ingredient: undefined,
            faults: [{ field: 'name', message: `the same name stands in row ${earlier}` }],
          },
    );
    if (index + 1 === ALL_WRONG && rows.every(({ ingredient }) => !ingredient)) {
      const [first] = rows[0]?.faults ?? [];
      throw new LarderCsvError(
        `None of the first ${ALL_WRONG} rows can be read: ${first?.field} ${first?.message}. Is this a larder?`,
      );
    }
    if (index % 200 === 199) yield index / cells.length;
  }
  return rows;
}

/**
 * Reads a CSV that must be right in every row, as the starting larder is.
 *
 * @throws {LarderCsvError} naming the row and the field that cannot be read
 */
export function parseLarderCsv(text: string): Ingredient[] {
  const reading = readLarderRows(text);
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value.map(({ row, ingredient, faults }) => {
    if (ingredient) return ingredient;
    throw new LarderCsvError(`larder row ${row}, ${faults[0]?.field}: ${faults[0]?.message}`);
  });
}
