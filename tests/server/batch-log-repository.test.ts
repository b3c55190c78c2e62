import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type FrozenBatch, type Happening, MAX_EVENTS, MAX_PROBE_EVENTS, type Told } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import type { FormulaFile } from '@/formats/formula-file';
import { cookedBatch, cookedNow } from '@/kitchen/cook/cook-batch';
import { dangerClock } from '@/kitchen/cook/danger-clock';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { panNow } from '@/kitchen/cook/pan-now';
import type { OpenDatabase } from '@/server/db/database';
import { batchEvents } from '@/server/db/schema';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { tell } from '@/server/repositories/batch-log';
import { eventsAfter, openBatch } from '@/server/repositories/batch-rows';
import { beginBatch } from '@/server/repositories/batches';
import { lookUpBook } from '@/server/repositories/book';
import { openTestKitchen } from '../support/databases';
import { larder } from '../support/kitchen';

const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const [template] = lanternMillFormulas();
if (!template) throw new Error('no formula');
const line = (ingredient: string, grams: number) => ({ ingredient, grams, locked: false });
const withLecithin: FormulaFile = {
  ...template,
  name: 'Sluice ganache',
  brief: undefined,
  method: undefined,
  lines: [line('cream-35', 240), line('dark-couverture-60', 200), line('lecithin-soy', 0.4)],
};
const frozen = freezeBatch(withLecithin, larder, 'standard', { times: 1, stove, kitchenC: 22 }) as FrozenBatch;
const START = Date.UTC(2026, 10, 28, 8);
const minute = (n: number) => new Date(START + n * 60_000);
const toldAt = (what: Happening, minutes: number, tablet = 'a'): Told => ({
  key: randomUUID(),
  tablet,
  // This tablet's clock is wrong by years; what counts is how long ago things were.
  tabletMs: 1_000_000_000_000 + minutes * 60_000,
  what,
});
const sent = (minutes: number) => 1_000_000_000_000 + minutes * 60_000;
const temperature = (temperatureC: number): Happening => ({ kind: 'temperature', temperatureC, by: 'probe' });
const paste: Happening = { kind: 'add', name: 'Hazelnut paste', components: { liquid_oil: 60 }, grams: 30 };

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

const begin = async () => (await beginBatch(kitchen.db, 'f', frozen, minute(0))).id;
const stateOf = async (id: string) =>
  foldBatch(cookedBatch(frozen).method.followed.length, START, await eventsAfter(kitchen.db, id, 0));

