import { describe, expect, it } from 'vitest';
import { PLATE_TEST, spreadDiameter } from '@/core/flow/ring-spread';
import { usualHistory } from '@/core/matter/process';
import { predictFormula } from '@/core/predict/predict-formula';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { beliefMean, SEEN } from '@/core/rescue/belief';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import { type PutIn, rescueNow } from '@/kitchen/cook/rescue';
import { withPutIn } from '@/kitchen/cook/with-put-in';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const ADDITIVES = ['water', 'milk-whole', 'cream-35', 'dark-couverture-60', 'sugar-caster'].map(
  (id) => larder.get(id) as Ingredient,
);
/** What water never is to a pan that is seen so. */
const UNFIT: Partial<Record<(typeof SEEN)[number], string>> = {
  farTooThick: 'cannot',
  aBitThick: 'cannot',
  aBitThin: 'add',
  farTooThin: 'add',
};
const WATER = ADDITIVES[0] as Ingredient;

const inputs = lanternMillFormulas().map((file) => {
  const formula = resolveFormula(file, larder, 'standard');
  const components = predictFormula(formula)?.components ?? new Float64Array();
  return {
    file,
    name: file.name,
    input: { formula, components, isWeighed: false, rings: [], costPerKg: 4, additives: ADDITIVES },
  };
});

describe('a rescue as it stands', () => {
  it.each(inputs)('$name: whatever is seen after a portion, water never thickens it', ({ input }) => {
    for (const sign of ['farTooThick', 'farTooThin'] as const) {
      let putIn: PutIn[] = [];
      for (const seen of SEEN) {
        const looks = putIn.map((_, i) => ({ seen, putIn: i + 1 })).slice(-1);
        const state = rescueNow(input, { sign, when: 'warm', temperatureC: undefined, looks, putIn });
        const now = looks[0]?.seen ?? sign;
        expect(state.portionOf(WATER).kind).not.toBe(UNFIT[now]);
        const best = ADDITIVES.find(({ id }) => id === state.options[0]?.id) ?? WATER;
        putIn = [...putIn, { ingredient: best, grams: state.options[0]?.grams ?? 5 }];
      }
    }
  });

  it('is believed narrower where all was weighed', () => {
    const [one] = inputs;
    if (!one) throw new Error('no formula');
    const history = { sign: 'aBitThick', when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
    const spread = (isWeighed: boolean) => {
      const { nodes } = rescueNow({ ...one.input, isWeighed }, history).belief;
      return (nodes.at(-1) ?? 0) - (nodes[0] ?? 0);
    };
    expect(spread(true)).toBeLessThan(spread(false));
  });
});

describe('what could go in, side by side', () => {
  const gloss = inputs.at(-1);
  if (!gloss) throw new Error('no formula');
  const flowGate = gloss.input.formula.gates.findIndex(
    ({ moment, quantity }) => moment === 'pour' && quantity === 'apparentViscosityPaS',
  );

  it.each(['farTooThick', 'farTooThin'] as const)('is judged by the pan as it is believed to be: %s', (sign) => {
    const history = { sign, when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
    const { options, belief } = rescueNow(gloss.input, history);
    expect(Math.abs(beliefMean(belief))).toBeGreaterThan(0.3);
    expect(options.length).toBeGreaterThan(0);
    // What mends a pan cannot be told to miss the very gate it is mended for.
    for (const { loses } of options) expect(loses).not.toContain(flowGate);
    expect(options[0]?.wins).toContain(flowGate);
  });
});

describe('a ring in a rescue', () => {
  const [one] = inputs.slice(-1);
  if (!one) throw new Error('no formula');
  const history = { sign: 'aBitThick', when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
  const meanAfter = (rings: readonly number[], looks: Parameters<typeof rescueNow>[1]['looks'] = []) =>
    beliefMean(rescueNow({ ...one.input, rings }, { ...history, looks }).belief);

  it('read before it begins moves what is believed towards it, and narrows it', () => {
    const means = [-1, -0.3, 0, 0.3, 1].map((residual) => meanAfter([residual]));
    expect(means).toEqual(means.toSorted((a, b) => a - b));
    expect(new Set(means).size).toBe(means.length);
    const spread = (rings: readonly number[]) => {
      const { nodes } = rescueNow({ ...one.input, rings }, history).belief;
      return (nodes.at(-1) ?? 0) - (nodes[0] ?? 0);
    };
    expect(spread([0, 0])).toBeLessThan(spread([]));
  });

  it('read in it does the same; one that says as reckoned pulls towards that', () => {
    const batch = prepareBatch(one.input.components, one.input.formula.process);
    const asReckoned = { ...stateAt(batch, 36, usualHistory(36)).flow };
    const flow = {
      plasticViscosityPaS: asReckoned.plasticViscosityPaS,
      yieldStressPa: asReckoned.yieldStressPa,
      densityKgM3: asReckoned.phases.densityKgM3,
    };
    const diameterMm = spreadDiameter(flow, PLATE_TEST.volumeMl, PLATE_TEST.seconds);
    const ring = (mm: number) => meanAfter([], [{ putIn: 0, ring: { diameterMm: mm, temperatureC: 36 } }]);
    expect(Math.abs(ring(diameterMm))).toBeLessThan(Math.abs(meanAfter([])) + 1e-9);
    expect(ring(0.8 * diameterMm)).toBeGreaterThan(ring(diameterMm));
    expect(ring(1.2 * diameterMm)).toBeLessThan(ring(diameterMm));
    expect(
      rescueNow(one.input, { ...history, looks: [{ putIn: 0, ring: { diameterMm, temperatureC: 36 } }] }).isLookedAt,
    ).toBe(true);
  });
});

describe('what a rescue put in, written into the formula', () => {
  const gloss = inputs.at(-1)?.file;
  if (!gloss) throw new Error('no formula');
  const whole = gloss.lines.reduce((sum, { grams }) => sum + grams, 0);
  const milk = ADDITIVES[1] as Ingredient;
  const cream = ADDITIVES[2] as Ingredient;

  it('goes onto the row of its ingredient, or one of its own, in proportion', () => {
    // A batch of twice the formula took forty grams of cream and twenty of milk.
    const after = withPutIn(
      gloss,
      [
        { ingredient: cream, grams: 40 },
        { ingredient: milk, grams: 20 },
      ],
      2 * whole + 60,
    );
    const gramsOf = (id: string) => after.lines.find(({ ingredient }) => ingredient === id)?.grams;
    const before = gloss.lines.find(({ ingredient }) => ingredient === 'cream-35')?.grams ?? 0;
    expect(gramsOf('cream-35')).toBeCloseTo(before + 20, 6);
    expect(gramsOf('milk-whole')).toBeCloseTo(10, 6);
    expect(after.lines.reduce((sum, { grams }) => sum + grams, 0)).toBeCloseTo(whole + 30, 6);
  });
});
