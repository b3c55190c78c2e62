import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lnAway, NO_OFFSETS } from '@/core/learn/evidence';
import {
  type Calibration,
  calibrationOf,
  inAnyKitchen,
  inThisKitchen,
  isGross,
  type KitchenReading,
  kitchenSd,
  learnKitchen,
  NOTHING_LEARNT,
} from '@/core/learn/kitchen';
import { readingOf } from '@/core/learn/kitchen-tests';
import { FORMULA_SD, KITCHEN_PRIOR, LEARNT } from '@/core/learn/learnt';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { modelDoubt } from '@/core/predict/doubt';
import { combineFlow, offsetsOf } from '@/core/predict/flow-parts';
import { stateAt } from '@/core/predict/state';
import {
  CELLAR,
  certainStands,
  coldDent,
  coverage,
  dentOf,
  FRIDGE,
  fridgeMoves,
  GANACHE,
  GELATIN_GLAZE,
  glazeDents,
  hiddenKitchen,
  MENU,
  medianColdError,
  missedDrift,
  partsAt,
  readingAt,
  ringOf,
  STARCH_SAUCE,
  syrupRings,
  testsIn,
  WARM,
  warmRing,
} from '../../support/hidden-kitchens';
import { batchOf } from '../../support/kitchen';

const lamp = (away: number): KitchenReading => ({ ...readingOf({ of: 'shine', away }, 0.5), months: 0, formula: 'f' });
const chill = (away: number): KitchenReading => ({
  ...readingOf({ of: 'time', away, slopes: { warm: 0, cold: -0.2, gel: 0, time: 0.7 } }, 0.25),
  months: 0,
  formula: 'f',
});

const anyReading = fc
  .record({
    formula: fc.constantFrom(...MENU),
    place: fc.constantFrom(WARM, FRIDGE, CELLAR),
    ln: fc.double({ min: -2, max: 2, noNaN: true }),
    isRing: fc.boolean(),
    months: fc.integer({ min: 0, max: 30 }),
  })
  .map(({ formula, place, ln, isRing, months }) => {
    const parts = partsAt(formula, place);
    const measured = isRing && place === WARM ? ringOf(parts, NO_OFFSETS, ln) : dentOf(parts, NO_OFFSETS, ln);
    return readingAt(formula, place, measured, isRing ? 0.25 : 0.35, months);
  });

