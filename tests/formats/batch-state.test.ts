import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BatchEvent, Happening } from '@/formats/batch';
import { foldBatch, weighedKey } from '@/formats/batch-state';
import { withWaiting } from '@/kitchen/cook/use-batch-log';

const T0 = 1_800_000_000_000;
const log = (...whats: readonly Happening[]): BatchEvent[] =>
  whats.map((what, i) => ({
    seq: i + 1,
    key: `event-${i + 1}`,
    tablet: 'a',
    // A tablet whose clock is ten years off.
    tabletMs: 0,
    serverMs: T0 + 1000 * (i + 1),
    what,
  }));
const fold = (...whats: readonly Happening[]) => foldBatch(4, T0, log(...whats));
const statuses = (state: ReturnType<typeof fold>) => state.steps.map(({ status }) => status);

describe('what a log comes to', () => {
  it('begins with the first step, and goes on to the next that is to be done', () => {
    expect(statuses(fold())).toEqual(['now', 'todo', 'todo', 'todo']);
    const one = fold({ kind: 'done', step: 0 });
    expect(statuses(one)).toEqual(['done', 'now', 'todo', 'todo']);
    expect([one.steps[0]?.begunMs, one.steps[0]?.doneMs, one.steps[1]?.begunMs]).toEqual([T0, T0 + 1000, T0 + 1000]);
  });

  it('takes a step that two tablets finish at once for one', () => {
    const both = fold({ kind: 'done', step: 0 }, { kind: 'done', step: 0 });
    expect([both.now, both.steps[0]?.doneMs]).toEqual([1, T0 + 1000]);
  });

  it('counts what one tablet has in the bowl when two finish the batch', () => {
    const [one, two] = ['one', 'two'].map((tablet, i) =>
      log({ kind: 'poured', grams: 500 + i }, { kind: 'finish' }).map((event) => ({ ...event, tablet })),
    );
    const both = foldBatch(4, T0, [...(one ?? []), ...(two ?? [])]);
    expect(both.poured.map(({ grams }) => grams)).toEqual([500]);
    expect(both.finishedAgain.map(({ grams }) => grams)).toEqual([501]);
    // What is found in the bowl afterwards still counts.
    const later = foldBatch(4, T0, [...(one ?? []), ...log({ kind: 'poured', grams: 12 })]);
    expect(later.poured.map(({ grams }) => grams)).toEqual([500, 12]);
  });

  it('shows a photo until it is taken away', () => {
    const photo = { hash: 'a'.repeat(64), width: 800, height: 600 };
    const shown = fold({ kind: 'finish' }, { kind: 'photo', photo, shows: 'skin' });
    expect(shown.photos.map(({ shows }) => shows)).toEqual(['skin']);
    expect(fold({ kind: 'photo', photo, shows: '' }, { kind: 'photoOff', hash: photo.hash }).photos).toEqual([]);
  });

  it('lets a step go on aside while the next is worked on, until it is done', () => {
    const aside = fold({ kind: 'aside', step: 0 }, { kind: 'done', step: 1 });
    expect(statuses(aside)).toEqual(['aside', 'done', 'now', 'todo']);
    expect(statuses(fold({ kind: 'aside', step: 0 }, { kind: 'done', step: 1 }, { kind: 'done', step: 0 }))).toEqual([
      'done',
      'done',
      'now',
      'todo',
    ]);
  });

  it('goes back to a step, and what comes after it is to be done again', () => {
    const back = fold({ kind: 'done', step: 0 }, { kind: 'done', step: 1 }, { kind: 'begin', step: 0 });
    expect(statuses(back)).toEqual(['now', 'todo', 'todo', 'todo']);
  });

  it('keeps the last weighing of a row, and all that was measured', () => {
    const state = fold(
      { kind: 'weigh', step: 0, row: 1, grams: 200, by: 'scale' },
      { kind: 'weigh', step: 0, row: 1, grams: 206, by: 'hand' },
      { kind: 'replan', row: 2, grams: 41 },
      { kind: 'temperature', temperatureC: 61.5, by: 'hand' },
      { kind: 'ring', diameterMm: 90, temperatureC: 40 },
      { kind: 'check', step: 0, check: 'lumps', isGood: false },
      { kind: 'timer', id: 'tray', label: 'Tray', seconds: 60 },
      { kind: 'timer', id: 'case', label: 'Case', seconds: 60 },
      { kind: 'timerOff', id: 'tray' },
    );
    expect(state.weighed.get(weighedKey(0, 1))).toBe(206);
    expect(state.replanned.get(2)).toBe(41);
    expect([state.temperatures.length, state.rings[0]?.diameterMm, state.checks[0]?.isGood]).toEqual([1, 90, false]);
    expect(state.timers.map(({ id, ms }) => [id, ms])).toEqual([['case', T0 + 8000]]);
  });

  it('is over once; what is told afterwards changes nothing but notes', () => {
    const over = fold(
      { kind: 'finish' },
      { kind: 'done', step: 0 },
      { kind: 'note', text: 'ate it' },
      { kind: 'abandon', why: '' },
    );
    expect([over.over, statuses(over)[0], over.notes.length]).toEqual(['finished', 'now', 1]);
  });

  it('never has two steps at once, whatever two tablets tell', () => {
    const step = fc.integer({ min: 0, max: 5 });
    const what = fc.oneof(
      step.map((at): Happening => ({ kind: 'begin', step: at })),
      step.map((at): Happening => ({ kind: 'done', step: at })),
      step.map((at): Happening => ({ kind: 'aside', step: at })),
    );
    fc.assert(
      fc.property(fc.array(what, { maxLength: 30 }), (whats) => {
        const state = fold(...whats);
        const now = state.steps.filter(({ status }) => status === 'now').length;
        expect(now).toBe(state.now === undefined ? 0 : 1);
        if (state.now !== undefined) expect(state.steps[state.now]?.status).toBe('now');
        const todo = state.steps.filter(({ status }) => status === 'todo').length;
        if (state.now === undefined) expect(todo).toBe(0);
      }),
    );
  });

  it('is the same, told at once or a little at a time', () => {
    const events = log({ kind: 'done', step: 0 }, { kind: 'aside', step: 1 }, { kind: 'done', step: 2 });
    expect(foldBatch(4, T0, events)).toEqual(foldBatch(4, T0, JSON.parse(JSON.stringify(events))));
  });
});

describe('what is on its way', () => {
  it('stands after all that is known, however far a tablet’s guess of the time is off', () => {
    const known = log({ kind: 'done', step: 0 });
    const waiting = (what: Happening, serverMs: number) => ({
      key: `own-${serverMs}`,
      tablet: 'a',
      tabletMs: 0,
      what,
      serverMs,
    });
    // Told a second before the server's time of what it followed.
    const back = withWaiting(known, [waiting({ kind: 'begin', step: 0 }, T0 - 1_000)]);
    expect(foldBatch(4, T0, back).now).toBe(0);
    const on = withWaiting(known, [
      waiting({ kind: 'begin', step: 0 }, T0 - 1_000),
      waiting({ kind: 'done', step: 0 }, T0 - 500),
    ]);
    expect(foldBatch(4, T0, on).now).toBe(1);
    const acknowledged = { ...waiting({ kind: 'done', step: 0 }, 0), key: known[0]?.key ?? '' };
    expect(withWaiting(known, [acknowledged])).toBe(known);
  });
});
