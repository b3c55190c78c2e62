import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balance } from '@/core/balance/balance';
import { reachOf } from '@/core/balance/problem';
import { sizeOfChange } from '@/core/balance/result';
import { roundLines, scaleStep } from '@/core/balance/rounding';
import type { Gate } from '@/core/formula/gates';
import { fillings } from '@/core/matter/measures';
import { predictFormula } from '@/core/predict/predict-formula';
import { findUse, USES } from '@/core/uses/ready-gates';
import reference from '../../support/check-vectors.json';
import { formulaOf, larder } from '../../support/kitchen';

const gate = (moment: string, quantity: Gate['quantity'], low?: number, high?: number): Gate => ({
  moment,
  quantity,
  low,
  high,
});

const TEN = [
  ['dark-couverture-66', 210],
  ['cream-35', 236],
  ['glucose-syrup-de42', 58],
  ['butter-unsalted-82', 46],
  ['cocoa-alkalised-22', 18],
  ['invert-sugar-paste', 12],
  ['rum-40', 18],
  ['milk-whole', 20],
  ['sugar-granulated', 10],
  ['water', 10],
] as const;

const total = (grams: readonly number[]) => grams.reduce((sum, g) => sum + g, 0);

/** What every answer must keep, whatever was asked. */
function expectKept(formula: ReturnType<typeof formulaOf>, result: ReturnType<typeof balance>) {
  const from = formula.lines.map((line) => line.grams);
  expect(total(result.grams)).toBeCloseTo(total(from), 6);
  formula.lines.forEach((line, i) => {
    const grams = result.grams[i] as number;
    if (line.locked) expect(grams).toBe(line.grams);
    else {
      const { least, most } = reachOf(line, total(from));
      if (grams !== line.grams) {
        expect(grams).toBeGreaterThanOrEqual(least - 1e-9);
        expect(grams).toBeLessThanOrEqual(most + 1e-9);
        expect(Math.abs(grams * 10 - Math.round(grams * 10))).toBeLessThan(1e-6);
      }
    }
  });
  expect(result.change).toBeCloseTo(sizeOfChange(from, result.grams), 12);
  const gates = predictFormula(result.formula)?.gates ?? [];
  expect(result.status === 'lands').toBe(gates.every(({ lands }) => lands));
}

describe('a pinch', () => {
  const PINCHES = [
    ['salt-fine', 2],
    ['cinnamon', 1.5],
    ['vanilla-extract', 3],
  ] as const;

  it('of salt, spice or extract is left as it is, whatever is asked of the rest', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 8, noNaN: true }),
        fc.double({ min: 0.7, max: 0.9, noNaN: true }),
        (viscosity, activity) => {
          const gates = [
            gate('pour', 'apparentViscosityPaS', viscosity, 1.2 * viscosity),
            gate('bench', 'waterActivity', undefined, activity),
          ];
          const { grams } = balance(formulaOf([...TEN, ...PINCHES], gates), { explain: false, starts: 2 });
          expect(grams.slice(TEN.length)).toEqual(PINCHES.map(([, g]) => g));
        },
      ),
      { numRuns: 12 },
    );
  });

  it('moves where the cook says how far', () => {
    const asked = formulaOf(
      [...TEN, ['salt-fine', 2, { minGrams: 0, maxGrams: 20 }]],
      [gate('bench', 'alcoholPercentVol', undefined, 0.5), gate('bench', 'waterActivity', undefined, 0.78)],
    );
    expect(balance(asked, { explain: false }).grams.at(-1)).not.toBe(2);
  });
});

