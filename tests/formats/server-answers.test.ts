import { describe, expect, expectTypeOf, it } from 'vitest';
import type { FormulaFile } from '@/formats/formula-file';
import type { StoredIngredient } from '@/formats/ingredient';
import { refusedSchema, type StoredFormula, type StoredVersion, storedFormulaSchema } from '@/formats/server-answers';
import type { fetchFormula, listVariants } from '@/kitchen/client/formulas';
import type { fetchLarder } from '@/kitchen/client/shelf';
import type { listVersions as askForVersions } from '@/kitchen/client/versions';
import type { listFormulas } from '@/server/repositories/formula-list';
import type { findFormula, SaveOutcome } from '@/server/repositories/formulas';
import type { listIngredients } from '@/server/repositories/larder';
import type { listVersions } from '@/server/repositories/versions';

type Given<Ask extends (...args: never[]) => unknown> = Awaited<ReturnType<Ask>>;

describe('what the server gives', () => {
  it('is one shape of each thing, in the repositories as on the pages', () => {
    expectTypeOf<Given<typeof findFormula>>().toEqualTypeOf<StoredFormula | undefined>();
    expectTypeOf<Given<typeof listFormulas>>().toEqualTypeOf<StoredFormula[]>();
    expectTypeOf<Given<typeof fetchFormula>>().toEqualTypeOf<StoredFormula>();
    expectTypeOf<Given<typeof listVariants>>().toEqualTypeOf<StoredFormula[]>();
    expectTypeOf<Given<typeof listVersions>>().toEqualTypeOf<StoredVersion[]>();
    expectTypeOf<Given<typeof askForVersions>>().toEqualTypeOf<StoredVersion[]>();
    expectTypeOf<Given<typeof listIngredients>>().toEqualTypeOf<StoredIngredient[]>();
    expectTypeOf<Given<typeof fetchLarder>>().toEqualTypeOf<readonly StoredIngredient[]>();
    expectTypeOf<StoredFormula['file']>().toEqualTypeOf<FormulaFile>();
    expectTypeOf<Extract<SaveOutcome, { outcome: 'stale' }>['current']>().toEqualTypeOf<StoredFormula>();
  });

  it('reads a formula that an earlier version kept, with what was added since as usual', () => {
    const read = storedFormulaSchema.parse({
      id: 'a',
      revision: 1,
      updatedAt: '2026-11-26T08:00:00.000Z',
      baseId: null,
      archived: false,
      modelRevision: 1,
      file: { format: 'dark-pour/formula', version: 1, name: 'Old', lines: [{ ingredient: 'water', grams: 1 }] },
    });
    expect(read.file).toMatchObject({ moments: [], gates: [], ingredients: {}, lines: [{ locked: false }] });
  });

  it('reads a refusal that names no field', () => {
    expect(refusedSchema.parse({ message: 'No.' })).toEqual({ message: 'No.', issues: [] });
  });
});
