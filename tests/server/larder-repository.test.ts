import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Ingredient } from '@/formats/ingredient';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { createFormula, deleteFormula } from '@/server/repositories/formulas';
import {
  addIngredient,
  findIngredient,
  importIngredients,
  listIngredients,
  refreshTypical,
  removeIngredient,
  saveIngredient,
  stockEmptyLarder,
  usesOf,
} from '@/server/repositories/larder';
import { startingLarder } from '@/server/repositories/starting-larder';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
const starting = startingLarder();
const house: Ingredient = { ...(starting[4] as Ingredient), name: 'House dark 62', id: 'new', origin: 'own' };

beforeAll(async () => {
  kitchen = await openTestKitchen();
  await stockEmptyLarder(kitchen.db, starting);
});
afterAll(() => kitchen.close());

const add = async (name: string) => {
  const result = await addIngredient(kitchen.db, { ...house, name });
  if (result.outcome !== 'kept') throw new Error(result.outcome);
  return result.ingredient;
};

describe('the larder', () => {
  it('keeps the order of the forms: the usual one first', async () => {
    const dark = await findIngredient(kitchen.db, 'dark-couverture-60');
    expect(Object.keys(dark?.measures ?? {})).toEqual(['callets', 'chopped', 'grated', 'melted']);
  });

  it('adds own ingredients under a free id, and no name twice', async () => {
    const first = await add('Mill dark');
    expect(first).toMatchObject({ id: 'mill-dark', origin: 'own', revision: 1 });
    expect(await addIngredient(kitchen.db, { ...house, name: ' mill DARK ' })).toEqual({ outcome: 'nameTaken' });
    expect((await add('Mill dark!')).id).toBe('mill-dark-2');
    expect(await addIngredient(kitchen.db, { ...house, name: 'Dark couverture 60 %' })).toEqual({
      outcome: 'nameTaken',
    });
  });

  it('tells a stale change and overwrites nothing', async () => {
    const kept = await add('Stale dark');
    expect(await saveIngredient(kitchen.db, kept.id, 1, { ...kept, note: 'first' })).toMatchObject({ outcome: 'kept' });
    expect(await saveIngredient(kitchen.db, kept.id, 1, { ...kept, note: 'second' })).toMatchObject({
      outcome: 'stale',
      current: { note: 'first', revision: 2 },
    });
    expect(await saveIngredient(kitchen.db, 'nobody', 1, kept)).toEqual({ outcome: 'gone' });
  });

  it('changes only price, stock and note of a typical one', async () => {
    const cream = await findIngredient(kitchen.db, 'cream-35');
    if (!cream) throw new Error('no cream');
    await saveIngredient(kitchen.db, 'cream-35', cream.revision, {
      ...cream,
      name: 'Water',
      components: { water: 100 },
      pricePerKg: 6.1,
      stockG: 2500,
      note: 'from the farm',
    });
    expect(await findIngredient(kitchen.db, 'cream-35')).toMatchObject({
      name: cream.name,
      components: cream.components,
      pricePerKg: 6.1,
      stockG: 2500,
      note: 'from the farm',
    });
    await refreshTypical(kitchen.db, starting);
    expect(await findIngredient(kitchen.db, 'cream-35')).toMatchObject({ pricePerKg: 6.1, note: 'from the farm' });
  });

  it('knows where an ingredient is used and keeps it there', async () => {
    const own = await add('Used dark');
    const [file] = lanternMillFormulas();
    if (!file) throw new Error('no demo');
    const lines = [{ ingredient: own.id, grams: 10, locked: false }];
    const { id } = await createFormula(kitchen.db, { ...file, name: 'Uses it', lines }, new Date());
    expect(await usesOf(kitchen.db, own.id)).toEqual([{ id, name: 'Uses it' }]);
    expect(await removeIngredient(kitchen.db, own.id)).toEqual([{ id, name: 'Uses it' }]);
    await deleteFormula(kitchen.db, id, new Date());
    expect(await removeIngredient(kitchen.db, own.id)).toBe('removed');
    expect(await removeIngredient(kitchen.db, own.id)).toBe('gone');
    expect(await removeIngredient(kitchen.db, 'cream-35')).toBe('typical');
  });

  it('another ingredient under the same id is not taken for the one that was there', async () => {
    const add = async (water: number) => {
      const outcome = await addIngredient(kitchen.db, { ...house, name: 'Twice here', components: { water } });
      if (outcome.outcome !== 'kept') throw new Error('not kept');
      return outcome.ingredient.id;
    };
    const waterOf = async (id: string) =>
      (await listIngredients(kitchen.db)).find((each) => each.id === id)?.components.water;
    const id = await add(10);
    expect(await waterOf(id)).toBe(10);
    await removeIngredient(kitchen.db, id);
    expect(await add(20)).toBe(id);
    expect(await waterOf(id)).toBe(20);
    await removeIngredient(kitchen.db, id);
  });

  it('imports all or nothing', async () => {
    const before = (await listIngredients(kitchen.db)).length;
    const one = (id: string): Ingredient => ({ ...house, id, name: id });
    const half = importIngredients(
      kitchen.db,
      { add: [one('import-1'), one('import-2'), one('cream-35')], change: [] },
      () => undefined,
    );
    await expect(half).rejects.toThrow();
    expect(await listIngredients(kitchen.db)).toHaveLength(before);

    const told: number[] = [];
    await importIngredients(
      kitchen.db,
      {
        add: Array.from({ length: 1200 }, (_, i) => one(`import-${i}`)),
        change: [{ ...one('mill-dark'), note: 'changed by import' }],
      },
      (done) => told.push(done),
    );
    expect(await listIngredients(kitchen.db)).toHaveLength(before + 1200);
    expect(told).toEqual([500, 1000, 1200]);
    expect(await findIngredient(kitchen.db, 'mill-dark')).toMatchObject({ note: 'changed by import', revision: 2 });
  });

  it('an import changes nothing of a typical ingredient but price, stock and note, whatever it says', async () => {
    const cream = await findIngredient(kitchen.db, 'cream-35');
    if (!cream) throw new Error('no cream');
    const change = {
      ...cream,
      name: 'Water',
      components: { water: 100 },
      allergens: [],
      pricePerKg: 6.5,
      origin: 'own' as const,
    };
    await importIngredients(kitchen.db, { add: [], change: [change] }, () => undefined);
    expect(await findIngredient(kitchen.db, 'cream-35')).toEqual({
      ...cream,
      pricePerKg: 6.5,
      revision: cream.revision + 1,
    });
    const added = { ...change, id: 'posing-as-typical', name: 'Posing', origin: 'typical' as const };
    await importIngredients(kitchen.db, { add: [added], change: [] }, () => undefined);
    expect((await findIngredient(kitchen.db, 'posing-as-typical'))?.origin).toBe('own');
  });
});
