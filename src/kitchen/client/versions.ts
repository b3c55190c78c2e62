import type { FormulaFile } from '@/formats/formula-file';
import { type StoredVersion, versionsSchema } from '@/formats/server-answers';
import { askOnce, askServer } from './ask-server';

/** The versions of a formula, the newest first. */
export async function listVersions(id: string): Promise<StoredVersion[]> {
  return versionsSchema.parse(await askServer(`/api/formulas/${id}/versions`, 'GET')).versions;
}

/** Keeps a state of the formula under a name. */
export async function addVersion(id: string, name: string, note: string, formula: FormulaFile): Promise<void> {
  await askOnce(`/api/formulas/${id}/versions`, 'POST', { name, note, formula });
}

/** Lets a version go. */
export async function removeVersion(id: string, version: string): Promise<void> {
  await askServer(`/api/formulas/${id}/versions/${version}`, 'DELETE');
}
