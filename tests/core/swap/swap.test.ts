import { describe, expect, it } from 'vitest';
import { compositionVector } from '@/core/matter/components';
import { type Prediction, predictFormula } from '@/core/predict/predict-formula';
import { flowOtherwise, keepCurve } from '@/core/swap/keep-curve';
import { isFreeOf, RESTRICTIONS } from '@/core/swap/restrictions';
import { jobDistance, nearestFirst } from '@/core/swap/substitutes';
import { type Substitute, swap } from '@/core/swap/swap';
import { swapLosses } from '@/core/swap/swap-losses';
import { swapSentences } from '@/kitchen/words/keep-words';
import { formulaOf, larder } from '../../support/kitchen';

const get = (id: string) => {
  const found = larder.get(id);
  if (!found) throw new Error(id);
  return found;
};
const substitute = (id: string): Substitute => ({
  ingredient: id,
  perGram: compositionVector(get(id).components),
  pricePerKg: get(id).pricePerKg ?? undefined,
});

const PLAIN = {
  percent: (share: number) => `${Math.round(100 * share)} %`,
  amount: (value: number) => value.toFixed(1),
  moment: (name: string) => `at the ${name}`,
};

const GLOSS = [
  ['dark-couverture-66', 210],
  ['cream-35', 236],
  ['glucose-syrup-de42', 58],
  ['butter-unsalted-82', 46],
  ['cocoa-alkalised-22', 18],
  ['rum-40', 18],
] as const;

describe('a swap', () => {
  const formula = formulaOf(GLOSS, [{ moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 6000 }]);

  it.each([
    ['another couverture', 0, 'dark-couverture-75'],
    ['a lighter cream', 1, 'cream-25'],
    ['table sugar for glucose', 2, 'sugar-caster'],
    ['coffee for rum', 5, 'espresso'],
  ])('for %s keeps the curve, the total and the gates asked', (_, line, id) => {
    const { formula: swapped, before, after, within } = swap(formula, new Map([[line, substitute(id)]]));
    expect(within).toBeDefined();
    expect(swapped.lines[line]?.ingredient).toBe(id);
    expect(swapped.gates).toEqual(formula.gates);
    expect(after.massG).toBeCloseTo(before.massG, 6);
    before.moments.forEach(({ state }, m) => {
      const now = after.moments[m]?.state.flow.resistancePa ?? 0;
      expect(Math.abs(Math.log(now / state.flow.resistancePa))).toBeLessThanOrEqual((within ?? 0) + 1e-9);
    });
  });

  it.each([
    ['a lighter cream', 1, 'cream-25'],
    ['milk for cream', 1, 'milk-whole'],
    ['table sugar for glucose', 2, 'sugar-caster'],
    ['milk chocolate for dark', 0, 'milk-couverture-36'],
    ['chocolate for cream, which cannot be', 1, 'dark-couverture-54'],
  ])('for %s leaves each other row between two fifths and twice of what it was; sugars may go', (_, line, id) => {
    const { formula: swapped } = swap(formula, new Map([[line, substitute(id)]]));
    swapped.lines.forEach(({ grams }, i) => {
      if (i === line) return;
      const was = formula.lines[i]?.grams ?? 0;
      const sweetens = formula.lines[i]?.ingredient === 'glucose-syrup-de42';
      expect(grams).toBeGreaterThan((sweetens ? 0 : 0.4) * was - 0.51);
      expect(grams).toBeLessThan(2 * was + 0.51);
    });
  });

  it('keeps sweetness within a fifth where the curve can be kept with it', () => {
    const { before, after, within } = swap(formula, new Map([[2, substitute('sugar-caster')]]));
    expect(within).toBeDefined();
    expect(Math.abs(after.taste.sweetness / before.taste.sweetness - 1)).toBeLessThan(0.21);
  });

  it('of a chocolate moves the sugar, so that sweetness and the gates that were passed hold', () => {
    const sauce = formulaOf(
      [
        ['dark-couverture-70', 160],
        ['cream-35', 220],
        ['milk-whole', 60],
        ['sugar-caster', 45],
      ],
      [
        { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.05, high: 2 },
        { moment: 'fridge', quantity: 'waterActivity', low: 0.7, high: 0.97 },
      ],
    );
    const { before, after, within, formula: swapped } = swap(sauce, new Map([[0, substitute('milk-couverture-40')]]));
    expect(within).toBeDefined();
    expect(Math.abs(after.taste.sweetness / before.taste.sweetness - 1)).toBeLessThan(0.21);
    expect(swapped.lines[3]?.grams).toBeLessThan(45);
    expect(after.gates.every(({ lands }) => lands)).toBe(true);
  });

  it('counts as sugared what holds more than 5 % of sugars, not what brings them along', () => {
    for (const id of ['dark-couverture-66', 'dark-couverture-75', 'sugar-caster', 'glucose-syrup-de42']) {
      expect(isFreeOf('addedSugar', get(id)), id).toBe(false);
    }
    for (const id of ['cream-35', 'butter-unsalted-82', 'cocoa-alkalised-22', 'milk-whole']) {
      expect(isFreeOf('addedSugar', get(id)), id).toBe(true);
    }
    const item = { ...get('cream-35'), components: { water: 90, sucrose: 10 } };
    expect(isFreeOf('addedSugar', item)).toBe(false);
  });

  it('for no dairy comes as near as it can', () => {
    const places = formula.lines.flatMap(({ ingredient }, i) => (isFreeOf('dairy', get(ingredient)) ? [] : [i]));
    expect(places).toEqual([1, 3]);
    const allowed = [...larder.values()].filter((candidate) => isFreeOf('dairy', candidate));
    const chosen = new Map(
      places.map((i) => {
        const [nearest] = nearestFirst(get(formula.lines[i]?.ingredient ?? '').components, allowed);
        return [i, substitute(nearest?.id ?? '')] as const;
      }),
    );
    const { formula: swapped, before, after } = swap(formula, chosen);
    expect(Math.abs(after.taste.sweetness / before.taste.sweetness - 1)).toBeLessThan(0.35);
    for (const { ingredient } of swapped.lines) expect(isFreeOf('dairy', get(ingredient))).toBe(true);
    expect(after.massG).toBeCloseTo(586, 6);
  });

  it('leaves other locked rows alone and gives back locks', () => {
    const locked = formulaOf(
      GLOSS.map(([id, grams], i) => [id, grams, { locked: i !== 1 && i !== 2 && i !== 0 }] as const),
    );
    const { formula: swapped } = swap(locked, new Map([[5, substitute('espresso')]]));
    expect(swapped.lines[3]?.grams).toBe(46);
    expect(swapped.lines[5]?.locked).toBe(true);
  });
});

