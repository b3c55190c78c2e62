import { describe, expect, it } from 'vitest';
import type { BatchEvent, Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { canPutOff, gramsAsTheyAre, openRows, rowsAt } from '@/kitchen/cook/rows-open';
import { needsHeat, startsByItself } from '@/kitchen/cook/step-start';
import { timersOf } from '@/kitchen/cook/timers-of';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
function cook(name: string) {
  const file = lanternMillFormulas().find((each) => each.name === name);
  const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
  if (!frozen) throw new Error(name);
  return cookedBatch(frozen);
}
const cooked = cook('Millrace éclair gloss');
const toldOf = (of: typeof cooked, ...whats: readonly Happening[]) =>
  foldBatch(
    of.method.followed.length,
    0,
    whats.map(
      (what, i): BatchEvent => ({ seq: i + 1, key: `event-${i}`, tablet: 'a', tabletMs: 0, serverMs: 1000 * i, what }),
    ),
  );
const [first] = cooked.method.followed;
const rows = first?.step.adds.map(({ row }) => row) ?? [];
const [row = 0] = rows;
const planned = cooked.formula.lines[row]?.grams ?? 0;

describe('the rows of a step', () => {
  it('are open until each is in, left out or put off', () => {
    const open = (...whats: readonly Happening[]) =>
      openRows(cooked, toldOf(cooked, ...whats), 0).map((each) => each.row);
    expect(open()).toEqual(rows);
    expect(open({ kind: 'weigh', step: 0, row, grams: 0, by: 'hand' })).toEqual(rows.slice(1));
    expect(open({ kind: 'later', step: 0, row })).toEqual(rows.slice(1));
    // Weighed beside the stove is not in.
    expect(open({ kind: 'setOut', row, grams: 240, by: 'scale' })).toEqual(rows);
  });

  it('put off, stand with each later step until they are in', () => {
    const off: Happening = { kind: 'later', step: 0, row };
    const at = (place: number, ...more: readonly Happening[]) =>
      openRows(cooked, toldOf(cooked, off, ...more), place).filter((each) => each.row === row);
    expect(at(1)).toMatchObject([{ step: 0, row }]);
    expect(at(1, { kind: 'later', step: 1, row })).toEqual([]);
    expect(at(2, { kind: 'later', step: 1, row })).toMatchObject([{ step: 0, row }]);
    expect(at(1, { kind: 'weigh', step: 0, row, grams: planned, by: 'hand' })).toEqual([]);
    expect(canPutOff(cooked, 0)).toBe(true);
    expect(canPutOff(cooked, cooked.method.followed.length - 1)).toBe(false);
  });

  it('want what was weighed beforehand, by their part', () => {
    const state = toldOf(cooked, { kind: 'setOut', row, grams: planned + 20, by: 'scale' });
    expect(rowsAt(cooked, state, 0)[0]?.wantedG).toBeCloseTo(planned + 20, 1);
    expect(gramsAsTheyAre(cooked, state)[row]).toBeCloseTo(planned + 20, 6);
    const weighed = toldOf(
      cooked,
      { kind: 'setOut', row, grams: planned + 20, by: 'scale' },
      { kind: 'weigh', step: 0, row, grams: 300, by: 'scale' },
    );
    expect(gramsAsTheyAre(cooked, weighed)[row]).toBe(300);
  });
});

describe('the clock of a step', () => {
  it('starts with the heat where it is new, else once all is in; a boil is heated, what is poured over it is not', () => {
    expect(needsHeat(cooked, 0)).toBe(true);
    expect(startsByItself(cooked, 0)).toBe(false);
    expect(needsHeat(cooked, 1)).toBe(false);
    expect(startsByItself(cooked, 1)).toBe(true);
  });

  it('stands until it is started, and goes back to that with the step', () => {
    const begun = toldOf(cooked);
    expect(begun.steps[0]).toMatchObject({ status: 'now', startedMs: undefined });
    const started = toldOf(cooked, { kind: 'note', text: 'x' }, { kind: 'start', step: 0 }, { kind: 'start', step: 0 });
    expect(started.steps[0]?.startedMs).toBe(1000);
    // Started before it is worked on it is not started.
    expect(toldOf(cooked, { kind: 'start', step: 1 }).steps[1]?.startedMs).toBeUndefined();
    const again = toldOf(cooked, { kind: 'start', step: 0 }, { kind: 'done', step: 0 }, { kind: 'begin', step: 0 });
    expect(again.steps[0]?.startedMs).toBeUndefined();
  });
});

describe('what ends at a time', () => {
  const head = { id: 'b', name: 'Gloss' };
  const due = (of: typeof cooked, ...whats: readonly Happening[]) =>
    timersOf(head, of.method.followed, toldOf(of, ...whats)).map(({ dueMs }) => dueMs);

  it('is a cook’s timer until it is stopped', () => {
    const timer: Happening = { kind: 'timer', id: 't', label: 'tray', seconds: 90 };
    expect(due(cooked, timer)).toEqual([90_000]);
    expect(due(cooked, timer, { kind: 'timerOff', id: 't' })).toEqual([]);
    expect(due(cooked, timer, { kind: 'finish' })).toEqual([]);
  });

  it('is a step by the clock from its start on, in hand or aside; never an estimate', () => {
    const wait = cooked.method.followed.findIndex(({ step }) => step.end.kind === 'seconds');
    const before = cooked.method.followed.slice(0, wait).map((_, step): Happening => ({ kind: 'done', step }));
    const end = (before.length + 0) * 1000 + 1000 * (cooked.method.followed[wait]?.seconds ?? 0);
    expect(due(cooked, ...before)).toEqual([]);
    expect(due(cooked, ...before, { kind: 'start', step: wait })).toEqual([end]);
    expect(due(cooked, ...before, { kind: 'start', step: wait }, { kind: 'aside', step: wait })).toEqual([end]);
    expect(due(cooked, ...before, { kind: 'start', step: wait }, { kind: 'done', step: wait })).toEqual([]);
    // The boil ends when it boils.
    expect(due(cooked, { kind: 'start', step: 0 })).toEqual([]);
  });

  it('is each burst, the last one begun', () => {
    const boat = cook('Tearoom boat hot sauce');
    const place = boat.method.followed.findIndex(({ bursts }) => bursts !== undefined);
    const before = boat.method.followed.slice(0, place).map((_, step): Happening => ({ kind: 'done', step }));
    const at = 1000 * before.length;
    const burst = (seconds: number): Happening => ({ kind: 'burst', step: place, seconds });
    expect(due(boat, ...before, burst(30))).toEqual([at + 30_000]);
    expect(due(boat, ...before, burst(30), burst(20))).toEqual([at + 1000 + 20_000]);
    // The first burst is the heat.
    expect(toldOf(boat, ...before, burst(30)).steps[place]?.startedMs).toBe(at);
  });
});
