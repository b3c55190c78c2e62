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
} from '@/core/rescue/belief';
import { nextPortion } from '@/core/rescue/portion';
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

  it('is at most six tenths of what is needed, and none where the pan is right', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const thick = { low: now / 4, high: now / 2 };
    const next = nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.5), thick);
    if (next.kind !== 'add') throw new Error(next.kind);
    expect(next.grams).toBeLessThanOrEqual(0.6 * next.inAll + 1e-9);
    expect(
      nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.05), { low: now / 1.5, high: now * 1.5 }).kind,
    ).toBe('mended');
    // Milk never thickens it.
    expect(nextPortion(pan, perGram('milk-whole'), priorBelief(0, 0.3), { low: now * 3, high: now * 5 }).kind).toBe(
      'cannot',
    );
    expect(
      nextPortion(pan, perGram('dark-couverture-60'), priorBelief(0, 0.3), { low: now * 3, high: now * 5 }).kind,
    ).toBe('add');
  });

  it('goes on in the direction that is seen, though it is believed to be nearly right', () => {
    const pan = ganache();
    const now = Math.exp(lnOf(pan));
    const band = { low: now / 1.6, high: now * 1.3 };
    const seen = afterSeeing(priorBelief(0, 0.3), 'aBitThick', lnOf(pan), band);
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
  it('nine in ten end in their band, three portions on the median, hardly any overshot', () => {
    const { inBand, medianPortions, overshot } = simulateRescues(120, 11);
    expect(inBand).toBeGreaterThanOrEqual(0.9);
    expect(medianPortions).toBeLessThanOrEqual(3);
    expect(overshot).toBeLessThan(0.08);
  });
});
