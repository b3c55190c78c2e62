import { describe, expect, it } from 'vitest';
import type { Formula, FormulaLine } from '@/core/formula/formula';
import { COMPONENT_NAMES, compositionVector } from '@/core/matter/components';
import { componentGrams } from '@/core/matter/mixing';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { CURVE_FROM_C, CURVE_TO_C } from '@/core/predict/curve';
import { inputDoubts } from '@/core/predict/input-doubt';
import { linearDoubt } from '@/core/predict/linear-doubt';
import { monteCarlo } from '@/core/predict/monte-carlo';
import { type Prediction, predictFormula } from '@/core/predict/predict-formula';
import { changeByMore, sensitivity } from '@/core/predict/sensitivity';
import { flowAt, prepareBatch } from '@/core/predict/state';
import { normalNumbers, seededNumbers } from '@/core/random';
import { CREAM_35, DARK_60, formulaOf, MILK, stateOf, times, together } from '../../support/kitchen';

const line = (
  parts: Record<string, number>,
  grams: number,
  kind: FormulaLine['kind'],
  more: Partial<FormulaLine> = {},
): FormulaLine => ({
  ingredient: kind ?? 'x',
  perGram: compositionVector(parts),
  grams,
  locked: false,
  kind,
  ...more,
});

const ganache = (more: Partial<FormulaLine> = {}): Formula => ({
  lines: [
    line(DARK_60 as Record<string, number>, 100, 'chocolate', more),
    line(CREAM_35 as Record<string, number>, 100, 'dairy', more),
  ],
  process: DEFAULT_PROCESS,
  moments: [
    { name: 'pour', temperatureC: 40, history: [[0.3, 40]] },
    { name: 'bench', temperatureC: 20, history: [[24, 20]] },
    { name: 'fridge', temperatureC: 5, history: [[24, 5]] },
  ],
  gates: [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 3 },
    { moment: 'fridge', quantity: 'yieldStressPa', high: 6000 },
  ],
});

/** Standard deviation of ln(quantity) that doubts about what is in the pan bring alone, to first order. */
function inputSd(formula: Formula, read: (batch: ReturnType<typeof prepareBatch>) => number): number {
  const base = formula.lines.reduce(
    (sum, { perGram, grams }) => sum.map((g, i) => g + grams * (perGram[i] as number)),
    new Float64Array(formula.lines[0]?.perGram.length ?? 0),
  );
  const at = (grams: Float64Array) => Math.log(read(prepareBatch(grams, formula.process)));
  const start = at(base);
  return Math.hypot(
    ...inputDoubts(formula.lines).map((d) => (at(base.map((g, i) => g + 0.1 * (d[i] as number))) - start) / 0.1),
  );
}

const eta40 = (batch: ReturnType<typeof prepareBatch>) => flowAt(batch, 40, [[0.3, 40]]).apparentViscosityPaS;
const tau20 = (batch: ReturnType<typeof prepareBatch>) => flowAt(batch, 20, [[24, 20]]).yieldStressPa;
const tau5 = (batch: ReturnType<typeof prepareBatch>) => flowAt(batch, 5, [[24, 5]]).yieldStressPa;

