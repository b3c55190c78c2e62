import { describe, expect, it } from 'vitest';
import { carryEdits } from '@/core/method/carry-edits';
import { timesOf } from '@/core/method/hands';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { preparationOf } from '@/core/method/preparation';
import { usualOrder } from '@/core/method/propose';
import { methodRows } from '@/core/method/rows';
import type { MethodStep, WayId } from '@/core/method/step';
import { utensilsOf } from '@/core/method/utensils';
import { summariseWay } from '@/core/method/way-summary';
import { methodInKitchen } from '@/core/method/ways/in-kitchen';
import { predictFormula } from '@/core/predict/predict-formula';
import { resolveFormula } from '@/formats/resolve-formula';
import { rowHints } from '@/kitchen/method/row-hints';
import { withMethod } from '@/kitchen/method/with-method';
import { workFile } from '@/kitchen/method/work-method';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';

const POUR_C = 35;
const demo = (name: string) => {
  const file = lanternMillFormulas().find((each) => each.name === name);
  if (!file) throw new Error(name);
  const formula = resolveFormula(file, larder, 'standard');
  return { file, formula, rows: methodRows(formula.lines, rowHints(file.lines)) };
};
const { file, formula, rows } = demo('Feast day gloss');
const tried = (way: WayId) => {
  const found = methodInKitchen(way, rows, POUR_C, USUAL_METHOD_KITCHEN);
  if (!found) throw new Error(way);
  return found;
};

describe('before the clock starts', () => {
  it('each row is weighed, and what is chopped takes its time by weight and size', () => {
    const { followed } = tried('pouredOver');
    const callets = preparationOf(rows, followed);
    expect(callets.weighS).toBe(20 * formula.lines.filter(({ grams }) => grams > 0).length);
    const chocolate = rows.of('chocolate');
    const as = (size: 'grated' | 'choppedFine' | 'callets') =>
      preparationOf(
        methodRows(
          formula.lines,
          formula.lines.map((_, row) => (chocolate.includes(row) ? { size } : {})),
        ),
        followed,
      );
    expect(as('grated').knifeS).toBeGreaterThan(as('choppedFine').knifeS);
    expect(as('choppedFine').knifeS).toBeGreaterThan(as('callets').knifeS);
    expect(as('choppedFine').cutRows).toEqual(expect.arrayContaining([...chocolate]));
  });

  it('an empty pan needs nothing', () => {
    expect(preparationOf(methodRows([]), [])).toEqual({ weighS: 0, knifeS: 0, cutRows: [] });
    expect(utensilsOf([], false)).toEqual([]);
  });
});

describe('ways side by side', () => {
  it('names the vessels of each way, read off its steps', () => {
    expect(utensilsOf(tried('microwave').followed, false)).not.toContain('pan');
    expect(utensilsOf(tried('microwave').followed, false)).toContain('microwave');
    expect(utensilsOf(tried('pouredOver').followed, false)).toEqual(expect.arrayContaining(['pan', 'bowl']));
    expect(utensilsOf(tried('waterBath').followed, true)).toEqual(expect.arrayContaining(['bathPan', 'knife']));
  });

  it('counts hands with weighing, and never more than hands and preparation of the run', () => {
    for (const [way] of usualOrder(rows, POUR_C, { mix: 0.6, isWhipped: false })) {
      const now = tried(way);
      const { handsS, seconds } = summariseWay(formula, rows, now);
      const { weighS, knifeS } = preparationOf(rows, now.followed);
      expect(handsS, way).toBeCloseTo(timesOf(now.followed).handsS + weighS + knifeS, 6);
      expect(handsS - weighS - knifeS, way).toBeLessThanOrEqual(seconds + 1e-6);
    }
  });

  it('tells the flow the bench tells once the way is chosen', () => {
    for (const way of ['pouredOver', 'stickBlender', 'simmered'] as const) {
      const worked = workFile({ ...file, method: { way } }, larder, 'standard');
      if (!worked) throw new Error(way);
      const kept = withMethod(file, worked);
      const bench = predictFormula(resolveFormula(kept, larder, 'standard'));
      const { plateDiameterMm, shine, lostWaterG } = summariseWay(formula, worked.rows, {
        method: { way, steps: [] },
        followed: worked.followed,
        faults: worked.faults,
      });
      const pour = bench?.moments.find(({ plateDiameterMm: mm }) => Math.abs(mm - (plateDiameterMm ?? 0)) < 1e-9);
      expect(pour?.state.shine, way).toBeCloseTo(shine ?? -1, 9);
      expect(lostWaterG).toBeGreaterThanOrEqual(0);
    }
  });

  it('a finer emulsion shines more', () => {
    const shineOf = (way: WayId) => summariseWay(formula, rows, tried(way)).shine ?? 0;
    expect(shineOf('stickBlender')).toBeGreaterThan(shineOf('pouredOver'));
  });

  it('a blender asks to keep air out, bursts to stir', () => {
    expect(summariseWay(formula, rows, tried('microwave')).risk).toBe('hotSpot');
    expect(summariseWay(formula, rows, tried('waterBath')).risk).toBe('waterDrop');
  });
});

describe('what a cook changed', () => {
  const own = tried('pouredOver').method.steps;
  const next = tried('stickBlender').method.steps;
  const edited = (kind: MethodStep['kind'], change: Partial<MethodStep>) =>
    own.map((step) => (step.kind === kind ? { ...step, ...change } : step));

  it('goes along to the step of the same kind', () => {
    const { steps, carried, dropped } = carryEdits(own, edited('pourOver', { note: 'white bowl' }), next);
    expect(steps.find(({ kind }) => kind === 'pourOver')?.note).toBe('white bowl');
    expect([carried, dropped]).toEqual([1, 0]);
    expect(steps.filter(({ kind }) => kind !== 'pourOver')).toEqual(next.filter(({ kind }) => kind !== 'pourOver'));
  });

  it('is counted where it finds no place: a step of its own, an end of another kind', () => {
    const strain: MethodStep = { kind: 'strain', where: 'bowl', adds: [], stir: 0, cover: 0, end: { kind: 'melted' } };
    const simmered = tried('simmered').method.steps;
    expect(carryEdits(own, [...own, strain], simmered)).toMatchObject({ steps: simmered, carried: 0, dropped: 1 });
    const soft = edited('pourOver', { end: { kind: 'temperature', temperatureC: 50 } });
    const seconds = next.map((step) =>
      step.kind === 'pourOver' ? { ...step, end: { kind: 'seconds', seconds: 90 } as const } : step,
    );
    expect(carryEdits(own, soft, seconds)).toMatchObject({ steps: seconds, dropped: 1 });
  });

  it('nothing changed carries nothing', () => {
    expect(carryEdits(own, own, next)).toEqual({ steps: next, carried: 0, dropped: 0 });
  });
});