describe('a tablet that was out of reach', () => {
  it('tells when things happened by its own clock: forty minutes stay forty minutes', async () => {
    const id = await begin();
    const events = [0, 40, 80].map((n) => toldAt(temperature(50 - n / 4), 10 + n));
    await tell(kitchen.db, id, { after: 0, events, sentMs: sent(120) }, minute(120));
    const { temperatures } = await stateOf(id);
    expect(temperatures.map(({ ms }) => (ms - START) / 60_000)).toEqual([10, 50, 90]);
    expect(dangerClock(temperatures).growsH).toBeCloseTo(80 / 60, 6);
  });

  it('has its work counted where another finished first, allergens among it; the log says that it came late', async () => {
    const id = await begin();
    await tell(kitchen.db, id, { after: 0, events: [toldAt({ kind: 'finish' }, 30)], sentMs: sent(30) }, minute(30));
    expect((await lookUpBook(kitchen.db, { skip: 0 })).rows.find((row) => row.id === id)?.isRescued).toBe(false);
    const offline = [
      toldAt({ kind: 'weigh', step: 0, row: 0, grams: 231, by: 'scale' }, 5, 'b'),
      toldAt(paste, 12, 'b'),
      toldAt({ kind: 'add', name: 'After the end', components: { water: 100 }, grams: 5 }, 40, 'b'),
    ];
    await tell(kitchen.db, id, { after: 0, events: offline, sentMs: sent(60) }, minute(60));
    const state = await stateOf(id);
    expect(state.over).toBe('finished');
    expect([...state.weighed.values()]).toEqual([231]);
    expect(state.added.map(({ name }) => name)).toEqual(['Hazelnut paste']);
    expect(state.toldLate.map(({ what, heardMs }) => [what.kind, (heardMs - START) / 60_000])).toEqual([
      ['weigh', 60],
      ['add', 60],
    ]);
    const row = (await lookUpBook(kitchen.db, { skip: 0 })).rows.find((each) => each.id === id);
    expect(row).toMatchObject({ isRescued: true, overMs: minute(30).getTime() });
  });

  it('that finishes as well, earlier by its clock, ends nothing that was told to be over', async () => {
    const id = await begin();
    const first = [toldAt({ kind: 'poured', grams: 400 }, 30), toldAt({ kind: 'finish' }, 30)];
    await tell(kitchen.db, id, { after: 0, events: first, sentMs: sent(30) }, minute(30));
    const second = [toldAt({ kind: 'poured', grams: 390 }, 20, 'b'), toldAt({ kind: 'finish' }, 20, 'b')];
    await tell(kitchen.db, id, { after: 0, events: second, sentMs: sent(50) }, minute(50));
    const state = await stateOf(id);
    expect([state.poured.map(({ grams }) => grams), state.overMs]).toEqual([[400], minute(30).getTime()]);
    expect(state.finishedAgain.map(({ grams }) => grams)).toEqual([390]);
  });

  it('keeps the order of its own events, however its answers were delayed', async () => {
    const id = await begin();
    await tell(
      kitchen.db,
      id,
      { after: 0, events: [toldAt({ kind: 'done', step: 0 }, 9)], sentMs: sent(9) },
      minute(10),
    );
    await tell(
      kitchen.db,
      id,
      { after: 0, events: [toldAt({ kind: 'done', step: 1 }, 9)], sentMs: sent(9.6) },
      minute(10),
    );
    const kinds = (await stateOf(id)).steps.map(({ status }) => status);
    expect(kinds.slice(0, 2)).toEqual(['done', 'done']);
  });
});

describe('a server whose clock was set', () => {
  it.each([-90, 90])('by %i minutes never lets a batch end before it begins, or go backwards', async (by) => {
    const id = await begin();
    await tell(kitchen.db, id, { after: 0, events: [toldAt(temperature(60), 5)], sentMs: sent(5) }, minute(5));
    const end = await tell(
      kitchen.db,
      id,
      { after: 0, events: [toldAt({ kind: 'finish' }, 8)], sentMs: sent(8) },
      minute(8 + by),
    );
    const state = await stateOf(id);
    expect(state.overMs).toBeGreaterThanOrEqual(minute(5).getTime());
    expect(end?.nowMs).toBeGreaterThanOrEqual(state.overMs ?? Number.NaN);
    const row = (await lookUpBook(kitchen.db, { skip: 0 })).rows.find((each) => each.id === id);
    expect(row?.overMs).toBeGreaterThanOrEqual(row?.startedMs ?? Number.NaN);
  });
});