describe('a balance that can land', () => {
  it.each([
    [
      'a ganache too stiff cold',
      [
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ],
      [gate('pour', 'apparentViscosityPaS', 0.5, 3), gate('fridge', 'yieldStressPa', 300, 3000)],
    ],
    [
      'a sauce too thin',
      [
        ['dark-couverture-60', 100],
        ['cream-35', 250],
        ['sugar-granulated', 30],
        ['cocoa-alkalised-22', 10],
      ],
      [gate('pour', 'apparentViscosityPaS', 0.6, 1)],
    ],
    [
      'water activity down',
      [
        ['dark-couverture-60', 200],
        ['cream-35', 200],
        ['glucose-syrup-de42', 20],
        ['invert-sugar-paste', 10],
        ['sorbitol-powder', 5],
      ],
      [gate('pour', 'apparentViscosityPaS', 0.5, 4), gate('bench', 'waterActivity', undefined, 0.85)],
    ],
    [
      'a white glaze with shine',
      [
        ['white-couverture-34', 250],
        ['cream-35', 120],
        ['glucose-syrup-de42', 60],
        ['water', 60],
        ['gelatin-leaf-200', 6],
        ['condensed-sweetened', 60],
      ],
      [
        gate('pour', 'apparentViscosityPaS', 1, 4.5),
        gate('pour', 'shine', 85),
        gate('fridge', 'yieldStressPa', 300, 6000),
      ],
    ],
    [
      'ten rows and three gates',
      TEN,
      [
        gate('pour', 'apparentViscosityPaS', 1.5, 7),
        gate('fridge', 'yieldStressPa', 150, 1200),
        gate('pour', 'shine', 65),
      ],
    ],
    [
      'two close gates on the steep set',
      TEN,
      [
        gate('pour', 'apparentViscosityPaS', 2, 2.5),
        gate('bench', 'yieldStressPa', 300, 400),
        gate('fridge', 'yieldStressPa', 900, 1300),
      ],
    ],
    [
      'a seized start',
      [
        ['dark-couverture-60', 300],
        ['water', 15],
        ['cream-35', 0],
      ],
      [gate('pour', 'apparentViscosityPaS', 1, 4), gate('fridge', 'yieldStressPa', 1000, 9000)],
    ],
  ] as const)('%s', (_, rows, gates) => {
    const formula = formulaOf(rows as never, gates as never);
    const result = balance(formula);
    expect(result.status).toBe('lands');
    expect(result.inTheWay).toEqual([]);
    expectKept(formula, result);
  });

  it('leaves a formula alone that lands already', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-60', 200.4],
        ['cream-35', 199.7],
      ],
      [gate('pour', 'resistancePa', 1, 1000)],
    );
    expect(balance(formula)).toMatchObject({ status: 'lands', change: 0, grams: [200.4, 199.7] });
  });

  it('lands again where it landed: balancing twice changes nothing', () => {
    const formula = formulaOf(TEN, [gate('fridge', 'yieldStressPa', 150, 1200)]);
    const once = balance(formula);
    expect(balance(once.formula).grams).toEqual(once.grams);
  });

  it('answers the same request the same way', () => {
    const ask = () =>
      balance(formulaOf(TEN, [gate('pour', 'apparentViscosityPaS', 4, 7), gate('fridge', 'yieldStressPa', 150, 900)]))
        .grams;
    expect(ask()).toEqual(ask());
  });

  it('moves as little as it can: no nearer landing among a thousand tries around its answer', () => {
    const formula = formulaOf(TEN.slice(0, 5), [gate('fridge', 'yieldStressPa', 150, 1200)]);
    const result = balance(formula);
    const from = formula.lines.map((line) => line.grams);
    let nearer = 0;
    let x = 7;
    const random = () => {
      x = (x * 1103515245 + 12345) % 2147483648;
      return x / 2147483648 - 0.5;
    };
    for (let i = 0; i < 1000; i++) {
      const moves = from.map(() => random() * 30);
      const mean = total(moves) / moves.length;
      const grams = result.grams.map((g, k) => g + (moves[k] as number) - mean);
      if (grams.some((g) => g < 0) || sizeOfChange(from, grams) > 0.97 * result.change) continue;
      const tried = predictFormula({
        ...formula,
        lines: formula.lines.map((line, k) => ({ ...line, grams: grams[k] as number })),
      });
      if (tried?.lands) nearer++;
    }
    expect(nearer).toBe(0);
  });

  it('weighs to what the scale shows: whole grams, tenths below 10 g', () => {
    const result = balance(formulaOf(TEN.slice(0, 6), [gate('fridge', 'yieldStressPa', 150, 1200)]));
    const offStep = result.grams.filter(
      (grams) => Math.abs(grams / scaleStep(grams) - Math.round(grams / scaleStep(grams))) > 1e-6,
    );
    expect(offStep).toEqual([]);
  });

  it('keeps locks, least and most', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-66', 210, { locked: true }],
        ['cream-35', 236, { maxGrams: 240 }],
        ['glucose-syrup-de42', 58],
        ['butter-unsalted-82', 46, { minGrams: 30 }],
        ['milk-whole', 20],
      ],
      [gate('fridge', 'yieldStressPa', 150, 1800)],
    );
    const result = balance(formula);
    expect(result.status).toBe('lands');
    expectKept(formula, result);
  });

  it('brings a row back inside limits it stands outside of, even when every gate passes', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-60', 200, { maxGrams: 190 }],
        ['cream-35', 200],
      ],
      [gate('pour', 'resistancePa', 1, 100)],
    );
    const result = balance(formula);
    expect(result.status).toBe('lands');
    expect(result.grams[0]).toBeLessThanOrEqual(190);
  });

  it('keeps what it must for any ganache and any gates', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 60, max: 300 }),
        fc.integer({ min: 0, max: 60 }),
        fc.boolean(),
        fc.double({ min: -0.5, max: 1.5, noNaN: true }),
        fc.double({ min: 2, max: 4, noNaN: true }),
        (chocolate, cream, syrup, locked, pour, set) => {
          const formula = formulaOf(
            [
              ['dark-couverture-64', chocolate, { locked }],
              ['cream-35', cream],
              ['glucose-syrup-de42', syrup],
              ['milk-whole', 20],
            ],
            [
              gate('pour', 'apparentViscosityPaS', 10 ** pour, 3 * 10 ** pour),
              gate('fridge', 'yieldStressPa', 10 ** set, 4 * 10 ** set),
            ],
          );
          expectKept(formula, balance(formula));
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('a balance that cannot land', () => {
  it('names the lock, and the nearest is shared between the gates', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-60', 200, { locked: true }],
        ['cream-35', 200],
      ],
      [gate('fridge', 'yieldStressPa', 100, 3000)],
    );
    const result = balance(formula);
    expect(result.status).toBe('nearest');
    expect(result.inTheWay).toContainEqual({
      kind: 'lock',
      line: 0,
      ingredient: 'dark-couverture-60',
      enough: 'alone',
    });
    expect(result.inTheWay).toContainEqual({ kind: 'total', enough: 'alone' });
    expectKept(formula, result);
    const unlocked = formulaOf(
      [
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ],
      [gate('fridge', 'yieldStressPa', 100, 3000)],
    );
    expect(balance(unlocked).status).toBe('lands');
  });

  it('names the gates that contradict each other', () => {
    const rows = [
      ['dark-couverture-60', 200],
      ['cream-35', 200],
    ] as const;
    const result = balance(
      formulaOf(rows, [gate('pour', 'apparentViscosityPaS', 3, 4), gate('fridge', 'yieldStressPa', 100, 300)]),
    );
    expect(result.status).toBe('nearest');
    expect(result.inTheWay.map((obstacle) => obstacle.kind)).toEqual(['gate', 'gate']);
    const missed = result.prediction.gates.map(({ value, low = 0, high = 1 }) =>
      Math.max(Math.log(low / value), Math.log(value / high), 0),
    );
    expect(missed.every((miss) => miss > 0)).toBe(true);
  });

  it('names a limit the cook set', () => {
    const result = balance(
      formulaOf(
        [
          ['dark-couverture-60', 200, { minGrams: 195 }],
          ['cream-35', 200, { locked: true }],
          ['milk-whole', 5],
        ],
        [gate('fridge', 'yieldStressPa', 100, 2500)],
      ),
    );
    expect(result.status).toBe('nearest');
    expect(result.inTheWay).toContainEqual(expect.objectContaining({ kind: 'least', line: 0 }));
  });

  it('says so when everything is locked, and moves nothing', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-60', 200, { locked: true }],
        ['cream-35', 200, { locked: true }],
      ],
      [gate('fridge', 'yieldStressPa', 100, 3000)],
    );
    const result = balance(formula);
    expect(result).toMatchObject({ status: 'nearest', change: 0, grams: [200, 200] });
    expect(result.inTheWay.length).toBeGreaterThan(0);
  });

  it('answers for a pan without fat, without water, of one row', () => {
    for (const rows of [
      [
        ['sugar-granulated', 300],
        ['water', 150],
      ],
      [
        ['cocoa-butter', 100],
        ['sunflower-oil', 20],
      ],
      [['cream-35', 100]],
    ] as const) {
      const formula = formulaOf(rows as never, [gate('fridge', 'yieldStressPa', 1e8, 2e8)]);
      const result = balance(formula);
      expect(result.status).toBe('nearest');
      expect(result.inTheWay.length).toBeGreaterThan(0);
      expectKept(formula, result);
    }
  });
});

