import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type LibraryFile, readLibrary, writeLibrary } from '@/formats/library-file';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { listFormulas } from '@/server/repositories/formula-list';
import { createFormula, deleteFormula, findFormula, saveFormula } from '@/server/repositories/formulas';
import { addIngredient, listIngredients, stockEmptyLarder } from '@/server/repositories/larder';
import { addLibrary, compareLibrary, wholeLibrary } from '@/server/repositories/library';
import { startingLarder } from '@/server/repositories/starting-larder';
import { listVersions } from '@/server/repositories/versions';
import { openTestKitchen } from '../support/databases';

const NOW = new Date('2026-11-26T08:00:00Z');
const [gloss] = lanternMillFormulas();
const [model] = startingLarder();
if (!gloss || !model) throw new Error('no demo');

let mill: OpenDatabase;
let weir: OpenDatabase;
let base: string;
let file: LibraryFile;

const through = (library: LibraryFile) => readLibrary(JSON.parse(JSON.stringify(writeLibrary(library))));

beforeAll(async () => {
  mill = await openTestKitchen();
  weir = await openTestKitchen();
  for (const { db } of [mill, weir]) await stockEmptyLarder(db, startingLarder());
  const own = await addIngredient(mill.db, { ...model, name: 'Mill praline' });
  if (own.outcome !== 'kept') throw new Error('not kept');
  const lines = [...gloss.lines, { ingredient: own.ingredient.id, grams: 20, locked: false }];
  base = (await createFormula(mill.db, { ...gloss, name: 'With praline', lines }, NOW)).id;
  await createFormula(mill.db, { ...gloss, name: 'A variant', lines: lines.slice(1) }, NOW, base);
  file = through(await wholeLibrary(mill.db));
});
afterAll(() => Promise.all([mill.close(), weir.close()]));
describe('a library file', () => {
  it('opened in the kitchen it came from adds nothing', async () => {
    expect(await compareLibrary(mill.db, file)).toEqual({ absent: 0, same: 2, newerHere: 0, newerInFile: 0 });
    for (const take of ['new', 'file', 'both'] as const) {
      expect(await addLibrary(mill.db, file, take, NOW)).toEqual([]);
    }
    expect(await listFormulas(mill.db)).toHaveLength(2);
  });

  it('opened in another kitchen brings its own ingredients and what is a variant of what, and is known again', async () => {
    const ids = await addLibrary(weir.db, file, 'new', NOW);
    expect(ids).toHaveLength(2);
    expect((await listIngredients(weir.db)).find(({ name }) => name === 'Mill praline')?.origin).toBe('own');
    const there = await listFormulas(weir.db);
    expect(there.map((each) => each.file.name)).toEqual(file.formulas.map(({ name }) => name));
    expect(there.find((each) => each.file.name === 'A variant')?.baseId).toBe(
      there.find((each) => each.file.name === 'With praline')?.id,
    );
    expect(await compareLibrary(weir.db, file)).toMatchObject({ same: 2, absent: 0 });
    // Deleted ones keep their ids, to be brought back: the file comes in under others.
    for (const { id } of there) await deleteFormula(weir.db, id, NOW);
    expect(ids).not.toContain((await addLibrary(weir.db, file, 'new', NOW))[0]);
  });

  it('of one that was changed here says so, and does what is asked with either kept', async () => {
    const revision = (await findFormula(mill.db, base))?.revision ?? 0;
    const before = (await findFormula(mill.db, base))?.file ?? gloss;
    await saveFormula(mill.db, base, revision, { ...before, note: 'Changed since' }, NOW);
    expect(await compareLibrary(mill.db, file)).toMatchObject({ newerHere: 1, same: 1 });
    const later = { ...file, kept: file.kept?.map((each) => ({ ...each, revision: 99 })) };
    expect(await compareLibrary(mill.db, later)).toMatchObject({ newerInFile: 1, same: 1 });

    expect(await addLibrary(mill.db, file, 'new', NOW)).toEqual([]);
    expect((await findFormula(mill.db, base))?.file.note).toBe('Changed since');

    const both = await addLibrary(mill.db, file, 'both', NOW);
    expect(both).not.toContain(base);
    expect(await listFormulas(mill.db)).toHaveLength(2 + both.length);
    for (const id of both) await deleteFormula(mill.db, id, NOW);

    await addLibrary(mill.db, file, 'file', NOW);
    expect((await findFormula(mill.db, base))?.file.note).toBe(before.note);
    expect((await listVersions(mill.db, base)).map((each) => each.file.note)).toContain('Changed since');
  });

  it('is kept all or none', async () => {
    const count = (await listFormulas(mill.db)).length;
    const broken = { ...gloss, lines: [{ ...gloss.lines[0], grams: Number.NaN, ingredient: null }] };
    const bad = {
      formulas: [gloss, broken as never],
      kept: undefined,
      ingredients: [{ ...model, id: 'brought', name: 'Brought' }],
    };
    await expect(addLibrary(mill.db, bad, 'new', NOW)).rejects.toThrow();
    expect(await listFormulas(mill.db)).toHaveLength(count);
    expect((await listIngredients(mill.db)).some(({ id }) => id === 'brought')).toBe(false);
  });

  it('whose names do not match its formulas is refused with a word', () => {
    const written = writeLibrary(file);
    expect(() => readLibrary({ ...written, kept: written.kept?.slice(1) })).toThrow(/kept/);
    expect(() =>
      readLibrary({
        ...written,
        kept: [
          { id: '__proto__', revision: 1 },
          { id: 'x', revision: 0 },
        ],
      }),
    ).toThrow(/kept/);
    expect(readLibrary({ ...written, kept: undefined, ingredients: undefined })).toMatchObject({ ingredients: [] });
  });
});
