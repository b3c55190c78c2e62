import { partOf } from '@/core/matter/component-vector';
import { compositionVector } from '@/core/matter/components';
import { foldMixture } from '@/core/matter/mixture';
import { usualHistory } from '@/core/matter/process';
import { isEgg } from '@/core/method/row-kind';
import { roleOfRow } from '@/core/method/row-role';
import { panMass } from '@/core/rescue/addition-curve';
import type { FixFacts, FixLiquid } from '@/core/rescue/fixes';
import { panKindOf } from '@/core/rescue/pan-kind';
import { gramsPastSeizing } from '@/core/rescue/past-seizing';
import { tasteGrams } from '@/core/rescue/taste-grams';
import type { Ingredient } from '@/formats/ingredient';
import type { RescueInput } from './rescue';

/** °C a pan is judged at for having seized. */
const WARM_C = 36;
/** Parts of the pan from which something counts as being in it. */
const SOME_STARCH = 0.003;
const SOME_GELATIN = 0.001;
const SOME_COCOA = 0.01;
const WATER = compositionVector({ water: 100 });

/** What a fix needs to know of a pan with something in it. */
export function faultFacts(input: RescueInput): FixFacts {
  const { formula, components, isWhipped } = input;
  const massG = panMass(components);
  const mixture = foldMixture(components, formula.process);
  const at = { temperatureC: WARM_C, history: usualHistory(WARM_C), read: () => 1 };
  const there = { components, process: formula.process, ...at };
  const liquid = fixLiquid(input, 'panLiquid');
  return {
    kind: panKindOf(mixture, isWhipped),
    hasStarch: mixture.starchG > SOME_STARCH * massG,
    hasGelatin: mixture.gelatinG > SOME_GELATIN * massG,
    hasCocoa: mixture.cocoaSolidsG > SOME_COCOA * massG,
    isSeized: gramsPastSeizing(there, WATER) !== undefined,
    massG,
    // Cream holds less water than water does: more of it is needed.
    seizedNeedsG: gramsPastSeizing(there, liquid ? vectorOf(liquid) : WATER),
  };
}

const vectorOf = ({ components }: Ingredient) => compositionVector(components);

/** Ingredients that are in the pan, the most of them first. */
const inPan = ({ additives, inPan: grams }: RescueInput) =>
  additives
    .filter(({ id }) => (grams.get(id) ?? 0) > 0)
    .sort((a, b) => (grams.get(b.id) ?? 0) - (grams.get(a.id) ?? 0));

/** Milk fat in something from which it is cream, as a share. */
const CREAM_FAT = 0.18;

/**
 * What a fix puts in: what is thin in this pan already; cream where it has to be cream. Water where the kitchen has nothing else.
 *
 * @returns nothing where not even water is in hand
 */
export function fixLiquid(input: RescueInput, what: FixLiquid): Ingredient | undefined {
  const isThin = (each: Ingredient) => roleOfRow(vectorOf(each)) === 'liquid' && !isEgg({ perGram: vectorOf(each) });
  const isCream = (each: Ingredient) => isThin(each) && partOf(vectorOf(each), 'milk_fat') >= CREAM_FAT;
  const water = input.additives.find(({ id }) => id === 'water');
  const thin = inPan(input).find(isThin);
  switch (what) {
    case 'water':
      return water;
    case 'panLiquid':
      return thin ?? water;
    case 'coldCream':
      return inPan(input).find(isCream) ?? thin ?? input.additives.find(isCream) ?? water;
  }
}

/** Something that changes a taste, and how much of it. */
export interface TasteFix {
  readonly ingredient: Ingredient;
  readonly grams: number;
}

/** What makes a pan less sweet or less bitter: what is in it already first, the least of it. */
export function tasteFix(input: RescueInput, wants: 'lessSweet' | 'lessBitter'): TasteFix | undefined {
  const mixture = foldMixture(input.components, input.formula.process);
  const roles = wants === 'lessSweet' ? ['cocoa', 'chocolate'] : ['sugar', 'syrup'];
  const usual = wants === 'lessSweet' ? 'unsweetened-chocolate-100' : 'sugar-caster';
  const found = (ingredients: readonly Ingredient[]) =>
    ingredients
      .filter((each) => roles.includes(roleOfRow(vectorOf(each))))
      .flatMap((ingredient): TasteFix[] => {
        const grams = tasteGrams(mixture, vectorOf(ingredient), wants);
        return grams === undefined ? [] : [{ ingredient, grams: Math.max(Math.round(grams), 1) }];
      })
      .sort((a, b) => a.grams - b.grams)[0];
  return found(inPan(input)) ?? found(input.additives.filter(({ id }) => id === usual));
}