describe('rounding to the scale', () => {
  const line = (from: number, to: number, least = 0, most = 1000) => ({ from, to, least, most });

  it('keeps the total and leaves rows that hardly moved', () => {
    const rounded = roundLines([line(210, 183.4), line(236.3, 236.6), line(58, 84.3)], 504.3);
    expect(rounded && total(rounded)).toBeCloseTo(504.3, 9);
    expect(rounded?.[1]).toBe(236.3);
  });

  it('gives tenths to the small rows first', () => {
    expect(roundLines([line(210, 207.6), line(3.4, 5.8)], 213.4, { tenthsToSmall: true })).toEqual([208, 5.4]);
  });

  it('says when nobody can take what is left over', () => {
    expect(roundLines([line(100, 99.6, 0, 99.8)], 99.9)).toBeUndefined();
  });
});

describe('the uses', () => {
  it('hold the published bands', () => {
    for (const [id, bands] of Object.entries(reference.bands)) {
      const use = findUse(id);
      expect(use?.gates, id).toHaveLength(bands.length);
      bands.forEach(([quantity, low, high, temperatureC], i) => {
        const gate = use?.gates[i];
        expect(gate?.quantity).toBe(quantity === 'eta10' ? 'apparentViscosityPaS' : 'yieldStressPa');
        expect([gate?.low ?? 0, gate?.high]).toEqual([low, high]);
        expect(use?.moments.find(({ name }) => name === gate?.moment)?.temperatureC).toBe(temperatureC);
      });
    }
    expect(USES).toHaveLength(Object.keys(reference.bands).length);
  });
});

