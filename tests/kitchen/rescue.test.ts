import { describe, expect, it } from 'vitest';
import { PLATE_TEST, spreadDiameter } from '@/core/flow/ring-spread';
import { compositionVector } from '@/core/matter/components';
import { usualHistory } from '@/core/matter/process';
import { nth } from '@/core/nth';
import { predictFormula } from '@/core/predict/predict-formula';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { panWith } from '@/core/rescue/addition-curve';
import { beliefMean, SEEN } from '@/core/rescue/belief';
import { fixFor } from '@/core/rescue/fixes';
import { gramsPastSeizing } from '@/core/rescue/past-seizing';
import type { Sign } from '@/core/rescue/signs';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import { faultFacts, fixLiquid, tasteFix } from '@/kitchen/cook/pan-fault';
import { inPanOf, type PutIn, type RescueInput, rescueNow } from '@/kitchen/cook/rescue';
import { withPutIn } from '@/kitchen/cook/with-put-in';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

const ADDITIVES = [
  'water',
  'milk-whole',
  'cream-35',
  'dark-couverture-60',
  'sugar-caster',
  'unsweetened-chocolate-100',
].map((id) => larder.get(id) as Ingredient);
/** What water never is to a pan that is seen so. */
const UNFIT: Partial<Record<(typeof SEEN)[number], string>> = {
  farTooThick: 'cannot',
  bitThick: 'cannot',
  bitThin: 'add',
  farTooThin: 'add',
};
const WATER = ADDITIVES[0] as Ingredient;

const inputs = lanternMillFormulas().map((file) => {
  const formula = resolveFormula(file, larder, 'standard');
  const components = predictFormula(formula)?.components ?? new Float64Array();
  return {
    file,
    name: file.name,
    input: {
      formula,
      components,
      inPan: inPanOf(
        file,
        file.lines.map(({ grams }) => grams),
      ),
      isWhipped: false,
      isWeighed: false,
      rings: [],
      costPerKg: 4,
      additives: ADDITIVES,
    },
  };
});

