import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { roleOfRow } from '@/core/method/row-role';
import { resistanceAt } from '@/core/practice/as-meant';
import { drawExercise, EXERCISE_KINDS, type Exercise, type ExerciseKind, nearestStep } from '@/core/practice/exercises';
import type { PracticeBase } from '@/core/practice/hidden-pan';
import { judge, mend } from '@/core/practice/judge';
import { eyeByWarmth, eyeOf, nextKind, warmthOf } from '@/core/practice/learner';
import { lineLeft, runAfter, spreadAfter } from '@/core/practice/levelling';
import { normalNumbers, seededNumbers } from '@/core/random';
import { larder } from '../../support/kitchen';
import { callBy, manyExercises, OBSERVERS } from '../../support/practice-observers';

const base = (rows: readonly (readonly [string, number])[], pourC = 36): PracticeBase => ({
  rows: rows.map(([id, grams]) => {
    const perGram = compositionVector(nothingMissing(larder.get(id)).components);
    return { name: id, role: roleOfRow(perGram), perGram, grams };
  }),
  process: DEFAULT_PROCESS,
  pourC,
  eatC: 5,
  hours: 12,
});
/** Ingredients are there, or the test is wrong. */
function nothingMissing<Item>(item: Item | undefined): Item {
  if (item === undefined) throw new Error('not in the larder');
  return item;
}

const GANACHE = base([
  ['cream-35', 200],
  ['dark-couverture-60', 200],
]);
const SAUCE = base(
  [
    ['cream-35', 240],
    ['dark-couverture-70', 120],
    ['sugar-granulated', 40],
    ['butter-unsalted-82', 25],
  ],
  45,
);
const FIRM = base(
  [
    ['cream-35', 165],
    ['dark-couverture-64', 220],
    ['butter-unsalted-82', 30],
  ],
  40,
);
const BASES = [GANACHE, SAUCE, FIRM];

/** Exercises of a kind over all bases. */
function many(kind: ExerciseKind, count: number): Exercise[] {
  return Array.from({ length: count }, (_, i) =>
    drawExercise(kind, BASES[i % BASES.length] ?? GANACHE, 100 + i),
  ).filter((each) => each !== undefined);
}

describe('a fair draw', () => {
  it.each(EXERCISE_KINDS)(
    '%s: who looks and knows is right, who does not look or goes by the warm look is not',
    (kind) => {
      const right = { ideal: 0, blind: 0, warmLook: 0 };
      let asked = 0;
      for (const base of BASES) {
        const met = manyExercises(kind, base, 130, 1000);
        for (const exercise of met.slice(0, 14)) {
          asked++;
          for (const observer of OBSERVERS) {
            if (judge(exercise, callBy(observer, exercise, met)).isRight) right[observer]++;
          }
        }
      }
      expect(asked).toBeGreaterThan(25);
      expect(right.ideal / asked, 'ideal').toBeGreaterThanOrEqual(0.85);
      expect(right.blind / asked, 'blind').toBeLessThanOrEqual(0.55);
      expect(right.warmLook / asked, 'by the warm look').toBeLessThanOrEqual(0.6);
    },
  );

  it('many small portions of the right row do not always win: a few, uneven, and the last may be too much', () => {
    const drawn = many('mend', 60).filter((each) => each.kind === 'mend');
    const wins = drawn.filter((exercise) => {
      const isThick = resistanceAt(exercise.pan, exercise.pan.base.pourC) > exercise.high;
      const row = exercise.choices.find((i) => (exercise.pan.base.rows[i]?.role === 'liquid') === isThick) ?? 0;
      return judge(exercise, { kind: 'mend', row, grams: 240, portions: 12 }).isRight;
    });
    expect(wins.length / drawn.length).toBeLessThan(0.6);
  });

  it('the same seed draws the same exercise, another one another', () => {
    for (const kind of EXERCISE_KINDS) {
      const [one, again, other] = [11, 11, 12].map((seed) => drawExercise(kind, GANACHE, seed));
      expect(again).toEqual(one);
      expect(other).not.toEqual(one);
    }
  });

  it('has none where there is nothing to practise', () => {
    const butter = base([['cocoa-butter', 100]]);
    expect(drawExercise('mend', butter, 1)).toBeUndefined();
  });
});

