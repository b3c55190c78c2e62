import { describe, expect, it } from 'vitest';
import { readFormula } from '@/formats/formula-file';
import { findRecipe, recipeJsonLd } from '@/formats/recipe-json-ld';
import { resolveFormula } from '@/formats/resolve-formula';
import { applyVariation, variationOf } from '@/formats/variation';
import { methodInstructions } from '@/kitchen/method/instructions';
import { withMethod } from '@/kitchen/method/with-method';
import { kitchenOf, workMethod } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const named = (name: string) => {
  const file = lanternMillFormulas().find((each) => each.name === name);
  if (!file) throw new Error(name);
  return file;
};
const nameOf = (id: string) => larder.get(id)?.name ?? id;
const work = (file: ReturnType<typeof named>, way: 'starchSauce' | 'stickBlender' | 'reheated') => {
  const worked = workMethod(
    { ...file, method: { way } },
    resolveFormula(file, larder, 'standard'),
    kitchenOf(file, 22),
  );
  if (!worked) throw new Error(way);
  return worked;
};

describe('a formula that is made by a method', () => {
  it('reckons with what the method does: cooked starch, emulsion, water boiled off', () => {
    const file = named('Sluice water sauce');
    const worked = work(file, 'starchSauce');
    const made = withMethod(file, worked);
    const end = worked.followed.at(-1)?.end;
    expect(made.method).toEqual({ way: 'starchSauce' });
    expect(made.process.cook).toBeCloseTo(end?.cook ?? 0, 2);
    expect(made.process.cook).toBeGreaterThan(0.85);
    expect(made.yield?.evaporationGrams).toBe(Math.round(end?.lostWaterG ?? 0));
    expect(made.yield?.targetGrams).toBe(file.yield?.targetGrams);
    expect(made.lines).toEqual(file.lines);
    expect(
      withMethod(named('Feast day gloss'), work(named('Feast day gloss'), 'stickBlender')).process.mix,
    ).toBeGreaterThan(0.85);
  });

  it('is not made anew by being warmed again', () => {
    const file = named('Feast day gloss');
    expect(withMethod(file, work(file, 'reheated'))).toEqual({ ...file, method: { way: 'reheated' } });
  });

  it('goes through the formula file and a variation as it is', () => {
    const file = named('Feast day gloss');
    const made = readFormula(JSON.parse(JSON.stringify(withMethod(file, work(file, 'stickBlender')))));
    expect(readFormula(JSON.parse(JSON.stringify(made)))).toEqual(made);
    const variation = variationOf(file, made);
    expect(variation.parts.method).toEqual({ way: 'stickBlender' });
    expect(applyVariation(file, variation, made)).toEqual(made);
    expect(() => readFormula({ ...file, method: { way: 'by moonlight' } })).toThrow('method.way: must be one of');
  });

  it('goes out as the steps of a schema.org Recipe, and its rows come back', () => {
    const file = named('Millrace éclair gloss');
    const made = methodInstructions(file, larder, nameOf);
    const recipe = recipeJsonLd(file, nameOf, made);
    expect(recipe).toMatchObject({ '@type': 'Recipe', tool: ['Spatula', 'Whisk'] });
    const { recipeInstructions = [], totalTime } = recipe as {
      recipeInstructions?: readonly { '@type': string; position: number; text: string }[];
      totalTime?: string;
    };
    expect(totalTime).toMatch(/^PT(\d+H)?(\d+M)?$/);
    expect(recipeInstructions.map((step) => step['@type'])).toEqual(recipeInstructions.map(() => 'HowToStep'));
    expect(recipeInstructions[0]?.text).toContain('236 g Whipping cream 35 %');
    const text = recipeInstructions.map((step) => step.text).join(' ');
    for (const { ingredient } of file.lines) expect(text).toContain(nameOf(ingredient));
    expect(findRecipe(JSON.parse(JSON.stringify(recipe)))?.lines).toHaveLength(file.lines.length);
  });

  it('has none where no way suits it', () => {
    const file = readFormula({ ...named('Feast day gloss'), lines: [{ ingredient: 'water', grams: 100 }] });
    expect(methodInstructions(file, larder, nameOf)).toBeUndefined();
    expect(recipeJsonLd(file, nameOf)).not.toHaveProperty('recipeInstructions');
  });
});