describe('what a kitchen’s tests teach', () => {
  it('is the same in any order, to the last digit', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 25 }), fc.infiniteStream(fc.nat()), (readings, stream) => {
        const shuffled = readings
          .map((each) => ({ each, at: stream.next().value }))
          .sort((a, b) => a.at - b.at)
          .map(({ each }) => each);
        const [one, other] = [learnKitchen(readings), learnKitchen(shuffled)];
        expect(other.offsets).toEqual(one.offsets);
        expect(other.covariance).toEqual(one.covariance);
        expect(Object.entries(other.formulas).sort()).toEqual(Object.entries(one.formulas).sort());
      }),
      { numRuns: 40 },
    );
  });

  it('is nothing without tests, and a test at the prediction moves nothing but makes it surer', () => {
    expect(learnKitchen([])).toEqual(NOTHING_LEARNT);
    const { offsets } = learnKitchen([warmRing(0), coldDent(0), lamp(0), chill(0)]);
    for (const about of LEARNT) {
      expect(offsets[about].mean).toBeCloseTo(0, 6);
      if (about !== 'gel') expect(offsets[about].sd).toBeLessThan(KITCHEN_PRIOR[about].sd);
    }
  });

  it('goes along the slope of the test’s own state: each moves what carries it, and nothing else', () => {
    const tells = (reading: KitchenReading) => learnKitchen([reading]).offsets;
    const ring = tells(warmRing(0.5));
    expect(ring.warm.mean).toBeGreaterThan(0.2);
    expect(Math.abs(ring.cold.mean)).toBeLessThan(0.005);
    const starch = readingAt(STARCH_SAUCE, CELLAR, dentOf(partsAt(STARCH_SAUCE, CELLAR), NO_OFFSETS, 0.5), 0.35);
    expect(starch.about).toBe('gel');
    expect(tells(starch).gel.mean).toBeGreaterThan(0.15);
    expect(Math.abs(tells(starch).cold.mean)).toBeLessThan(0.02);
    expect(coldDent(0.5).about).toBe('cold');
    expect(tells(chill(0.5)).time.mean).toBeGreaterThan(0.15);
    expect(tells(lamp(0.5)).shine.mean).toBeGreaterThan(0.2);
  });

  it('three rings of a syrup and ten dents of a gelatin glaze leave a ganache’s fridge alone', () => {
    expect(Math.abs(fridgeMoves(syrupRings()) - 1)).toBeLessThan(0.02);
    expect(Math.abs(fridgeMoves(glazeDents()) - 1)).toBeLessThan(0.02);
  });

  it('what was certain beforehand teaches nothing, what was in the balance does', () => {
    const stands = (neededPa: number, held: boolean) =>
      readingAt(GANACHE, FRIDGE, { kind: 'stands', neededPa, held }, 0.3);
    const { yieldStressPa } = combineFlow(partsAt(GANACHE, FRIDGE), NO_OFFSETS);
    const certain = learnKitchen(certainStands()).offsets.cold;
    expect(certain.sd).toBeGreaterThan(0.99 * KITCHEN_PRIOR.cold.sd);
    expect(Math.abs(certain.mean)).toBeLessThan(0.01);
    const held = learnKitchen([stands(yieldStressPa, true)]).offsets.cold;
    const gaveWay = learnKitchen([stands(yieldStressPa, false)]).offsets.cold;
    expect(held.mean).toBeGreaterThan(0.1);
    expect(gaveWay.mean).toBeCloseTo(-held.mean, 1);
    expect(held.sd).toBeLessThan(0.95 * KITCHEN_PRIOR.cold.sd);
  });

  it('one gross slip hardly pulls, three that agree do', () => {
    expect(fridgeMoves([0, 0, 0, 2.3].map((ln) => coldDent(ln)))).toBeLessThan(1.15);
    const agree = fridgeMoves([0.5, 0.5, 0.5].map((ln) => coldDent(ln)));
    expect(agree).toBeGreaterThan(1.5);
    expect(agree).toBeLessThan(Math.exp(0.5));
  });

  it('ten tests of one formula know that formula, not the kitchen', () => {
    const knowledge = learnKitchen(Array.from({ length: 10 }, () => warmRing(0.6)));
    const many = learnKitchen(MENU.slice(0, 6).flatMap((formula) => [warmRing(0.6, formula), warmRing(0.6, formula)]));
    expect(knowledge.offsets.warm.mean).toBeLessThan(many.offsets.warm.mean);
    const slopes = { ...NO_OFFSETS, warm: 1 };
    const own = kitchenSd(knowledge, slopes, { chocolate: 'dark', formula: GANACHE.name });
    expect(own).toBeLessThan(0.12);
    expect(kitchenSd(knowledge, slopes, { chocolate: 'dark', formula: 'another' })).toBeGreaterThan(FORMULA_SD);
  });

  it('old tests fade: the last year counts for more than the one before', () => {
    const moved = [
      ...Array.from({ length: 8 }, () => warmRing(-0.4, GANACHE, 24)),
      ...[0, 0, 0].map((ln) => warmRing(ln)),
    ];
    const still = moved.map((each) => ({ ...each, months: 0 }));
    expect(learnKitchen(moved).offsets.warm.mean).toBeGreaterThan(learnKitchen(still).offsets.warm.mean + 0.05);
  });

  it('tells a chocolate that is off from a kitchen that is', () => {
    const both = [0, 1, 2, 3].flatMap((i) => [
      warmRing(0.02, { ...GANACHE, name: `plain ${i}`, chocolate: 'plain' }),
      warmRing(0.42, { ...GANACHE, name: `thick ${i}`, chocolate: 'thick' }),
    ]);
    const { offsets, chocolates } = learnKitchen(both);
    expect(offsets.warm.mean).toBeGreaterThan(0.1);
    expect(chocolates.thick?.mean).toBeGreaterThan(0.05);
    expect(chocolates.plain?.mean).toBeLessThan(-0.03);
  });

  it('asks about a gross slip, and about nothing usual', () => {
    const { offsets } = learnKitchen([warmRing(0.1), warmRing(0.15), warmRing(0.05)]);
    expect(isGross({ residual: 1.4, se: 0.25 }, offsets.warm)).toBe(true);
    expect(isGross({ residual: 0.5, se: 0.25 }, offsets.warm)).toBe(false);
  });
});

