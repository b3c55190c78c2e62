import fc from 'fast-check';
import { expect, it } from 'vitest';
import { roundToScale } from '@/core/matter/scale-rounding';

it.each([
  [0.04, 0.04],
  [0.0412345, 0.0412],
  [0.4, 0.4],
  [0.99951, 1],
  [1.26, 1.3],
  [240.04, 240],
  [0, 0],
])('%d g is weighed as %d g', (grams, weighed) => {
  expect(roundToScale(grams)).toBe(weighed);
});

it('never rounds a pinch away, and never by more than half a step of the scale', () => {
  fc.assert(
    fc.property(fc.double({ min: 1e-6, max: 1e5, noNaN: true }), (grams) => {
      const weighed = roundToScale(grams);
      expect(weighed).toBeGreaterThan(0);
      expect(Math.abs(weighed - grams)).toBeLessThanOrEqual(grams >= 1 ? 0.05 + 1e-9 : 0.006 * grams);
    }),
  );
});
