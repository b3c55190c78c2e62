import { and, asc, desc, eq, inArray, isNull } from 'drizzle-orm';
import type { StoredFormula } from '@/formats/server-answers';
import type { Database } from '../db/query-builder';
import { formulaLines, formulas } from '../db/schema';
import { type LineRow, toStored } from './formula-rows';
import { readOnce, rowStamp } from './read-before';
import { UnreadableError } from './stored-value';

/** A formula that is kept in a form this version cannot read. */
export interface UnreadableFormula {
  readonly id: string;
  readonly name: string;
  readonly reason: string;
}

type Read = { readonly formula: StoredFormula } | { readonly unreadable: UnreadableFormula };

/** Formulas by their ids, with their rows. */
async function readFormulas(db: Database, ids: string[]): Promise<ReadonlyMap<string, Read>> {
  const rows = await db.select().from(formulas).where(inArray(formulas.id, ids));
  const lines = await db
    .select()
    .from(formulaLines)
    .where(inArray(formulaLines.formulaId, ids))
    .orderBy(asc(formulaLines.position));
  const byFormula = new Map<string, LineRow[]>();
  for (const line of lines) {
    const own = byFormula.get(line.formulaId);
    if (own) own.push(line);
    else byFormula.set(line.formulaId, [line]);
  }
  return new Map(
    rows.map((row): [string, Read] => {
      try {
        return [row.id, { formula: toStored(row, byFormula.get(row.id) ?? []) }];
      } catch (error) {
        if (!(error instanceof UnreadableError)) throw error;
        return [row.id, { unreadable: { id: row.id, name: row.name, reason: error.message } }];
      }
    }),
  );
}

const formulasReadOnce = readOnce(readFormulas);

/** All formulas that are not deleted and can be read, the last changed first. */
export async function listFormulas(db: Database): Promise<StoredFormula[]> {
  return (await listLibrary(db)).formulas;
}

/**
 * The same, with those beside them that cannot be read: one of them never stops the others.
 *
 * @param most as many as are wanted from the top of the list; all when left out
 */
export async function listLibrary(
  db: Database,
  most?: number,
): Promise<{ readonly formulas: StoredFormula[]; readonly unreadable: UnreadableFormula[] }> {
  const all = db
    .select({ id: formulas.id, stamp: rowStamp })
    .from(formulas)
    .where(isNull(formulas.deletedAt))
    .orderBy(desc(formulas.touched));
  const heads = await (most === undefined ? all : all.limit(most));
  const read = await formulasReadOnce(db, heads, most === undefined);
  return {
    formulas: read.flatMap((each) => ('formula' in each ? each.formula : [])),
    unreadable: read.flatMap((each) => ('unreadable' in each ? each.unreadable : [])),
  };
}

/** How many formulas there are that are not deleted. */
export async function countFormulas(db: Database): Promise<number> {
  return db.$count(formulas, isNull(formulas.deletedAt));
}

/** The names of all formulas that are not deleted, the last changed first. */
export async function listNames(db: Database): Promise<{ readonly id: string; readonly name: string }[]> {
  return db
    .select({ id: formulas.id, name: formulas.name })
    .from(formulas)
    .where(isNull(formulas.deletedAt))
    .orderBy(desc(formulas.touched));
}

/** The variants of a base, by name. */
export async function variantsOf(db: Database, baseId: string): Promise<StoredFormula[]> {
  const heads = await db
    .select({ id: formulas.id })
    .from(formulas)
    .where(and(eq(formulas.baseId, baseId), isNull(formulas.deletedAt)));
  const read = await readFormulas(
    db,
    heads.map(({ id }) => id),
  );
  return [...read.values()]
    .flatMap((each) => ('formula' in each ? each.formula : []))
    .sort((a, b) => a.file.name.localeCompare(b.file.name));
}