describe('the judge', () => {
  it('counts too much and too little of the same size the same', () => {
    for (const exercise of many('tomorrow', 30)) {
      if (exercise.kind !== 'tomorrow') continue;
      const right = nearestStep(exercise.truth, exercise.steps);
      for (const step of exercise.steps.keys()) {
        expect(judge(exercise, { kind: 'tomorrow', step }).isRight).toBe(step === right);
      }
      const miss = (pa: number) => Math.log(pa / exercise.truth);
      expect(miss(exercise.truth * 3)).toBeCloseTo(-miss(exercise.truth / 3), 12);
    }
  });

  it('notes how warm the pan was where a call has a size, and nothing where it has none', () => {
    const ofKind = (kind: ExerciseKind) => manyExercises(kind, GANACHE, 40, 3);
    const sized = [...ofKind('tomorrow'), ...ofKind('mend'), ...ofKind('when')];
    for (const exercise of sized) {
      const { called, panC } = judge(exercise, callBy('ideal', exercise, sized));
      if (called === undefined) continue;
      if (exercise.kind === 'when') expect(panC).toBe(exercise.pan.base.pourC);
      else expect(panC).toBe('atC' in exercise ? exercise.atC : undefined);
    }
    const plain = [...ofKind('which'), ...ofKind('why'), ...ofKind('spoon')];
    for (const exercise of plain) {
      expect(judge(exercise, callBy('ideal', exercise, plain)).panC).toBeUndefined();
    }
  });

  it('a fix of the least grams is in its gate, and a cook stops there', () => {
    for (const exercise of many('mend', 30)) {
      if (exercise.kind !== 'mend') continue;
      const row = exercise.choices[0] ?? 0;
      const { leastG } = mend(exercise, { kind: 'mend', row, grams: 1, portions: 1 });
      if (leastG === undefined) continue;
      const done = mend(exercise, { kind: 'mend', row, grams: 1.05 * leastG, portions: 1 });
      expect(done.isInGate).toBe(true);
      const inThree = mend(exercise, { kind: 'mend', row, grams: 1.05 * leastG, portions: 12 });
      expect(inThree.isInGate).toBe(true);
      expect(inThree.after.length).toBeLessThanOrEqual(3);
    }
  });

  it('refuses a call of another exercise', () => {
    const [exercise] = many('why', 1);
    expect(() => exercise && judge(exercise, { kind: 'which', pan: 0 })).toThrow(RangeError);
  });
});

/** What the signs leave open, ln. */
const SIGNS_SD = 0.25;

