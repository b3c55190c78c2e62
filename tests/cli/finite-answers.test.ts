import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answerBalance, answerPredict } from '@/formats/answers';
import { finiteAnswer } from '@/formats/finite-answer';
import { readFormula } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import { answerPan } from '@/formats/pan-answers';
import { readPan } from '@/formats/read-pan';
import { answerMethod } from '@/kitchen/method/method-answers';
import { larder } from '../support/kitchen';

/** Every way of many formulas is followed to its end. */
const LONG_MS = 240_000;

const ids = fc.constantFrom(...larder.keys());

/** What an answer holds that is no number, written as the shell would: nothing, or a refusal in words. */
function unknownIn(answer: () => unknown): string | undefined {
  try {
    const text = JSON.stringify(answer());
    return /:null|\[null|,null/.test(text) ? text.slice(0, 400) : undefined;
  } catch (error) {
    if (error instanceof FormulaFileError) return undefined;
    throw error;
  }
}

const pan = (events: readonly object[]) =>
  readPan({ format: 'dark-pour/pan', version: 1, name: 'A pan', pan: { diameterM: 0.2 }, events });

describe('what the shell prints', () => {
  it('of pieces that do not melt and grains that do not dissolve is a reason', () => {
    const of = (add: string, as: string) => () =>
      answerPan(pan([{ add, grams: 100, as }, { until: { seconds: 60 } }]), larder);
    expect(of('sugar-caster', 'pieces')).toThrow(/events\[0\]\.as: "sugar-caster" has no fat that melts/);
    expect(of('water', 'pieces')).toThrow(/no fat that melts/);
    expect(of('water', 'grains')).toThrow(/nothing that dissolves/);
    expect(unknownIn(of('dark-couverture-60', 'pieces'))).toBeUndefined();
    expect(unknownIn(of('sugar-caster', 'grains'))).toBeUndefined();
  });

  it('of any pan holds no null', () => {
    const add = fc.record({
      add: ids,
      grams: fc.constantFrom(0.1, 5, 200, 9_000),
      as: fc.constantFrom('liquid', 'pieces', 'grains'),
      temperatureC: fc.constantFrom(-25, 5, 20, 70, 120),
    });
    const heat = fc.constantFrom(undefined, { powerW: 0 }, { powerW: 3000, level: 0.4 }, { microwaveW: 800 });
    const until = fc.constantFrom<object>(
      ...[{ boil: true }, { melted: true }, { dissolved: true }, { temperatureC: 40 }, { seconds: 300 }, { lostG: 20 }],
    );
    const time = fc
      .tuple(heat, until, fc.constantFrom(0, 0.6))
      .map(([hob, end, stir]) => ({ ...(hob ? { heat: hob } : {}), until: end, stir, limitSeconds: 600 }));
    const stand = fc
      .constantFrom('slab', 'cylinder', 'sphere')
      .map((shape) => ({ stand: { shape, lengthM: 0.03, parts: [{ hours: 1, h: 10, aroundC: 4 }] } }));
    const events = fc
      .tuple(add, fc.array(fc.oneof(add, time, stand), { maxLength: 5 }))
      .map(([first, rest]) => [first, ...rest]);
    fc.assert(
      fc.property(events, (each) => {
        expect(unknownIn(() => answerPan(pan(each), larder))).toBeUndefined();
      }),
      { numRuns: 150, seed: 23 },
    );
  });

  const line = fc.record({ ingredient: ids, grams: fc.constantFrom(0, 0.01, 5, 200, 20_000) });
  const moments = [
    { name: 'pour', temperatureC: 40, history: [[0.3, 40]] },
    { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
  ];
  const gates = [{ moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 3000 }];
  const file = fc
    .array(line, { minLength: 1, maxLength: 6 })
    .map((lines) => readFormula({ format: 'dark-pour/formula', version: 1, name: 'Any', lines, moments, gates }));

  it.each([
    ['predict', answerPredict, 120],
    ['method', answerMethod, 120],
    ['balance', answerBalance, 12],
  ] as const)(
    'of any formula holds no null: %s',
    (_, answer, numRuns) => {
      fc.assert(
        fc.property(file, (each) => {
          expect(unknownIn(() => answer(each, larder))).toBeUndefined();
        }),
        { numRuns, seed: 23 },
      );
    },
    LONG_MS,
  );

  it('that could not be worked out is refused, with its place', () => {
    expect(() => finiteAnswer({ steps: [{ seconds: 1 }, { seconds: Number.NaN }] })).toThrow(
      'steps[1].seconds could not',
    );
    expect(() => finiteAnswer({ a: [undefined] })).toThrow('a[0]');
    expect(finiteAnswer({ a: undefined, b: 'x', c: true, d: [0] })).toEqual({ a: undefined, b: 'x', c: true, d: [0] });
  });
});
