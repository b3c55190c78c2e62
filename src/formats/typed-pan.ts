import { z } from 'zod';
import { type FormulaFile, MOST_GRAMS, readFormula } from './formula-file';
import { ingredientId } from './ingredient-id';

/** A row of a pan that nobody has a formula of. */
export interface TypedRow {
  readonly ingredient: string;
  readonly grams: number;
}

/** Most rows such a pan may have. */
export const MOST_TYPED = 40;

const rowSchema = z.tuple([ingredientId, z.coerce.number().min(0.1).max(MOST_GRAMS)]);

/** A pan as it stands in an address: `cream-35:200,dark-couverture-60:220`. */
export const writeTypedPan = (rows: readonly TypedRow[]) =>
  rows.map(({ ingredient, grams }) => `${encodeURIComponent(ingredient)}:${grams}`).join(',');

/** A piece of an address; what is none stays as it is, and is refused by its schema. */
function decoded(piece: string): string {
  try {
    return decodeURIComponent(piece);
  } catch {
    return '';
  }
}

/**
 * Reads a pan out of an address.
 *
 * @returns nothing where it is none
 */
export function readTypedPan(text: string): TypedRow[] | undefined {
  const written = text.split(',', MOST_TYPED + 1);
  if (written.length > MOST_TYPED) return undefined;
  const rows = written.map((row) => rowSchema.safeParse(row.split(':', 3).map(decoded)));
  if (rows.some(({ success }) => !success)) return undefined;
  return rows.flatMap(({ data }) => (data ? [{ ingredient: data[0], grams: data[1] }] : []));
}

/** A typed pan as a formula: its rows, and what it was to do. */
export function typedFormula(
  name: string,
  rows: readonly TypedRow[],
  about: Pick<FormulaFile, 'use' | 'moments' | 'gates'>,
): FormulaFile {
  return readFormula({
    format: 'dark-pour/formula',
    version: 1,
    name,
    lines: [...rows],
    use: about.use,
    moments: [...about.moments],
    gates: [...about.gates],
  });
}