describe('the eye of a learner', () => {
  it('is found again from simulated calls, and drawn towards none while there are few', () => {
    const normal = normalNumbers(seededNumbers(3));
    for (const [bias, spread] of [
      [0.6, 0.5],
      [-0.4, 0.9],
      [0, 0.3],
    ] as const) {
      // What the signs themselves leave open is in every call, and is no fault of the eye.
      const calls = (count: number) =>
        Array.from({ length: count }, () => bias + spread * normal() + SIGNS_SD * normal());
      const sure = eyeOf(calls(400));
      expect(sure.bias).toBeCloseTo(bias, 0);
      expect(Math.abs(sure.bias - bias)).toBeLessThan(4 * sure.biasSd + 0.02);
      expect(sure.spread).toBeGreaterThan(0.6 * spread);
      expect(sure.spread).toBeLessThan(1.3 * spread + 0.1);
    }
    expect(eyeOf([])).toMatchObject({ tries: 0, bias: 0 });
    expect(Math.abs(eyeOf([1]).bias)).toBeLessThan(0.5);
    expect(eyeOf([1, 1, 1, 1, 1]).bias).toBeGreaterThan(eyeOf([1]).bias);
  });

  it('differs between hot and cool pans, and is drawn towards all of them while there are few', () => {
    const normal = normalNumbers(seededNumbers(5));
    const call = (panC: number | undefined, bias: number) => ({
      kind: 'tomorrow' as const,
      isRight: false,
      called: 'cold' as const,
      miss: bias + 0.4 * normal(),
      panC,
    });
    const many = Array.from({ length: 300 }, (_, i) => (i % 2 === 0 ? call(60, -0.8) : call(40, 0.1)));
    const [hot, warm] = eyeByWarmth([...many, call(undefined, 9)], 'cold');
    expect([hot?.[0], warm?.[0]]).toEqual(['hot', 'warm']);
    expect(hot?.[1].bias).toBeCloseTo(-0.8, 0.9);
    expect(warm?.[1].bias).toBeCloseTo(0.1, 0.9);
    expect((hot?.[1].tries ?? 0) + (warm?.[1].tries ?? 0)).toBe(300);
    // One cool pan among hundreds of others says little of cool pans.
    const few = eyeByWarmth([...many, { ...call(20, 0), miss: 2 }], 'cold').find(([warmth]) => warmth === 'cool');
    const all = eyeOf([...many.map(({ miss }) => miss), 2]).bias;
    expect(few?.[1].bias).toBeGreaterThan(all);
    expect(few?.[1].bias).toBeLessThan(all + 0.6);
    expect(eyeByWarmth(many, 'coat')).toEqual([]);
    expect([48, 47.9, 36, 35.9].map(warmthOf)).toEqual(['hot', 'warm', 'warm', 'cool']);
  });

  it('what was wrong comes again at once, what was right later and later', () => {
    const said = (kind: ExerciseKind, isRight: boolean) => ({ kind, isRight });
    expect(nextKind(EXERCISE_KINDS, [])).toBe('tomorrow');
    const all = EXERCISE_KINDS.map((kind) => said(kind, kind !== 'why'));
    expect(nextKind(EXERCISE_KINDS, all)).toBe('tomorrow');
    const later = [...all, said('why', false), said('tomorrow', true), said('mend', true), said('when', true)];
    expect(nextKind(EXERCISE_KINDS, later)).toBe('why');
    // Nobody is left out for ever.
    const tries: { kind: ExerciseKind; isRight: boolean }[] = [];
    for (let i = 0; i < 120; i++) {
      const kind = nextKind(EXERCISE_KINDS, tries);
      tries.push(said(kind, kind !== 'spoon'));
    }
    const counts = EXERCISE_KINDS.map((kind) => tries.filter((each) => each.kind === kind).length);
    expect(Math.min(...counts)).toBeGreaterThan(4);
    expect(Math.max(...counts)).toBe(counts[EXERCISE_KINDS.indexOf('spoon')]);
  });
});

describe('how it moves', () => {
  const moving = fc.record({
    plasticViscosityPaS: fc.double({ min: 0.05, max: 50, noNaN: true }),
    yieldStressPa: fc.double({ min: 0, max: 300, noNaN: true }),
    densityKgM3: fc.double({ min: 950, max: 1300, noNaN: true }),
  });
  const seconds = fc.double({ min: 0, max: 60, noNaN: true });

  it('a line only closes, a puddle only spreads, an edge only runs on', () => {
    fc.assert(
      fc.property(moving, seconds, seconds, (flow, a, b) => {
        const [early, late] = [Math.min(a, b), Math.max(a, b)];
        expect(lineLeft(flow, late)).toBeLessThanOrEqual(lineLeft(flow, early) + 1e-12);
        expect(lineLeft(flow, early)).toBeGreaterThanOrEqual(0);
        expect(lineLeft(flow, 0)).toBeCloseTo(1, 9);
        expect(spreadAfter(flow, late)).toBeGreaterThanOrEqual(spreadAfter(flow, early) - 1e-9);
        expect(runAfter(flow, 12, late)).toBeGreaterThanOrEqual(runAfter(flow, 12, early) - 1e-9);
      }),
    );
  });

  it('a yield stress keeps the line and holds the edge', () => {
    const stiff = { plasticViscosityPaS: 1, yieldStressPa: 400, densityKgM3: 1100 };
    expect(lineLeft(stiff, 60)).toBe(1);
    expect(runAfter(stiff, 12, 60)).toBe(0);
  });
});
