import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DayTask, dayOverlaps, SMALL_KITCHEN, spreadDay } from '@/core/method/day-plan';

const ganache = (id: string, ready: number): DayTask => ({
  id,
  ready,
  lasts: 20,
  stretches: [
    { what: 'hands', from: 0, to: 6 },
    { what: 'hob', from: 0, to: 4 },
    { what: 'fridge', from: 10, to: 20 },
  ],
});

describe('a day of several formulas', () => {
  it('says where hands are wanted twice, and by whom', () => {
    expect(dayOverlaps([ganache('a', 600), ganache('b', 603)], SMALL_KITCHEN)).toEqual([
      { what: 'hands', from: 583, to: 586, ids: ['a', 'b'] },
    ]);
    expect(dayOverlaps([ganache('a', 600), ganache('b', 606)], SMALL_KITCHEN)).toEqual([]);
    const one = { hands: 9, hob: 1, fridge: 1 };
    expect(dayOverlaps([ganache('a', 600), ganache('b', 603)], one).map(({ what }) => what)).toEqual(['hob', 'fridge']);
  });

  it('spreads them: the last keeps its time, the others begin as little earlier as it takes', () => {
    const spread = spreadDay([ganache('a', 600), ganache('b', 600), ganache('c', 600)], SMALL_KITCHEN);
    expect(spread.map(({ ready }) => ready)).toEqual([600, 594, 588]);
    expect(dayOverlaps(spread, SMALL_KITCHEN)).toEqual([]);
  });

  it('goes into the evening before where it must', () => {
    const night: DayTask = { id: 'n', ready: 540, lasts: 730, stretches: [{ what: 'hands', from: 0, to: 10 }] };
    expect(dayOverlaps([night, { ...ganache('a', -170), lasts: 20 }], SMALL_KITCHEN)).toEqual([
      { what: 'hands', from: -190, to: -184, ids: ['n', 'a'] },
    ]);
  });

  it('whatever the day: nobody is later, nothing overlaps any more, and again it stays as it is', () => {
    const task = fc.record({
      ready: fc.integer({ min: 500, max: 720 }),
      hands: fc.integer({ min: 1, max: 30 }),
      fridge: fc.integer({ min: 1, max: 60 }),
    });
    fc.assert(
      fc.property(fc.array(task, { minLength: 1, maxLength: 8 }), (wanted) => {
        const tasks = wanted.map(
          ({ ready, hands, fridge }, i): DayTask => ({
            id: String(i),
            ready,
            lasts: hands + fridge,
            stretches: [
              { what: 'hands', from: 0, to: hands },
              { what: 'hob', from: 0, to: hands / 2 },
              { what: 'fridge', from: hands, to: hands + fridge },
            ],
          }),
        );
        const spread = spreadDay(tasks, SMALL_KITCHEN);
        expect(dayOverlaps(spread, SMALL_KITCHEN)).toEqual([]);
        for (const [i, { ready }] of spread.entries()) expect(ready).toBeLessThanOrEqual(tasks[i]?.ready ?? 0);
        expect(spreadDay(spread, SMALL_KITCHEN)).toEqual(spread);
      }),
    );
  });
});
