import fc from 'fast-check';
import { expect, it } from 'vitest';
import { predictFormula } from '@/core/predict/predict-formula';
import { readFormula } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { larder } from '../../support/kitchen';

const ids = [...larder.keys()];
const grams = fc.oneof(
  { weight: 6, arbitrary: fc.double({ min: 0, max: 2000, noNaN: true }) },
  { weight: 1, arbitrary: fc.constantFrom(0, 1e-9, 0.001, 100_000) },
);
const share = fc.oneof(fc.constantFrom(0, 1), fc.double({ min: 0, max: 1, noNaN: true }));
const temperatureC = fc.oneof(fc.constantFrom(-5, 0, 4, 34, 110), fc.double({ min: -5, max: 110, noNaN: true }));
const history = fc.array(
  fc.tuple(fc.oneof(fc.constantFrom(0, 10_000), fc.double({ min: 0, max: 500, noNaN: true })), temperatureC),
  {
    minLength: 1,
    maxLength: 4,
  },
);
const anyFormula = fc.record({
  lines: fc.array(fc.record({ ingredient: fc.constantFrom(...ids), grams }), { minLength: 1, maxLength: 20 }),
  process: fc.record({
    cook: share,
    mix: share,
    temper: share,
    worked: share,
    overwork: share,
    coldCream: share,
    covered: share,
    mixTemperatureC: temperatureC,
    swingC: fc.double({ min: 0, max: 40, noNaN: true }),
    bloomG: fc.double({ min: 50, max: 400, noNaN: true }),
    warmOffset: fc.double({ min: -5, max: 5, noNaN: true }),
    coldOffset: fc.double({ min: -5, max: 5, noNaN: true }),
  }),
  moments: fc.array(fc.record({ temperatureC, history }), { minLength: 1, maxLength: 4 }),
});

/** Places in an answer where something is no number. */
function notNumbers(value: unknown, place = '', found: string[] = []): string[] {
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) found.push(`${place} ${value}`);
  } else if (value instanceof Float64Array || Array.isArray(value)) {
    for (const [i, each] of value.entries()) notNumbers(each, `${place}[${i}]`, found);
  } else if (typeof value === 'object' && value !== null) {
    for (const [name, each] of Object.entries(value)) notNumbers(each, `${place}.${name}`, found);
  }
  return found;
}

it('any of 20,000 formulas is predicted: no exception, nothing that is not a number', () => {
  fc.assert(
    fc.property(anyFormula, ({ lines, process, moments }) => {
      const file = readFormula({
        format: 'dark-pour/formula',
        version: 1,
        name: 'Any',
        lines,
        process,
        moments: moments.map((moment, i) => ({ name: `moment ${i}`, ...moment })),
      });
      const prediction = predictFormula(resolveFormula(file, larder, 'standard'));
      expect(notNumbers(prediction)).toEqual([]);
    }),
    { numRuns: 20_000, seed: 20_261_126 },
  );
}, 120_000);
