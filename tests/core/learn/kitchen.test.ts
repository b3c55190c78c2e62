import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calibratedSd, READING_SD } from '@/core/learn/calibration';
import {
  inThisKitchen,
  isGross,
  KITCHEN_PRIOR,
  type KitchenReading,
  learnKitchen,
  NOTHING_LEARNT,
} from '@/core/learn/kitchen';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { modelDoubt } from '@/core/predict/doubt';
import { stateAt } from '@/core/predict/state';
import { normalNumbers, seededNumbers } from '@/core/random';
import { batchOf } from '../../support/kitchen';

const reading = fc.record({
  about: fc.constantFrom('warm', 'cold', 'shine', 'time'),
  residual: fc.double({ min: -2, max: 2, noNaN: true }),
  se: fc.constantFrom(0.25, 0.35, 0.5),
  chocolate: fc.constantFrom(undefined, 'dark-a', 'dark-b', 'milk-c'),
}) as fc.Arbitrary<KitchenReading>;

const warm = (residual: number, chocolate?: string): KitchenReading => ({
  about: 'warm',
  residual,
  se: READING_SD.ringOrFilm,
  chocolate,
});

describe('what a kitchen’s tests teach', () => {
  it('is the same in any order, to the last digit', () => {
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 40 }), fc.infiniteStream(fc.nat()), (readings, stream) => {
        const shuffled = readings
          .map((each) => ({ each, at: stream.next().value }))
          .sort((a, b) => a.at - b.at)
          .map(({ each }) => each);
        const [one, other] = [learnKitchen(readings), learnKitchen(shuffled)];
        expect(other.offsets).toEqual(one.offsets);
        expect(Object.entries(other.chocolates).sort()).toEqual(Object.entries(one.chocolates).sort());
      }),
    );
  });

  it('is nothing without tests, and a test at the prediction moves nothing but makes it surer', () => {
    expect(learnKitchen([])).toEqual(NOTHING_LEARNT);
    const { offsets } = learnKitchen([warm(0)]);
    expect(offsets.warm.mean).toBe(0);
    expect(offsets.warm.sd).toBeLessThan(KITCHEN_PRIOR.warm.sd);
    expect(offsets.cold).toEqual({ ...KITCHEN_PRIOR.cold, tests: 0 });
  });

  it('agrees with the hand figures: one reading of 0.62 for 0.88, and three of them', () => {
    const r = Math.log(0.62 / 0.88);
    const one = learnKitchen([warm(r)]).offsets.warm;
    expect(one.mean).toBeCloseTo(-0.27, 2);
    expect(one.sd).toBeCloseTo(0.22, 2);
    const three = learnKitchen([warm(r), warm(r), warm(r)]).offsets.warm;
    expect(three.mean).toBeCloseTo(-0.32, 2);
    expect(three.sd).toBeCloseTo(0.14, 2);
  });

  it('never gets less sure by one more test', () => {
    fc.assert(
      fc.property(fc.array(reading, { maxLength: 20 }), reading, (readings, more) => {
        const [before, after] = [learnKitchen(readings).offsets, learnKitchen([...readings, more]).offsets];
        // Beside a second chocolate the first counts as one group: surer of itself than before it may not be.
        if (more.about === 'warm') return;
        expect(after[more.about].sd).toBeLessThan(before[more.about].sd);
      }),
    );
  });

  it('tells a chocolate that is off from a kitchen that is', () => {
    const both = [0, 0, 0, 0].flatMap(() => [warm(0.02, 'plain'), warm(0.42, 'thick')]);
    const { offsets, chocolates } = learnKitchen(both);
    expect(offsets.warm.mean).toBeGreaterThan(0.1);
    expect(offsets.warm.mean).toBeLessThan(0.3);
    expect(chocolates.thick?.mean).toBeGreaterThan(0.05);
    expect(chocolates.plain?.mean).toBeLessThan(-0.05);
    // One chocolate alone cannot be told from its kitchen.
    expect(learnKitchen(both.filter(({ chocolate }) => chocolate === 'thick')).chocolates).toEqual({});
  });

  it('asks about a gross slip, and about nothing usual', () => {
    const { offsets } = learnKitchen([warm(0.1), warm(0.15), warm(0.05)]);
    expect(isGross(warm(1.4), offsets.warm)).toBe(true);
    expect(isGross(warm(0.5), offsets.warm)).toBe(false);
  });
});

