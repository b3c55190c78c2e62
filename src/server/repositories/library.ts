import { eq, inArray } from 'drizzle-orm';
import { nth } from '@/core/nth';
import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import type { Comparison, KeptAs, LibraryFile, TAKES } from '@/formats/library-file';
import type { StoredFormula } from '@/formats/server-answers';
import type { Database } from '../db/query-builder';
import { formulas, ingredients } from '../db/schema';
import { listFormulas } from './formula-list';
import { createFormula, createFormulas, saveFormula } from './formulas';
import { addKnownIngredients } from './larder';
import { addVersion } from './versions';

const BEFORE = 'Before a file was opened';

type Take = (typeof TAKES)[number];
/** A formula of a file beside the one that is here under its id. */
interface Pair {
  readonly file: FormulaFile;
  readonly as: KeptAs;
  readonly here: StoredFormula | undefined;
}

const written = (file: FormulaFile) => JSON.stringify(formulaFileSchema.parse(file));
const isSame = ({ file, here }: Pair) => here !== undefined && written(here.file) === written(file);

/** A kitchen's formulas, with the own ingredients they use and what they are known by. */
export async function wholeLibrary(db: Database): Promise<LibraryFile> {
  const all = await listFormulas(db);
  const used = [...new Set(all.flatMap(({ file }) => file.lines.map(({ ingredient }) => ingredient)))];
  const own = used.length === 0 ? [] : await db.select().from(ingredients).where(eq(ingredients.origin, 'own'));
  return {
    formulas: all.map(({ file }) => file),
    kept: all.map(({ id, revision, baseId }) => ({ id, revision, baseId })),
    ingredients: own
      .filter(({ id }) => used.includes(id))
      .map(({ position: _, revision: __, ...ingredient }) => ingredient as Ingredient),
  };
}

async function pairs(db: Database, { formulas: files, kept = [] }: LibraryFile): Promise<Pair[]> {
  const here = new Map((await listFormulas(db)).map((formula) => [formula.id, formula]));
  return files.map((file, i) => {
    const as = nth(kept, i);
    return { file, as, here: here.get(as.id) };
  });
}

/** What of a file is here already; of those that differ, which is newer: the one that was saved more often; after as many saves the file has been written into. */
export async function compareLibrary(db: Database, library: LibraryFile): Promise<Comparison> {
  const count = { absent: 0, same: 0, newerHere: 0, newerInFile: 0 };
  for (const pair of await pairs(db, library)) {
    if (!pair.here) count.absent += 1;
    else if (isSame(pair)) count.same += 1;
    else if (pair.as.revision >= pair.here.revision) count.newerInFile += 1;
    else count.newerHere += 1;
  }
  return count;
}

/** Ids of formulas that were deleted here: they can be brought back, so that their ids are not free. */
async function deletedOf(db: Database, ids: readonly string[]): Promise<ReadonlySet<string>> {
  const rows = await db
    .select({ id: formulas.id, deletedAt: formulas.deletedAt })
    .from(formulas)
    .where(inArray(formulas.id, [...ids]));
  return new Set(rows.filter(({ deletedAt }) => deletedAt !== null).map(({ id }) => id));
}

/**
 * Keeps the formulas of a file, all or none: those that are not here under their own ids, those that are here as they are not again.
 *
 * @param take of those that differ: only what is `new` is added, the one of the `file` goes in the place of what is here (which stays as a version), or
 * `both` stand beside each other
 * @returns ids of what was added, in the order of the file
 */
export async function addLibrary(db: Database, library: LibraryFile, take: Take, now: Date): Promise<string[]> {
  return db.transaction(async (tx) => {
    await addKnownIngredients(tx, library.ingredients);
    if (!library.kept) return createFormulas(tx, library.formulas, now);
    const deleted = await deletedOf(
      tx,
      library.kept.map(({ id }) => id),
    );
    const added = new Map<string, string>();
    const all = await pairs(tx, library);
    // The last of the file first, so that its first stands on top; variants after what they are variants of.
    const inTurn = all.toReversed().sort((a, b) => Number(a.as.baseId !== null) - Number(b.as.baseId !== null));
    for (const pair of inTurn) {
      const { file, as, here } = pair;
      if (isSame(pair) || (here && take === 'new')) continue;
      if (here && take === 'file') {
        await addVersion(tx, here.id, { name: BEFORE, note: '', automatic: false, file: here.file }, now);
        await saveFormula(tx, here.id, here.revision, file, now);
      } else {
        const isFree = !here && !deleted.has(as.id);
        const { id } = await createFormula(tx, file, now, as.baseId ?? undefined, isFree ? as : undefined);
        added.set(as.id, id);
      }
    }
    return all.flatMap(({ as }) => added.get(as.id) ?? []);
  });
}
