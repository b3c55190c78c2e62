import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FrozenBatch } from '@/formats/batch';
import { putAwaySchema } from '@/formats/shelf';
import { freezeBatch } from '@/kitchen/cook/freeze';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { forgetAnswered, KeyUsedError, once } from '@/server/repositories/answered-writes';
import { beginBatch } from '@/server/repositories/batches';
import { listShelf, putAway, takeFrom } from '@/server/repositories/shelf';
import { openTestKitchen } from '../support/databases';
import { larder } from '../support/kitchen';

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

const now = new Date('2026-11-28T08:00:00Z');
const jar = (name: string) =>
  putAwaySchema.parse({ name, container: 'jar', count: 1, grams: 500, place: 'fridge', madeOn: '2026-11-28' });
const gramsOf = async (name: string) =>
  (await listShelf(kitchen.db)).filter((each) => each.name === name).map(({ leftG }) => leftG);

describe('a write under a key', () => {
  it('is done once and answered the same, however often it is told', async () => {
    const write = { key: randomUUID(), asked: ['POST', '/api/shelf', jar('Twice')] };
    const ids: string[] = [];
    for (let i = 0; i < 3; i++) ids.push(await once(kitchen.db, write, now, (tx) => putAway(tx, jar('Twice'), now)));
    expect(new Set(ids).size).toBe(1);
    expect(await gramsOf('Twice')).toEqual([500]);
    const take = { key: randomUUID(), asked: ['POST', `/api/shelf/${ids[0]}`, { grams: 200 }] };
    for (let i = 0; i < 2; i++) {
      const taken = await once(kitchen.db, take, now, (tx) => takeFrom(tx, ids[0] ?? '', { fate: 'used', grams: 200 }));
      expect(taken).toEqual({ outcome: 'taken', leftG: 300 });
    }
    expect(await gramsOf('Twice')).toEqual([300]);
  });

  it('told by two at the same moment is done once', async () => {
    const write = { key: randomUUID(), asked: 'at once' };
    const ids = await Promise.all(
      Array.from({ length: 5 }, () => once(kitchen.db, write, now, (tx) => putAway(tx, jar('Together'), now))),
    );
    expect(new Set(ids).size).toBe(1);
    expect(await gramsOf('Together')).toEqual([500]);
  });

  it('that failed leaves nothing behind, and may be told again', async () => {
    const write = { key: randomUUID(), asked: 'fails first' };
    const failing = once(kitchen.db, write, now, async (tx) => {
      await putAway(tx, jar('Half'), now);
      throw new Error('the lid does not fit');
    });
    await expect(failing).rejects.toThrow('the lid');
    expect(await gramsOf('Half')).toEqual([]);
    await once(kitchen.db, write, now, (tx) => putAway(tx, jar('Half'), now));
    expect(await gramsOf('Half')).toEqual([500]);
  });

  it('is good for one thing', async () => {
    const key = randomUUID();
    await once(kitchen.db, { key, asked: 1 }, now, async () => 'one');
    await expect(once(kitchen.db, { key, asked: 2 }, now, async () => 'two')).rejects.toThrow(KeyUsedError);
  });

  it('is done each time without a key, and forgotten after a month', async () => {
    let times = 0;
    const count = async () => ++times;
    for (let i = 0; i < 2; i++) await once(kitchen.db, { key: undefined, asked: 1 }, now, count);
    expect(times).toBe(2);
    const write = { key: randomUUID(), asked: 'long ago' };
    await once(kitchen.db, write, now, count);
    await forgetAnswered(kitchen.db, new Date(now.getTime() + 29 * 86_400_000));
    await once(kitchen.db, write, now, count);
    expect(times).toBe(3);
    await forgetAnswered(kitchen.db, new Date(now.getTime() + 31 * 86_400_000));
    await once(kitchen.db, write, now, count);
    expect(times).toBe(4);
  });
});

it('thirty batches begun at once get thirty numbers', async () => {
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
  const [file] = lanternMillFormulas();
  const frozen = file && (freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 }) as FrozenBatch);
  if (!frozen) throw new Error('nothing to cook');
  const begun = await Promise.all(Array.from({ length: 30 }, () => beginBatch(kitchen.db, 'f', frozen, now)));
  expect(begun.map(({ number }) => number).sort((a, b) => a - b)).toEqual(Array.from({ length: 30 }, (_, i) => i + 1));
});