describe('a balance with more than flow', () => {
  const rows = TEN.map(([id, grams]) => [id, grams] as const);

  it('reaches taste, cocoa, alcohol, cost and risk together', () => {
    const gates = [
      gate('pour', 'apparentViscosityPaS', 0.8, 4),
      gate('fridge', 'yieldStressPa', 300, 4000),
      gate('pour', 'shine', 60),
      gate('pour', 'waterActivity', undefined, 0.91),
      gate('pour', 'sweetness', 18, 30),
      gate('pour', 'cocoaPercent', 22, 30),
      gate('pour', 'alcoholPercentVol', undefined, 0.5),
      gate('fridge', 'grainyRisk', undefined, 0.2),
    ];
    const formula = formulaOf(rows, gates);
    const result = balance(formula);
    expectKept(formula, result);
    expect(result.status).toBe('lands');
    const dear = formulaOf(rows, [
      gate('pour', 'costPerKg', undefined, 0.9 * (predictFormula(formula)?.costPerKg ?? 0)),
    ]);
    expect(predictFormula(formula)?.costPerKg).toBeGreaterThan(3);
    expect(balance(dear).status).toBe('lands');
  });

  it('brings an alcohol limit of nothing down by leaving the spirit out', () => {
    const result = balance(formulaOf(rows, [gate('pour', 'alcoholPercentVol', undefined, 0.001)]));
    expect(result.status).toBe('lands');
    expect(result.grams[6]).toBe(0);
  });

  it('keeps the proportion of tied rows', () => {
    const formula = formulaOf(
      TEN.map(
        ([id, grams]) =>
          [id, grams, id === 'sugar-granulated' || id === 'cocoa-alkalised-22' ? { tie: 'a' } : {}] as const,
      ),
      [gate('fridge', 'yieldStressPa', 300, 2500)],
    );
    const result = balance(formula);
    expect(result.status).toBe('lands');
    expect((result.grams[4] as number) / (result.grams[8] as number)).toBeCloseTo(1.8, 1);
  });

  it('leaves a heavier gate missed by less', () => {
    const two = [
      ['dark-couverture-60', 200],
      ['cream-35', 200],
    ] as const;
    const ask = (weight: number) =>
      balance(
        formulaOf(two, [
          { ...gate('pour', 'apparentViscosityPaS', 3, 4), weight },
          gate('fridge', 'yieldStressPa', 100, 300),
        ]),
      ).prediction.gates[0]?.value ?? 0;
    expect(3 - ask(5)).toBeLessThan(3 - ask(1));
  });

  it('names the smallest set when no single lock is enough', () => {
    const result = balance(
      formulaOf(
        [
          ['dark-couverture-60', 200, { locked: true }],
          ['cream-35', 200, { locked: true }],
          ['rum-40', 30, { locked: true }],
        ],
        [gate('pour', 'alcoholPercentVol', undefined, 1), gate('fridge', 'yieldStressPa', 300, 2500)],
      ),
    );
    expect(result.status).toBe('nearest');
    expect(result.inTheWay.map(({ enough }) => enough)).toEqual(['together', 'together']);
  });

  it('rounds to cups and spoons and still lands', () => {
    const formula = formulaOf(
      [
        ['dark-couverture-60', 200, { form: 'chopped' }],
        ['cream-35', 200],
        ['glucose-syrup-de42', 20],
      ],
      [gate('pour', 'apparentViscosityPaS', 0.5, 3), gate('fridge', 'yieldStressPa', 300, 3000)],
    );
    const fillable = (line: number, grams: number) => {
      const ingredient = larder.get(formula.lines[line]?.ingredient ?? '');
      return ingredient && fillings(ingredient, grams, 'cups', line === 0 ? 'chopped' : undefined);
    };
    const result = balance(formula, { fillable });
    expect(result.status).toBe('lands');
    const cup = 250 * 0.67;
    const quarters = (result.grams[0] as number) / (cup / 4);
    expect(quarters).toBeCloseTo(Math.round(quarters), 9);
    const tablespoons = (result.grams[2] as number) / (15 * 1.42);
    expect(tablespoons * 6).toBeCloseTo(Math.round(tablespoons * 6), 6);
  });
});
