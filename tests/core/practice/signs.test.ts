import { describe, expect, it } from 'vitest';
import { compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { roleOfRow } from '@/core/method/row-role';
import { drawExercise, type Exercise, type ExerciseKind } from '@/core/practice/exercises';
import { CAUSES, hiddenPan, type PracticeBase, UNDISTURBED } from '@/core/practice/hidden-pan';
import { judge, mend } from '@/core/practice/judge';
import { eyeOf, nextKind } from '@/core/practice/learner';
import { lineLeft, runAfter } from '@/core/practice/levelling';
import { observe } from '@/core/practice/observe';
import { stateAt } from '@/core/predict/state';
import { larder } from '../../support/kitchen';

const baseOf = (rows: readonly (readonly [string, number])[]): PracticeBase => ({
  rows: rows.map(([id, grams]) => {
    const item = larder.get(id);
    if (!item) throw new Error(`${id} is not in the larder`);
    const perGram = compositionVector(item.components);
    return { name: id, role: roleOfRow(perGram), perGram, grams };
  }),
  process: DEFAULT_PROCESS,
  pourC: 38,
  eatC: 5,
  hours: 12,
});
const base = baseOf([
  ['cream-35', 210],
  ['dark-couverture-60', 200],
  ['sugar-granulated', 20],
]);
/** One whose ring hardly spreads, and one to which a third of its milk makes little difference. */
const FIRM = baseOf([
  ['cream-35', 150],
  ['dark-couverture-64', 235],
]);
const THIN = baseOf([
  ['milk-whole', 300],
  ['dark-couverture-60', 40],
]);
const SEEDS = Array.from({ length: 400 }, (_, i) => i + 1);
const STILL = UNDISTURBED;
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;
const spread = (values: readonly number[]) => Math.sqrt(mean(values.map((each) => (each - mean(values)) ** 2)));
const drawn = <Kind extends ExerciseKind>(kind: Kind, count: number) =>
  [base, FIRM, THIN]
    .flatMap((of) => Array.from({ length: count }, (_, i) => drawExercise(kind, of, 50 + i)))
    .filter((each): each is Extract<Exercise, { kind: Kind }> => each?.kind === kind);

describe('how a pan is disturbed', () => {
  it('cups by a tenth, water by up to 15 %, the kitchen by about a fifth', () => {
    const pans = SEEDS.map((seed) => hiddenPan(base, seed));
    expect(spread(pans.map(({ grams }) => Math.log((grams[0] ?? 0) / 210)))).toBeCloseTo(0.1, 1.5);
    expect(spread(pans.map(({ lnKitchen }) => lnKitchen))).toBeGreaterThan(0.18);
    expect(spread(pans.map(({ lnKitchen }) => lnKitchen))).toBeLessThan(0.26);
    expect(spread(pans.map(({ cocoaOff }) => cocoaOff))).toBeCloseTo(0.03, 2);
    const lost = pans.map(({ lostWaterG, batch }) => lostWaterG / (lostWaterG + batch.mixture.waterG));
    expect(Math.max(...lost)).toBeGreaterThan(0.13);
    expect(Math.max(...lost)).toBeLessThanOrEqual(0.15);
    expect(mean(lost)).toBeCloseTo(0.075, 1.5);
  });

  it('the kitchen is off by the same warm and cold', () => {
    const [plain, off] = [hiddenPan(base, 3, STILL), hiddenPan(base, 3, { ...STILL, kitchen: 0.3 })];
    expect(Math.abs(off.lnKitchen)).toBeGreaterThan(0.01);
    const fat = (pan: typeof plain) => stateAt(pan.batch, 5, [[12, 5]]).flow.fatYieldPa;
    expect(Math.log(fat(off) / fat(plain))).toBeCloseTo(off.lnKitchen, 2);
    const warm = (pan: typeof plain) => stateAt(pan.batch, 38, usualHistory(38)).flow.plasticViscosityPaS;
    expect(Math.log(warm(off) / warm(plain))).toBeCloseTo(off.lnKitchen, 2);
  });

  it('each cause does what it says and nothing else', () => {
    const of = (cause: (typeof CAUSES)[number]) => hiddenPan(base, 9, STILL, cause);
    expect(of('shortLiquid').grams).toEqual([0.72 * 210, 200, 20]);
    for (const cause of CAUSES) if (cause !== 'shortLiquid') expect(of(cause).grams).toEqual([210, 200, 20]);
    const water = of('asPlanned').batch.mixture.waterG;
    expect(of('boiledLong').lostWaterG / water).toBeCloseTo(0.3, 2);
    expect(of('asPlanned').lostWaterG).toBe(0);
  });
});

describe('what is seen', () => {
  it('a dried rim after long boiling and never without', () => {
    const seen = (cause: (typeof CAUSES)[number]) => observe(hiddenPan(base, 5, STILL, cause), 38);
    expect(CAUSES.filter((cause) => seen(cause).driedRim)).toEqual(['boiledLong']);
    expect(CAUSES.filter((cause) => seen(cause).grit === 'sandy')).toEqual(['sugarLate']);
    expect(CAUSES.filter((cause) => seen(cause).grit === 'flecks')).toEqual(['notHot']);
    // A few per cent of water leave no rim.
    expect(observe({ ...hiddenPan(base, 5, STILL), lostWaterG: 4 }, 38).driedRim).toBe(false);
  });

  it('a ribbon by its resistance', () => {
    const pan = hiddenPan(base, 5, STILL);
    const found = new Set<string>();
    for (let t = 70; t >= 18; t -= 1) {
      const { resistancePa } = stateAt(pan.batch, t, usualHistory(t)).flow;
      const by = resistancePa < 2 ? 'runs' : resistancePa < 12 ? 'falls' : resistancePa < 60 ? 'lies' : 'mounds';
      expect(observe(pan, t).ribbon).toBe(by);
      found.add(by);
    }
    expect(found.size).toBeGreaterThanOrEqual(3);
  });

  it('a skin once it has stood a quarter of an hour', () => {
    const pan = hiddenPan(base, 5, STILL);
    expect([5, 13, 15].map((stoodMin) => observe({ ...pan, stoodMin }, 38).hasSkin)).toEqual([false, false, true]);
  });

  it('a line levels and an edge runs as fast as the formulas say', () => {
    const oil = { plasticViscosityPaS: 10, yieldStressPa: 0, densityKgM3: 1000 };
    // 2 x 10 Pa·s x (2 pi / 2 cm) / (1000 kg/m³ g) = 0.641 s to an e-th.
    expect(lineLeft(oil, 0.6407)).toBeCloseTo(Math.exp(-1), 3);
    // 1000 g sin 14° (6 mm)² / (3 x 10 Pa·s) = 2.85 mm/s.
    expect(runAfter(oil, 14, 1)).toBeCloseTo(2.847, 2);
  });
});

describe('what is drawn can be told', () => {
  it('answers lie clear of the middle between two words, and rings spread', () => {
    const all = drawn('tomorrow', 60);
    expect(all.length).toBeGreaterThan(20);
    for (const { truth, steps, pan, atC } of all) {
      const edges = steps.slice(1).map((step, i) => Math.sqrt(step * (steps[i] ?? step)));
      const half = Math.log((steps[1] ?? 1) / (steps[0] ?? 1)) / 2;
      // Nearly half of the way from the middle to the word, at least.
      for (const edge of edges) expect(Math.abs(Math.log(truth / edge)) / half).toBeGreaterThan(0.47);
      expect(observe(pan, atC).ringMm).toBeGreaterThanOrEqual(57);
    }
  });

  it('what is to be mended is far off, and two pans differ by a good half', () => {
    const at = (pan: ReturnType<typeof hiddenPan>) => stateAt(pan.batch, 38, usualHistory(38)).flow.resistancePa;
    for (const { pan, atC, low, high } of drawn('mend', 40)) {
      expect(Math.abs(Math.log(at(pan) / Math.sqrt(low * high)))).toBeGreaterThanOrEqual(Math.log(1.69));
      expect(observe(pan, atC).ringMm).toBeGreaterThanOrEqual(57);
    }
    for (const { pans, atC } of drawn('which', 40)) {
      expect(Math.abs(Math.log(at(pans[0]) / at(pans[1])))).toBeGreaterThanOrEqual(Math.log(1.59));
      for (const [i, pan] of pans.entries()) expect(observe(pan, atC[i] ?? 38).ringMm).toBeGreaterThanOrEqual(57);
    }
  });
});

describe('how far a call was off', () => {
  it('in tens of degrees, and in ln of what it takes', () => {
    const [cooling] = drawn('when', 1);
    if (!cooling) throw new Error('it cools');
    expect(judge(cooling, { kind: 'when', temperatureC: 48 }).miss).toBeCloseTo(1, 9);
    const [off] = drawn('mend', 5);
    if (!off) throw new Error('it is to be mended');
    const row = off.choices.find((place) => mend(off, { kind: 'mend', row: place, grams: 1, portions: 1 }).leastG) ?? 0;
    const { leastG = 0 } = mend(off, { kind: 'mend', row, grams: 1, portions: 1 });
    const miss = (times: number) => judge(off, { kind: 'mend', row, grams: times * leastG, portions: 1 }).miss;
    expect(miss(2)).toBeCloseTo(Math.log(2), 6);
    expect(miss(0.5)).toBeCloseTo(-Math.log(2), 6);
  });

  it('the spread of an eye is what the signs do not explain', () => {
    const calls = Array.from({ length: 2000 }, (_, i) => (i % 2 === 0 ? 0.5 : -0.5));
    // 0.5² less the 0.25² of the signs.
    expect(eyeOf(calls).spread).toBeCloseTo(Math.sqrt(0.25 - 0.0625), 2);
  });

  it('what was right four times over waits longer than what was right once', () => {
    const right = (kind: ExerciseKind, times: number) => Array.from({ length: times }, () => ({ kind, isRight: true }));
    const tries = [...right('why', 4), ...right('mend', 1), ...right('which', 2)];
    expect(nextKind(['why', 'mend'], tries)).toBe('mend');
  });
});
