import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MODEL_REVISION } from '@/core/model-constants';
import type { Happening } from '@/formats/batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { tell } from '@/server/repositories/batch-log';
import { shownPhotos } from '@/server/repositories/batch-photos';
import { eventsAfter } from '@/server/repositories/batch-rows';
import { beginBatch } from '@/server/repositories/batches';
import { bookChoices, lookUpBook, wholeBook } from '@/server/repositories/book';
import { readFigureNews } from '@/server/repositories/figure-news';
import {
  allMisses,
  kitchenKnowledge,
  knowledgeBeside,
  missesOf,
  refreshTests,
} from '@/server/repositories/kitchen-tests';
import { rememberedLog, writePastBatch } from '@/server/repositories/past-batches';
import { openTestKitchen } from '../support/databases';
import { larder } from '../support/kitchen';

const [syrup, , fudge] = lanternMillFormulas();
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const frozenOf = (file: typeof syrup) => {
  const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
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

describe('what hangs on batches', () => {
  it('tests that agree are told of their formula, and none that is set aside', async () => {
    const ring = (diameterMm: number): Happening => ({ kind: 'ring', diameterMm, temperatureC: 40 });
    const first = await write('f-9', fudge, 2, 'Ines', ring(58), ring(59));
    const found = (await allMisses(kitchen.db))['f-9'];
    expect(found?.map(({ about, tests }) => [about, tests])).toEqual([['warm', 2]]);
    expect(found).toEqual(await missesOf(kitchen.db, 'f-9'));
    const keys = (await eventsAfter(kitchen.db, first.id, 0)).filter(({ what: { kind } }) => kind === 'ring');
    const doubt = { kind: 'doubt', test: keys[0]?.key ?? '', isDoubted: true } as const;
    const told = { key: 'doubt-of-a-test', tablet: 'a', tabletMs: 1, what: doubt };
    await tell(kitchen.db, first.id, { after: 0, events: [told] }, day(3));
    expect((await allMisses(kitchen.db))['f-9']).toBeUndefined();
    await kitchen.db.execute(sql`delete from batches where formula_id = 'f-9'`);
  });

  it('a photo is shown until it is taken away, by each batch for itself', async () => {
    const photo = { hash: 'c'.repeat(64), width: 10, height: 10 };
    const shows = { kind: 'photo', photo, shows: '' } as const;
    const [one] = [await write('f-8', fudge, 4, 'Ines', shows, { kind: 'photoOff', hash: photo.hash })];
    expect(await shownPhotos(kitchen.db)).toEqual(new Set());
    const two = await write('f-8', fudge, 5, 'Ines', { kind: 'photoOff', hash: photo.hash }, shows);
    expect(await shownPhotos(kitchen.db)).toEqual(new Set([photo.hash]));
    expect(one?.id).not.toBe(two.id);
    await kitchen.db.execute(sql`delete from batches where formula_id = 'f-8'`);
  });
});

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
    expect(before.tests).toBe(1);
    // Learnt once, whoever asks.
    expect(await kitchenKnowledge(kitchen.db)).toBe(before);
    const [reading] = (await knowledgeBeside(kitchen.db, undefined)).readings;
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
    expect((await kitchenKnowledge(kitchen.db)).tests).toBe(0);
    await doubt(2, false);
    expect(await kitchenKnowledge(kitchen.db)).toEqual(before);
    await kitchen.db.execute('delete from kitchen_tests');
    await kitchen.db.execute('update batches set tested_by = null');
    await refreshTests(kitchen.db);
    expect(await kitchenKnowledge(kitchen.db)).toEqual(before);
    // Nothing was known of these tests before: there is no news of them.
    expect(await readFigureNews(kitchen.db)).toBeUndefined();
  });

  it('read by an older revision are read anew, and what became of the warm ones is kept to be told', async () => {
    const before = await kitchenKnowledge(kitchen.db);
    await kitchen.db.execute(
      "update kitchen_tests set residual = residual + 0.6, evidence = null where about = 'warm'",
    );
    await kitchen.db.execute('update batches set tested_by = 2 where tested_by is not null');
    expect((await kitchenKnowledge(kitchen.db)).offsets.warm.tests).toBe(0);
    await refreshTests(kitchen.db);
    expect(await kitchenKnowledge(kitchen.db)).toEqual(before);
    const news = await readFigureNews(kitchen.db);
    expect(news?.revision).toBe(MODEL_REVISION);
    expect((news?.was ?? 0) - (news?.is ?? 0)).toBeCloseTo(0.6, 6);
  });
});
