import { describe, expect, it } from 'vitest';
import { firstGrams } from '@/features/balance/pan/first-grams';
import { larder } from '../support/kitchen';

const first = (id: string, totalG: number) => {
  const ingredient = larder.get(id);
  if (!ingredient) throw new Error(`no ${id}`);
  return firstGrams(totalG, ingredient);
};

describe('what a new row starts with', () => {
  it('is a twentieth of the batch, a round number; the first row of all is 200 g', () => {
    expect(first('cream-35', 0)).toBe(200);
    expect(first('cream-35', 420)).toBe(20);
    expect(first('butter-unsalted-82', 3000)).toBe(150);
    expect(first('cream-35', 10)).toBe(5);
  });

  it('is a pinch of a spice or a salt, however large the batch', () => {
    for (const id of ['salt-fine', 'cinnamon', 'cayenne', 'chilli-powder']) {
      expect(first(id, 400), id).toBeLessThan(0.6);
      expect(first(id, 400), id).toBeGreaterThan(0);
      expect(first(id, 4000), id).toBe(first(id, 400));
    }
    expect(first('espresso', 400)).toBe(20);
  });

  it('is little of what gels the whole batch by itself', () => {
    expect(first('gelatin-leaf-200', 1000)).toBe(5);
    expect(first('xanthan', 400)).toBe(2);
    expect(first('starch-corn', 400)).toBe(20);
  });
});
