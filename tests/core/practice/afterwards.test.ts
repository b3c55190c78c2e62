import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMPONENT_INDEX, compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { roleOfRow } from '@/core/method/row-role';
import { pourGate, resistanceAt } from '@/core/practice/as-meant';
import { drawExercise, nearestStep, type Tomorrow, truthOf } from '@/core/practice/exercises';
import {
  batchOf,
  hiddenPan,
  type PracticeBase,
  STILL_DISTURBANCE,
  UNDISTURBED,
  withCocoa,
} from '@/core/practice/hidden-pan';
import { mend } from '@/core/practice/judge';
import { leastFix, leastOf } from '@/core/practice/least-fix';
import { likelySteps } from '@/core/practice/likely-steps';
import { stateAt } from '@/core/predict/state';
import { larder } from '../../support/kitchen';

const gramOf = (id: string) => {
  const item = larder.get(id);
  if (!item) throw new Error(`${id} is not in the larder`);
  return compositionVector(item.components);
};
const GANACHE: PracticeBase = {
  rows: (
    [
      ['cream-35', 200],
      ['dark-couverture-60', 200],
      ['butter-unsalted-82', 20],
    ] as const
  ).map(([id, grams]) => ({ name: id, role: roleOfRow(gramOf(id)), perGram: gramOf(id), grams })),
  process: DEFAULT_PROCESS,
  pourC: 36,
  eatC: 5,
  hours: 12,
};
const tomorrows = Array.from({ length: 60 }, (_, i) => drawExercise('tomorrow', GANACHE, 300 + i)).filter(
  (each): each is Extract<typeof each, Tomorrow> => each?.kind === 'tomorrow',
);
const sum = (values: Iterable<number>) => [...values].reduce((all, each) => all + each, 0);

/** The same pan with more of one row in it. */
function withMore(pan: ReturnType<typeof hiddenPan>, row: number, grams: number) {
  const perGram = GANACHE.rows[row]?.perGram ?? [];
  const components = pan.components.map((each, i) => each + grams * (perGram[i] ?? 0));
  return { ...pan, components, batch: batchOf(GANACHE, components, pan.lnKitchen) };
}

describe('a chocolate beside the one that was meant', () => {
  it('keeps its mass and its share of butter, and nothing falls below none', () => {
    const dark = gramOf('dark-couverture-60');
    fc.assert(
      fc.property(fc.double({ min: -1, max: 1, noNaN: true }), (more) => {
        const other = withCocoa(dark, more);
        expect(sum(other)).toBeCloseTo(sum(dark), 9);
        expect(Math.min(...other)).toBeGreaterThanOrEqual(-1e-12);
        const share = (of: typeof dark) =>
          (of[COMPONENT_INDEX.cocoa_butter] ?? 0) * (dark[COMPONENT_INDEX.cocoa_solids] ?? 0) -
          (of[COMPONENT_INDEX.cocoa_solids] ?? 0) * (dark[COMPONENT_INDEX.cocoa_butter] ?? 0);
        expect(share(other)).toBeCloseTo(0, 9);
      }),
    );
    const more = withCocoa(dark, 0.1);
    expect((dark[COMPONENT_INDEX.sucrose] ?? 0) - (more[COMPONENT_INDEX.sucrose] ?? 0)).toBeCloseTo(0.1, 9);
  });

  it('pours thicker with more cocoa, and leaves cream alone', () => {
    const plain = resistanceAt(hiddenPan(GANACHE, 4, UNDISTURBED), 36);
    const others = [1, 2, 3, 4, 5, 6].map((seed) => hiddenPan(GANACHE, seed, { ...UNDISTURBED, cocoa: 0.05 }));
    expect(new Set(others.map(({ cocoaOff }) => Math.sign(cocoaOff)))).toEqual(new Set([-1, 1]));
    for (const other of others) expect(resistanceAt(other, 36) > plain).toBe(other.cocoaOff > 0);
    expect(withCocoa(gramOf('cream-35'), 0.1)).toEqual(gramOf('cream-35'));
  });
});

describe('where it is looked at again', () => {
  it('on the plate, in a room, on a side; hot and warm, as the seeds go', () => {
    expect(new Set(tomorrows.map(({ where }) => where))).toEqual(new Set(['eaten', 'room', 'side']));
    expect(new Set(tomorrows.map(({ atC }) => atC)).size).toBeGreaterThan(2);
    for (const each of tomorrows) {
      expect(each.atC).toBeGreaterThanOrEqual(GANACHE.pourC - 10);
      expect(each.atC).toBeLessThanOrEqual(75);
      expect(each.truth).toBe(truthOf(each));
      if (each.where === 'eaten') expect([each.thenC, each.hours]).toEqual([5, 12]);
      if (each.where === 'room') expect(each.hours).toBe(20);
    }
    const rooms = new Set(tomorrows.filter(({ where }) => where === 'room').map(({ thenC }) => thenC));
    expect(rooms.size).toBeGreaterThan(2);
    expect(Math.min(...rooms)).toBeGreaterThanOrEqual(18);
    expect(Math.max(...rooms)).toBeLessThanOrEqual(28);
  });

  it('a warm room leaves it softer than a fridge', () => {
    const [one] = tomorrows;
    if (!one) throw new Error('none drawn');
    const at = (thenC: number) => truthOf({ ...one, where: 'room', thenC, hours: 20 });
    expect(at(28)).toBeLessThan(at(22));
    expect(at(22)).toBeLessThan(at(5));
  });
});

