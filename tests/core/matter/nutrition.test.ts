import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { compositionVector } from '@/core/matter/components';
import { labelFigure, type NutritionField, nutrition } from '@/core/matter/nutrition';
import { larder } from '../../support/kitchen';

const COLUMNS: Record<string, readonly [NutritionField, number]> = {
  n_kcal: ['energyKcal', 6],
  n_fat: ['fat', 0.3],
  n_saturates: ['saturates', 1.7],
  n_carbohydrate: ['carbohydrate', 0.6],
  n_sugars: ['sugars', 0.5],
  n_polyols: ['polyols', 0.5],
  n_fibre: ['fibre', 0.5],
  n_protein: ['protein', 0.3],
  n_salt: ['salt', 0.06],
};

describe('the starting larder', () => {
  const { data } = Papa.parse<Record<string, string>>(readFileSync('data/starting-larder.csv', 'utf8'), {
    header: true,
    skipEmptyLines: true,
  });

  it('has compositions that sum to 100 g', () => {
    expect(larder.size).toBe(data.length);
    for (const { id, components } of larder.values()) {
      const sum = Object.values(components).reduce((total, g) => total + (g ?? 0), 0);
      expect(Math.abs(sum - 100), id).toBeLessThan(0.05);
    }
  });

  it('has nutrition that follows from its compositions', () => {
    for (const row of data) {
      const found = nutrition(compositionVector(larder.get(row.id ?? '')?.components ?? {}));
      for (const [column, [field, tolerance]] of Object.entries(COLUMNS)) {
        if (!row[column]) continue;
        expect(Math.abs(found[field] - Number(row[column])), `${row.id} ${field}`).toBeLessThan(tolerance);
      }
    }
  });

  it('has cocoa percentages that follow from its compositions, water and alkali left out', () => {
    for (const { id, group, cocoaPercent, components: c } of larder.values()) {
      if (group !== 'chocolate' || cocoaPercent === null) continue;
      const cocoa = (c.cocoa_butter ?? 0) + (c.cocoa_solids ?? 0);
      const dry = 100 - (cocoaPercent === 100 ? (c.water ?? 0) + (c.other ?? 0) : 0);
      expect(Math.abs((100 * cocoa) / dry - cocoaPercent), id).toBeLessThan(1.6);
    }
  });
});

describe('nutrition', () => {
  it('adds energy by kind, in kcal and kJ', () => {
    expect(nutrition(compositionVector({ sucrose: 100 }))).toMatchObject({ energyKcal: 400, energyKj: 1700 });
    expect(nutrition(compositionVector({ liquid_oil: 100 })).energyKcal).toBe(900);
    expect(nutrition(compositionVector({ erythritol: 100 })).energyKcal).toBe(0);
    expect(nutrition(compositionVector({ maltitol: 100 })).energyKcal).toBeCloseTo(240, 9);
    expect(nutrition(compositionVector({ ethanol: 40, water: 60 })).energyKcal).toBe(280);
  });

  it('does not depend on the size of the batch', () => {
    const cream = compositionVector(larder.get('cream-35')?.components ?? {});
    expect(nutrition(cream.map((g) => g * 731)).fat).toBeCloseTo(nutrition(cream).fat, 9);
  });

  it('is rounded as labels are', () => {
    expect(labelFigure('fat', 37.4)).toBe('37');
    expect(labelFigure('fat', 7.44)).toBe('7.4');
    expect(labelFigure('fat', 0.4)).toBe('<0.5');
    expect(labelFigure('saturates', 0.4)).toBe('0.4');
    expect(labelFigure('salt', 0.073)).toBe('0.07');
    expect(labelFigure('salt', 0.005)).toBe('<0.01');
    expect(labelFigure('sugars', 0)).toBe('0');
    expect(labelFigure('energyKcal', 336.6)).toBe('337');
  });
});
