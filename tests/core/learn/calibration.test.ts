import { describe, expect, it } from 'vitest';
import { chanceInBand } from '@/core/balance/chance';
import { learnOffset, READING_SD } from '@/core/learn/calibration';
import { KITCHEN_PRIOR } from '@/core/learn/learnt';
import { usualHistory } from '@/core/matter/process';
import { normalCdf } from '@/core/normal';
import { stateAt } from '@/core/predict/state';
import reference from '../../support/check-vectors.json';
import { batchOf, EQUAL_GANACHE } from '../../support/kitchen';

describe('a kitchen learns', () => {
  it('moves as far as the readings allow', () => {
    const residual = Math.log(0.62 / 0.88);
    const once = learnOffset(KITCHEN_PRIOR.warm, [residual], READING_SD.ringOrFilm);
    expect(once.mean).toBeCloseTo(-0.27, 2);
    expect(once.sd).toBeCloseTo(0.22, 2);
    const thrice = learnOffset(KITCHEN_PRIOR.warm, [residual, residual, residual], READING_SD.ringOrFilm);
    expect(thrice.mean).toBeCloseTo(-0.32, 2);
    expect(thrice.sd).toBeCloseTo(0.14, 2);
  });

  it('learns the same from readings one by one as from all at once', () => {
    const readings = [0.2, -0.1, 0.4];
    const byOne = readings.reduce((offset, r) => learnOffset(offset, [r], 0.35), { mean: 0, sd: 0.65 });
    const together = learnOffset({ mean: 0, sd: 0.65 }, readings, 0.35);
    expect(byOne.mean).toBeCloseTo(together.mean, 12);
    expect(byOne.sd).toBeCloseTo(together.sd, 12);
  });
});

describe('the chance to land', () => {
  it('reproduces the check figures of every use for an equal-weights ganache', () => {
    const ganache = batchOf(EQUAL_GANACHE);
    for (const [use, bands] of Object.entries(reference.bands)) {
      const chance = (bands as [string, number, number, number][]).reduce((product, [quantity, low, high, atC]) => {
        const { apparentViscosityPaS, yieldStressPa } = stateAt(ganache, atC, usualHistory(atC)).flow;
        const isFluidity = quantity === 'eta10';
        return (
          product *
          chanceInBand(isFluidity ? apparentViscosityPaS : yieldStressPa, { low, high }, isFluidity ? 0.5 : 0.7)
        );
      }, 1);
      const expected = reference.auxiliary.use_fit[use as keyof typeof reference.auxiliary.use_fit];
      expect(Math.abs(chance / expected - 1), use).toBeLessThan(0.005);
    }
  });

  it('follows the normal distribution', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 6);
    expect(normalCdf(1.96)).toBeCloseTo(0.975, 3);
    expect(normalCdf(-1)).toBeCloseTo(0.1587, 4);
    expect(chanceInBand(100, { low: 100 / Math.exp(0.7), high: 100 * Math.exp(0.7) }, 0.7)).toBeCloseTo(0.6827, 3);
    expect(chanceInBand(5, { high: 5 }, 0.5)).toBeCloseTo(0.5, 6);
    expect(chanceInBand(5, { low: 0 }, 0.5)).toBe(1);
  });
});
