import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { COMPONENT_NAMES, compositionVector } from '@/core/matter/components';
import { labelFigure, type NutritionField, nutrition } from '@/core/matter/nutrition';
import type { Ingredient } from '@/formats/ingredient';
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

  it('says what every compound ingredient is made of', () => {
    // More than one thing that is listed by itself: sugars beside fat, fruit, dairy or spirit, or an added emulsifier, gum or salt.
    const isCompound = ({ components: c, group }: Ingredient) => {
      const sugar = (c.sucrose ?? 0) + (c.glucose ?? 0) + (c.higher_saccharides ?? 0);
      const isAlone = Math.max(...Object.values(c).map((g) => g ?? 0)) > 95;
      return (
        !isAlone &&
        ((group === 'chocolate' && sugar > 5) ||
          (group === 'dairy' && ((c.sucrose ?? 0) > 0 || (c.gums ?? 0) > 0 || (c.salt ?? 0) > 0.5)) ||
          (group === 'plant' && (c.water ?? 0) > 5) ||
          (group === 'nuts' && (sugar > 20 || (c.salt ?? 0) > 0.5)) ||
          (group === 'spirits' && (c.sucrose ?? 0) > 5))
      );
    };
    const silent = [...larder.values()].filter((each) => isCompound(each) && each.madeOf === '').map(({ id }) => id);
    expect(silent).toEqual([]);
    for (const id of [
      'praline-50',
      'spread-hazelnut-cocoa',
      'glaze-neutral-hot',
      'condensed-sweetened',
      'chips-milk',
    ]) {
      expect(larder.get(id)?.madeOf, id).toMatch(/sugar/);
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

  it.each([
    ['maltitol', 240, 210],
    ['sorbitol', 240, 260],
    ['xylitol', 240, 240],
    ['erythritol', 0, 0],
    ['allulose', 400, 40],
    ['lactose', 400, 400],
  ] as const)('counts %s as each school of law does', (name, eu, us) => {
    const pure = compositionVector({ [name]: 100 });
    expect(nutrition(pure).energyKcal).toBeCloseTo(eu, 9);
    expect(nutrition(pure, 'us').energyKcal).toBeCloseTo(us, 9);
  });

  it('knows what brings energy: all but water, salt, ash and what is inert', () => {
    const without = COMPONENT_NAMES.filter((name) => nutrition(compositionVector({ [name]: 100 })).energyKcal === 0);
    expect(without).toEqual(['water', 'milk_ash', 'erythritol', 'salt', 'other']);
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
    // What rounds up to where another rule begins is written by that rule.
    expect(labelFigure('sugars', 9.96)).toBe('10');
    expect(labelFigure('saturates', 9.94)).toBe('9.9');
    expect(labelFigure('salt', 0.996)).toBe('1.0');
    expect(labelFigure('salt', 1.26)).toBe('1.3');
  });
});
