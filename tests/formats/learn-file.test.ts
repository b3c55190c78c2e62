import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { KITCHEN_PRIOR } from '@/core/learn/learnt';
import { answerPredict } from '@/formats/answers';
import { readFormula } from '@/formats/formula-file';
import { answerLearn } from '@/formats/learn-answers';
import { readTests } from '@/formats/learn-file';
import { fileOf, larder } from '../support/kitchen';

const ganache = fileOf([
  ['dark-couverture-60', 200],
  ['cream-35', 200],
]);
const milkier = fileOf([
  ['dark-couverture-60', 200],
  ['cream-35', 240],
]);
const WARM = { temperatureC: 40, history: [[0.3, 40]] };
const FRIDGE = { temperatureC: 5, history: [[24, 5]] };
const file = (tests: readonly object[], predict: readonly object[] = []) => ({
  format: 'dark-pour/tests',
  version: 1,
  tests,
  predict,
});
const learn = (tests: readonly object[], predict: readonly object[] = []) =>
  answerLearn(readTests(file(tests, predict)), larder);
const predicted = (place: object, formula: object = ganache) => {
  const [prediction] = learn([], [{ formula, ...place }]).predictions;
  if (!prediction) throw new Error('nothing predicted');
  return prediction;
};
const test = (measured: object, place: object = WARM, more: object = {}) => ({
  formula: ganache,
  ...place,
  ...more,
  measured,
});
const momentOf = (process: object, moment: object) => {
  const [found] = answerPredict(
    readFormula({ ...ganache, process, moments: [{ name: 'now', ...moment }] }),
    larder,
  ).moments;
  if (!found) throw new Error('no moment');
  return found;
};

describe('learn', () => {
  it('knows nothing without tests: the standard figures, and the doubt there is before any', () => {
    const { offsets } = learn([]);
    for (const [about, { mean, sd }] of Object.entries(KITCHEN_PRIOR)) {
      expect(offsets[about as keyof typeof offsets]).toEqual({ mean, sd });
    }
    const { book, kitchen } = predicted(FRIDGE);
    expect(kitchen).toMatchObject(book);
    expect(Math.abs(kitchen.sdSet - Math.hypot(0.65, 0.2, 0.3))).toBeLessThan(0.02);
    expect(Math.abs(predicted(WARM).kitchen.sdFlow - Math.hypot(0.45, 0.2, 0.3))).toBeLessThan(0.02);
  });

  it('a test at the prediction moves nothing, whatever was measured', () => {
    const warm = predicted(WARM).book;
    const cold = predicted(FRIDGE).book;
    const ring = momentOf({}, WARM).rings.find(({ seconds }) => seconds === 30);
    const { offsets, predictions } = learn(
      [
        test({ apparentViscosityPaS: warm.apparentViscosityPaS }),
        test({ yieldStressPa: cold.yieldStressPa, sd: 0.35 }, FRIDGE),
        test({ ring: { diameterMm: ring?.diameterMm } }),
      ],
      [{ formula: ganache, ...FRIDGE }],
    );
    for (const { mean } of Object.values(offsets)) expect(Math.abs(mean)).toBeLessThan(1e-6);
    expect(offsets.warm.sd).toBeLessThan(KITCHEN_PRIOR.warm.sd);
    expect(predictions[0]?.kitchen.yieldStressPa).toBeCloseTo(cold.yieldStressPa, 3);
    expect(predictions[0]?.kitchen.sdSet).toBeLessThan(predicted(FRIDGE).kitchen.sdSet);
  });

  it('follows what was measured: thicker, firmer, slower, and by less the longer ago', () => {
    const { apparentViscosityPaS } = predicted(WARM).book;
    const { yieldStressPa } = predicted(FRIDGE).book;
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 1, noNaN: true }), fc.integer({ min: 0, max: 1000 }), (ln, daysAgo) => {
        const times = Math.exp(ln);
        const told = learn([
          test({ apparentViscosityPaS: times * apparentViscosityPaS }, WARM, { daysAgo }),
          test({ yieldStressPa: times * yieldStressPa }, FRIDGE),
          test({ firmAfterHours: 4 * times }, { temperatureC: 20 }),
        ]).offsets;
        expect(told.warm.mean).toBeGreaterThan(0);
        expect(told.warm.mean).toBeLessThan(ln);
        // Four hours at 20 °C is the half time of droplets.
        expect(told.time.mean).toBeGreaterThan(0);
        expect(told.time.mean).toBeLessThan(ln);
        const thicker = (ago: number) =>
          learn([test({ apparentViscosityPaS: times * apparentViscosityPaS }, WARM, { daysAgo: ago })]).offsets.warm
            .mean;
        expect(thicker(daysAgo)).toBeLessThanOrEqual(thicker(0));
      }),
      { numRuns: 12 },
    );
  });

  it('is surer of a formula that was tested than of another', () => {
    const { yieldStressPa } = predicted(FRIDGE).book;
    const tests = Array.from({ length: 6 }, () => test({ yieldStressPa: 1.4 * yieldStressPa }, FRIDGE));
    const [own, other] = learn(tests, [
      { formula: { ...ganache, name: 'Under another name' }, ...FRIDGE },
      { formula: milkier, ...FRIDGE },
    ]).predictions;
    expect(own?.kitchen.sdSet).toBeLessThan(0.2);
    expect(other?.kitchen.sdSet).toBeGreaterThan(0.3);
    expect((own?.kitchen.yieldStressPa ?? 0) / yieldStressPa).toBeGreaterThan(1.3);
    expect((own?.kitchen.yieldStressPa ?? 9e9) / yieldStressPa).toBeLessThan(1.4);
  });

  it('a formula’s own offsets stand for nothing here: they are what is to be learnt', () => {
    const moved = { ...ganache, process: { warmOffset: 0.5, coldOffset: -1, gelOffset: 1, timeOffset: 0.5 } };
    expect(predicted(FRIDGE, moved)).toEqual(predicted(FRIDGE));
  });

  it.each([
    ['a ring narrower than itself', { ring: { diameterMm: 30 } }, 'at least as wide as its ring'],
    ['nothing known', { dent: 3 }, 'must be one of ring, film'],
    ['no number', { yieldStressPa: 'firm' }, 'tests[0].measured.yieldStressPa: must be a number'],
    ['two at once', { yieldStressPa: 5, ring: { diameterMm: 80 } }, 'measured'],
    ['a negative', { firmAfterHours: -2 }, 'tests[0].measured.firmAfterHours: must be 0.01 to 2000 hours'],
  ])('refuses %s, and says where', (_, measured, reason) => {
    expect(() => readTests(file([test(measured)]))).toThrow(reason);
  });

  it('refuses what no formula can give', () => {
    const milk = fileOf([['milk-whole', 300]]);
    expect(() => learn([{ ...test({ firmAfterHours: 2 }, FRIDGE), formula: milk }])).toThrow(
      'no fat makes this formula firm',
    );
    expect(() => learn([{ ...test({ yieldStressPa: 2 }), formula: fileOf([['water', 0]]) }])).toThrow(
      'tests[0].formula: nothing is in the pan',
    );
    expect(() => readTests([])).toThrow('tests must be a JSON object');
  });
});

