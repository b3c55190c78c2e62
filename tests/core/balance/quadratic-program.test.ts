import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveQuadraticProgram } from '@/core/quadratic-program';

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);
const identity = (n: number) =>
  Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_, j) => Number(i === j)));

describe('the quadratic program', () => {
  it('without constraints stands where the slope is nothing', () => {
    const x = solveQuadraticProgram({
      quadratic: [
        [2, 0],
        [0, 4],
      ],
      linear: [-2, -8],
      equalities: [],
      inequalities: [],
    });
    expect(x?.[0]).toBeCloseTo(1, 9);
    expect(x?.[1]).toBeCloseTo(2, 9);
  });

  it('with a total kept shares it out evenly', () => {
    const x = solveQuadraticProgram({
      quadratic: identity(4),
      linear: [0, 0, 0, 0],
      equalities: [{ row: [1, 1, 1, 1], equals: 8 }],
      inequalities: [],
    });
    for (const value of x ?? []) expect(value).toBeCloseTo(2, 9);
  });

  it('stops at a bound, and the others make it up', () => {
    const x = solveQuadraticProgram({
      quadratic: identity(3),
      linear: [0, 0, 0],
      equalities: [{ row: [1, 1, 1], equals: 6 }],
      inequalities: [{ row: [1, 0, 0], least: 4 }],
    });
    expect(x?.[0]).toBeCloseTo(4, 9);
    expect(x?.[1]).toBeCloseTo(1, 9);
  });

  it('says when the constraints contradict each other', () => {
    const program = {
      quadratic: identity(2),
      linear: [0, 0],
      equalities: [{ row: [1, 1], equals: 1 }],
      inequalities: [
        { row: [1, 0], least: 2 },
        { row: [0, 1], least: 2 },
      ],
    };
    expect(solveQuadraticProgram(program)).toBeUndefined();
  });

  it('keeps every constraint, and no point that keeps them is better', () => {
    const number = fc.double({ min: -5, max: 5, noNaN: true });
    const row = fc.array(number, { minLength: 3, maxLength: 3 });
    fc.assert(
      fc.property(row, fc.array(row, { maxLength: 3 }), row, (linear, rows, inside) => {
        // Each constraint is kept by `inside`, so that there is an answer.
        const inequalities = rows.map((each) => ({ row: each, least: dot(each, inside) - 0.5 }));
        const x = solveQuadraticProgram({ quadratic: identity(3), linear, equalities: [], inequalities });
        expect(x).toBeDefined();
        if (!x) return;
        for (const { row: each, least } of inequalities) expect(dot(each, x)).toBeGreaterThan(least - 1e-6);
        const cost = (at: readonly number[]) => dot(at, at) / 2 + dot(linear, at);
        for (const part of [0.01, 0.1, 0.5, 1]) {
          const towards = x.map((value, i) => value + part * ((inside[i] ?? 0) - value));
          expect(cost(towards)).toBeGreaterThan(cost(x) - 1e-6);
        }
      }),
    );
  });
});
