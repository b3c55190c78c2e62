import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aimOf, blend } from '@/core/matter/blend';
import { compositionVector } from '@/core/matter/components';
import { larder } from '../../support/kitchen';

const part = (id: string, stockG?: number) => ({
  perGram: compositionVector(larder.get(id)?.components ?? {}),
  labelled: larder.get(id)?.cocoaPercent ?? undefined,
  stockG,
});

describe('a blend', () => {
  it('of two is the rule of the cross', () => {
    const found = blend([part('dark-couverture-54'), part('dark-couverture-70')], 'cocoaPercent', 62, 400);
    expect(found).toMatchObject({ possible: true });
    if (found.possible) {
      expect(found.grams[0]).toBeCloseTo(200, 6);
      expect(found.reached).toBeCloseTo(62, 9);
    }
  });

  it('of creams reaches a fat from their compositions', () => {
    const creams = ['cream-20', 'cream-40'].map((id) => ({ ...part(id), labelled: undefined }));
    expect(aimOf(creams[0] as never, 'fatPercent')).toBeCloseTo(20, 6);
    const found = blend(creams, 'fatPercent', 35, 1000);
    expect(found.possible && found.grams[1]).toBeCloseTo(750, 6);
  });

  it('is exact, complete and within stock, for any three', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 54, max: 85, noNaN: true }),
        fc.tuple(...[0, 1, 2].map(() => fc.double({ min: 50, max: 500, noNaN: true }))),
        (target, stocks) => {
          const parts = ['dark-couverture-54', 'dark-couverture-66', 'dark-couverture-85'].map((id, i) =>
            part(id, stocks[i]),
          );
          const found = blend(parts, 'cocoaPercent', target, 300);
          if (!found.possible) {
            const total = stocks.reduce((sum, g) => sum + g, 0);
            expect(total < 300 || target < found.least || target > found.most).toBe(true);
            return;
          }
          expect(found.reached).toBeCloseTo(target, 5);
          expect(found.grams.reduce((sum, g) => sum + g, 0)).toBeCloseTo(300, 5);
          found.grams.forEach((g, i) => {
            expect(g).toBeLessThanOrEqual((stocks[i] as number) + 1e-5);
          });
        },
      ),
    );
  });

  it('says between what limits it is possible', () => {
    const parts = [part('dark-couverture-54', 100), part('dark-couverture-70', 1000)];
    expect(blend(parts, 'cocoaPercent', 40, 200)).toMatchObject({ possible: false, reason: 'aim' });
    const short = blend(parts, 'cocoaPercent', 55, 200);
    expect(short).toMatchObject({ possible: false, reason: 'stock' });
    expect(short.possible ? 0 : short.least).toBeCloseTo(62, 9);
    expect(
      blend([part('dark-couverture-54', 10), part('dark-couverture-70', 10)], 'cocoaPercent', 60, 200),
    ).toMatchObject({
      possible: false,
      reason: 'stock',
    });
  });
});
