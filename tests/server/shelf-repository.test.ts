import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { keepingSchema, putAwaySchema } from '@/formats/shelf';
import { keepingLines } from '@/kitchen/words/keeping-words';
import type { OpenDatabase } from '@/server/db/database';
import { listShelf, putAway, takeFrom } from '@/server/repositories/shelf';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

const item = (change: object = {}) =>
  putAwaySchema.parse({
    name: 'Gloss',
    container: 'jar',
    count: 3,
    grams: 300,
    place: 'fridge',
    madeOn: '2026-11-20',
    ...change,
  });

describe('the shelf', () => {
  it('holds what was put away, by its use-by, until it is gone', async () => {
    const id = await putAway(kitchen.db, item(), new Date());
    await putAway(kitchen.db, item({ name: 'Older', madeOn: '2026-11-02', useBy: '2026-11-09' }), new Date());
    expect((await listShelf(kitchen.db)).map(({ name }) => name)).toEqual(['Older', 'Gloss']);
    expect(await takeFrom(kitchen.db, id, { fate: 'used', grams: 100 })).toEqual({ outcome: 'taken', leftG: 200 });
    expect(await takeFrom(kitchen.db, id, { fate: 'thrown', grams: 50 })).toEqual({ outcome: 'taken', leftG: 150 });
    expect((await listShelf(kitchen.db)).find(({ name }) => name === 'Gloss')).toMatchObject({
      leftG: 150,
      thrownG: 50,
      grams: 300,
    });
    expect(await takeFrom(kitchen.db, id, { fate: 'used', grams: 151 })).toEqual({ outcome: 'tooMuch', leftG: 150 });
    expect(await takeFrom(kitchen.db, id, { fate: 'used', grams: 150 })).toEqual({ outcome: 'taken', leftG: 0 });
    expect((await listShelf(kitchen.db)).map(({ name }) => name)).toEqual(['Older']);
    expect(await takeFrom(kitchen.db, 'constructor', { fate: 'used', grams: 1 })).toEqual({ outcome: 'gone' });
  });

  it('is never taken below nothing by two at once', async () => {
    const id = await putAway(kitchen.db, item({ name: 'Shared', grams: 100 }), new Date());
    const both = await Promise.all([1, 2].map(() => takeFrom(kitchen.db, id, { fate: 'used', grams: 70 })));
    expect(both.map(({ outcome }) => outcome).sort()).toEqual(['taken', 'tooMuch']);
    expect((await listShelf(kitchen.db)).find(({ name }) => name === 'Shared')?.leftG).toBe(30);
  });

  it('forgets a batch that is not there, and keeps the rest', async () => {
    await putAway(kitchen.db, item({ name: 'Orphan', batchId: 'nobody' }), new Date());
    expect((await listShelf(kitchen.db)).find(({ name }) => name === 'Orphan')).toMatchObject({
      batchId: null,
      batchNumber: null,
    });
  });

  it.each([
    [{ useBy: '2026-11-19' }],
    [{ madeOn: '2026-02-30' }],
    [{ grams: -4 }],
    [{ grams: Number.NaN }],
    [{ count: 0 }],
    [{ name: '  ' }],
    [{ place: 'moon' }],
  ])('refuses %j', (change) => {
    const raw = { name: 'x', container: 'jar', count: 1, grams: 5, place: 'fridge', madeOn: '2026-11-20', ...change };
    expect(putAwaySchema.safeParse(raw).success).toBe(false);
  });
});

describe('how long it keeps, in words', () => {
  const plain = (value: number, digits: number) => value.toFixed(digits);
  const of = (change: object) =>
    keepingLines(
      keepingSchema.parse({ waterActivity: 0.92, alcoholPercentVol: 0, growsH: null, ...change }),
      plain,
    ).join(' ');

  it('says one answer with its reason and how it was cooled, never a date', () => {
    expect(of({ spoilers: ['dairy'] })).toMatch(/^Fridge, about 4 days: its cream or milk.*aw 0\.92.*Nobody read/);
    // As it was written before spoilers were told apart.
    expect(of({ hasDairy: true })).toContain('its cream or milk spoils first');
    expect(of({})).toMatch(/^Fridge, about \d+ days: by its water\. Its water activity is 0\.92/);
    expect(of({ alcoholPercentVol: 12 })).toContain('12 % vol of alcohol help');
    expect(of({ growsH: 1.2 })).toContain('within the common rules');
    expect(of({ growsH: 5 })).toContain('plan with less');
    expect(of({ growsH: 5 })).not.toMatch(/20\d\d|\d{1,2} (Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)/);
  });
});
