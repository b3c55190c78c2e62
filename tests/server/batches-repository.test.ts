import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FrozenBatch, Happening, Told } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import type { FormulaFile } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { tell } from '@/server/repositories/batch-log';
import { eventsAfter, findBatch } from '@/server/repositories/batch-rows';
import { beginBatch, runningBatches } from '@/server/repositories/batches';
import { openTestKitchen } from '../support/databases';
import { larder } from '../support/kitchen';

const STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const gloss = lanternMillFormulas().at(-1) as FormulaFile;
const frozen = freezeBatch(gloss, larder, 'standard', { times: 2, stove: STOVE, kitchenC: 24 }) as FrozenBatch;
const told = (what: Happening, key: string = randomUUID()): Told => ({ key, tablet: 'a', tabletMs: 5, what });
const at = (second: number) => new Date(Date.UTC(2026, 0, 1, 8, 0, second));

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

describe('what a batch is begun with', () => {
  it('is the formula times so much, with its steps and all it is made of', () => {
    expect(frozen.file.lines.map(({ grams }) => grams)).toEqual(gloss.lines.map(({ grams }) => 2 * grams));
    expect(frozen.file.method?.steps?.length).toBeGreaterThan(5);
    // No larder is needed any more, and the method is the one that was worked out.
    const lines = resolveFormula(frozen.file, new Map(), 'standard');
    const again = workMethod(frozen.file, lines, kitchenOf(frozen.file, 24, STOVE));
    expect(again?.followed.map(({ step: { kind } }) => kind)).toEqual(
      frozen.file.method?.steps?.map(({ kind }) => kind),
    );
    expect(again?.faults).toEqual([]);
  });

  it('is nothing where a row is unknown or no way suits', () => {
    const unknown = { ...gloss, lines: [...gloss.lines, { ingredient: 'nobody', grams: 5, locked: false }] };
    const asked = { times: 1, stove: STOVE, kitchenC: 22 };
    expect(freezeBatch(unknown, larder, 'standard', asked)).toBeUndefined();
    expect(
      freezeBatch({ ...gloss, lines: [{ ingredient: 'water', grams: 90, locked: false }] }, larder, 'standard', asked),
    ).toBeUndefined();
  });
});

describe('batches as kept', () => {
  it('are numbered one after the other, and run until they are over', async () => {
    const [one, two] = [
      await beginBatch(kitchen.db, 'f-1', frozen, at(0)),
      await beginBatch(kitchen.db, 'f-1', frozen, at(1)),
    ];
    expect(two.number).toBe(one.number + 1);
    expect((await runningBatches(kitchen.db)).map(({ id }) => id)).toEqual([two.id, one.id]);
    const found = await findBatch(kitchen.db, one.id);
    expect(JSON.parse(JSON.stringify(found?.frozen))).toEqual(JSON.parse(JSON.stringify(frozen)));
    const end = await tell(kitchen.db, one.id, { after: 0, events: [told({ kind: 'finish' })] }, at(2));
    expect(end?.state).toBe('finished');
    expect((await runningBatches(kitchen.db)).map(({ id }) => id)).toEqual([two.id]);
  });

  it('get a number each, however many are begun at once', async () => {
    const begun = await Promise.all(
      Array.from({ length: 4 }, (_, i) => beginBatch(kitchen.db, `f-${i}`, frozen, at(i))),
    );
    expect(new Set(begun.map(({ number }) => number)).size).toBe(4);
  });

  it('keep an event once, however often it is told, and answer what a tablet does not know', async () => {
    const { id } = await beginBatch(kitchen.db, 'f-1', frozen, at(0));
    const first = told({ kind: 'done', step: 0 });
    await tell(kitchen.db, id, { after: 0, events: [first] }, at(1));
    const again = await tell(
      kitchen.db,
      id,
      { after: 0, events: [first, first, told({ kind: 'done', step: 1 })] },
      at(2),
    );
    expect(again?.events.map(({ seq, what }) => [seq, what.kind])).toEqual([
      [1, 'done'],
      [2, 'done'],
    ]);
    expect((await tell(kitchen.db, id, { after: 1, events: [] }, at(3)))?.events).toHaveLength(1);
    expect(foldBatch(4, 0, await eventsAfter(kitchen.db, id, 0)).now).toBe(2);
    expect(await tell(kitchen.db, 'constructor', { after: 0, events: [] }, at(3))).toBeUndefined();
  });

  it('give two tablets that tell at once a place each', async () => {
    const { id } = await beginBatch(kitchen.db, 'f-1', frozen, at(0));
    const many = Array.from({ length: 12 }, (_, i) =>
      tell(kitchen.db, id, { after: 0, events: [told({ kind: 'note', text: `note ${i}` })] }, at(i)),
    );
    await Promise.all(many);
    const events = await eventsAfter(kitchen.db, id, 0);
    expect(events.map(({ seq }) => seq)).toEqual(Array.from({ length: 12 }, (_, i) => i + 1));
  });
});
