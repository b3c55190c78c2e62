import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ALLERGENS, type Declared, unrecognised } from '@/core/matter/allergens';
import { contentsOf, isFreeOfAllergen } from '@/core/matter/contents';
import { isFreeOf, RESTRICTIONS, standingTo } from '@/core/swap/restrictions';
import { larder } from '../../support/kitchen';

const COCOA = { cocoa_butter: 50, cocoa_solids: 50 };

describe('what an ingredient holds', () => {
  it('is proven by its composition whatever is declared', () => {
    for (const part of ['milk_fat', 'milk_protein', 'lactose'] as const) {
      expect(contentsOf({ components: { [part]: 1 }, allergens: [], vegan: true })).toMatchObject({
        contains: ['milk'],
        vegan: 'no',
      });
    }
    expect(contentsOf({ components: { gelatin: 2 }, allergens: [], vegan: true }).vegan).toBe('no');
    expect(contentsOf({ components: COCOA, allergens: ['eggs'], vegan: true }).vegan).toBe('no');
  });

  it('that nobody has said is unknown, never free', () => {
    const silent = { components: COCOA, vegan: undefined };
    expect(contentsOf(silent)).toMatchObject({ contains: [], isDeclared: false, vegan: 'unknown' });
    for (const restriction of ['dairy', 'nuts', 'soya', 'animal'] as const) {
      expect(standingTo(restriction, silent), restriction).toBe('unknown');
    }
    // What is in 100 g is known: no alcohol, no gelatin, no sugar.
    for (const restriction of ['alcohol', 'gelatin', 'addedSugar'] as const) {
      expect(standingTo(restriction, silent), restriction).toBe('free');
    }
  });

  it('that nobody recognised leaves every wish unknown until someone decides', () => {
    const odd = { components: COCOA, allergens: ['soya', unrecognised('Kastanie')] as Declared[], vegan: true };
    for (const restriction of RESTRICTIONS) expect(isFreeOf(restriction, odd), restriction).toBe(false);
    expect(standingTo('soya', odd)).toBe('against');
    expect(standingTo('nuts', odd)).toBe('unknown');
    const traces = { components: COCOA, allergens: [], mayContain: [unrecognised('xyz')], vegan: true };
    expect(standingTo('alcohol', traces)).toBe('unknown');
  });

  it('as a trace is no freedom either', () => {
    const traces = {
      components: COCOA,
      allergens: ['soya'] as const,
      mayContain: ['nuts (hazelnut)'] as const,
      vegan: true,
    };
    expect(standingTo('nuts', traces)).toBe('unknown');
    expect(standingTo('dairy', traces)).toBe('free');
  });

  it('nuts by name are nuts, and nuts without a name may be any of them', () => {
    const of = (...allergens: Declared[]) => contentsOf({ components: COCOA, allergens, vegan: true });
    expect(isFreeOfAllergen('nuts', of('nuts (almond)'))).toBe(false);
    expect(isFreeOfAllergen('nuts (almond)', of('nuts'))).toBe(false);
    expect(isFreeOfAllergen('nuts (almond)', of('nuts (hazelnut)'))).toBe(true);
    expect(isFreeOfAllergen('nuts (almond)', of('gluten (oats)'))).toBe(true);
    expect(isFreeOf('nuts', { components: COCOA, allergens: ['peanuts'], vegan: true })).toBe(false);
  });

  it('every typical ingredient is declared, and none is called vegan against its own composition', () => {
    for (const item of larder.values()) {
      const contents = contentsOf(item);
      expect(contents.isDeclared, item.id).toBe(true);
      expect(contents.unrecognised, item.id).toEqual([]);
      expect(contents.vegan, item.id).toBe(item.vegan ? 'yes' : 'no');
    }
  });

  it('law: saying more never makes it free of more', () => {
    const declared = fc.uniqueArray(fc.constantFrom<Declared>(...ALLERGENS, unrecognised('x')), { maxLength: 5 });
    fc.assert(
      fc.property(declared, declared, declared, (allergens, more, traces) => {
        const before = { components: COCOA, allergens, vegan: true };
        const after = { ...before, allergens: [...allergens, ...more], mayContain: traces };
        for (const restriction of RESTRICTIONS) {
          if (!isFreeOf(restriction, before)) expect(isFreeOf(restriction, after)).toBe(false);
        }
      }),
    );
  });
});