describe('doubt about what is in the pan', () => {
  it('is as large as expected for scales, compositions and cups', () => {
    const weighed = { kind: undefined };
    const close = (got: number, expected: number) => expect(Math.abs(Math.log(got / expected))).toBeLessThan(0.4);
    const scale = ganache(weighed);
    close(inputSd(scale, eta40), 0.02);
    close(inputSd(scale, tau20), 0.03);
    const packs = ganache();
    close(inputSd(packs, eta40), 0.16);
    close(inputSd(packs, tau20), 0.24);
    close(inputSd(packs, tau5), 0.23);
    for (const [lnSd, eta, tau] of [
      [0.05, 0.28, 0.35],
      [0.1, 0.5, 0.57],
      [0.15, 0.69, 0.82],
    ] as const) {
      const cups = ganache({ measured: { lnSd } });
      close(inputSd(cups, eta40), eta);
      close(inputSd(cups, tau20), tau);
    }
  });

  it('never changes the weight of a pack, only what is in it', () => {
    const shifts = inputDoubts(ganache().lines).filter((direction) => direction.some((g) => g < 0));
    expect(shifts).toHaveLength(3);
    for (const direction of shifts) expect(direction.reduce((total, g) => total + g, 0)).toBeCloseTo(0, 12);
  });

  it.each([
    ['other', { water: 30, sucrose: 70 }, { water: 1, sucrose: -1 }],
    ['dairy', { water: 60, milk_fat: 35, lactose: 5 }, { water: -1, milk_fat: 1 }],
    ['chocolate', { cocoa_butter: 38, cocoa_solids: 26, sucrose: 36 }, { cocoa_butter: 1.5, sucrose: -1.5 }],
  ] as const)('is so many points of a pack of kind %s', (kind, parts, points) => {
    const [amount, composition] = inputDoubts([line(parts, 200, kind)]);
    const shifted = COMPONENT_NAMES.flatMap((name, i) => {
      const g = composition?.[i] ?? 0;
      return g === 0 ? [] : [[name, expect.closeTo(g / 2, 9)]];
    });
    expect(points).toEqual(Object.fromEntries(shifted));
    const scaleG = Math.hypot(0.005 * 200, 1 / Math.sqrt(12));
    expect(amount?.reduce((total, g) => total + g, 0)).toBeCloseTo(scaleG, 9);
  });
});

describe('drawing', () => {
  const options = { restedHours: 24, seed: 7, draws: 1500 };
  const drawn = monteCarlo(ganache(), options);

  it('gives the same answer for the same seed, and another for another', () => {
    expect(monteCarlo(ganache(), options)).toEqual(drawn);
    expect(monteCarlo(ganache(), { ...options, seed: 8 }).curve.lowPa).not.toEqual(drawn.curve.lowPa);
  });

  it('puts the prediction inside its bands, and the chance of all gates at or below that of each', () => {
    expect(drawn.chance).toBeLessThanOrEqual(Math.min(...drawn.gates.map(({ chance }) => chance)));
    expect(drawn.chance).toBeGreaterThan(0.2);
    const batch = prepareBatch(
      ganache()
        .lines.map(({ perGram, grams }) => perGram.map((p) => p * grams))
        .reduce((a, b) => a.map((g, i) => g + (b[i] as number))),
      DEFAULT_PROCESS,
    );
    drawn.curve.temperatureC.forEach((t, i) => {
      const { resistancePa } = flowAt(batch, t, [[24, t]]);
      expect(resistancePa).toBeGreaterThan(drawn.curve.lowPa[i] as number);
      expect(resistancePa).toBeLessThan(drawn.curve.highPa[i] as number);
    });
  });

  it('agrees with the first-order band that is shown meanwhile', () => {
    const reach = linearDoubt(ganache(), 24);
    drawn.curve.temperatureC.forEach((t, i) => {
      const half = Math.log((drawn.curve.highPa[i] as number) / (drawn.curve.lowPa[i] as number)) / 2;
      expect(Math.abs(half - Math.log(reach(t)))).toBeLessThan(0.12);
    });
    expect(reach(CURVE_FROM_C)).toBeGreaterThan(1);
    expect(reach(CURVE_TO_C)).toBeLessThan(20);
  });

  it('covers batches that really differ, about eight times in ten', () => {
    const normal = normalNumbers(seededNumbers(99));
    const formula = ganache({ kind: undefined });
    const drawn = monteCarlo(formula, options);
    const truths = 600;
    const inside = [0, 0];
    for (let k = 0; k < truths; k++) {
      const grams = formula.lines.map((each) => each.perGram.map((p) => p * each.grams * (1 + 0.006 * normal())));
      const process = { ...DEFAULT_PROCESS, warmOffset: 0.5 * normal(), coldOffset: 0.7 * normal() };
      const batch = prepareBatch(
        grams.reduce((a, b) => a.map((g, i) => g + (b[i] as number))),
        process,
      );
      [eta40(batch), tau5(batch)].forEach((value, i) => {
        const quantity = i === 0 ? 'apparentViscosityPaS' : 'yieldStressPa';
        const band = drawn.moments[i === 0 ? 0 : 2]?.[quantity];
        if (band && value > band.low && value < band.high) inside[i] = (inside[i] as number) + 1;
      });
    }
    for (const count of inside) {
      expect(count / truths).toBeGreaterThan(0.7);
      expect(count / truths).toBeLessThan(0.93);
    }
  });

  it('the band of the curve is filled in between the temperatures it was drawn at, without a kink', () => {
    const { curve } = monteCarlo(
      formulaOf([
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ]),
      {
        restedHours: 24,
        seed: 3,
        draws: 400,
      },
    );
    expect(curve.lowPa).toHaveLength(64);
    for (let i = 0; i < 64; i++) {
      expect(curve.lowPa[i]).toBeGreaterThan(0);
      expect(curve.highPa[i]).toBeGreaterThan(curve.lowPa[i] as number);
    }
    for (let i = 1; i < 62; i += 2) {
      const [before, here, after] = [i - 1, i, i + 1].map((j) => Math.log(curve.lowPa[j] as number));
      expect(here).toBeCloseTo(((before as number) + (after as number)) / 2, 9);
    }
  });

  it('is wider by cups than by the scale', () => {
    const cups = monteCarlo(ganache({ measured: { lnSd: 0.15 } }), options);
    expect(cups.chance).toBeLessThan(drawn.chance);
    expect(cups.curve.highPa[20] as number).toBeGreaterThan(drawn.curve.highPa[20] as number);
  });
});

