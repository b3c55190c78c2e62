import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MOST_TRIES, practiceTrySchema } from '@/formats/practice';
import type { OpenDatabase } from '@/server/db/database';
import { forgetLearner, keepTry, readPractice } from '@/server/repositories/practice';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

const at = (seconds: number) => new Date(Date.UTC(2026, 10, 20) + 1000 * seconds);
const attempt = (key: string, change: object = {}) =>
  practiceTrySchema.parse({
    key: `${key}-practised`,
    learner: 'Ines',
    kind: 'tomorrow',
    formula: 'Gloss',
    isRight: false,
    called: 'cold',
    miss: 0.4,
    panC: 48,
    ...change,
  });

describe('what learners have done', () => {
  it('is kept with the temperature of the pan, the oldest first, told twice once', async () => {
    await keepTry(kitchen.db, attempt('b', { isRight: true }), at(2));
    await keepTry(kitchen.db, attempt('a'), at(1));
    await keepTry(kitchen.db, attempt('a', { miss: 3 }), at(3));
    await keepTry(kitchen.db, attempt('c', { learner: 'Tomas', called: null, miss: null, panC: undefined }), at(4));
    const { learners, tries } = await readPractice(kitchen.db, 'Ines');
    expect(learners).toEqual(['Ines', 'Tomas']);
    expect(tries.map(({ key, miss, panC }) => [key, miss, panC])).toEqual([
      ['a-practised', 0.4, 48],
      ['b-practised', 0.4, 48],
    ]);
    expect((await readPractice(kitchen.db, 'Tomas')).tries[0]).toMatchObject({ called: null, miss: null, panC: null });
    expect((await readPractice(kitchen.db, undefined)).tries).toEqual([]);
  });

  it('of very many the newest are read, and one learner goes without the others', async () => {
    for (let i = 0; i < MOST_TRIES + 5; i++) {
      await keepTry(kitchen.db, attempt(`many-${i}`, { learner: 'Busy' }), at(100 + i));
    }
    const { tries } = await readPractice(kitchen.db, 'Busy');
    expect(tries).toHaveLength(MOST_TRIES);
    expect(tries[0]?.key).toBe('many-5-practised');
    await forgetLearner(kitchen.db, 'Busy');
    expect((await readPractice(kitchen.db, 'Busy')).tries).toEqual([]);
    expect((await readPractice(kitchen.db, 'Ines')).tries).toHaveLength(2);
  });
});
