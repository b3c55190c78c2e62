import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, inArray, isNotNull, isNull, lt, type SQL, sql } from 'drizzle-orm';
import { MODEL_REVISION } from '@/core/model-constants';
import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import type { StoredFormula } from '@/formats/server-answers';
import { applyVariation, variationOf } from '@/formats/variation';
import type { Database } from '../db/query-builder';
import { formulaLines, formulas } from '../db/schema';
import { readOnce, rowStamp } from './read-before';
import { readStored, UnreadableError } from './stored-value';

/** Comes before all that was changed earlier in the list. */
const NEXT_TOUCH = sql`nextval('formulas_touched')`;

/** How a save came out. */
export type SaveOutcome =
  | { readonly outcome: 'saved'; readonly formula: StoredFormula }
  | { readonly outcome: 'stale'; readonly current: StoredFormula }
  | { readonly outcome: 'gone' };

type FormulaRow = typeof formulas.$inferSelect;
type LineRow = typeof formulaLines.$inferSelect;

function toStored(row: FormulaRow, lines: readonly LineRow[]): StoredFormula {
  return {
    id: row.id,
    revision: row.revision,
    updatedAt: row.updatedAt.toISOString(),
    baseId: row.baseId,
    archived: row.archivedAt !== null,
    modelRevision: row.modelRevision,
    file: readStored(formulaFileSchema, fileOf(row, lines), `“${row.name}”`),
  };
}

/** The row and its lines as the file they were, not read yet. */
function fileOf(row: FormulaRow, lines: readonly LineRow[]) {
  return {
    format: 'dark-pour/formula',
    version: 1,
    name: row.name,
    use: row.use ?? undefined,
    note: row.note ?? undefined,
    tags: row.tags ?? undefined,
    lines: lines.map((line) => ({
      ingredient: line.ingredient,
      grams: line.grams,
      form: line.form ?? undefined,
      locked: line.locked,
      minGrams: line.minGrams ?? undefined,
      maxGrams: line.maxGrams ?? undefined,
      stage: line.stage ?? undefined,
      tie: line.tie ?? undefined,
      byVolume: line.byVolume ?? undefined,
    })),
    ingredients: row.ownIngredients,
    process: row.process,
    moments: row.moments,
    gates: row.gates,
    yield: row.yieldTarget ?? undefined,
    brief: row.brief ?? undefined,
  };
}

function columnsOf(file: FormulaFile) {
  return {
    name: file.name,
    use: file.use ?? null,
    note: file.note ?? null,
    tags: file.tags ?? null,
    process: file.process,
    moments: file.moments,
    gates: file.gates,
    ownIngredients: file.ingredients,
    yieldTarget: file.yield ?? null,
    brief: file.brief ?? null,
  };
}

function lineRows(formulaId: string, file: FormulaFile) {
  return file.lines.map((line, position) => ({
    formulaId,
    position,
    ingredient: line.ingredient,
    form: line.form ?? null,
    grams: line.grams,
    locked: line.locked,
    minGrams: line.minGrams ?? null,
    maxGrams: line.maxGrams ?? null,
    stage: line.stage ?? null,
    tie: line.tie ?? null,
    byVolume: line.byVolume ?? null,
  }));
}

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

/** One formula, unless it is deleted or never was. */
export async function findFormula(db: Database, id: string): Promise<StoredFormula | undefined> {
  const [row] = await db
    .select()
    .from(formulas)
    .where(and(eq(formulas.id, id), isNull(formulas.deletedAt)));
  if (!row) return undefined;
  const lines = await db
    .select()
    .from(formulaLines)
    .where(eq(formulaLines.formulaId, id))
    .orderBy(asc(formulaLines.position));
  return toStored(row, lines);
}

/** The formula a variant stands on: a variant's own base, so that variants are one level deep. */
async function rootOf(db: Database, id: string): Promise<StoredFormula | undefined> {
  const found = await findFormula(db, id);
  return found?.baseId ? findFormula(db, found.baseId) : found;
}

/**
 * Keeps a new formula.
 *
 * @param baseId makes it a variant of that formula: it follows it in all it does not do differently
 * @param as what another kitchen, or this one before, knew it by; a new id when left out
 */
export async function createFormula(
  db: Database,
  file: FormulaFile,
  now: Date,
  baseId?: string,
  as: { readonly id: string; readonly revision: number } = { id: randomUUID(), revision: 1 },
): Promise<StoredFormula> {
  const { id, revision } = as;
  return db.transaction(async (tx) => {
    const base = baseId === undefined ? undefined : await rootOf(tx, baseId);
    const variation = base ? variationOf(base.file, file) : null;
    const row = { id, ...columnsOf(file), baseId: base?.id ?? null, variation, modelRevision: MODEL_REVISION };
    await tx.insert(formulas).values({ ...row, revision, createdAt: now, updatedAt: now });
    if (file.lines.length > 0) await tx.insert(formulaLines).values(lineRows(id, file));
    const [state, kept] = [
      { revision, updatedAt: now.toISOString() },
      { archived: false, modelRevision: MODEL_REVISION },
    ];
    return { id, ...state, baseId: base?.id ?? null, ...kept, file };
  });
}

