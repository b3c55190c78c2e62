import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keepingTime, SPOILERS, spoilerOf, spoilersOf } from '@/core/keep/keeping';
import { perGram } from '../../support/pan';

const aw = fc.double({ min: 0.5, max: 1, noNaN: true });
const spoilers = fc.subarray([...SPOILERS]);

describe('how long it keeps', () => {
  it('is never more for more water, for more doubt, or for something that spoils', () => {
    fc.assert(
      fc.property(aw, aw, fc.double({ min: 0, max: 0.03, noNaN: true }), spoilers, (a, b, sd, some) => {
        const days = (waterActivity: number, waterActivitySd: number, its = some) =>
          keepingTime({ waterActivity, waterActivitySd, spoilers: its }).days;
        const [dry, wet] = [Math.min(a, b), Math.max(a, b)];
        expect(days(wet, sd)).toBeLessThanOrEqual(days(dry, sd) + 1e-9);
        expect(days(a, sd)).toBeLessThanOrEqual(days(a, 0) + 1e-9);
        expect(days(a, sd)).toBeLessThanOrEqual(days(a, sd, []) + 1e-9);
      }),
    );
  });

  it('does not jump: 0.02 of water activity never make it three times as long', () => {
    for (let at = 0.7; at < 0.98; at += 0.005) {
      const days = (waterActivity: number) => keepingTime({ waterActivity, waterActivitySd: 0.01, spoilers: [] }).days;
      expect(days(at) / days(at + 0.02)).toBeLessThan(3);
    }
  });

  it('of a cream sauce at 0.86 to 0.89 is a few days by its cream; plant cream is no better; dry ones go by their water', () => {
    for (const waterActivity of [0.86, 0.875, 0.89]) {
      const of = (...its: (typeof SPOILERS)[number][]) =>
        keepingTime({ waterActivity, waterActivitySd: 0.01, spoilers: its });
      expect(of('dairy')).toEqual({ days: 4, reason: 'dairy' });
      expect(of('plantCream').days).toBe(of('dairy').days);
      expect(of().reason).toBe('water');
    }
    expect(keepingTime({ waterActivity: 0.6, waterActivitySd: 0.01, spoilers: ['dairy'] }).days).toBeGreaterThanOrEqual(
      28,
    );
  });
});

describe('what spoils', () => {
  it.each([
    ['cream-35', 'dairy'],
    ['milk-whole', 'dairy'],
    ['puree-raspberry', 'fruit'],
    ['dark-couverture-60', undefined],
    ['milk-couverture-36', undefined],
    ['oat-drink', 'plantCream'],
    ['soy-cream-17', 'plantCream'],
    ['egg-whole', 'egg'],
    ['puree-mango', 'fruit'],
    ['glucose-syrup-de42', undefined],
    ['rum-40', undefined],
    ['water', undefined],
    ['sugar-caster', undefined],
  ])('%s: %s', (id, wanted) => {
    expect(spoilerOf(perGram(id))).toBe(wanted);
  });

  it('counts what is in the pan alone', () => {
    const rows = [
      { perGram: perGram('cream-35'), grams: 0 },
      { perGram: perGram('puree-raspberry'), grams: 30 },
    ];
    expect(spoilersOf(rows)).toEqual(['fruit']);
  });
});
