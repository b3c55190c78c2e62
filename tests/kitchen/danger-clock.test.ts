import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dangerClock } from '@/kitchen/cook/danger-clock';

const H = 3_600_000;
const at = (...points: readonly (readonly [hours: number, temperatureC: number])[]) =>
  points.map(([hours, temperatureC]) => ({ ms: 1e12 + hours * H, temperatureC }));

describe('the clock between 60 and 5 °C', () => {
  it('stands while it is hot, and runs from 60 °C down', () => {
    expect(dangerClock(at([0, 20], [0.1, 100], [0.2, 80])).growsH).toBe(0);
    const cooling = dangerClock(at([0, 100], [1, 20]));
    // From 60 to 20 °C is half of the way.
    expect(cooling.growsH).toBeCloseTo(0.5, 6);
    expect(cooling.toFirstStopH).toBeCloseTo(39 / 80, 6);
    expect([cooling.toColdH, cooling.isCooling]).toEqual([undefined, true]);
  });

  it('stops at 5 °C, and begins anew when it is heated again', () => {
    const cold = dangerClock(at([0, 80], [1, 40], [3, 4], [9, 4]));
    expect(cold.growsH).toBeCloseTo(0.5 + 2 * (35 / 36), 6);
    expect([cold.isCooling, cold.toColdH]).toEqual([false, expect.closeTo(cold.growsH, 6)]);
    expect(dangerClock(at([0, 80], [3, 30], [3.2, 75])).growsH).toBe(0);
  });

  it('of one reading, or none, knows nothing', () => {
    expect(dangerClock([]).growsH).toBe(0);
    expect(dangerClock(at([0, 30])).growsH).toBe(0);
  });

  it('is never negative and never more than the time that passed', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -5, max: 110, noNaN: true }), { maxLength: 20 }), (warmths) => {
        const { growsH } = dangerClock(at(...warmths.map((temperatureC, i) => [i, temperatureC] as const)));
        expect(growsH).toBeGreaterThanOrEqual(0);
        expect(growsH).toBeLessThanOrEqual(Math.max(warmths.length - 1, 0) + 1e-9);
      }),
    );
  });
});
