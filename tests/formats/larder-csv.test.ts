import { describe, expect, it } from 'vitest';
import { parseLarderCsv } from '@/formats/larder-csv';
import { larder } from '../support/kitchen';

describe('the starting larder', () => {
  it('holds 162 ingredients, each of 100 g', () => {
    expect(larder.size).toBe(162);
    for (const { id, components } of larder.values()) {
      const sum = Object.values(components).reduce((total, grams) => total + grams, 0);
      expect(Math.abs(sum - 100), id).toBeLessThanOrEqual(0.5);
    }
  });

  it('reads measures, allergens and prices', () => {
    const dark = larder.get('dark-couverture-54');
    expect(dark?.measures).toEqual({ callets: 0.7, chopped: 0.67, grated: 0.4, melted: 1.25 });
    expect(dark).toMatchObject({ allergens: ['soya'], vegan: true, priceEurPerKg: 9.5, cocoaPercent: 54 });
  });

  it('names the row and field it cannot read', () => {
    expect(() => parseLarderCsv('id,name,group,water\nx,X,rocks,100\n')).toThrow(/row 2, group/);
  });
});
