import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FormulaFile } from '@/formats/formula-file';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { listFormulas, variantsOf } from '@/server/repositories/formula-list';
import {
  archiveFormula,
  createFormula,
  createFormulas,
  deleteFormula,
  findFormula,
  forgetDeleted,
  restoreFormula,
  saveFormula,
} from '@/server/repositories/formulas';
import { listIngredients, stockEmptyLarder } from '@/server/repositories/larder';
import { startingLarder } from '@/server/repositories/starting-larder';
import { addVersion, listVersions, removeVersion } from '@/server/repositories/versions';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
const demo = lanternMillFormulas();
const gloss = demo.at(-1) as FormulaFile;
const at = (minute: number) => new Date(Date.UTC(2026, 0, 1, 8, minute));
const plain = (value: unknown) => JSON.parse(JSON.stringify(value));

beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

describe('formulas as kept', () => {
  it('come back as they were written, every field', async () => {
    for (const file of demo) {
      const { id } = await createFormula(kitchen.db, file, at(0));
      expect(plain((await findFormula(kitchen.db, id))?.file)).toEqual(plain(file));
      await deleteFormula(kitchen.db, id, at(0));
    }
    const bare: FormulaFile = {
      ...gloss,
      lines: [],
      gates: [],
      moments: [],
      note: undefined,
      use: undefined,
      yield: undefined,
    };
    const { id } = await createFormula(kitchen.db, bare, at(1));
    expect(plain((await findFormula(kitchen.db, id))?.file)).toEqual(plain(bare));
    await deleteFormula(kitchen.db, id, at(1));
  });

  it('several are kept all or none, in the order of their file', async () => {
    const before = (await listFormulas(kitchen.db)).length;
    const named = ['A', 'B', 'C'].map((name) => ({ ...gloss, name }));
    const broken = { ...gloss, lines: [{ ...gloss.lines[0], grams: Number.NaN, ingredient: null }] };
    await expect(createFormulas(kitchen.db, [...named, broken as unknown as FormulaFile], at(50))).rejects.toThrow();
    expect(await listFormulas(kitchen.db)).toHaveLength(before);
    const ids = await createFormulas(kitchen.db, named, at(50));
    const listed = (await listFormulas(kitchen.db)).filter(({ id }) => ids.includes(id));
    expect(listed.map(({ file }) => file.name)).toEqual(['A', 'B', 'C']);
    for (const id of ids) await deleteFormula(kitchen.db, id, at(50));
  });

  it('stand in the order they were changed in, also when the clock jumps back', async () => {
    const first = await createFormula(kitchen.db, gloss, at(500_000));
    const second = await createFormula(kitchen.db, gloss, at(0));
    const order = async () =>
      (await listFormulas(kitchen.db)).map(({ id }) => id).filter((id) => [first.id, second.id].includes(id));
    expect(await order()).toEqual([second.id, first.id]);
    await saveFormula(kitchen.db, first.id, 1, { ...gloss, note: 'later' }, at(-900_000));
    expect(await order()).toEqual([first.id, second.id]);
    for (const id of await order()) await deleteFormula(kitchen.db, id, at(1));
  });

  it('count their saves and replace all rows at once', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(2));
    const shorter = { ...gloss, name: 'Shorter', lines: gloss.lines.slice(0, 2) };
    const saved = await saveFormula(kitchen.db, id, 1, shorter, at(3));
    expect(saved).toMatchObject({ outcome: 'saved', formula: { revision: 2 } });
    expect(await findFormula(kitchen.db, id)).toMatchObject({
      revision: 2,
      file: { name: 'Shorter' },
      updatedAt: at(3).toISOString(),
    });
    expect((await findFormula(kitchen.db, id))?.file.lines).toHaveLength(2);
  });

  it('tell a stale save what is kept, and overwrite nothing', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(4));
    await saveFormula(kitchen.db, id, 1, { ...gloss, name: 'First tablet' }, at(5));
    const second = await saveFormula(kitchen.db, id, 1, { ...gloss, name: 'Second tablet' }, at(6));
    expect(second).toMatchObject({ outcome: 'stale', current: { revision: 2, file: { name: 'First tablet' } } });
    expect((await findFormula(kitchen.db, id))?.file.name).toBe('First tablet');
  });

  it('let only one of two saves at the same moment through', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(7));
    const outcomes = await Promise.all(
      ['a', 'b', 'c'].map((name) => saveFormula(kitchen.db, id, 1, { ...gloss, name }, at(8))),
    );
    expect(outcomes.map(({ outcome }) => outcome).sort()).toEqual(['saved', 'stale', 'stale']);
  });

  it('can be deleted and brought back', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(9));
    expect(await deleteFormula(kitchen.db, id, at(10))).toBe(true);
    expect(await deleteFormula(kitchen.db, id, at(10))).toBe(false);
    expect(await findFormula(kitchen.db, id)).toBeUndefined();
    expect(await saveFormula(kitchen.db, id, 1, gloss, at(11))).toEqual({ outcome: 'gone' });
    expect(await restoreFormula(kitchen.db, id)).toBe(true);
    expect(plain((await findFormula(kitchen.db, id))?.file)).toEqual(plain(gloss));
    expect(await restoreFormula(kitchen.db, id)).toBe(false);
  });

  it('are forgotten only when deleted long enough', async () => {
    const kept = await createFormula(kitchen.db, gloss, at(12));
    const old = await createFormula(kitchen.db, gloss, at(12));
    await deleteFormula(kitchen.db, old.id, at(13));
    await forgetDeleted(kitchen.db, at(13));
    expect(await restoreFormula(kitchen.db, old.id)).toBe(true);
    await deleteFormula(kitchen.db, old.id, at(13));
    await forgetDeleted(kitchen.db, at(14));
    expect(await restoreFormula(kitchen.db, old.id)).toBe(false);
    expect(await findFormula(kitchen.db, kept.id)).toBeDefined();
  });

  it('are listed with the last changed first', async () => {
    const early = await createFormula(kitchen.db, { ...gloss, name: 'Early' }, at(20));
    await createFormula(kitchen.db, { ...gloss, name: 'Late' }, at(21));
    expect((await listFormulas(kitchen.db))[0]?.file.name).toBe('Late');
    await saveFormula(kitchen.db, early.id, 1, { ...gloss, name: 'Early, changed' }, at(22));
    expect((await listFormulas(kitchen.db))[0]).toMatchObject({ file: { name: 'Early, changed' } });
  });
});

