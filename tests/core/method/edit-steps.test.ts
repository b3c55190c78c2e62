import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  movedRow,
  movedStep,
  shareIn,
  shareLeft,
  splitStep,
  withoutStep,
  withShare,
  withStepAt,
} from '@/core/method/edit-steps';
import type { MethodStep } from '@/core/method/step';
import { step } from '@/core/method/ways/parts';

const STEPS: readonly MethodStep[] = [
  step('boil', 'pan', { kind: 'boil' }, { adds: [{ row: 0, share: 0.6 }], heat: 'high' }),
  step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: [{ row: 1, share: 1, size: 'choppedFine' }] }),
  step('stir', 'bowl', { kind: 'melted' }, { adds: [{ row: 0, share: 0.4 }], stir: 0.5 }),
];

/** One of the edits a cook makes, somewhere. */
function edited(
  steps: readonly MethodStep[],
  { what, a, b }: { what: number; a: number; b: number },
): readonly MethodStep[] {
  const [at, to] = [a % steps.length, b % steps.length];
  if (what === 0) return movedStep(steps, at, to);
  if (what === 1) return steps.length < 30 ? splitStep(steps, at) : steps;
  if (what === 2) return steps.length > 1 ? withoutStep(steps, at) : steps;
  if (what === 3) return at === to ? steps : movedRow(steps, b % 2, at, to);
  return withStepAt(steps, at, step('wait', 'pan', { kind: 'seconds', seconds: 10 }));
}

const shares = (steps: readonly MethodStep[]) => [0, 1].map((row) => 1 - shareLeft(steps, row));

describe('steps changed by hand', () => {
  it('splits a step: half goes in with each, and half of its time', () => {
    const split = splitStep(STEPS, 1);
    expect(split.map(({ kind }) => kind)).toEqual(['boil', 'pourOver', 'pourOver', 'stir']);
    expect(split[1]?.adds).toEqual([{ row: 1, share: 0.5, size: 'choppedFine' }]);
    expect([split[1]?.end, split[2]?.end]).toEqual([
      { kind: 'seconds', seconds: 60 },
      { kind: 'seconds', seconds: 60 },
    ]);
  });

  it('takes a step out: what went in with it goes in with the next, or at the end with the one before', () => {
    expect(withoutStep(STEPS, 0)[0]?.adds).toEqual([
      { row: 0, share: 0.6 },
      { row: 1, share: 1, size: 'choppedFine' },
    ]);
    const two = withoutStep(STEPS, 2);
    expect([two.length, shareIn(two[1] as MethodStep, 0)]).toEqual([2, 0.4]);
  });

  it('puts a part of a row elsewhere as small as it was, and takes it out at none', () => {
    const moved = movedRow(STEPS, 1, 1, 0);
    expect(moved[0]?.adds).toContainEqual({ row: 1, share: 1, size: 'choppedFine' });
    expect(moved[1]?.adds).toEqual([]);
    expect(withShare(STEPS, 0, 0, 0)[0]?.adds).toEqual([]);
  });

  it('whatever the order of edits, nothing is lost and nothing made', () => {
    const edit = fc.record({ what: fc.integer({ min: 0, max: 4 }), a: fc.nat(), b: fc.nat() });
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        let steps: readonly MethodStep[] = STEPS;
        for (const each of edits) steps = edited(steps, each);
        for (const share of shares(steps)) expect(share).toBeCloseTo(1, 9);
      }),
    );
    expect(shares(STEPS)).toEqual([1, 1]);
  });
});
