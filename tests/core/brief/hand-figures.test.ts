import { describe, expect, it } from 'vitest';
import { USUAL_MAKING } from '@/core/brief/brief';
import { briefTargets } from '@/core/brief/brief-gates';
import { exclusions } from '@/core/brief/exclusion';
import { jobGates, jobHistory } from '@/core/brief/job-gates';
import { handLimit } from '@/core/flow/piping';
import type { Gate } from '@/core/formula/gates';
import type { JobUse } from '@/core/uses/catalogue';
import { batchSize, boiledOffInPan, panHolds } from '@/core/yields/batch-size';
import { portionGrams } from '@/core/yields/portions';
import { briefOf, jobOf } from '../../support/brief';

/** All figures here were worked out on paper, from the laws and bands as they are published or said, not by the code. */

const sized = (use: JobUse, change: Parameters<typeof jobOf>[1], making = {}) => {
  const job = jobOf(use, change);
  return batchSize([{ job, gates: jobGates(job) }], { ...USUAL_MAKING, ...making });
};

describe('what a hand can squeeze through a tip', () => {
  it.each([
    // 2 √3 ln(40/d) + 60/d: 22.98 at 4 mm, 10.80 at 10, 6.10 at 18, 5.40 at 20
    [4, 1410],
    [10, 3000],
    [18, 5310],
    [20, 6000],
  ])('%d mm: about %d Pa', (nozzle, pa) => {
    expect(handLimit(nozzle) / pa).toBeCloseTo(1, 2);
  });

  it('is read no further than the law reaches', () => {
    expect(handLimit(0)).toBe(handLimit(1));
    expect(handLimit(39)).toBe(handLimit(30));
  });
});

describe('bands that are said, not reckoned', () => {
  it.each<[JobUse, string, number | undefined, number | undefined]>([
    ['drink', 'work.apparentViscosityPaS', 0.1, 0.5],
    ['drink', 'work.yieldStressPa', undefined, 3],
    ['tart', 'work.apparentViscosityPaS', 0.1, 6],
    ['tart', 'eat.yieldStressPa', 977, 30_000],
    ['shell', 'work.apparentViscosityPaS', 0.5, 8],
    ['shell', 'work.yieldStressPa', undefined, 25],
    ['shell', 'eat.yieldStressPa', 800, 30_000],
    ['layers', 'work.yieldStressPa', 100, 3000],
    ['sandwich', 'work.yieldStressPa', 150, 3000],
    ['sandwich', 'eat.yieldStressPa', 300, 30_000],
    ['cover', 'work.yieldStressPa', 150, 2500],
    ['roll', 'work.yieldStressPa', 5000, 40_000],
    ['cut', 'work.yieldStressPa', 20_000, 150_000],
    ['whip', 'work.yieldStressPa', 100, 2500],
  ])('%s: %s', (use, key, low, high) => {
    const gate = jobGates(jobOf(use)).find((each) => each.key === key);
    expect(gate?.low).toBe(low);
    expect(gate?.high).toBe(high);
  });

  it('a filling 15 mm deep and 8 cm wide finds its level up to 8.46 Pa: 1150 · 9.81 · 0.015 · 0.002 / 0.04', () => {
    expect(jobGates(jobOf('tart'))[1]?.high).toBe(8.46);
  });

  it('a pool twice as wide and as deep: a quarter of the viscosity, half of the yield stress', () => {
    const [viscosity, stress] = jobGates(jobOf('pool', { mm: 2.36, sizes: { diameter: 36 } }));
    expect(viscosity).toMatchObject({ low: 0.02, high: 0.15 });
    expect(stress?.high).toBe(2);
  });

  it('a border 1.8 cm wide goes through 18 mm', () => {
    const border = jobOf('pipe', { portion: 'border', sizes: { length: 60, width: 1.8 }, mm: 15 });
    expect((jobGates(border)[0]?.high ?? 0) / 5310).toBeCloseTo(1, 2);
  });
});

describe('how long, and where', () => {
  it('above 26 °C it is poured fresh, up to there it has rested a day', () => {
    expect(jobHistory(jobOf('coat', { workC: 27 }), 'work', 22)).toEqual([[0.3, 27]]);
    expect(jobHistory(jobOf('coat', { workC: 26 }), 'work', 22)).toEqual([[24, 26]]);
  });

  it('the fridge is at 4 °C, the case at 6 °C, the kitchen at its own; what comes out stands an hour', () => {
    const eaten = (place: 'fridge' | 'case' | 'kitchen') =>
      jobHistory(jobOf('coat', { place, hours: 10, eatC: 15 }), 'eat', 23);
    expect(eaten('fridge')).toEqual([
      [10, 4],
      [1, 15],
    ]);
    expect(eaten('case')[0]).toEqual([10, 6]);
    expect(eaten('kitchen')[0]).toEqual([10, 23]);
  });
});