describe('variants', () => {
  it('store only what differs and follow their base when it is saved', async () => {
    const base = await createFormula(kitchen.db, { ...gloss, name: 'Base' }, at(30));
    const child = await createFormula(
      kitchen.db,
      { ...gloss, name: 'Without rum', lines: gloss.lines.filter(({ ingredient }) => ingredient !== 'rum-40') },
      at(31),
      base.id,
    );
    expect(child.baseId).toBe(base.id);
    const [first, ...rest] = gloss.lines;
    if (!first) throw new Error('no rows');
    await saveFormula(
      kitchen.db,
      base.id,
      1,
      { ...gloss, name: 'Base', lines: [{ ...first, grams: 333 }, ...rest] },
      at(32),
    );
    const followed = await findFormula(kitchen.db, child.id);
    expect(followed).toMatchObject({ revision: 2, file: { name: 'Without rum' } });
    expect(followed?.file.lines[0]?.grams).toBe(333);
    expect(followed?.file.lines.map(({ ingredient }) => ingredient)).not.toContain('rum-40');
    expect((await variantsOf(kitchen.db, base.id)).map(({ id }) => id)).toEqual([child.id]);

    const stale = await saveFormula(kitchen.db, child.id, 1, gloss, at(33));
    expect(stale.outcome).toBe('stale');
    const grandchild = await createFormula(kitchen.db, gloss, at(34), child.id);
    expect(grandchild.baseId).toBe(base.id);
    await deleteFormula(kitchen.db, base.id, at(35));
    await forgetDeleted(kitchen.db, at(36));
    expect(await findFormula(kitchen.db, child.id)).toMatchObject({ baseId: null });
  });
});

describe('versions and the archive', () => {
  it('keep a state under a name, the newest first, until it is let go', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(40));
    await addVersion(kitchen.db, id, { name: 'First pour', note: 'too thin', file: gloss }, at(41));
    const second = await addVersion(
      kitchen.db,
      id,
      { name: 'Second', note: '', file: { ...gloss, lines: [] } },
      at(42),
    );
    const kept = await listVersions(kitchen.db, id);
    expect(kept.map(({ name }) => name)).toEqual(['Second', 'First pour']);
    expect(plain(kept[1]?.file)).toEqual(plain(gloss));
    expect(await removeVersion(kitchen.db, id, second.id)).toBe(true);
    expect(await removeVersion(kitchen.db, id, second.id)).toBe(false);
  });

  it('of those kept by themselves only the newest twelve stay; what was named stays', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(50));
    await addVersion(kitchen.db, id, { name: 'Named', note: '', file: gloss }, at(51));
    for (let i = 0; i < 15; i++) {
      const name = `Before it was balanced ${i}`;
      await addVersion(kitchen.db, id, { name, note: '', automatic: true, file: gloss }, at(52 + i));
    }
    const kept = await listVersions(kitchen.db, id);
    expect(kept.filter(({ automatic }) => automatic).map(({ name }) => name)).toEqual(
      Array.from({ length: 12 }, (_, i) => `Before it was balanced ${14 - i}`),
    );
    expect(kept.filter(({ automatic }) => !automatic).map(({ name }) => name)).toEqual(['Named']);
  });

  it('put a formula away and take it out again', async () => {
    const { id } = await createFormula(kitchen.db, gloss, at(43));
    expect(await archiveFormula(kitchen.db, id, at(44))).toBe(true);
    expect(await findFormula(kitchen.db, id)).toMatchObject({ archived: true });
    await archiveFormula(kitchen.db, id, null);
    expect(await findFormula(kitchen.db, id)).toMatchObject({ archived: false });
  });
});

describe('the larder', () => {
  it('is stocked once and in its order', async () => {
    await stockEmptyLarder(kitchen.db, startingLarder());
    await stockEmptyLarder(kitchen.db, startingLarder().slice(0, 1));
    const kept = await listIngredients(kitchen.db);
    expect(plain(kept.map(({ revision: _, ...ingredient }) => ingredient))).toEqual(plain(startingLarder()));
  });
});
