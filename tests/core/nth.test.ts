import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keysOf, recordOf } from '@/core/keys-of';
import { addTimes, noComponents, noneNegative, partOf } from '@/core/matter/component-vector';
import { COMPONENT_COUNT, COMPONENT_INDEX, COMPONENT_NAMES } from '@/core/matter/components';
import { nth } from '@/core/nth';

describe('what is known to be there', () => {
  it('is given, even where it is 0 or empty', () => {
    expect(nth([0, 1], 0)).toBe(0);
    expect(nth(['', 'a'], 0)).toBe('');
    expect(nth(Float64Array.of(2, 3), 1)).toBe(3);
  });

  it('is told when it is not', () => {
    expect(() => nth([1], 1)).toThrow(RangeError);
    expect(() => nth([1], -1)).toThrow('place -1 of 1');
    expect(() => nth([1], Number.NaN)).toThrow(RangeError);
  });

  it('has a value for each key', () => {
    const squares = recordOf(['a', 'b'], (key, place) => `${key}${place}`);
    expect(squares).toEqual({ a: 'a0', b: 'b1' });
    expect(keysOf(squares)).toEqual(['a', 'b']);
  });
});

const vector = fc
  .array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { minLength: COMPONENT_COUNT, maxLength: COMPONENT_COUNT })
  .map((values) => Float64Array.from(values));

describe('component vectors', () => {
  it('come back when what was added is taken away', () => {
    fc.assert(
      fc.property(vector, vector, fc.double({ min: -10, max: 10, noNaN: true }), (a, b, times) => {
        const back = addTimes(addTimes(a.slice(), b, times), b, -times);
        return back.every((value, i) => Math.abs(value - nth(a, i)) <= 1e-6);
      }),
    );
  });

  it('are added part by part, into the first alone', () => {
    const [into, added] = [noComponents(), noComponents()];
    added[COMPONENT_INDEX.water] = 3;
    expect(addTimes(into, added, 2)).toBe(into);
    expect(COMPONENT_NAMES.map((name) => partOf(into, name))).toEqual(
      COMPONENT_NAMES.map((name) => (name === 'water' ? 6 : 0)),
    );
    expect(partOf(added, 'water')).toBe(3);
  });

  it('hold no negative grams once lifted', () => {
    fc.assert(
      fc.property(vector, (a) => {
        const lifted = noneNegative(a.slice());
        return lifted.every((value, i) => value === Math.max(nth(a, i), 0));
      }),
    );
  });
});
