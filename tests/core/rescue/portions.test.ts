import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { additionCurve, gramsTo, lnOf, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import {
  afterMeasuring,
  afterSeeing,
  beliefMean,
  beliefQuantile,
  chanceInBand,
  priorBelief,
  SEEN,
  sideSeen,
} from '@/core/rescue/belief';
import { nextPortion, spoonOf } from '@/core/rescue/portion';
import { perGram } from '../../support/pan';
import { simulateRescues } from '../../support/rescues';

const BAND = { low: 8, high: 16 };

/** Equal parts of cream and chocolate at 36 °C. */
function ganache(cream = 200, chocolate = 200): RescuePan {
  const components = perGram('cream-35').map(
    (share, i) => cream * share + chocolate * (perGram('dark-couverture-60')[i] ?? 0),
  );
  return {
    components,
    process: DEFAULT_PROCESS,
    temperatureC: 36,
    history: [[0.3, 36]],
    read: ({ flow }) => flow.resistancePa,
  };
}

describe('what is believed of a pan', () => {
  it('is as wide as it was told, and narrows by what is measured', () => {
    const prior = priorBelief(0, 0.6);
    expect(beliefMean(prior)).toBeCloseTo(0, 9);
    expect(beliefQuantile(prior, 0.9)).toBeCloseTo(0.6 * 1.2816, 1);
    const measured = afterMeasuring(prior, Math.log(20), Math.log(10), 0.25);
    // Bayes' rule for two normals.
    expect(beliefMean(measured)).toBeCloseTo(Math.log(2) / 0.0625 / (1 / 0.36 + 1 / 0.0625), 2);
    expect(beliefQuantile(measured, 0.84) - beliefQuantile(measured, 0.16)).toBeLessThan(0.5);
  });

  it('goes to the side that is seen, further the further it is seen', () => {
    const means = SEEN.map((seen) => beliefMean(afterSeeing(priorBelief(0, 0.6), seen, Math.log(11), BAND)));
    expect(means).toEqual([...means].sort((a, b) => a - b));
    expect(means[0]).toBeLessThan(-0.5);
  });

  it('always sums to one, whatever is seen one after the other', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...SEEN), { maxLength: 8 }), (seen) => {
        const belief = seen.reduce((now, each) => afterSeeing(now, each, Math.log(11), BAND), priorBelief(0.2, 0.5));
        expect(belief.weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        const chance = chanceInBand(belief, Math.log(11), BAND);
        expect(chance).toBeGreaterThanOrEqual(0);
        expect(chance).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });
});

describe('a portion', () => {
  it('is what brings the curve there: the value after it is the one that was asked for', () => {
    const pan = ganache();
    const milk = perGram('milk-whole');
    const grams = gramsTo(additionCurve(pan, milk), lnOf(pan) - 0.7, 'down') ?? 0;
    expect(lnOf(panWith(pan, milk, grams))).toBeCloseTo(lnOf(pan) - 0.7, 1);
    expect(gramsTo(additionCurve(pan, milk), lnOf(pan) + 1, 'up')).toBeUndefined();
  });

  it('is whole grams, a spoon at least, and none where the pan is right or the addition moves it the other way', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const next = nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.5), { low: now / 4, high: now / 2 });
    if (next.kind !== 'add') throw new Error(next.kind);
    expect(next.grams).toBe(Math.round(next.grams));
    expect(next.grams).toBeLessThanOrEqual(next.inAll + 1e-9);
    const wide = { low: now / 1.5, high: now * 1.5 };
    expect(nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.05), wide).kind).toBe('mended');
    const thin = { low: now * 3, high: now * 5 };
    expect(nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.3), thin).kind).toBe('cannot');
    expect(nextPortion(pan, perGram('dark-couverture-60'), priorBelief(0, 0.3), thin).kind).toBe('add');
  });

  it('never contradicts the eye: a pan seen thick is never right, and takes one spoon where it is believed to be', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('bitThick', 'farTooThick', 'bitThin', 'farTooThin' as const),
        fc.double({ min: 0.02, max: 0.8, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (seen, sd, mean) => {
          const pan = ganache(300, 269);
          const now = Math.exp(lnOf(pan));
          const band = { low: now / 1.5, high: now * 1.5 };
          const additive = sideSeen(seen) === 'thick' ? 'cream-35' : 'dark-couverture-60';
          const next = nextPortion(pan, perGram(additive), priorBelief(mean, sd), band, { seen, timesRight: 0 });
          if (next.kind !== 'add') throw new Error(next.kind);
          // 569 g in the pan: 2.3 g of water were no portion.
          expect(next.grams).toBeGreaterThanOrEqual(6);
          expect(next.grams).toBe(Math.round(next.grams));
          if (next.chance > 0.88) expect(next).toMatchObject({ grams: 6, isOneSpoon: true });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('ends at "right" only once that is likely; else another look is asked for, three at most', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const band = { low: now / 1.25, high: now * 1.25 };
    const kind = (sd: number, timesRight: number) =>
      nextPortion(pan, perGram('cream-35'), priorBelief(0, sd), band, { seen: 'right', timesRight }).kind;
    expect(kind(0.05, 1)).toBe('mended');
    expect(kind(0.4, 1)).toBe('look');
    expect(kind(0.4, 2)).toBe('look');
    expect(kind(0.4, 3)).toBe('mended');
  });

  it('of gelatin is half a leaf, not a spoon', () => {
    expect(spoonOf(600, perGram('gelatin-leaf-200'))).toBe(1);
    expect(spoonOf(600, perGram('cream-35'))).toBe(6);
    expect(spoonOf(80, perGram('cream-35'))).toBe(5);
  });

  it('goes on in the direction that is seen, though it is believed to be nearly right', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const band = { low: now / 1.6, high: now * 1.3 };
    const seen = afterSeeing(priorBelief(0, 0.3), 'bitThick', lnOf(pan), band);
    expect(nextPortion(pan, perGram('water'), seen, band).kind).toBe('add');
  });

  it('smaller, the less is known', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const thick = { low: now / 4, high: now / 2 };
    const grams = (sd: number) => {
      const next = nextPortion(pan, perGram('milk-whole'), priorBelief(0, sd), thick);
      return next.kind === 'add' ? next.grams : 0;
    };
    expect(grams(0.8)).toBeLessThanOrEqual(grams(0.2));
  });
});

describe('hidden pans, mended by what a cook sees', () => {
  it.each([25, 60])(
    'at %i °C nine in ten end in their band, in three portions at most, hardly any past it',
    (temperatureC) => {
      const { inBand, medianPortions, overshot } = simulateRescues(120, 11, { temperatureC });
      expect(inBand).toBeGreaterThanOrEqual(0.88);
      expect(medianPortions).toBeLessThanOrEqual(3);
      expect(overshot).toBeLessThan(0.03);
    },
  );
});
