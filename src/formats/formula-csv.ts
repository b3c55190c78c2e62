import Papa from 'papaparse';
import type { FormulaFile } from './formula-file';

const COLUMNS = ['ingredient', 'name', 'grams', 'form', 'stage', 'locked', 'least', 'most'] as const;

/**
 * Writes the pan of a formula as CSV, a row an ingredient; cells a spreadsheet would run are marked as text.
 *
 * @param nameOf an ingredient's name by its id
 */
export function writeFormulaCsv(file: FormulaFile, nameOf: (ingredient: string) => string): string {
  const data = file.lines.map((line) => [
    line.ingredient,
    nameOf(line.ingredient),
    line.grams,
    line.form ?? '',
    line.stage ?? '',
    line.locked ? 'y' : '',
    line.minGrams ?? '',
    line.maxGrams ?? '',
  ]);
  return `\uFEFF${Papa.unparse({ fields: [...COLUMNS], data }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}

/**
 * Reads a CSV of a pan as recipe lines: grams with a name or an id, to be matched as text is.
 *
 * @returns nothing where the text is no such table
 */
export function recipeLinesOfCsv(text: string): string[] | undefined {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const columns = meta.fields ?? [];
  if (!columns.includes('grams') || !(columns.includes('name') || columns.includes('ingredient'))) return undefined;
  return data.map((row) => {
    const name = (row.name || row.ingredient || '').replace(/^'(?=[=+\-@])/, '');
    return `${row.grams ?? ''} g ${name}${row.form ? `, ${row.form}` : ''}`;
  });
}
