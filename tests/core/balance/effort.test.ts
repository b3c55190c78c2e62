import { describe, expect, it } from 'vitest';
import { obstacles } from '@/core/balance/obstacles';
import { balanceProblem } from '@/core/balance/problem';
import { search } from '@/core/balance/search';
import { formulaOf, larder } from '../../support/kitchen';

/** Many rows under gates that exclude each other. */
function impossible(rows: number) {
  const lines = [...larder.keys()].slice(0, rows).map((id, i) => [id, 10 + (i % 7) * 10] as const);
  return formulaOf(lines, [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 1 },
    { moment: 'fridge', quantity: 'apparentViscosityPaS', low: 0.5, high: 1 },
    { moment: 'bench', quantity: 'waterActivity', high: 0.6 },
  ]);
}

describe('the work of a search', () => {
  it('ends when it is done, with the nearest it has seen', () => {
    const problem = balanceProblem(impossible(40), { inward: 0.02 });
    const misses = [200, 1_500, 6_000].map((allowed) => {
      const effort = { left: allowed };
      const { landing, nearest } = search(problem, 8, effort);
      expect(landing).toBeUndefined();
      // At most the step that was begun goes over it.
      expect(effort.left).toBeGreaterThan(-250);
      return nearest?.clearance.reduce((sum, c) => sum + (c < 0 ? c * c : 0), 0) ?? Number.NaN;
    });
    expect(misses[1]).toBeLessThanOrEqual(misses[0] ?? 0);
    expect(misses[2]).toBeLessThanOrEqual(misses[1] ?? 0);
  });

  it('is spent first on what is likeliest to stand in the way', () => {
    const rows = [...larder.keys()].slice(0, 12).map((id, i) => [id, 40, { minGrams: 1 + (i % 3) }] as const);
    const formula = formulaOf(rows, [{ moment: 'bench', quantity: 'waterActivity', high: 0.05 }]);
    const effort = { left: 150 };
    expect(obstacles(formula, formula, effort)).toEqual([
      { kind: 'gate', gate: 0, moment: 'bench', quantity: 'waterActivity', enough: 'alone' },
    ]);
    expect(effort.left, 'not enough for all of them').toBeLessThan(1);
  });

  it('the same work gives the same answer', () => {
    const [once, again] = [1, 2].map(
      () => search(balanceProblem(impossible(20), { inward: 0.02 }), 8, { left: 3_000 }).nearest,
    );
    expect(once).toEqual(again);
  });
});
