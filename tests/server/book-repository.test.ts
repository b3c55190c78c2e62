import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Happening } from '@/formats/batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { beginBatch, tell } from '@/server/repositories/batches';
import { bookChoices, lookUpBook, wholeBook } from '@/server/repositories/book';
import { kitchenKnowledge, refreshTests } from '@/server/repositories/kitchen-tests';
import { rememberedLog, writePastBatch } from '@/server/repositories/past-batches';
import { openTestKitchen } from '../support/databases';
import { larder } from '../support/kitchen';

const [syrup, , fudge] = lanternMillFormulas();
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const frozenOf = (file: typeof syrup) => {
  const frozen = file && freezeBatch(file, larder, { times: 1, stove, kitchenC: 22 });
  if (!frozen) throw new Error('nothing to cook');
  return frozen;
};
let kitchen: OpenDatabase;
const day = (date: number) => new Date(2026, 9, date, 12);
const write = (formulaId: string, file: typeof syrup, date: number, by: string, ...happened: Happening[]) => {
  const frozen = frozenOf(file);
  return writePastBatch(kitchen.db, {
    formulaId,
    frozen,
    madeAt: day(date),
    by,
    log: rememberedLog(frozen, day(date), happened),
  });
};

beforeAll(async () => {
  kitchen = await openTestKitchen();
  await write('f-1', syrup, 1, 'Ines', { kind: 'verdict', hasLanded: true }, { kind: 'poured', grams: 480 });
  await write(
    'f-1',
    syrup,
    9,
    'Tomas',
    { kind: 'verdict', hasLanded: false },
    { kind: 'note', text: '50 % more_cocoa' },
  );
  await write('f-2', fudge, 20, 'Ines', { kind: 'ring', diameterMm: 80, temperatureC: 40 });
  await beginBatch(kitchen.db, 'f-2', frozenOf(fudge), day(25));
});
afterAll(() => kitchen.close());
const numbers = async (query: Parameters<typeof lookUpBook>[1]) =>
  (await lookUpBook(kitchen.db, query)).rows.map(({ number }) => number);

describe('the book', () => {
  it('holds what is over, the last made first, and is looked through by all it knows', async () => {
    expect(await numbers({ skip: 0 })).toEqual([3, 2, 1]);
    expect(await numbers({ skip: 0, formula: 'f-1' })).toEqual([2, 1]);
    expect(await numbers({ skip: 0, landed: 'yes' })).toEqual([1]);
    expect(await numbers({ skip: 0, landed: 'unsaid' })).toEqual([3]);
    expect(await numbers({ skip: 0, by: 'ines' })).toEqual([3, 1]);
    expect(await numbers({ skip: 0, from: day(5).getTime(), to: day(15).getTime() })).toEqual([2]);
    expect(await numbers({ skip: 0, rescued: 'yes' })).toEqual([]);
    expect(await numbers({ skip: 1 })).toEqual([2, 1]);
    expect((await lookUpBook(kitchen.db, { skip: 2 })).total).toBe(3);
    expect(await wholeBook(kitchen.db, { skip: 0, formula: 'f-2' })).toHaveLength(1);
  });

  it('finds words as they are written, signs of a search among them', async () => {
    expect(await numbers({ skip: 0, search: 'MORE cocoa' })).toEqual([2]);
    expect(await numbers({ skip: 0, search: '0003' })).toEqual([3]);
    expect(await numbers({ skip: 0, search: '%' })).toEqual([3, 2, 1]);
    expect(await numbers({ skip: 0, search: 'nothing like it' })).toEqual([]);
  });

  it('offers the formulas and the names that stand in it', async () => {
    const { formulas, names } = await bookChoices(kitchen.db);
    expect(formulas.map(({ id }) => id).sort()).toEqual(['f-1', 'f-2']);
    expect(names).toEqual(['Ines', 'Tomas']);
  });

  it('goes on with what is told after the end', async () => {
    const [last] = (await lookUpBook(kitchen.db, { skip: 0 })).rows;
    const event = { key: 'told-later-1', tablet: 'a', tabletMs: 0, what: { kind: 'poured', grams: 512 } as const };
    await tell(kitchen.db, last?.id ?? '', { after: 0, events: [event] }, new Date());
    expect((await lookUpBook(kitchen.db, { skip: 0 })).rows[0]?.yieldG).toBe(512);
  });
});

describe('what the kitchen has learnt', () => {
  it('follows its tests: told, doubted, taken back, and worked out anew the same', async () => {
    const before = await kitchenKnowledge(kitchen.db);
    expect(before.knowledge.tests).toBe(1);
    const reading = before.readings[0];
    const doubt = (n: number, isDoubted: boolean) =>
      tell(
        kitchen.db,
        reading?.batchId ?? '',
        {
          after: 0,
          events: [
            {
              key: `doubt-key-${n}`,
              tablet: 'a',
              tabletMs: 0,
              what: { kind: 'doubt', test: reading?.key ?? '', isDoubted },
            },
          ],
        },
        new Date(),
      );
    await doubt(1, true);
    expect((await kitchenKnowledge(kitchen.db)).knowledge.tests).toBe(0);
    await doubt(2, false);
    expect((await kitchenKnowledge(kitchen.db)).knowledge).toEqual(before.knowledge);
    await kitchen.db.execute('delete from kitchen_tests');
    await kitchen.db.execute('update batches set tested_by = null');
    await refreshTests(kitchen.db);
    expect((await kitchenKnowledge(kitchen.db)).knowledge).toEqual(before.knowledge);
  });
});