describe('hidden kitchens', () => {
  const TRIALS = 3000;
  const [flow, set] = [
    { about: 'warm', se: READING_SD.ringOrFilm, prior: KITCHEN_PRIOR.warm.sd },
    { about: 'cold', se: READING_SD.dentOrCone, prior: KITCHEN_PRIOR.cold.sd },
  ] as const;

  it.each([
    [flow, 0.15],
    [set, 0.2],
  ] as const)('after five tests the median error is small and the bands hold: %o', ({ about, se, prior }, most) => {
    const normal = normalNumbers(seededNumbers(7));
    const errors: number[] = [];
    let held = 0;
    for (let i = 0; i < TRIALS; i++) {
      const truth = prior * normal();
      const readings = Array.from({ length: 5 }, () => ({ about, se, residual: truth + se * normal() }));
      const { mean, sd } = learnKitchen(readings).offsets[about];
      errors.push(Math.abs(Math.exp(mean - truth) - 1));
      if (Math.abs(mean - truth) <= 1.645 * sd) held += 1;
    }
    errors.sort((a, b) => a - b);
    expect(errors[TRIALS / 2]).toBeLessThan(most);
    expect(held / TRIALS).toBeGreaterThan(0.85);
    expect(held / TRIALS).toBeLessThan(0.95);
  });
});

describe('a batch in this kitchen', () => {
  const composition = {
    water: 60,
    cocoa_butter: 38,
    cocoa_solids: 21.6,
    sucrose: 39.2,
    milk_fat: 35,
    milk_protein: 2.1,
  };
  const knowledge = learnKitchen([
    ...[0.3, 0.25, 0.35].map((residual) => warm(residual)),
    { about: 'shine', residual: -0.6, se: 0.5 },
  ]);
  const process = inThisKitchen(DEFAULT_PROCESS, knowledge);

  it('adds what its chocolate is off, and what its set is; a name of no chocolate adds nothing', () => {
    const both = [0, 0, 0].flatMap(() => [warm(0.02, 'plain'), warm(0.42, 'thick')]);
    const known = learnKitchen([...both, { about: 'cold', residual: -0.5, se: 0.35 }]);
    const { offsets, chocolates } = known;
    const of = (chocolate?: string) => inThisKitchen({ ...DEFAULT_PROCESS, warmOffset: 0.1 }, known, chocolate);
    expect(of('thick').warmOffset).toBeCloseTo(0.1 + offsets.warm.mean + (chocolates.thick?.mean ?? Number.NaN), 12);
    expect(of('thick').warmOffset - of('plain').warmOffset).toBeGreaterThan(0.1);
    for (const nobody of [undefined, 'constructor', 'other']) {
      expect(of(nobody).warmOffset).toBeCloseTo(0.1 + offsets.warm.mean, 12);
    }
    expect(of().coldOffset).toBeCloseTo(offsets.cold.mean, 12);
    expect(offsets.cold.mean).toBeLessThan(-0.2);
    expect(of('thick').learnt?.warmSd).toBeGreaterThan(of().learnt?.warmSd ?? Number.NaN);
  });

  it('flows as its tests say, shines as its lamp says, and is surer of the warm flow alone', () => {
    const [book, here] = [batchOf(composition), batchOf(composition, process)];
    const ratio =
      stateAt(here, 40, [[0.3, 40]]).flow.apparentViscosityPaS /
      stateAt(book, 40, [[0.3, 40]]).flow.apparentViscosityPaS;
    expect(Math.log(ratio)).toBeCloseTo(knowledge.offsets.warm.mean, 1);
    expect(stateAt(here, 20, [[12, 20]]).shine).toBeLessThan(stateAt(book, 20, [[12, 20]]).shine);
    const [before, after] = [modelDoubt(book.mixture), modelDoubt(here.mixture)];
    expect(after.lnViscosity).toBeLessThan(before.lnViscosity);
    expect(after.lnWarmYield).toBeLessThan(before.lnWarmYield);
    expect(after.lnYield).toBe(before.lnYield);
    expect(after.lnViscosity).toBeGreaterThanOrEqual(calibratedSd({ mean: 0, sd: 0 }));
  });
});
