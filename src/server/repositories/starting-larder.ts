import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Ingredient } from '@/formats/ingredient';
import { parseLarderCsv } from '@/formats/larder-csv';

/** The larder a new kitchen starts with: typical ingredients, to be replaced by the packs' own labels. */
export function startingLarder(): Ingredient[] {
  const file = path.join(/* turbopackIgnore: true */ process.cwd(), 'data', 'starting-larder.csv');
  return parseLarderCsv(readFileSync(file, 'utf8'));
}
