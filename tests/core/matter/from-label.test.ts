import { describe, expect, it } from 'vitest';
import { compositionFromLabel, labelFaults, labelOf, type PackLabel } from '@/core/matter/from-label';
import { labelFigure } from '@/core/matter/nutrition';
import { larder } from '../../support/kitchen';

const kinds = (group: string, without: string) =>
  [...larder.values()]
    .filter((ingredient) => ingredient.group === group && ingredient.id !== without)
    .map(({ id, components }) => ({ id, composition: components }));

/** A label as printed: rounded. */
function printed(id: string): PackLabel {
  const exact = labelOf(larder.get(id)?.components ?? {});
  return Object.fromEntries(
    Object.entries(exact).map(([field, value]) => [
      field,
      field === 'cocoaPercent' ? Math.round(value) : Number(labelFigure(field as 'fat', value).replace('<', '')),
    ]),
  );
}

describe('a composition from a pack label', () => {
  it.each([
    'dark-couverture-64',
    'dark-couverture-70',
    'milk-couverture-36',
    'white-couverture-34',
    'dark-couverture-80',
  ])('comes close for %s though it is held back', (id) => {
    const real = larder.get(id)?.components ?? {};
    const { composition, unmet, kind } = compositionFromLabel(printed(id), kinds('chocolate', id));
    expect(kind).not.toBe(id);
    expect(unmet).toEqual([]);
    for (const name of ['cocoa_butter', 'cocoa_solids', 'milk_fat', 'sucrose', 'milk_protein', 'lactose'] as const) {
      expect(Math.abs((composition[name] ?? 0) - (real[name] ?? 0)), name).toBeLessThan(2);
    }
  });

  it.each(['cream-33', 'cream-40', 'milk-semi', 'butter-dry-84', 'mascarpone'])(
    'comes close for %s though it is held back',
    (id) => {
      const real = larder.get(id)?.components ?? {};
      const { composition } = compositionFromLabel(printed(id), kinds('dairy', id));
      for (const name of ['water', 'milk_fat', 'milk_protein', 'lactose'] as const) {
        expect(Math.abs((composition[name] ?? 0) - (real[name] ?? 0)), name).toBeLessThan(1.5);
      }
    },
  );

  it('sums to 100 g, keeps to the label and says what was assumed', () => {
    const label: PackLabel = { fat: 36, sugars: 44, cocoaPercent: 56 };
    const { composition, assumed } = compositionFromLabel(label, kinds('chocolate', ''));
    const sum = Object.values(composition).reduce((total, g) => total + (g ?? 0), 0);
    expect(sum).toBeCloseTo(100, 0);
    const back = labelOf(composition);
    expect(Math.abs(back.fat - 36)).toBeLessThan(0.5);
    expect(Math.abs(back.sugars - 44)).toBeLessThan(0.8);
    expect(assumed).toContain('water');
    expect(assumed).not.toContain('sucrose');
  });

  it('says which value it cannot meet', () => {
    const { unmet } = compositionFromLabel({ fat: 35, protein: 30 }, kinds('chocolate', ''));
    expect(unmet.map(({ field }) => field)).toContain('protein');
  });
});

describe('labels that cannot be', () => {
  it('are told at the field', () => {
    expect(labelFaults({ carbohydrate: 40, sugars: 45 })).toEqual([
      { kind: 'moreThanWhole', field: 'sugars', whole: 'carbohydrate' },
    ]);
    expect(labelFaults({ fat: 20, saturates: 21 })[0]?.field).toBe('saturates');
    expect(labelFaults({ fat: 60, carbohydrate: 50 })).toEqual([{ kind: 'sum', field: 'fat', sum: 110 }]);
    expect(labelFaults({ fat: -1 })[0]?.field).toBe('fat');
    expect(labelFaults({ energyKcal: 1200 })[0]?.field).toBe('energyKcal');
    expect(labelFaults({ salt: Number.NaN })[0]?.field).toBe('salt');
    expect(labelFaults({ fat: 38, carbohydrate: 45, sugars: 40, protein: 6 })).toEqual([]);
  });
});
