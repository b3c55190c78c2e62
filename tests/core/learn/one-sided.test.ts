import { expect, it } from 'vitest';
import { oneSided } from '@/core/learn/one-sided';

const warm = (...residuals: number[]) => residuals.map((residual) => ({ about: 'warm' as const, residual }));

it('says so only where all tests of a quantity agree, by enough, and there is more than one', () => {
  expect(oneSided(warm(-0.3, -0.2))).toEqual([{ about: 'warm', mean: -0.25, tests: 2 }]);
  expect(oneSided(warm(-0.3))).toEqual([]);
  expect(oneSided(warm(-0.3, 0.1, -0.4))).toEqual([]);
  expect(oneSided(warm(0.02, 0.05, 0.1))).toEqual([]);
  expect(oneSided([])).toEqual([]);
});

it('names the furthest first', () => {
  const readings = [
    ...warm(0.2, 0.3),
    { about: 'cold' as const, residual: -0.8 },
    { about: 'cold' as const, residual: -0.6 },
  ];
  expect(oneSided(readings).map(({ about }) => about)).toEqual(['cold', 'warm']);
});
