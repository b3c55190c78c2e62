import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coolingRate, secondsToCool } from '@/core/cook/cooling-fit';
import { normalNumbers, seededNumbers } from '@/core/random';

const cooled = (rate: number, minutes: number, noise: (i: number) => number = () => 0) =>
  Array.from({ length: minutes }, (_, i) => ({
    seconds: 60 * i,
    temperatureC: 22 + 60 * Math.exp(-rate * 60 * i) + noise(i),
  }));

describe('how fast this pan cools', () => {
  it('is what was reckoned as long as nothing is read', () => {
    const rate = coolingRate([], 22, 1 / 900);
    expect(rate.lnRate).toBeCloseTo(-Math.log(900), 12);
    expect(rate.sd).toBe(0.4);
    expect(coolingRate([{ seconds: 0, temperatureC: 80 }], 22, 1 / 900)).toEqual(rate);
  });

  it('comes to what is read, and its doubt narrows', () => {
    const truth = 1 / 500;
    const few = coolingRate(cooled(truth, 4), 22, 1 / 900);
    const many = coolingRate(cooled(truth, 15), 22, 1 / 900);
    expect(Math.abs(many.lnRate - Math.log(truth))).toBeLessThan(0.06);
    expect(many.sd).toBeLessThan(few.sd);
    expect(few.sd).toBeLessThan(0.4);
  });

  it('tells the minutes to the pour within its own band, with a probe that is half a degree off', () => {
    let inside = 0;
    const gauss = normalNumbers(seededNumbers(7));
    for (let k = 0; k < 200; k++) {
      const truth = Math.exp(Math.log(1 / 800) + 0.4 * gauss());
      const read = cooled(truth, 8, () => 0.5 * gauss());
      const last = read.at(-1);
      const told = secondsToCool(last?.temperatureC ?? 0, 35, 22, coolingRate(read, 22, 1 / 800));
      const real = Math.log((22 + 60 * Math.exp(-truth * 420) - 22) / 13) / truth;
      if (told && real > 0 && real >= told.least * 0.93 && real <= told.most * 1.07) inside += 1;
      if (real <= 0) inside += 1;
    }
    expect(inside).toBeGreaterThan(150);
  });

  it('a pan that never comes there, one that is there, one that was read warmer than before', () => {
    const rate = coolingRate([], 22, 1 / 900);
    expect(secondsToCool(80, 20, 22, rate)).toBeUndefined();
    expect(secondsToCool(30, 35, 22, rate)).toEqual({ seconds: 0, least: 0, most: 0 });
    const odd = coolingRate(
      [
        { seconds: 0, temperatureC: 60 },
        { seconds: 60, temperatureC: 62 },
      ],
      22,
      1 / 900,
    );
    expect(Number.isFinite(odd.lnRate)).toBe(true);
  });

  it('takes longer the further it has to cool', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 30, max: 90, noNaN: true }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        (from, less) => {
          const rate = coolingRate([], 22, 1 / 900);
          const near = secondsToCool(from, 28, 22, rate)?.seconds ?? 0;
          const far = secondsToCool(from, 28 - less * 0.7, 22, rate)?.seconds ?? 0;
          expect(far).toBeGreaterThan(near);
        },
      ),
    );
  });
});