/**
 * Keeps several new formulas, all or none.
 *
 * @param files as they stand in a list, the first on top
 * @returns their ids
 */
export async function createFormulas(db: Database, files: readonly FormulaFile[], now: Date): Promise<string[]> {
  return db.transaction(async (tx) => {
    const ids: string[] = [];
    // The list shows the last kept first.
    for (const file of files.toReversed()) ids.push((await createFormula(tx, file, now)).id);
    return ids.reverse();
  });
}

/** Writes a formula's contents over what is there. */
async function rewrite(
  db: Database,
  id: string,
  file: FormulaFile,
  change: Omit<Partial<typeof formulas.$inferInsert>, 'touched'> & { readonly touched?: SQL },
): Promise<void> {
  await db
    .update(formulas)
    .set({ ...columnsOf(file), ...change })
    .where(eq(formulas.id, id));
  await db.delete(formulaLines).where(eq(formulaLines.formulaId, id));
  if (file.lines.length > 0) await db.insert(formulaLines).values(lineRows(id, file));
}

/** Lets the variants of a base follow what it became. */
async function followBase(db: Database, base: StoredFormula, now: Date): Promise<void> {
  // Held until this is done: a variant that is saved meanwhile waits, and neither undoes the other.
  const children = await db.select().from(formulas).where(eq(formulas.baseId, base.id)).for('update');
  for (const child of children) {
    if (!child.variation) continue;
    const own = { name: child.name, note: child.note ?? undefined, tags: child.tags ?? undefined };
    const file = applyVariation(base.file, child.variation, own);
    await rewrite(db, child.id, file, {
      revision: child.revision + 1,
      updatedAt: now,
      touched: NEXT_TOUCH,
    });
  }
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

/** A cook has been told that the model moved the figures of a formula. */
export async function sawFigures(db: Database, id: string): Promise<void> {
  await db.update(formulas).set({ modelRevision: MODEL_REVISION }).where(eq(formulas.id, id));
}

/** Puts a formula away, or takes it out again. */
export async function archiveFormula(db: Database, id: string, archivedAt: Date | null): Promise<boolean> {
  const changed = await db
    .update(formulas)
    .set({ archivedAt })
    .where(and(eq(formulas.id, id), isNull(formulas.deletedAt)))
    .returning({ id: formulas.id });
  return changed.length > 0;
}

/**
 * Saves a formula over the revision it was opened at.
 *
 * @returns `stale` with what is kept now when somebody else saved meanwhile; nothing is overwritten then
 */
export async function saveFormula(
  db: Database,
  id: string,
  revision: number,
  file: FormulaFile,
  now: Date,
): Promise<SaveOutcome> {
  const saved = await db.transaction(async (tx) => {
    const [held] = await tx
      .update(formulas)
      .set({ revision: revision + 1, updatedAt: now, touched: NEXT_TOUCH })
      .where(and(eq(formulas.id, id), eq(formulas.revision, revision), isNull(formulas.deletedAt)))
      .returning();
    if (!held) return undefined;
    const base = held.baseId ? await findFormula(tx, held.baseId) : undefined;
    await rewrite(tx, id, file, base ? { variation: variationOf(base.file, file) } : {});
    const formula: StoredFormula = {
      id,
      revision: revision + 1,
      updatedAt: now.toISOString(),
      baseId: held.baseId,
      archived: held.archivedAt !== null,
      modelRevision: held.modelRevision,
      file,
    };
    if (!held.baseId) await followBase(tx, formula, now);
    return formula;
  });
  if (saved) return { outcome: 'saved', formula: saved };
  const current = await findFormula(db, id);
  return current ? { outcome: 'stale', current } : { outcome: 'gone' };
}

/** Deletes a formula so that it can still be brought back. */
export async function deleteFormula(db: Database, id: string, now: Date): Promise<boolean> {
  const changed = await db
    .update(formulas)
    .set({ deletedAt: now })
    .where(and(eq(formulas.id, id), isNull(formulas.deletedAt)))
    .returning({ id: formulas.id });
  return changed.length > 0;
}

/** Brings a deleted formula back as it was. */
export async function restoreFormula(db: Database, id: string): Promise<boolean> {
  const changed = await db
    .update(formulas)
    .set({ deletedAt: null })
    .where(and(eq(formulas.id, id), isNotNull(formulas.deletedAt)))
    .returning({ id: formulas.id });
  return changed.length > 0;
}

/** Forgets formulas deleted before a day; their lines go with them. */
export async function forgetDeleted(db: Database, before: Date): Promise<void> {
  await db.transaction(async (tx) => {
    const gone = await tx.delete(formulas).where(lt(formulas.deletedAt, before)).returning({ id: formulas.id });
    // Variants of a base that is gone stand by themselves.
    await tx
      .update(formulas)
      .set({ baseId: null, variation: null })
      .where(
        inArray(
          formulas.baseId,
          gone.map(({ id }) => id),
        ),
      );
  });
}
