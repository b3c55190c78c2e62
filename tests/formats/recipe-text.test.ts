import { describe, expect, it } from 'vitest';
import { recipeLinesOfCsv, writeFormulaCsv } from '@/formats/formula-csv';
import { readFormula } from '@/formats/formula-file';
import { findRecipe, recipeJsonLd } from '@/formats/recipe-json-ld';
import { readRecipeText } from '@/formats/recipe-text';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { fileOf, larder } from '../support/kitchen';

const all = [...larder.values()];
const read = (text: string) => readRecipeText(text, all);
const nameOf = (id: string) => larder.get(id)?.name ?? id;

describe('a recipe as text', () => {
  it('is matched to the larder with amounts in any measure', () => {
    const rows = read(
      [
        '200 g dark couverture 64 %, chopped',
        '1 1/4 cup whipping cream 35 %',
        '- 2 tbsp glucose syrup DE 42',
        '½ stick butter, unsalted 82 %',
        '1,5 kg milk couverture 36 %',
        '',
      ].join('\n'),
    );
    expect(rows.map(({ candidates, grams, form }) => [candidates[0]?.id, grams, form])).toEqual([
      ['dark-couverture-64', 200, 'chopped'],
      ['cream-35', 311.3, undefined],
      ['glucose-syrup-de42', 42.6, undefined],
      ['butter-unsalted-82', 56.7, 'unsalted 82 %'],
      ['milk-couverture-36', 1500, undefined],
    ]);
    expect(rows[0]?.sure).toBe(true);
  });

  it('asks where a line is doubtful instead of guessing', () => {
    const [cream, stranger, bare] = read('200 g cream\n50 g moon cheese dust\ncocoa powder');
    expect(cream?.sure).toBe(false);
    expect(cream?.candidates.length).toBeGreaterThan(1);
    expect(stranger?.sure).toBe(false);
    expect(bare).toMatchObject({ sure: false, grams: undefined });
  });

  it('survives nonsense', () => {
    expect(read('')).toEqual([]);
    expect(read('=1+1\n%%%\n0 g water')).toHaveLength(3);
  });
});

describe('open formats', () => {
  it('a schema.org Recipe goes out and comes back to the same rows', () => {
    for (const file of lanternMillFormulas()) {
      const found = findRecipe(
        JSON.parse(JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, recipeJsonLd(file, nameOf)] })),
      );
      expect(found?.name).toBe(file.name);
      const rows = read((found?.lines ?? []).join('\n'));
      expect(rows.map(({ grams }) => grams)).toEqual(file.lines.map(({ grams }) => grams));
      rows.forEach(({ candidates }, i) => {
        expect(candidates.map(({ id }) => id)).toContain(file.lines[i]?.ingredient);
      });
    }
    expect(findRecipe({ '@type': 'Thing' })).toBeUndefined();
    expect(findRecipe('text')).toBeUndefined();
  });

  it('a CSV of a pan goes out and comes back', () => {
    const file = readFormula(
      fileOf([
        ['dark-couverture-60', 210.5, { form: 'chopped' }],
        ['cream-35', 200],
      ]),
    );
    const lines = recipeLinesOfCsv(writeFormulaCsv(file, nameOf));
    expect(lines).toEqual(['210.5 g Dark couverture 60 %, chopped', '200 g Whipping cream 35 %']);
    expect(recipeLinesOfCsv('a,b\n1,2\n')).toBeUndefined();
  });
});