describe('predict', () => {
  it('takes four offsets in a formula’s process', () => {
    const fresh = { temperatureC: 5, history: [[0.3, 5]] };
    const firm = (process: object) => momentOf(process, fresh).yieldStressPa;
    expect(firm({ coldOffset: 0.5 }) / firm({})).toBeGreaterThan(1.4);
    expect(firm({ coldOffset: 0.5 }) / firm({})).toBeLessThan(Math.exp(0.5) + 0.01);
    expect(firm({ timeOffset: 0.5 })).toBeLessThan(0.9 * firm({}));
    expect(momentOf({ gelOffset: 1 }, fresh).yieldStressPa).toBeCloseTo(firm({}), 3);
    const thick = (process: object) => momentOf(process, WARM).apparentViscosityPaS;
    expect(thick({ warmOffset: 0.5 }) / thick({})).toBeCloseTo(Math.exp(0.5), 1);
  });

  it('tells of rings that spread on with time', () => {
    const moment = momentOf({}, WARM);
    expect(moment.rings.map(({ seconds }) => seconds)).toEqual([10, 30, 180]);
    const wide = moment.rings.map(({ diameterMm }) => diameterMm);
    expect(wide).toEqual(wide.toSorted((a, b) => a - b));
    expect(wide[1]).toBeCloseTo(moment.plateDiameterMm, 9);
    // The figures of the closed form, rho 1100: 20 mL from a 5 cm ring after 30 s.
    for (const [plasticViscosityPaS, yieldStressPa, mm] of [
      [0.1, 0.5, 124],
      [0.5, 3, 91],
      [2, 10, 73],
      [8, 40, 59],
    ] as const) {
      expect(Math.round(spreadDiameter({ plasticViscosityPaS, yieldStressPa, densityKgM3: 1100 }, 20, 30))).toBe(mm);
    }
  });
});
