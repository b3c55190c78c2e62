import { describe, expect, it } from 'vitest';
import { balance } from '@/core/balance/balance';
import { atAxis, axisReach, axisValue, mapField } from '@/core/balance/field-map';
import { BALANCE_GOALS, balanceFor } from '@/core/balance/goal';
import { monteCarlo } from '@/core/predict/monte-carlo';
import { predictFormula } from '@/core/predict/predict-formula';
import { sugarPercent } from '@/core/predict/quantities';
import { formulaOf } from '../../support/kitchen';

const ROWS = [
  ['dark-couverture-66', 210],
  ['cream-35', 236],
  ['glucose-syrup-de42', 58],
  ['butter-unsalted-82', 46],
  ['cocoa-alkalised-22', 18],
  ['invert-sugar-paste', 12],
] as const;
const formula = formulaOf(ROWS, [
  { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.8, high: 4 },
  { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 4000 },
]);

describe('a balance with a goal', () => {
  const results = new Map(BALANCE_GOALS.map((goal) => [goal, balanceFor(formula, goal)]));
  const of = (goal: (typeof BALANCE_GOALS)[number]) => {
    const result = results.get(goal);
    if (!result) throw new Error(goal);
    return result;
  };

  it.each(BALANCE_GOALS)('%s lands and keeps the total and the gates asked', (goal) => {
    expect(of(goal).status).toBe('lands');
    expect(of(goal).grams.reduce((sum, g) => sum + g, 0)).toBeCloseTo(580, 6);
    expect(of(goal).formula.gates).toEqual(formula.gates);
  });

  it('is no new recipe: each row stays between half and twice of what a close balance gives', () => {
    const close = of('close').grams;
    for (const goal of ['cheapest', 'leastSugar', 'bestShine'] as const) {
      of(goal).grams.forEach((g, i) => {
        expect(g, `${goal}, row ${i}`).toBeGreaterThan(0.5 * (close[i] ?? 0) - 0.51);
        expect(g, `${goal}, row ${i}`).toBeLessThan(2 * (close[i] ?? 0) + 0.51);
      });
    }
  });

  it.each(BALANCE_GOALS)('%s leaves a pinch as it is', (goal) => {
    const seasoned = formulaOf([...ROWS, ['salt-fine', 2], ['vanilla-extract', 3]], formula.gates);
    expect(balanceFor(seasoned, goal).grams.slice(-2)).toEqual([2, 3]);
  });

  it('gets what it is after', () => {
    const close = of('close');
    expect(of('cheapest').prediction.costPerKg).toBeLessThan(0.97 * close.prediction.costPerKg);
    const sugar = (goal: (typeof BALANCE_GOALS)[number]) => sugarPercent(of(goal).prediction.batch.mixture);
    expect(sugar('leastSugar')).toBeLessThan(0.9 * sugar('close'));
    const shine = (goal: (typeof BALANCE_GOALS)[number]) => of(goal).prediction.moments[1]?.state.shine ?? 0;
    expect(shine('bestShine')).toBeGreaterThan(shine('close'));
    const chance = (goal: (typeof BALANCE_GOALS)[number]) =>
      monteCarlo(of(goal).formula, { restedHours: 24, seed: 3, draws: 800 }).chance;
    expect(chance('mostRobust')).toBeGreaterThan(chance('close') + 0.02);
    for (const goal of BALANCE_GOALS) expect(of(goal).change).toBeGreaterThanOrEqual(close.change - 1e-9);
  });

  it('lets the total move when asked', () => {
    const locked = formulaOf(
      [
        ['dark-couverture-60', 200, { locked: true }],
        ['cream-35', 200],
      ],
      [{ moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 3000 }],
    );
    expect(balance(locked).status).toBe('nearest');
    const free = balance(locked, { freeTotal: true });
    expect(free.status).toBe('lands');
    expect(free.grams[0]).toBe(200);
    expect(free.grams[1]).toBeGreaterThan(200);
  });
});

describe('the map', () => {
  const axes = [
    { kind: 'grams', line: 0 },
    { kind: 'grams', line: 1 },
  ] as const;
  const draw = (columns: number, rows: number) => {
    const drawing = mapField(formula, axes, { columns, rows });
    let step = drawing.next();
    let steps = 0;
    while (!step.done) {
      steps += 1;
      step = drawing.next();
    }
    return { map: step.value, steps };
  };

  it('says of every cell what a prediction of it says', () => {
    const { map, steps } = draw(9, 7);
    expect(steps).toBe(7);
    for (const cell of [0, 10, 31, 62]) {
      const [column, row] = [cell % 9, Math.floor(cell / 9)];
      const grams = atAxis(
        atAxis(
          formula.lines.map((line) => line.grams),
          axes[1],
          map.ys[row] as number,
        ),
        axes[0],
        map.xs[column] as number,
      );
      const there = predictFormula({
        ...formula,
        lines: formula.lines.map((line, i) => ({ ...line, grams: grams[i] as number })),
      });
      expect((map.inside[cell] as number) >= 0).toBe(there?.lands);
    }
  });

  it('spans ratios with their sum kept', () => {
    const ratio = { kind: 'ratio', over: 0, under: 1 } as const;
    expect(axisValue(formula, ratio)).toBeCloseTo(210 / 236, 9);
    expect(axisReach(formula, ratio)[0]).toBeLessThan(axisReach(formula, ratio)[1]);
    const grams = atAxis([210, 236, 5], ratio, 2);
    expect((grams[0] as number) / (grams[1] as number)).toBeCloseTo(2, 9);
    expect((grams[0] as number) + (grams[1] as number)).toBeCloseTo(446, 9);
    expect(grams[2]).toBe(5);
  });
});
