import { describe, expect, it } from 'vitest';
import { lineAllergens } from '@/formats/line-allergens';
import { readRecipeText } from '@/formats/recipe-text';
import { answeredRow } from '@/ui/recipe/recipe-row';
import { larder } from '../support/kitchen';

const all = [...larder.values()];

describe('allergens of a line', () => {
  it.each([
    ['handful of chopped hazelnuts', ['nuts (hazelnut)']],
    ['50 g flaked almonds, toasted', ['nuts (almond)']],
    ['1 egg', ['eggs']],
    ['a splash of milk', ['milk']],
    ['2 tbsp sesame seeds', ['sesame']],
    ['100 g sugar', []],
    ['zest of one orange', []],
  ])('%s', (line, allergens) => {
    expect(lineAllergens(line, undefined)).toEqual(allergens);
  });

  it('are those of the ingredient it is taken for, too', () => {
    expect(lineAllergens('a spoon of the brown one', larder.get('praline-50'))).toContain('nuts (hazelnut)');
  });

  it('a line that is left out is asked about until it is said that it is not used', () => {
    const [row] = readRecipeText('handful of chopped hazelnuts', all);
    if (!row) throw new Error('no row');
    expect(answeredRow(row, {}, all, 'metric').brings).toEqual([]);
    expect(answeredRow(row, { left: true }, all, 'metric').brings).toContain('nuts (hazelnut)');
    expect(answeredRow(row, { left: true, isUnused: true }, all, 'metric').brings).toEqual([]);
  });
});
