import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ALLERGENS } from '@/core/matter/allergens';
import { isFreeOf } from '@/core/swap/restrictions';
import { ALLERGEN_SYNONYMS } from '@/formats/allergen-synonyms';
import { recogniseAllergens } from '@/formats/allergen-words';
import { type Ingredient, ingredientSchema } from '@/formats/ingredient';
import { larder } from '../support/kitchen';

const contains = (text: string) => recogniseAllergens([text]).contains;

describe('allergens in whatever words somebody used', () => {
  it.each([
    ['Milk, soy', ['milk', 'soya']],
    ['Milch', ['milk']],
    ['hazelnut', ['nuts (hazelnut)']],
    ['Haselnüsse und Mandeln', ['nuts (almond)', 'nuts (hazelnut)']],
    ['Contient: lait en poudre; œufs', ['milk', 'eggs']],
    ['leche/soja', ['milk', 'soya']],
    ['lecitina di soia', ['soya']],
    ['süt, fındık', ['milk', 'nuts (hazelnut)']],
    ['दूध, बादाम', ['milk', 'nuts (almond)']],
    ['lecithin (soya)', ['soya']],
    ['Erdnüsse & sesame', ['peanuts', 'sesame']],
    ['GLUTEN (OATS)', ['gluten (oats)']],
  ])('%s', (text, expected) => {
    expect(contains(text)).toEqual(expected);
  });

  it.each(['milk-free', 'no nuts', 'ohne Milch', 'sans lait', 'coconut', 'see label', '???'])(
    '%s is kept as it stands: nobody guesses',
    (text) => {
      expect(contains(text)).toEqual([`other: ${text}`]);
    },
  );

  it.each([
    ['May contain nuts, milk', ['milk', 'nuts']],
    ['Kann Spuren von Nüssen enthalten', ['nuts']],
    ['peut contenir des traces de lait', ['milk']],
    ['Traces of peanuts', ['peanuts']],
  ])('traces are traces: %s', (text, expected) => {
    expect(recogniseAllergens([text])).toEqual({ contains: [], mayContain: expected });
  });

  it('“none” is an answer', () => {
    for (const text of ['none', 'keine', 'aucun', '-']) expect(contains(text)).toEqual([]);
  });

  it('law: every synonym finds its allergen and no other, whatever its case', () => {
    for (const [allergen, words] of Object.entries(ALLERGEN_SYNONYMS)) {
      for (const word of words) expect(contains(word.toUpperCase()), word).toEqual([allergen]);
    }
    expect(Object.keys(ALLERGEN_SYNONYMS).sort()).toEqual([...ALLERGENS].sort());
  });

  it('law: reading twice is reading once, and nothing written is lost', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 40 }), { maxLength: 4 }), (texts) => {
        const once = recogniseAllergens(texts);
        const again = recogniseAllergens(once.contains);
        expect(again.contains).toEqual(once.contains);
        const parts = texts.flatMap((text) => text.split(/[,;/\n•·|&+]/)).filter((part) => /\p{L}{3}/u.test(part));
        if (parts.length > 0) expect(once.contains.length + once.mayContain.length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('an ingredient of the larder', () => {
  const dark = larder.get('dark-couverture-60') as Ingredient;
  const own = (allergens: string[] | null) => ingredientSchema.parse({ ...dark, origin: 'own', allergens });

  it('with “Milk, soy” typed is proposed to nobody without soya or dairy', () => {
    expect(isFreeOf('soya', own(['Milk, soy']))).toBe(false);
    expect(isFreeOf('dairy', own(['Milch']))).toBe(false);
    expect(isFreeOf('nuts', own(['hazelnut']))).toBe(false);
    expect(isFreeOf('nuts', own(['soya']))).toBe(true);
    expect(isFreeOf('nuts', own(null))).toBe(false);
  });
});
