import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import type { StoredVersion } from '@/formats/server-answers';
import type { Database } from '../db/query-builder';
import { formulaVersions } from '../db/schema';
import { readStored } from './stored-value';

type Row = typeof formulaVersions.$inferSelect;

const toStored = ({ id, name, note, createdAt, file, automatic }: Row): StoredVersion => ({
  id,
  name,
  note,
  automatic,
  createdAt: createdAt.toISOString(),
  file: readStored(formulaFileSchema, file, `The version “${name}”`),
});

/** The versions of a formula, the newest first. */
export async function listVersions(db: Database, formulaId: string): Promise<StoredVersion[]> {
  const rows = await db
    .select()
    .from(formulaVersions)
    .where(eq(formulaVersions.formulaId, formulaId))
    .orderBy(desc(formulaVersions.createdAt), asc(formulaVersions.id));
  return rows.map(toStored);
}

/** Versions kept by themselves that stay, of each formula. */
const MOST_AUTOMATIC = 12;

/** Keeps a state of a formula under a name; of those kept by themselves only the newest stay. */
export async function addVersion(
  db: Database,
  formulaId: string,
  version: { readonly name: string; readonly note: string; readonly automatic?: boolean; readonly file: FormulaFile },
  now: Date,
): Promise<StoredVersion> {
  const row = { id: randomUUID(), formulaId, automatic: false, ...version, createdAt: now };
  await db.insert(formulaVersions).values(row);
  if (version.automatic) {
    const own = and(eq(formulaVersions.formulaId, formulaId), eq(formulaVersions.automatic, true));
    const old = await db
      .select({ id: formulaVersions.id })
      .from(formulaVersions)
      .where(own)
      .orderBy(desc(formulaVersions.createdAt), asc(formulaVersions.id))
      .offset(MOST_AUTOMATIC);
    const ids = old.map((each) => each.id);
    if (ids.length > 0) await db.delete(formulaVersions).where(inArray(formulaVersions.id, ids));
  }
  return toStored(row);
}

/** Lets a version go. */
export async function removeVersion(db: Database, formulaId: string, id: string): Promise<boolean> {
  const gone = await db
    .delete(formulaVersions)
    .where(and(eq(formulaVersions.id, id), eq(formulaVersions.formulaId, formulaId)))
    .returning({ id: formulaVersions.id });
  return gone.length > 0;
}
