import Papa from 'papaparse';
import type { BookRow } from './book';

const FIELDS = [
  'number',
  'formula',
  'begun',
  'over',
  'state',
  'landed',
  'rescued',
  'by',
  'weighed_g',
  'bowl_g',
  'cost',
] as const;

const iso = (ms: number | null) => (ms === null ? '' : new Date(ms).toISOString());
const tenth = (value: number | null) => (value === null ? '' : Math.round(value * 10) / 10);

/** The book as CSV, a line a batch; times in ISO 8601, cells a spreadsheet would run are marked as text. */
export function writeBookCsv(rows: readonly BookRow[]): string {
  const data = rows.map((row) => [
    row.number,
    row.name,
    iso(row.startedMs),
    iso(row.overMs),
    row.state,
    row.hasLanded === null ? '' : row.hasLanded ? 'yes' : 'no',
    row.isRescued ? 'yes' : 'no',
    row.madeBy ?? '',
    tenth(row.weighedG),
    tenth(row.yieldG),
    row.cost === null ? '' : Math.round(row.cost * 100) / 100,
  ]);
  return `\uFEFF${Papa.unparse({ fields: [...FIELDS], data }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
}