describe('what 1 % more of an ingredient does', () => {
  it.each([
    ['dark chocolate', DARK_60, 1, 1],
    ['cream', CREAM_35, -1, -1],
    ['milk', MILK, -1, -1],
    ['water', { water: 100 }, -1, -1],
    ['sugar', { sucrose: 100 }, 1, -1],
  ])('%s: as the batch with that much more of it is predicted, and of the known sign', (_, parts, warm, cold) => {
    const formula = ganache();
    const changes = sensitivity(formula, compositionVector(parts));
    const { components, moments } = predictFormula(formula) as Prediction;
    const base = componentGrams(components);
    const more = together(base, times(components.reduce((sum, g) => sum + g, 0) / 10_000, parts));
    moments.forEach(({ moment, state }, m) => {
      const then = stateOf(more, moment.temperatureC, moment.history).flow;
      const by = changes[m]?.byQuantity;
      for (const quantity of ['apparentViscosityPaS', 'yieldStressPa'] as const) {
        expect(by?.[quantity]).toBeCloseTo(Math.log(then[quantity] / state.flow[quantity]), 2);
      }
      const sign = m === 0 ? warm : cold;
      expect(Math.sign(m === 0 ? (by?.apparentViscosityPaS ?? 0) : (by?.yieldStressPa ?? 0))).toBe(sign);
    });
  });

  it('is exact for a step of any size: the batch predicted with that much more', () => {
    const formula = ganache();
    const parts = formula.lines[1]?.perGram as Float64Array;
    for (const addedG of [1, 10, 200]) {
      const lines = formula.lines.map((each, i) => (i === 1 ? { ...each, grams: each.grams + addedG } : each));
      const [before, after] = [predictFormula(formula), predictFormula({ ...formula, lines })];
      const changes = changeByMore(formula, parts, addedG);
      before?.moments.forEach(({ state }, m) => {
        const then = after?.moments[m]?.state;
        expect(changes[m]?.byQuantity.resistancePa).toBeCloseTo(
          Math.log((then?.flow.resistancePa ?? 0) / state.flow.resistancePa),
          6,
        );
        expect(changes[m]?.byQuantity.waterActivity).toBeCloseTo((then?.waterActivity ?? 0) - state.waterActivity, 9);
      });
    }
  });
});
