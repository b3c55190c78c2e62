import { describe, expect, it } from 'vitest';
import type { CupSystem } from '@/core/matter/measures';
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
    const [stranger, bare, plain, range, glugs] = read(
      '50 g moon cheese dust\ncocoa powder\n200 dark couverture\n1-2 tbsp rum\n3 glugs cream',
    );
    expect(stranger?.sure).toBe(false);
    expect(bare).toMatchObject({ sure: false, grams: undefined, asks: 'How much of it?' });
    expect(plain).toMatchObject({ sure: false, grams: undefined, asks: '200 of what?' });
    expect(range).toMatchObject({ sure: false, amount: 1.5, unit: 'tbsp' });
    expect(range?.asks).toContain('middle');
    expect(glugs?.asks).toContain('5 ml');
  });

  it.each([
    ['200 g butter', 'butter-unsalted-82', 200],
    ['150 g milk chocolate', 'milk-couverture-36', 150],
    ['100 g white chocolate', 'white-couverture-28', 100],
    ['80 g sugar', 'sugar-granulated', 80],
    ['200 g 55', 'dark-couverture-54', 200],
    ['200 g dark chocolate 66%, finely chopped', 'dark-couverture-66', 200],
    ['100 g cream 30 %', 'cream-30', 100],
    ['100 g no added sugar chocolate', 'dark-maltitol-55', 100],
    ['2 EL Zucker', 'sugar-granulated', 25.3],
    ['200 g Zartbitterschokolade, gehackt', 'dark-couverture-60', 200],
    ['50 g beurre', 'butter-unsalted-82', 50],
    ['250 g leche condensada', 'condensed-sweetened', 250],
    ['30 g burro di cacao', 'cocoa-butter', 30],
    ['100 g tereyağı', 'butter-unsalted-82', 100],
    ['1 कप दूध', 'milk-whole', 257.8],
    ['7 leaves gelatin', 'gelatin-leaf-200', 14],
    ['1 cup (240 ml) whipping cream 35 %', 'cream-35', 239],
  ])('plain words mean the plain thing: %s', (line, id, grams) => {
    const [row] = read(line);
    expect(row?.candidates[0]?.id).toBe(id);
    expect(row).toMatchObject({ sure: true, grams });
  });

  it('finds a no-added-sugar chocolate only when it is asked for', () => {
    for (const line of ['100 g dark chocolate', '100 g chocolate 55 %', '100 g 60', '100 g Schokolade']) {
      expect(read(line)[0]?.candidates.map(({ id }) => id)).not.toContain('dark-maltitol-55');
    }
  });

  it('reads cups as the kitchen has them', () => {
    const grams = (cups: CupSystem) => readRecipeText('1 cup cream', all, cups)[0]?.grams ?? 0;
    expect(grams('us') / grams('metric')).toBeCloseTo(0.96, 2);
    expect(grams('imperial') / grams('metric')).toBeCloseTo(1.1365, 2);
    const fixed = (cups: CupSystem) => readRecipeText('1 cup (240 ml) cream', all, cups)[0]?.grams;
    expect(fixed('metric')).toBe(fixed('imperial'));
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