describe('hidden kitchens', () => {
  const KITCHENS = 160;

  it('are found the better the more is tested', () => {
    const [one, five, ten, thirty] = [1, 5, 10, 30].map((each) => medianColdError(each, KITCHENS)) as [
      number,
      number,
      number,
      number,
    ];
    expect(one).toBeLessThan(0.32);
    expect(five).toBeLessThan(0.19);
    expect(ten).toBeLessThan(0.14);
    expect(thirty).toBeLessThan(0.09);
  });

  it('lie in the 80 % band as often as it says, of a tested formula and of a new one, also where one formula is all that was tested', () => {
    const aNew = { ...GANACHE, name: 'a new one' };
    for (const [menu, each, of] of [
      [MENU, 5, MENU[1] ?? GANACHE],
      [MENU, 12, aNew],
      [[GANACHE], 10, GANACHE],
      [[GANACHE], 10, aNew],
    ] as const) {
      const held = coverage(menu, each, of, 400);
      expect(held).toBeGreaterThan(0.74);
      expect(held).toBeLessThan(0.86);
    }
  });

  it('are followed when they drift', () => {
    expect(Math.abs(missedDrift(20))).toBeLessThan(0.25);
  });
});

describe('a batch in this kitchen', () => {
  const knowledge = learnKitchen(testsIn(hiddenKitchen(3), MENU, 6));
  const knownBy = { chocolate: 'dark', formula: GANACHE.name };

  it('adds what the kitchen, its chocolate and its formula are off; a name nobody knows adds nothing', () => {
    const { offsets, chocolates, formulas } = knowledge;
    const own = (chocolates.dark?.mean ?? Number.NaN) + (formulas[GANACHE.name]?.mean ?? Number.NaN);
    const process = inThisKitchen({ ...DEFAULT_PROCESS, warmOffset: 0.1 }, knowledge, knownBy);
    expect(process.warmOffset).toBeCloseTo(0.1 + offsets.warm.mean + own, 12);
    expect(process.coldOffset).toBeCloseTo(offsets.cold.mean + own, 12);
    expect(process.gelOffset).toBeCloseTo(offsets.gel.mean + own, 12);
    expect(process.timeOffset).toBeCloseTo(offsets.time.mean, 12);
    for (const nobody of [undefined, 'constructor', 'of no test']) {
      const plain = inThisKitchen(DEFAULT_PROCESS, knowledge, { chocolate: nobody, formula: nobody });
      expect(plain.warmOffset).toBeCloseTo(offsets.warm.mean, 12);
      expect(plain.learnt?.warmSd).toBeGreaterThan(process.learnt?.warmSd ?? Number.NaN);
    }
    expect(inAnyKitchen(process)).toEqual({ ...DEFAULT_PROCESS, learnt: undefined });
  });

  it('is predicted as its parts are put together with the same offsets, whatever they are', () => {
    const offset = fc.double({ min: -1.5, max: 1.5, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...MENU, GELATIN_GLAZE),
        fc.constantFrom(WARM, FRIDGE, CELLAR),
        offset,
        offset,
        offset,
        offset,
        (formula, place, warmOffset, coldOffset, gelOffset, timeOffset) => {
          const process = { ...DEFAULT_PROCESS, ...formula.process, warmOffset, coldOffset, gelOffset, timeOffset };
          const { flow } = stateAt(batchOf(formula.grams, process), place.temperatureC, place.history);
          const put = combineFlow(partsAt(formula, place), offsetsOf(process));
          expect(put.yieldStressPa).toBeCloseTo(flow.yieldStressPa, 9);
          expect(put.plasticViscosityPaS).toBeCloseTo(flow.plasticViscosityPaS, 12);
          // A ring that this flow gives is no news to a kitchen of these offsets.
          const offsets = { ...offsetsOf(process), shine: 0 };
          const ring = ringOf(partsAt(formula, place), offsets, 0);
          if (ring.kind === 'ring' && ring.diameterMm > 51) {
            expect(lnAway({ of: 'flow', parts: partsAt(formula, place), measured: ring }, offsets)).toBeCloseTo(0, 5);
          }
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is surer than the standard figures of what was tested, and never less sure', () => {
    const before = modelDoubt(batchOf(GANACHE.grams).mixture);
    const after = modelDoubt(batchOf(GANACHE.grams, inThisKitchen(DEFAULT_PROCESS, knowledge, knownBy)).mixture);
    expect(after.lnViscosity).toBeLessThan(before.lnViscosity);
    expect(after.lnYield).toBeLessThan(before.lnYield);
    expect(after.lnGel).toBeLessThanOrEqual(before.lnGel);
    expect(after.shine).toBeLessThanOrEqual(before.shine);
  });

  it('has the standard figures only where they are asked for', () => {
    const standard: Calibration = calibrationOf(undefined, 'f');
    expect(standard).toBe('standard');
    expect(calibrationOf(knowledge, 'f')).toEqual({ knowledge, formula: 'f' });
  });
});
