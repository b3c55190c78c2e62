import { describe, expect, it } from 'vitest';
import { dayPath } from '@/core/predict/day-path';
import { momentTests } from '@/core/predict/moment-tests';
import { yieldFromBall } from '@/core/set/indentation';
import { batchOf, stateOf } from '../../support/kitchen';

const GANACHE = {
  water: 59.9,
  cocoa_butter: 38,
  ffs: 21.6,
  sucrose: 39.2,
  lecithin: 0.5,
  milk_fat: 35,
  milk_protein: 2.1,
  lactose: 3.1,
  ash: 0.5,
};

describe('the day of a batch', () => {
  const path = dayPath(batchOf(GANACHE), [
    { name: 'pan', temperatureC: 60, history: [[0.3, 60]] },
    { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
  ]);

  it('cools from the pan to the fridge by halves of an hour: 4 + 56 · e^(-t / 0.5 h)', () => {
    const at = (index: number) => [path.hours[index] ?? 0, path.temperatureC[index] ?? 0];
    // 12 h · (1/12)², (2/12)², (3/12)² after the pan
    for (const [index, hours, temperatureC] of [
      [13, 0.0833, 51.4],
      [14, 0.3333, 32.75],
      [15, 0.75, 16.5],
    ] as const) {
      const [now = 0, is = 0] = at(index);
      expect(now - 0.3).toBeCloseTo(hours, 3);
      expect(is).toBeCloseTo(temperatureC, 1);
    }
  });

  it('goes on without a gap, reaches each moment when its time is over, and stiffens all the way', () => {
    expect([...path.hours]).toEqual([...path.hours].toSorted((a, b) => a - b));
    expect(path.moments.map(({ name }) => name)).toEqual(['pan', 'fridge']);
    expect(path.moments[0]?.hours).toBeCloseTo(0.3, 9);
    expect(path.moments[1]?.hours).toBeCloseTo(12.3, 9);
    expect(path.moments[1]?.resistancePa).toBeGreaterThan(100 * (path.moments[0]?.resistancePa ?? 1));
  });
});

describe('kitchen tests at a moment', () => {
  it('a spoon of 22 g and 19 mm sinks as deep as its weight asks of the yield stress', () => {
    const state = stateOf(GANACHE, 20, [[12, 20]]);
    const { spoonSinksMm = 0, pipes, standsMm } = momentTests(state);
    expect(spoonSinksMm).toBeGreaterThan(0);
    expect(yieldFromBall(22, 19, spoonSinksMm) / state.flow.yieldStressPa).toBeCloseTo(1, 6);
    expect(pipes).toBe(true);
    const { densityKgM3 } = state.flow.phases;
    expect(standsMm).toBeCloseTo((1000 * Math.sqrt(3) * state.flow.yieldStressPa) / (densityKgM3 * 9.81), 3);
  });

  it('warm it leaves on a side what hangs and what has not drained in 5 s, and the spoon sinks right in', () => {
    const state = stateOf(GANACHE, 35);
    const { sideMm, spoonSinksMm } = momentTests(state);
    const weight = state.flow.phases.densityKgM3 * 9.81;
    const hangs = (1000 * state.flow.yieldStressPa) / weight;
    const drains = 1000 * Math.sqrt((state.flow.apparentViscosityPaS * 0.05) / (weight * 5));
    expect(sideMm).toBeCloseTo(hangs + drains, 6);
    expect(spoonSinksMm).toBeUndefined();
  });
});
