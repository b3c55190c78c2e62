import { describe, expect, it } from 'vitest';
import type { BatchEvent, Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { componentsNow, leftG, massIn, panNow } from '@/kitchen/cook/pan-now';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const file = lanternMillFormulas().at(-1);
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
if (!frozen) throw new Error('nothing to cook');
const cooked = cookedBatch(frozen);
const eventsOf = (...whats: readonly Happening[]) =>
  whats.map((what, i): BatchEvent => ({ seq: i + 1, key: `event-${i}`, tablet: 'a', tabletMs: 0, serverMs: i, what }));
const panAfter = (...whats: readonly Happening[]) =>
  panNow(cooked, foldBatch(cooked.method.followed.length, 0, eventsOf(...whats)));
const panWith = (before: readonly Happening[], ...whats: readonly Happening[]) => panAfter(...before, ...whats);
const mass = (pan: ReturnType<typeof panNow>) => componentsNow(cooked, pan).reduce((sum, grams) => sum + grams, 0);
const first = cooked.method.followed[0];
const [one] = first?.step.adds ?? [];
const row = one?.row ?? 0;

describe('what is in the pan now', () => {
  it('is nothing before anything is weighed, then what was weighed', () => {
    expect(mass(panAfter())).toBe(0);
    const weighed = panAfter({ kind: 'weigh', step: 0, row, grams: 250, by: 'scale' });
    expect(weighed.rows[row]).toBe(250);
    expect(mass(weighed)).toBeCloseTo(250, 6);
    expect(weighed.isWeighed).toBe(true);
  });

  it('holds nothing that nobody said is in, and names it; the book takes it as planned', () => {
    const done = panAfter({ kind: 'done', step: 0 });
    const planned = (first?.additions ?? []).reduce((sum, { grams }) => sum + grams, 0);
    expect(mass(done)).toBe(0);
    expect(done.isWeighed).toBe(false);
    expect(done.unsaid.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(planned, 6);
    const later = panAfter({ kind: 'later', step: 0, row }, { kind: 'done', step: 0 });
    expect(later.unsaid.some((each) => each.row === row)).toBe(false);
    expect(later.rows[row]).toBe(0);
    const leftOut = panAfter({ kind: 'weigh', step: 0, row, grams: 0, by: 'hand' }, { kind: 'done', step: 0 });
    expect(leftOut.unsaid.some((each) => each.row === row)).toBe(false);
    const state = foldBatch(cooked.method.followed.length, 0, eventsOf({ kind: 'done', step: 0 }));
    expect(mass(panNow(cooked, state, 'asPlanned'))).toBeCloseTo(planned - (first?.end.lostWaterG ?? 0), 4);
  });

  it('loses what boiled off, and gains what was put in there', () => {
    const inFirst = (first?.step.adds ?? []).map(
      (each): Happening => ({
        kind: 'weigh',
        step: 0,
        row: each.row,
        grams: (cooked.formula.lines[each.row]?.grams ?? 0) * each.share,
        by: 'hand',
      }),
    );
    const planned = (first?.additions ?? []).reduce((sum, { grams }) => sum + grams, 0);
    const done = panWith(inFirst, { kind: 'done', step: 0 });
    expect(done.isWeighed).toBe(true);
    expect(mass(done)).toBeCloseTo(planned - (first?.end.lostWaterG ?? 0), 4);
    // One figure on every screen: as grams and as components.
    expect(leftG(done)).toBeCloseTo(mass(done), 4);
    const more = panWith(
      inFirst,
      { kind: 'done', step: 0 },
      { kind: 'add', name: 'Milk', components: { water: 100 }, grams: 30 },
    );
    expect(mass(more)).toBeCloseTo(mass(done) + 30, 4);
    expect(mass(panWith(inFirst, { kind: 'done', step: 0 }, { kind: 'poured', grams: 100 }))).toBeCloseTo(
      mass(done) - 100,
      4,
    );
    // The scale knows better than what is reckoned of the boil; what is done after it boils on.
    const read = panWith(inFirst, { kind: 'done', step: 0 }, { kind: 'lost', grams: 55 });
    expect(read.lostG).toBeCloseTo(55, 6);
    expect(mass(read)).toBeCloseTo(massIn(read) - 55, 4);
    const steps = cooked.method.followed;
    const later = panWith(inFirst, ...steps.map((_, step): Happening => ({ kind: 'done', step })), {
      kind: 'lost',
      grams: 55,
    });
    expect(later.lostG).toBeCloseTo(55, 6);
    const before = panWith(inFirst, { kind: 'lost', grams: 55 }, { kind: 'done', step: 0 });
    expect(before.lostG).toBeCloseTo(55 + (first?.end.lostWaterG ?? 0), 6);
    // More poured than there was leaves a rest, never less than nothing.
    expect(mass(panWith(inFirst, { kind: 'done', step: 0 }, { kind: 'poured', grams: 90_000 }))).toBeGreaterThan(0);
  });
});
