import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balance } from '@/core/balance/balance';
import { balanceFor } from '@/core/balance/goal';
import { CHANGE_FOR_CHANCE } from '@/core/balance/margin';
import { balanceProblem } from '@/core/balance/problem';
import { leastChange, look, passes } from '@/core/balance/sequential-program';
import { LANDS_FROM, standingOf } from '@/core/balance/standing';
import type { Gate } from '@/core/formula/gates';
import { linearChance } from '@/core/predict/linear-chance';
import { monteCarlo } from '@/core/predict/monte-carlo';
import { type Prediction, predictFormula } from '@/core/predict/predict-formula';
import { seededNumbers } from '@/core/random';
import { keyed, type Predicted, predictPan } from '@/kitchen/known-pan';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { formulaOf, larder } from '../../support/kitchen';

const gate = (moment: string, quantity: Gate['quantity'], low?: number, high?: number): Gate => ({
  moment,
  quantity,
  low,
  high,
});
const stiff = () =>
  formulaOf(
    [
      ['dark-couverture-66', 210],
      ['cream-35', 220],
      ['glucose-syrup-de42', 40],
      ['butter-unsalted-82', 30],
      ['rum-40', 15, { locked: true }],
    ],
    [gate('pour', 'apparentViscosityPaS', 0.8, 5), gate('fridge', 'yieldStressPa', 200, 2200)],
  );
const chanceOf = (formula: ReturnType<typeof stiff>) =>
  linearChance(formula, predictFormula(formula) as Prediction).chance;

describe('the chance to land, at once', () => {
  it('is that of the drawing, for every demo formula', () => {
    for (const file of lanternMillFormulas()) {
      const { formula, prediction } = predictPan(keyed(file), larder, 'standard') as Predicted;
      const drawn = monteCarlo(formula, { restedHours: 24, seed: 2, draws: 2000 }).chance;
      expect(Math.abs(linearChance(formula, prediction).chance - drawn), file.name).toBeLessThan(0.05);
    }
  });

  it('law: falls when a gate narrows, and is certain without one', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.9, noNaN: true }), (part) => {
        const formula = stiff();
        const narrow = formula.gates.map((each) => ({ ...each, high: (each.high ?? 0) * (1 - part / 2) }));
        expect(chanceOf({ ...formula, gates: narrow })).toBeLessThanOrEqual(chanceOf(formula));
      }),
      { numRuns: 20 },
    );
    expect(chanceOf({ ...stiff(), gates: [] })).toBe(1);
  });
});

describe('a proposal', () => {
  it('lands with a margin: the trade of change against chance is better than at the edge', () => {
    const formula = stiff();
    const edge = balance(formula);
    const inside = balanceFor(formula, 'close');
    expect(edge.status).toBe('lands');
    expect(inside.status).toBe('lands');
    const [before, after] = [chanceOf(edge.formula), chanceOf(inside.formula)];
    expect(after).toBeGreaterThan(before + 0.03);
    const cost = (change: number, chance: number) => change ** 2 - CHANGE_FOR_CHANCE * Math.log(chance);
    expect(cost(inside.change, after)).toBeLessThan(cost(edge.change, before));
    // Locked rows and the total stay.
    expect(inside.grams[4]).toBe(15);
    expect(inside.grams.reduce((sum, g) => sum + g, 0)).toBeCloseTo(515, 6);
  });

  it('that just lands is moved on, one that lands well is left alone', () => {
    const landed = balance(stiff()).formula;
    const moved = balanceFor(landed, 'close');
    expect(chanceOf(moved.formula)).toBeGreaterThan(chanceOf(landed));
    const wide = { ...stiff(), gates: [gate('pour', 'apparentViscosityPaS', 0.01, 100)] };
    expect(balanceFor(wide, 'close').change).toBe(0);
  });

  it('is named by its chance', () => {
    expect(standingOf(true, LANDS_FROM)).toBe('lands');
    expect(standingOf(true, LANDS_FROM - 0.01)).toBe('justLands');
    expect(standingOf(false, 0.99)).toBe('misses');
  });
});

describe('the nearest landing', () => {
  it.each([
    ['pour', gate('pour', 'apparentViscosityPaS', 0.25, 0.7), gate('fridge', 'yieldStressPa', 1500, 9000)],
    ['far', gate('pour', 'apparentViscosityPaS', 0.1, 0.3), gate('fridge', 'yieldStressPa', 100, 500)],
    ['stiff', gate('bench', 'yieldStressPa', 5000, 20_000), gate('pour', 'apparentViscosityPaS', 1, 9)],
    ['shine', gate('pour', 'shine', 62, 90), gate('fridge', 'yieldStressPa', 100, 1200)],
    ['keeps', gate('bench', 'waterActivity', undefined, 0.88), gate('fridge', 'yieldStressPa', 300, 3000)],
  ])('is no farther than the best of two dozen other starts: %s', (_, ...gates) => {
    const formula = { ...stiff(), gates };
    const problem = balanceProblem(formula, { inward: 0.02 });
    const random = seededNumbers(7);
    let best = Number.POSITIVE_INFINITY;
    for (let k = 0; k < 24; k++) {
      const start = problem.lower.map((low, i) => low + random() * ((problem.upper[i] ?? 1) - low));
      const point = leastChange(problem, look(problem, start), 60);
      if (passes(point)) best = Math.min(best, Math.sqrt(point.change));
    }
    const found = balance(formula);
    expect(found.status).toBe('lands');
    // Half a gram a row is lost to the scale.
    expect(found.change).toBeLessThan(best + 0.03);
  });

  it('a request that cannot be met is told after the first look, with its reasons', () => {
    const impossible = {
      ...stiff(),
      gates: [gate('pour', 'apparentViscosityPaS', 20, 40), gate('fridge', 'yieldStressPa', 1, 20)],
    };
    const result = balance(impossible);
    expect(result.status).toBe('nearest');
    expect(result.inTheWay.length).toBeGreaterThan(0);
  });
});
