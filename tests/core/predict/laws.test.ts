import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMPONENT_NAMES, type Composition } from '@/core/matter/components';
import { curveClimates, resistanceCurve } from '@/core/predict/curve';
import { predictFormula } from '@/core/predict/predict-formula';
import { flowAt } from '@/core/predict/state';
import { batchOf, CREAM_35, DARK_60, formulaOf, stateOf, times, together } from '../../support/kitchen';

/** Ganaches and sauces from 1 part of chocolate to 3 of cream up to 2 to 1, some with syrup, butter or sugar. */
const ganache = fc
  .record({
    chocolate: fc.double({ min: 50, max: 200, noNaN: true }),
    cream: fc.double({ min: 100, max: 160, noNaN: true }),
    glucose: fc.double({ min: 0, max: 30, noNaN: true }),
    butter: fc.double({ min: 0, max: 20, noNaN: true }),
    sugar: fc.double({ min: 0, max: 20, noNaN: true }),
  })
  .map(({ chocolate, cream, glucose, butter, sugar }) =>
    together(times(chocolate / 100, DARK_60), times(cream / 100, CREAM_35), {
      glucose,
      sucrose: sugar,
      milk_fat: 0.82 * butter,
      water: 0.16 * butter,
    }),
  );

const anyComposition = fc
  .array(fc.tuple(fc.constantFrom(...COMPONENT_NAMES), fc.double({ min: 0, max: 1000, noNaN: true })), {
    minLength: 1,
    maxLength: 8,
  })
  .map((parts): Composition => Object.fromEntries(parts))
  .filter((parts) => Object.values(parts).some((grams) => grams > 1e-3));

/** All numbers in a value, however deep. */
function numbersIn(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return value !== null && typeof value === 'object' ? Object.values(value).flatMap(numbersIn) : [];
}

describe('laws that hold for every batch', () => {
  it('scaling the batch changes no intensive value', () => {
    fc.assert(
      fc.property(
        ganache,
        fc.double({ min: 0.05, max: 50, noNaN: true }),
        fc.integer({ min: 2, max: 60 }),
        (one, factor, t) => {
          const [a, b] = [stateOf(one, t), stateOf(times(factor, one), t)];
          for (const [x, y] of [
            [a.flow.resistancePa, b.flow.resistancePa],
            [a.flow.yieldStressPa, b.flow.yieldStressPa],
            [a.waterActivity, b.waterActivity],
            [a.shine, b.shine],
            [a.flow.phases.densityKgM3, b.flow.phases.densityKgM3],
            [a.risks.broken, b.risks.broken],
          ] as const) {
            expect(Math.abs(x - y)).toBeLessThanOrEqual(1e-9 * Math.abs(x) + 1e-15);
          }
        },
      ),
    );
  });

  it('warmer is never stiffer, away from inversion', () => {
    fc.assert(
      fc.property(
        ganache,
        fc.double({ min: 2, max: 63, noNaN: true }),
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        (one, t, step) => {
          const batch = batchOf(one);
          const warmer = Math.min(t + step, 65);
          const [cold, warm] = [flowAt(batch, t, [[24, t]]), flowAt(batch, warmer, [[24, warmer]])];
          fc.pre(cold.phases.waterContinuous > 0.97);
          expect(warm.resistancePa).toBeLessThanOrEqual(cold.resistancePa * (1 + 1e-9));
        },
      ),
    );
  });

  it('more cream at fixed chocolate never stiffens, away from inversion', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.integer({ min: 2, max: 60 }),
        (cream, more, t) => {
          const [lean, loose] = [cream, cream + more].map((c) =>
            flowAt(batchOf(together(DARK_60, times(c, CREAM_35))), t, [[24, t]]),
          );
          fc.pre((lean?.phases.waterContinuous ?? 0) > 0.97);
          expect(loose?.resistancePa).toBeLessThanOrEqual((lean?.resistancePa ?? 0) * (1 + 1e-9));
        },
      ),
    );
  });

  it('gives finite numbers for anything that weighs something', () => {
    fc.assert(
      fc.property(
        anyComposition,
        fc.double({ min: -5, max: 110, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (parts, t, share) => {
          const state = stateOf(parts, t, [[24, t]], { cook: share, mix: share, temper: share, covered: share });
          for (const number of numbersIn(state)) expect(Number.isFinite(number)).toBe(true);
          for (const risk of Object.values(state.risks)) {
            expect(risk).toBeGreaterThanOrEqual(0);
            expect(risk).toBeLessThanOrEqual(1);
          }
          expect(state.shine).toBeGreaterThanOrEqual(0);
          expect(state.shine).toBeLessThanOrEqual(100);
          expect(state.waterActivity).toBeGreaterThanOrEqual(0);
          expect(state.waterActivity).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('the curve', () => {
  it('runs from 65 to 2 °C, and is stiffer the colder it is', () => {
    const curve = resistanceCurve(batchOf(together(DARK_60, CREAM_35)), curveClimates(24));
    expect([curve.temperatureC[0], curve.temperatureC.at(-1)]).toEqual([65, 2]);
    for (let i = 1; i < curve.temperatureC.length; i++) {
      expect(curve.resistancePa[i]).toBeGreaterThanOrEqual(curve.resistancePa[i - 1] as number);
    }
  });

  it('agrees with the prediction at a moment of the same history', () => {
    const formula = formulaOf([
      ['dark-couverture-60', 100],
      ['cream-35', 100],
    ]);
    const prediction = predictFormula(formula);
    const atBench = prediction?.moments.find(({ moment }) => moment.name === 'bench')?.state.flow;
    const curve = prediction && resistanceCurve(prediction.batch, curveClimates(24));
    expect(curve?.resistancePa[45]).toBeCloseTo(atBench?.resistancePa ?? 0, 9);
    expect(curve?.temperatureC[45]).toBeCloseTo(20, 9);
  });
});

describe('a formula', () => {
  it('is nothing yet while the pan is empty', () => {
    expect(predictFormula(formulaOf([]))).toBeUndefined();
    expect(predictFormula(formulaOf([['cream-35', 0]]))).toBeUndefined();
  });

  it('is predicted without water, without fat, and of one ingredient', () => {
    for (const rows of [
      [['cocoa-butter', 100]],
      [['sugar-caster', 100]],
      [['water', 100]],
      [['dark-couverture-66', 100]],
    ] as const) {
      const prediction = predictFormula(formulaOf(rows as never));
      expect(numbersIn(prediction?.moments).every(Number.isFinite)).toBe(true);
    }
  });

  it('lands only when every gate does, edges included', () => {
    const rows = [
      ['dark-couverture-60', 100],
      ['cream-35', 100],
    ] as const;
    const value =
      predictFormula(formulaOf(rows, [{ moment: 'pour', quantity: 'resistancePa', low: 0.1 }]))?.gates[0]?.value ?? 0;
    const reads = (low?: number, high?: number) =>
      predictFormula(formulaOf(rows, [{ moment: 'pour', quantity: 'resistancePa', low, high }]))?.gates[0];
    expect(reads(value, value * 2)).toMatchObject({ lands: true, side: 0 });
    expect(reads(value * 1.01)).toMatchObject({ lands: false, side: -1 });
    expect(reads(undefined, value * 0.99)).toMatchObject({ lands: false, side: 1 });
  });
});
