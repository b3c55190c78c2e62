import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq } from 'drizzle-orm';
import { type FormulaFile, formulaFileSchema } from '@/formats/formula-file';
import type { StoredVersion } from '@/formats/server-answers';
import type { Database } from '../db/query-builder';
import { formulaVersions } from '../db/schema';
import { readStored } from './stored-value';

type Row = typeof formulaVersions.$inferSelect;

const toStored = ({ id, name, note, createdAt, file }: Row): StoredVersion => ({
  id,
  name,
  note,
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

/** Keeps a state of a formula under a name. */
export async function addVersion(
  db: Database,
  formulaId: string,
  version: { readonly name: string; readonly note: string; readonly file: FormulaFile },
  now: Date,
): Promise<StoredVersion> {
  const row = { id: randomUUID(), formulaId, ...version, createdAt: now };
  await db.insert(formulaVersions).values(row);
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