describe('what a swap cannot keep', () => {
  const sauce = formulaOf([
    ['dark-couverture-70', 160],
    ['cream-35', 220],
    ['milk-whole', 60],
    ['sugar-caster', 45],
  ]);

  it('moves the sugar with the chocolate, so that nobody notices', () => {
    const { before, after, within } = swap(sauce, new Map([[0, substitute('dark-couverture-60')]]));
    expect(within).toBeDefined();
    expect(Math.abs(after.taste.sweetness / before.taste.sweetness - 1)).toBeLessThan(0.09);
    expect(swapLosses(before, after).sweetness).toBeUndefined();
  });

  it('says how much sweeter it is where the other rows cannot make up for it', () => {
    const plain = formulaOf([
      ['dark-couverture-70', 200],
      ['cream-35', 200],
    ]);
    const { before, after } = swap(plain, new Map([[0, substitute('milk-couverture-36')]]));
    const { sweetness } = swapLosses(before, after);
    expect(sweetness?.[0]).toBeCloseTo(before.taste.sweetness, 9);
    expect(sweetness?.[1]).toBeGreaterThan(1.08 * before.taste.sweetness);
    const words = swapSentences(undefined, swapLosses(before, after), PLAIN).join(' ');
    expect(words).toMatch(/sweeter\. The other rows cannot/);
  });

  it('of cream for coconut says where the flow moves, by how much and why', () => {
    const { before, after, within } = swap(sauce, new Map([[1, substitute('coconut-cream-22')]]));
    const losses = swapLosses(before, after);
    if (losses.flows.length === 0) expect(within).toBeDefined();
    else {
      expect(losses.reason).toBe('coconutFat');
      expect(swapSentences(within, losses, PLAIN).join(' ')).toMatch(
        /cannot be kept: .*(thicker|thinner|thick|thin).*Coconut fat/,
      );
    }
    for (const { times } of losses.flows) expect(Math.abs(Math.log(times))).toBeGreaterThan(Math.log(1.1) - 1e-6);
  });
});