describe('grams on paper', () => {
  it('seven dots of 1.5 cm, a quarter as high: 7 · π · 1.5² · 0.375 / 6 = 3.09 ml', () => {
    expect(portionGrams('dots', { dots: 7, diameter: 1.5 }, 2.4, false, 1000)).toBeCloseTo(3.09, 2);
  });

  it('a line of 20 cm, 0.6 cm wide and half as high: π · 0.6 · 0.3 · 20 / 4 = 2.83 ml', () => {
    expect(portionGrams('line', { length: 20, width: 0.6 }, 2.4, false, 1000)).toBeCloseTo(2.83, 2);
  });

  it('a scoop of 5.5 cm with 1 mm over two thirds of it: 2/3 · π · 5.5² · 0.1 = 6.34 ml', () => {
    expect(portionGrams('scoop', { diameter: 5.5 }, 1, false, 1000)).toBeCloseTo(6.34, 2);
  });

  it('a swirl 3.5 cm wide and 3 cm high: 1.35 · π · 3.5² · 3 / 12 = 12.99 ml', () => {
    expect(portionGrams('swirl', { diameter: 3.5, nozzle: 10 }, 30, false, 1000)).toBeCloseTo(12.99, 2);
  });

  it.each<[JobUse, number]>([
    ['coat', 1 / 9],
    ['glaze', 2 / 3],
    ['nap', 1 / 3],
    ['dip', 1 / 19],
    ['roll', 1 / 24],
  ])('%s: what runs off, for each gram that stays', (use, part) => {
    const [lost] = sized(use, { count: 3, caught: false }).jobs;
    expect((lost?.runOffG ?? 0) / (lost?.usedG ?? 1)).toBeCloseTo(part, 9);
    const [caught] = sized(use, { count: 3, caught: true }).jobs;
    expect((caught?.runOffG ?? 0) / (caught?.eachG ?? 1), 'caught, it is needed once').toBeCloseTo(part, 9);
  });

  it('a pan of 24 cm holds half of 5.97 l: 3434 g, and 5494 g where nothing boils', () => {
    expect(panHolds({ ...USUAL_MAKING, panCm: 24 })).toBeCloseTo(3434, 0);
    expect(panHolds({ ...USUAL_MAKING, panCm: 24, heat: 'none' })).toBeCloseTo(5494, 0);
  });

  it('a simmer boils off what three tenths of the power at a full boil do, minute for minute', () => {
    const boil = boiledOffInPan({ ...USUAL_MAKING, heat: 'boil', powerW: 2000 }, 1);
    const simmer = boiledOffInPan({ ...USUAL_MAKING, heat: 'simmer', powerW: 2000 }, 1);
    const lowBoil = boiledOffInPan({ ...USUAL_MAKING, heat: 'boil', powerW: 600 }, 1);
    expect(simmer).toBeCloseTo(lowBoil, 9);
    expect(boiledOffInPan({ ...USUAL_MAKING, heat: 'simmer' }, 10)).toBeCloseTo(10 * simmer, 9);
    expect(boil).toBeGreaterThan(simmer);
  });

  it('a kilogram by weight, 3 % in the bowl, 5 % in reserve, nothing boiled: 1082.5 g, give or take 79 g', () => {
    const size = sized('whip', { count: 100, portion: 'grams', sizes: { each: 10 } }, { heat: 'none' });
    expect(size.finishedG).toBeCloseTo(1050 / 0.97, 6);
    // 1.2816 · √((0.06 · 1000)² + (0.4 · 32.47)²)
    expect(size.doubtG).toBeCloseTo(78.7, 0);
  });

  it('where a hundred grams boil off, a quarter of them is in doubt', () => {
    const size = sized('whip', { count: 100, portion: 'grams', sizes: { each: 10 } }, { bowlPercent: 0 });
    const boiled = size.evaporationG;
    expect(size.doubtG).toBeCloseTo(1.2816 * Math.hypot(60, 0.25 * boiled), 2);
  });
});

describe('wishes', () => {
  const wished = (wishes: Parameters<typeof briefOf>[1]) =>
    briefTargets(briefOf([jobOf('nap')], wishes), 25).gates.find(({ job }) => job === undefined)?.gate;

  it.each([
    ['satin', 40],
    ['high', 60],
  ] as const)('%s shine is %d and up', (shine, low) => {
    expect(wished({ wishes: { shine } })).toMatchObject({ quantity: 'shine', low });
  });

  it.each([
    ['bitter', undefined, 0.38],
    ['balanced', 0.32, 0.52],
    ['sweet', 0.5, 1],
  ] as const)('%s lies between %s and %s', (taste, low, high) => {
    expect(wished({ wishes: { taste } })).toMatchObject({ quantity: 'tasteBalance', low, high });
  });

  it.each([
    ['fridge', 4, undefined],
    ['fridge', 10, 0.93],
    ['fridge', 30, 0.9],
    ['fridge', 31, 0.85],
    ['room', 1, undefined],
    ['room', 28, 0.85],
    ['room', 29, 0.8],
  ] as const)('to keep in the %s for %d days: water activity up to %s', (keepIn, keepDays, high) => {
    expect(wished({ wishes: { keepIn, keepDays } })?.high).toBe(high);
  });
});

describe('what excludes each other', () => {
  const at = (name: string, temperatureC: number) => ({ name, temperatureC, history: [[24, temperatureC]] as const });
  const found = (warmer: Gate, colder: Gate) =>
    exclusions({
      moments: [at('warm', 22), at('cold', 20)],
      gates: [{ gate: warmer }, { gate: colder }],
      asked: [],
    }).map(({ kind }) => kind);

  it('over 2 °C nothing stiffens more than e^4.3 = 74 times, from four times a yield stress of 10 Pa: to 2948 Pa', () => {
    const warm: Gate = { moment: 'warm', quantity: 'yieldStressPa', high: 10 };
    expect(found(warm, { moment: 'cold', quantity: 'yieldStressPa', low: 2900 })).toEqual([]);
    expect(found(warm, { moment: 'cold', quantity: 'yieldStressPa', low: 3000 })).toEqual(['tooSteep']);
  });

  it('2 Pa·s warm are 20 Pa at a slow stir, which four times 4 Pa of yield stress never are, and four times 6 Pa may be', () => {
    const warm: Gate = { moment: 'warm', quantity: 'apparentViscosityPaS', low: 2 };
    expect(found(warm, { moment: 'cold', quantity: 'yieldStressPa', high: 4 })).toEqual(['colderThinner']);
    expect(found(warm, { moment: 'cold', quantity: 'yieldStressPa', high: 6 })).toEqual([]);
  });
});
