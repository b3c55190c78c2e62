import type { FormulaFile } from '@/formats/formula-file';
import { type StoredVersion, versionsSchema } from '@/formats/server-answers';
import { askOnce, askServer } from './ask-server';

/** The versions of a formula, the newest first. */
export async function listVersions(id: string): Promise<StoredVersion[]> {
  return versionsSchema.parse(await askServer(`/api/formulas/${id}/versions`, 'GET')).versions;
}

/**
 * Keeps a state of the formula under a name.
 *
 * @param automatic nobody asked for it: of these only the newest stay
 */
export async function addVersion(
  id: string,
  name: string,
  note: string,
  formula: FormulaFile,
  automatic = false,
): Promise<void> {
  await askOnce(`/api/formulas/${id}/versions`, 'POST', { name, note, formula, automatic });
}

/** Lets a version go. */
export async function removeVersion(id: string, version: string): Promise<void> {
  await askServer(`/api/formulas/${id}/versions/${version}`, 'DELETE');
}
