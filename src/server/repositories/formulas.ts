import { randomUUID } from 'node:crypto';
import { and, asc, eq, inArray, isNotNull, isNull, lt, type SQL, sql } from 'drizzle-orm';
import { MODEL_REVISION } from '@/core/model-constants';
import type { FormulaFile } from '@/formats/formula-file';
import type { StoredFormula } from '@/formats/server-answers';
import { applyVariation, variationOf } from '@/formats/variation';
import type { Database } from '../db/query-builder';
import { formulaLines, formulas } from '../db/schema';
import { columnsOf, lineRows, toStored } from './formula-rows';

/** Comes before all that was changed earlier in the list. */
const NEXT_TOUCH = sql`nextval('formulas_touched')`;

/** How a save came out. */
export type SaveOutcome =
  | { readonly outcome: 'saved'; readonly formula: StoredFormula; readonly followed: readonly string[] }
  | { readonly outcome: 'stale'; readonly current: StoredFormula }
  | { readonly outcome: 'gone' };

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

/** Lets the variants of a base follow what it became. @returns their ids */
async function followBase(db: Database, base: StoredFormula, now: Date): Promise<string[]> {
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
  return children.map(({ id }) => id);
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
    return { formula, followed: held.baseId ? [] : await followBase(tx, formula, now) };
  });
  if (saved) return { outcome: 'saved', ...saved };
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