describe('how sure one could be', () => {
  it('parts of one, and what was true is likely as often as they say', () => {
    let [believed, hits, told] = [0, 0, 0];
    for (const exercise of tomorrows) {
      const likely = likelySteps(exercise);
      if (!likely) continue;
      expect(sum(likely)).toBeCloseTo(1, 9);
      const top = likely.indexOf(Math.max(...likely));
      believed += Math.max(...likely);
      hits += top === nearestStep(exercise.truth, exercise.steps) ? 1 : 0;
      told += 1;
    }
    expect(told).toBeGreaterThan(50);
    // Those that are drawn lie clear of the middle between two steps: never less sure than said.
    expect(hits / told).toBeGreaterThanOrEqual(believed / told - 0.03);
  });

  it('two steps are left open where the truth lies between them', () => {
    const eaten = tomorrows.filter(({ where }) => where === 'eaten');
    const open = eaten.map((each) =>
      Math.min(...(likelySteps({ ...each, steps: [each.truth / 3, each.truth * 3] }) ?? [0])),
    );
    expect(sum(open) / open.length).toBeGreaterThan(0.15);
  });

  it('the ring tells much of what a whole batch of pans leaves open', () => {
    const [one] = tomorrows.filter(({ where }) => where === 'eaten');
    if (!one) throw new Error('none drawn');
    const drawn = Array.from({ length: 60 }, (_, i) => {
      const pan = hiddenPan(GANACHE, 7000 + i);
      return { ...one, seed: i, pan, atC: GANACHE.pourC, truth: truthOf({ ...one, pan }) };
    });
    const middle = drawn.map(({ truth }) => truth).toSorted((a, b) => a - b)[30] ?? 1;
    const told = drawn.flatMap((each) => {
      const steps = [middle / 2, middle * 2];
      const likely = likelySteps({ ...each, steps });
      return likely ? [likely[nearestStep(each.truth, steps)] ?? 0] : [];
    });
    expect(told.length).toBeGreaterThan(40);
    // Guessing is right half of the time, a ring read to a centimetre six times in ten.
    expect(sum(told) / told.length).toBeGreaterThan(0.72);
  });

  it('nothing is said of a pan like no other', () => {
    const [one] = tomorrows;
    if (!one) throw new Error('none drawn');
    const odd = hiddenPan(GANACHE, 1, STILL_DISTURBANCE, 'asPlanned', new Map([[0, 3]]));
    expect(likelySteps({ ...one, pan: odd })).toBeUndefined();
  });
});

describe('the least fix', () => {
  const thick = hiddenPan(GANACHE, 2, STILL_DISTURBANCE, 'shortLiquid');

  it('brings the pan to the edge of what is right, and less does not', () => {
    const fix = leastFix(thick);
    if (!fix || fix === 'right') throw new Error('it has to be mended');
    const { low, high } = pourGate(GANACHE);
    const poursWith = (part: number) => resistanceAt(withMore(thick, fix.row, part * fix.grams), GANACHE.pourC);
    expect(resistanceAt(thick, GANACHE.pourC)).toBeGreaterThan(high);
    expect(poursWith(1.001)).toBeLessThanOrEqual(high);
    expect(poursWith(1.001)).toBeGreaterThan(low);
    expect(poursWith(0.97)).toBeGreaterThan(high);
    for (const row of [0, 1, 2]) {
      const other = leastOf(thick, GANACHE.pourC, { low, high }, row);
      if (other !== undefined) expect(other).toBeGreaterThanOrEqual(fix.grams);
    }
  });

  it('is nothing where it pours right, and chocolate does not thin', () => {
    expect(leastFix(hiddenPan(GANACHE, 1, UNDISTURBED))).toBe('right');
    expect(leastOf(thick, GANACHE.pourC, pourGate(GANACHE), 1)).toBeUndefined();
  });

  it('tells what a fix does once it has set', () => {
    const exercise = drawExercise('mend', GANACHE, 8);
    if (exercise?.kind !== 'mend') throw new Error('nothing to mend');
    const set = (pan: Pick<typeof exercise.pan, 'batch'>) => stateAt(pan.batch, 5, [[12, 5]]).flow.resistancePa;
    const none = mend(exercise, { kind: 'mend', row: 0, grams: 0, portions: 1 });
    expect(none.setPa.after).toBeCloseTo(set(exercise.pan), 6);
    expect(none.setPa.meant).toBeCloseTo(set(hiddenPan(GANACHE, 1, UNDISTURBED)), 6);
    const drowned = mend({ ...exercise, low: 0, high: 0 }, { kind: 'mend', row: 0, grams: 80, portions: 4 });
    expect(drowned.after).toHaveLength(3);
    expect(drowned.setPa.after).toBeCloseTo(set(withMore(exercise.pan, 0, 80)), 6);
    expect(drowned.setPa.after).toBeLessThan(none.setPa.after);
  });
});
