import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstIceC } from '@/core/keep/freezing';
import { batchOf, CREAM_35, DARK_60, stateOf, times, together } from '../../support/kitchen';

const aw = (dark: number, cream: number) =>
  stateOf(together(times(dark, DARK_60), times(cream, CREAM_35)), 20).waterActivity;

describe('the first ice', () => {
  it('is where published figures have it', () => {
    expect(firstIceC(1)).toBeCloseTo(0, 9);
    expect(firstIceC(aw(1, 2))).toBeCloseTo(-3.5, 0);
    expect(firstIceC(aw(1, 1))).toBeCloseTo(-7, 0);
    // A 20 % salt brine, aw 0.84, freezes near -17 °C.
    expect(firstIceC(0.84)).toBeCloseTo(-17.8, 0);
  });

  it('law: solves the equation it comes from, and falls with the water activity', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 0.9999, noNaN: true }), (activity) => {
        const below = -firstIceC(activity);
        expect(9.6934e-3 * below + 4.761e-6 * below ** 2).toBeCloseTo(-Math.log(activity), 9);
        expect(firstIceC(activity - 0.01)).toBeLessThan(firstIceC(activity));
      }),
    );
    expect(batchOf(DARK_60).mixture.massG).toBeCloseTo(100, 6);
  });
});