describe('another flow at one moment', () => {
  const warmThenCold = [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: 1, high: 9 },
    { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 9000 },
  ] as const;

  it.each([
    ['thinner at the pour', 'pour', 1 / 1.25],
    ['thicker at the pour', 'pour', 1.25],
    ['firmer from the fridge', 'fridge', 1.5],
  ])('%s, and the rest as it was', (_, moment, times) => {
    const formula = formulaOf(GLOSS, warmThenCold);
    const before = predictFormula(formula) as Prediction;
    const { after, within, formula: kept } = flowOtherwise(formula, { moment, times });
    expect(within).toBeLessThan(0.11);
    expect(kept.gates).toEqual(formula.gates);
    expect(after.massG).toBeCloseTo(before.massG, 6);
    const ratio = (name: string) => {
      const at = before.moments.findIndex((each) => each.moment.name === name);
      const was = before.moments[at]?.state.flow.resistancePa ?? Number.NaN;
      return (after.moments[at]?.state.flow.resistancePa ?? Number.NaN) / was;
    };
    expect(Math.abs(Math.log(ratio(moment) / times))).toBeLessThan(0.11);
    const other = moment === 'pour' ? 'fridge' : 'pour';
    expect(Math.abs(Math.log(ratio(other)))).toBeLessThan((within ?? 0) + 0.01);
  });

  it('is not found where all is locked, and an empty pan has none', () => {
    const locked = formulaOf(GLOSS.map(([id, grams]) => [id, grams, { locked: true }] as const));
    expect(flowOtherwise(locked, { moment: 'pour', times: 0.8 }).within).toBeUndefined();
    expect(() => flowOtherwise(formulaOf([]), { moment: 'pour', times: 0.8 })).toThrow(RangeError);
  });
});

describe('an addition', () => {
  const base = formulaOf(GLOSS);
  const before = predictFormula(base) as Prediction;

  it.each([
    ['a liqueur', 'orange-liqueur-40', 30],
    ['a spice', 'cinnamon', 6],
    ['more cocoa', 'cocoa-alkalised-22', 12],
  ])('of %s is balanced back to the curve as it was, itself untouched', (_, id, grams) => {
    const added = formulaOf([...GLOSS, [id, grams, { locked: true }]]);
    const off = (after: Prediction) =>
      Math.max(
        ...before.moments.map(({ state }, m) =>
          Math.abs(Math.log((after.moments[m]?.state.flow.resistancePa ?? 0) / state.flow.resistancePa)),
        ),
      );
    const { formula, after, within } = keepCurve(before, added);
    expect(within).toBeDefined();
    expect(off(after)).toBeLessThanOrEqual((within ?? 0) + 1e-9);
    // Back to the curve, not to the edge of what would still do.
    expect(off(after)).toBeLessThan(0.0201);
    expect(formula.lines.at(-1)?.grams).toBe(grams);
    expect(after.massG).toBeCloseTo(586 + grams, 6);
  });
});

describe('substitutes', () => {
  it('are found by the job they do', () => {
    const others = [...larder.values()].filter(({ id }) => id !== 'cream-35' && id !== 'cream-35-uht');
    expect(nearestFirst(get('cream-35').components, others)[0]?.id).toMatch(/^cream-3/);
    const noSugar = [...larder.values()].filter((candidate) => isFreeOf('addedSugar', candidate));
    expect(nearestFirst(get('dark-couverture-54').components, noSugar)[0]?.id).toMatch(/maltitol|erythritol/);
    expect(['water', 'espresso', 'tea-infusion']).toContain(
      nearestFirst(
        get('rum-40').components,
        [...larder.values()].filter((each) => isFreeOf('alcohol', each)),
      )[0]?.id,
    );
    expect(jobDistance(get('water').components, get('water').components)).toBe(0);
  });

  it('break what they break', () => {
    expect(isFreeOf('alcohol', get('rum-40'))).toBe(false);
    expect(isFreeOf('gelatin', get('gelatin-leaf-200'))).toBe(false);
    expect(isFreeOf('nuts', get('hazelnut-paste'))).toBe(false);
    expect(isFreeOf('animal', get('cream-35'))).toBe(false);
    for (const restriction of RESTRICTIONS) expect(isFreeOf(restriction, get('water'))).toBe(true);
  });
});