/** A pan of some rows that were not weighed, with no gates of its own. */
function pannedOf(rows: readonly (readonly [string, number])[]): RescueInput {
  const file = {
    ...nth(lanternMillFormulas(), 0),
    lines: rows.map(([ingredient, grams]) => ({ ingredient, grams, locked: false })),
    gates: [],
    moments: [],
    use: undefined,
  };
  const formula = resolveFormula(file, larder, 'standard');
  const inPan = inPanOf(
    file,
    rows.map(([, grams]) => grams),
  );
  const components = predictFormula(formula)?.components ?? new Float64Array();
  return {
    formula,
    components,
    inPan,
    isWhipped: false,
    isWeighed: true,
    rings: [],
    costPerKg: 4,
    additives: ADDITIVES,
  };
}

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
    const history = { sign: 'bitThick', when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
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
  const history = { sign: 'bitThick', when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
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
    const looked = rescueNow(one.input, { ...history, looks: [{ putIn: 0, ring: { diameterMm, temperatureC: 36 } }] });
    expect(looked.stage.kind).not.toBe('look');
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

describe('what the cook sees wins', () => {
  const plain = pannedOf([
    ['cream-35', 240],
    ['dark-couverture-60', 200],
    ['butter-unsalted-82', 40],
  ]);
  const first = (sign: Sign, temperatureC?: number, looks: Parameters<typeof rescueNow>[1]['looks'] = []) =>
    rescueNow(plain, { sign, when: 'warm', temperatureC, looks, putIn: [] });

  it.each(['farTooThick', 'bitThick', 'bitThin', 'farTooThin'] as const)(
    '%s is never answered with "it is right"',
    (sign) => {
      for (const temperatureC of [undefined, 30, 36, 48.6]) {
        const state = first(sign, temperatureC);
        expect(['add', 'bring']).toContain(state.stage.kind);
        if (state.stage.kind === 'add') expect(state.options.length).toBeGreaterThan(0);
      }
    },
  );

  it('too thick at 48.6 °C is not told to cool down; too thin there is', () => {
    expect(first('bitThick', 48.6).stage.kind).toBe('add');
    expect(first('bitThin', 48.6).stage).toMatchObject({ kind: 'bring', temperatureC: expect.any(Number) });
    expect(first('bitThick', 30).stage.kind).toBe('bring');
    expect(first('bitThin', 30).stage.kind).toBe('add');
  });

  it('cream goes into a cream ganache, water into a water sauce, cream into what is too hard after the night', () => {
    expect(first('bitThick').options[0]?.id).toBe('cream-35');
    expect(first('bitThin').options[0]?.id).toBe('dark-couverture-60');
    const water = pannedOf([
      ['water', 300],
      ['sugar-caster', 150],
      ['dark-couverture-60', 120],
    ]);
    const thick = { sign: 'farTooThick', when: 'warm', temperatureC: undefined, looks: [], putIn: [] } as const;
    expect(rescueNow(water, thick).options[0]?.id).toBe('water');
    const hard = { ...thick, sign: 'hardAfterNight', when: 'cold' } as const;
    expect(rescueNow(plain, hard).options[0]?.id).toBe('cream-35');
  });

  it('water never goes into plain chocolate', () => {
    const chocolate = pannedOf([['dark-couverture-60', 300]]);
    const state = rescueNow(chocolate, {
      sign: 'farTooThick',
      when: 'warm',
      temperatureC: undefined,
      looks: [],
      putIn: [],
    });
    for (const { id } of state.options) expect(['water', 'milk-whole', 'cream-35']).not.toContain(id);
  });

  it('a stubborn "a bit thick" is told after the third portion what it will be cold', () => {
    const cream = ADDITIVES.find(({ id }) => id === 'cream-35') as Ingredient;
    const putIn = [1, 2, 3].map(() => ({ ingredient: cream, grams: 5 }));
    const coldAfter = (portions: number) =>
      rescueNow(plain, {
        sign: 'bitThick',
        when: 'warm',
        temperatureC: undefined,
        looks: [{ seen: 'bitThick', putIn: portions }],
        putIn: putIn.slice(0, portions),
      }).cold;
    expect(coldAfter(2)).toBeUndefined();
    expect(coldAfter(3)?.flow.resistancePa).toBeGreaterThan(0);
  });
});

describe('a fault of a pan', () => {
  it('takes what is thin in it already, and cold cream where it has to be cream', () => {
    const ganache = pannedOf([
      ['cream-35', 240],
      ['dark-couverture-60', 200],
    ]);
    expect(fixLiquid(ganache, 'panLiquid')?.id).toBe('cream-35');
    const water = pannedOf([
      ['water', 300],
      ['sugar-caster', 150],
    ]);
    expect(fixLiquid(water, 'panLiquid')?.id).toBe('water');
    expect(faultFacts(ganache).kind).toBe('ganache');
    expect(faultFacts(water).isSeized).toBe(false);
  });

  it.each([
    [
      'water',
      [
        ['dark-couverture-70', 300],
        ['water', 12],
      ],
    ],
    [
      'cream',
      [
        ['dark-couverture-70', 300],
        ['cream-35', 20],
      ],
    ],
    [
      'milk',
      [
        ['dark-couverture-70', 300],
        ['milk-whole', 15],
      ],
    ],
  ] as const)('seized by %s: what the fix puts in brings it past its window, by the engine itself', (_, rows) => {
    const seized = pannedOf(rows);
    const facts = faultFacts(seized);
    expect(facts.isSeized).toBe(true);
    const [step] = fixFor('waterIn', facts).steps;
    const liquid = step && 'what' in step ? fixLiquid(seized, step.what) : undefined;
    if (!step || !('grams' in step) || !liquid) throw new Error('nothing goes in');
    const there = {
      ...seized.formula,
      components: seized.components,
      temperatureC: 36,
      history: usualHistory(36),
      read: () => 1,
    };
    const then = panWith(there, compositionVector(liquid.components), step.grams);
    expect(gramsPastSeizing(then, compositionVector(liquid.components))).toBeUndefined();
  });

  it('too bitter takes the sugar that is in it; too sweet what is in it before anything else', () => {
    const sauce = pannedOf([
      ['cream-35', 240],
      ['dark-couverture-60', 200],
      ['sugar-caster', 20],
    ]);
    expect(tasteFix(sauce, 'lessBitter')?.ingredient.id).toBe('sugar-caster');
    expect(tasteFix(sauce, 'lessSweet')?.grams).toBeGreaterThan(0);
  });
});
