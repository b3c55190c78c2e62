import { z } from 'zod';
import type { LibraryFile, TAKES } from '@/formats/library-file';
import { type Added, addedSchema } from '@/formats/server-answers';
import type { FormulaSummary, PouredLook } from '../formula-summary';
import { askOnce, askServer } from './ask-server';

const summariesSchema = z.object({ formulas: z.array(z.custom<FormulaSummary>((each) => each instanceof Object)) });

const looksSchema = z.object({
  looks: z.record(
    z.string(),
    z.custom<PouredLook>((each) => each instanceof Object),
  ),
});

/** What formulas look like as they are poured, by id; those that are gone are left out. */
export async function fetchLooks(ids: readonly string[]): Promise<Readonly<Record<string, PouredLook>>> {
  const asked = new URLSearchParams({ ids: ids.join(',') });
  return looksSchema.parse(await askServer(`/api/library/looks?${asked}`, 'GET')).looks;
}

export type Take = (typeof TAKES)[number];

/** All formulas as their cards show them. */
export async function fetchSummaries(): Promise<readonly FormulaSummary[]> {
  return summariesSchema.parse(await askServer('/api/library/summaries', 'GET')).formulas;
}

/**
 * Keeps all formulas of a file, or none of them.
 *
 * @returns their ids; or what of them is here already, where nobody said yet what to do with those
 */
export async function keepLibrary(library: LibraryFile, take?: Take): Promise<Added> {
  return addedSchema.parse(await askOnce('/api/library', 'POST', { ...library, take }));
}