describe('what a batch cannot take', () => {
  it('is refused by itself, with a reason; what comes with it is kept', async () => {
    const id = await begin();
    const bad: readonly (Told | object)[] = [
      toldAt({ kind: 'done', step: 90 }, 1),
      toldAt({ kind: 'weigh', step: 0, row: 44, grams: 5, by: 'hand' }, 1),
      toldAt({ kind: 'note', text: 'a lone \ud800 half' }, 1),
      toldAt({ kind: 'note', text: 'nothing\u0000here' }, 1),
      { ...toldAt({ kind: 'note', text: 'x' }, 1), what: { kind: 'dance' } },
      toldAt({ kind: 'replan', row: 0, grams: -4 }, 1),
    ];
    const good = toldAt({ kind: 'note', text: 'good 🍫' }, 1);
    const answer = await tell(kitchen.db, id, { after: 0, events: [...bad, good] }, minute(1));
    expect(answer?.events.map(({ key }) => key)).toEqual([good.key]);
    expect(answer?.refused.map(({ key }) => key).sort()).toEqual(bad.map((each) => (each as Told).key).sort());
    for (const { message } of answer?.refused ?? []) expect(message).toMatch(/^It cannot be kept: .+\.$/);
    await expect(tell(kitchen.db, id, { after: 0, events: [{ what: 'ever' }] }, minute(1))).rejects.toThrow(/key/);
  });

  it('are amounts with which no method can be followed', async () => {
    const id = await begin();
    const nothing = [0, 1, 2].map((row) => toldAt({ kind: 'replan', row, grams: 0 }, 1));
    const answer = await tell(kitchen.db, id, { after: 0, events: nothing }, minute(1));
    expect(answer?.refused).toHaveLength(3);
    expect(answer?.events).toEqual([]);
  });

  it('and is in its log all the same, from before it was looked at, hides nothing', async () => {
    const id = await begin();
    await tell(kitchen.db, id, { after: 0, events: [toldAt({ kind: 'replan', row: 2, grams: 0 }, 1)] }, minute(1));
    const own = { batchId: id, tablet: 'a', tabletMs: 1, serverMs: START + 1 };
    await kitchen.db.insert(batchEvents).values([
      { ...own, seq: 2, key: 'replan-0', what: { kind: 'replan', row: 0, grams: 0 } },
      { ...own, seq: 3, key: 'replan-1', what: { kind: 'replan', row: 1, grams: 0 } },
      { ...own, seq: 4, key: 'of tomorrow', what: { kind: 'sung', song: 'x' } as never },
      { ...own, seq: 5, key: 'no grams', what: { kind: 'add', name: 'x', components: [], grams: 0 } as never },
    ]);
    const opened = await openBatch(kitchen.db, id);
    const state = await stateOf(id);
    expect(opened?.events).toHaveLength(5);
    expect(state.unclear).toHaveLength(2);
    const cooked = cookedNow(frozen, state.replanned);
    expect(cooked.method.followed.length).toBeGreaterThan(2);
    expect(panNow(cooked, state).added).toEqual([]);
    // The book takes it, too.
    await tell(kitchen.db, id, { after: 0, events: [toldAt({ kind: 'finish' }, 3)] }, minute(3));
    expect((await lookUpBook(kitchen.db, { skip: 0 })).rows.some((row) => row.id === id)).toBe(true);
  });
});

describe('a log that is full', () => {
  it('is sent thinned, takes no more of what is read, and can always be ended', async () => {
    const id = await begin();
    const rows = Array.from({ length: MAX_EVENTS }, (_, i) => ({
      ...{ batchId: id, seq: i + 1, key: `reading-${i}`, tablet: 'a', tabletMs: i, serverMs: START + i * 1000 },
      what: temperature(i === 7_777 ? 97 : 40 + Math.sin(i / 50)),
    }));
    for (let from = 0; from < rows.length; from += 2_000) {
      await kitchen.db.insert(batchEvents).values(rows.slice(from, from + 2_000));
    }
    const opened = await openBatch(kitchen.db, id);
    expect(JSON.stringify(opened?.events).length).toBeLessThan(200_000);
    expect(opened?.events.at(-1)?.seq).toBe(MAX_EVENTS);
    expect(opened?.events.some(({ what }) => what.kind === 'temperature' && what.temperatureC === 97)).toBe(true);
    const more = [toldAt(temperature(41), 1), toldAt({ kind: 'done', step: 0 }, 1)];
    const full = await tell(kitchen.db, id, { after: MAX_EVENTS, events: more }, minute(400));
    expect(full?.refused.map(({ message }) => message)).toEqual([
      expect.stringContaining(String(MAX_PROBE_EVENTS)),
      expect.stringContaining(String(MAX_EVENTS)),
    ]);
    const end = [toldAt({ kind: 'poured', grams: 400 }, 2), toldAt({ kind: 'finish' }, 2)];
    const ended = await tell(kitchen.db, id, { after: MAX_EVENTS, events: end }, minute(401));
    expect(ended).toMatchObject({ state: 'finished', refused: [] });
    await kitchen.db.delete(batchEvents).where(eq(batchEvents.batchId, id));
  });
});
