import { describe, expect, it } from 'vitest';
import { briefTargets } from '@/core/brief/brief-gates';
import { exclusions } from '@/core/brief/exclusion';
import { FAMILIES } from '@/core/brief/families';
import { briefSize, planBrief } from '@/core/brief/plan';
import { compareProposals, judge, missOf, type Proposal } from '@/core/brief/proposals';
import { startingPoints } from '@/core/brief/starting-points';
import { bestFor, type Role } from '@/core/brief/stock';
import { costOfLines } from '@/core/formula/formula';
import { predictFormula } from '@/core/predict/predict-formula';
import { isFreeOf, RESTRICTIONS } from '@/core/swap/restrictions';
import { JOB_USES } from '@/core/uses/catalogue';
import { resolveFormula } from '@/formats/resolve-formula';
import { answersTo, type Start } from '@/kitchen/brief/brief-answers';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { briefOf, jobOf } from '../../support/brief';
import { larder } from '../../support/kitchen';

const stock = [...larder.values()];
/** Families a cook would make for a coat. */
const FOR_A_COAT = FAMILIES.filter(({ suits }) => suits.includes('coat'));
const BATCH = { weighedG: 1000, evaporationG: 0 };
const shelf = {
  formulas: lanternMillFormulas().map((file, i) => ({ id: `f${i}`, file })),
  ingredients: stock,
  knowledge: undefined,
};

function lastAnswer(brief: ReturnType<typeof briefOf>, pinned?: string) {
  let last: { starts: readonly Start[]; leftOut: number } = { starts: [], leftOut: 0 };
  let share = 0;
  for (const step of answersTo({ brief, pinned }, shelf)) {
    expect(step.share).toBeGreaterThanOrEqual(share);
    share = step.share;
    last = step.answer;
  }
  expect(share).toBe(1);
  return last;
}

describe('starting points from the larder', () => {
  it('every family is built from the starting larder, at the size of the batch', () => {
    const brief = briefOf([jobOf('coat')]);
    const { points, missing } = startingPoints(brief, briefTargets(brief, 20), stock, BATCH);
    expect(missing).toEqual([]);
    expect(points).toHaveLength(FOR_A_COAT.length);
    for (const { formula } of points) {
      expect(formula.lines.reduce((sum, line) => sum + line.grams, 0)).toBeCloseTo(1000, 0);
    }
  });

  it('breaks no restriction, and names the part that is missing', () => {
    for (const restriction of RESTRICTIONS) {
      const brief = briefOf([jobOf('coat')], { wishes: { without: [restriction] } });
      const { points, missing } = startingPoints(brief, briefTargets(brief, 20), stock, BATCH);
      expect(points.length + missing.length).toBe(FOR_A_COAT.length);
      for (const { rows } of points) {
        for (const { ingredient } of rows) {
          const item = larder.get(ingredient);
          expect(item && isFreeOf(restriction, item), `${restriction}: ${ingredient}`).toBe(true);
        }
      }
    }
    const vegan = briefOf([jobOf('coat')], { wishes: { without: ['animal'] } });
    const { points, missing } = startingPoints(vegan, briefTargets(vegan, 20), stock, BATCH);
    expect(points.map(({ family }) => family.id)).toContain('dark-ganache');
    expect(missing).toContainEqual(expect.objectContaining({ role: 'gelatin' }));
  });

  it('keeps to the school of thickening', () => {
    const brief = briefOf([jobOf('nap')], { wishes: { thickener: 'starch' } });
    const { points } = startingPoints(brief, briefTargets(brief, 20), stock, BATCH);
    expect(points.length).toBeGreaterThan(0);
    for (const { family } of points) expect(family.thickener).toBe('starch');
  });

  it('an empty shelf plays no part', () => {
    for (const role of ['dark', 'cream', 'syrup', 'gelatin'] as Role[]) expect(bestFor(role, [], [])).toBeUndefined();
    const brief = briefOf([jobOf('coat')]);
    expect(startingPoints(brief, briefTargets(brief, 20), [], BATCH).missing).toHaveLength(FOR_A_COAT.length);
  });
});

describe('proposals', () => {
  it.each(JOB_USES)('for %s are what the prediction says they are', (use) => {
    const brief = briefOf([jobOf(use)]);
    const { targets, size } = planBrief(brief);
    const { points } = startingPoints(brief, targets, stock, size);
    const last = new Map<string, Proposal<string>>();
    for (const { proposal } of judge(
      points.map(({ family, formula }) => ({ of: family.id, formula })),
      points.length,
    )) {
      last.set(proposal.of, proposal);
    }
    expect(last.size).toBe(points.length);
    expect([...last.values()].some(({ lands }) => lands)).toBe(true);
    for (const { of, grams, lands, miss } of last.values()) {
      const { formula } = points.find(({ family }) => family.id === of) as (typeof points)[number];
      const again = predictFormula({
        ...formula,
        lines: formula.lines.map((line, i) => ({ ...line, grams: grams[i] as number })),
      });
      expect(again?.lands, of).toBe(lands);
      expect(again && missOf(again), of).toBeCloseTo(miss, 9);
      expect(miss === 0, of).toBe(lands);
      const total = (list: readonly { grams: number }[]) => list.reduce((sum, line) => sum + line.grams, 0);
      expect(grams.reduce((sum, g) => sum + g, 0)).toBeCloseTo(total(formula.lines), 0);
    }
  });

  it('rank what lands before what does not, then what moves least', () => {
    const proposal = (lands: boolean, change: number, miss: number) =>
      ({ lands, change, miss }) as unknown as Proposal<string>;
    const ranked = [proposal(false, 0, 2), proposal(true, 0.5, 0), proposal(false, 0, 1), proposal(true, 0, 0)].sort(
      compareProposals,
    );
    expect(ranked.map(({ lands, change, miss }) => [lands, change, miss])).toEqual([
      [true, 0, 0],
      [true, 0.5, 0],
      [false, 0, 1],
      [false, 0, 2],
    ]);
  });

  it('own formulas and families together, each true for the grams it would open with', () => {
    const brief = briefOf([
      jobOf('coat', { count: 48 }),
      jobOf('nap', { count: 6, portion: 'jar', sizes: { each: 200, headspace: 8 } }),
    ]);
    const { targets } = planBrief(brief);
    const { starts } = lastAnswer(brief);
    expect(starts.some(({ isOwn }) => isOwn)).toBe(true);
    expect(starts[0]?.lands).toBe(true);
    for (const start of starts) {
      const formula = resolveFormula(
        {
          lines: start.lines,
          ingredients: {},
          process: start.process,
          moments: [...targets.moments],
          gates: targets.gates.map(({ gate }) => gate),
          yield: { bowlLossGrams: 0, evaporationGrams: start.evaporationG },
        },
        larder,
        'standard',
      );
      const prediction = predictFormula(formula);
      expect(prediction?.lands, start.name).toBe(start.lands);
      // The amount is that of its own density, and the panel beside it says the very grams it opens with.
      expect((prediction?.massG ?? 0) / start.size.finishedG, start.name).toBeCloseTo(1, 2);
      expect(start.size.weighedG).toBeCloseTo(
        start.lines.reduce((sum, { grams }) => sum + grams, 0),
        6,
      );
      expect(start.size.evaporationG).toBe(start.evaporationG);
      const asked = briefSize(brief, start.densityKgM3).finishedG;
      expect(start.size.finishedG / asked, start.name).toBeCloseTo(1, 1);
      expect((prediction?.costPerKg ?? 0) * (prediction?.massG ?? 0)).toBeCloseTo(costOfLines(formula.lines), 6);
    }
  });

  it('leave out own formulas that go against a wish, and say how many; the one that was asked for stays', () => {
    const brief = briefOf([jobOf('coat')], { wishes: { without: ['alcohol'] } });
    const withRum = shelf.formulas.find(({ file }) => file.lines.some(({ ingredient }) => ingredient === 'rum-40'));
    const { starts, leftOut } = lastAnswer(brief);
    expect(leftOut).toBeGreaterThan(0);
    for (const { alcoholPercentVol } of starts) expect(alcoholPercentVol).toBeLessThan(0.2);
    expect(lastAnswer(brief, withRum?.id).starts[0]?.id).toBe(withRum?.id);
  });
});

describe('what excludes each other', () => {
  const excluded = (...jobs: Parameters<typeof briefOf>[0]) => exclusions(planBrief(briefOf(jobs)).targets);

  it('poured warm and piped cold may be one batch; so may coating and napping', () => {
    expect(excluded(jobOf('coat'), jobOf('pipe', { workC: 18 }))).toEqual([]);
    expect(excluded(jobOf('coat'), jobOf('nap'))).toEqual([]);
  });

  it('nothing is thinner cold than warm', () => {
    const found = excluded(jobOf('coat'), jobOf('pool', { workC: 20, eatC: 20 }));
    expect(found).toContainEqual(expect.objectContaining({ kind: 'colderThinner', warmer: 'pour', colder: 'pool' }));
    expect(found[0]?.leastPa).toBeGreaterThan(found[0]?.mostPa ?? 0);
  });

  it('a pool and a slab at one temperature are two batches', () => {
    expect(excluded(jobOf('cut'), jobOf('pool', { workC: 19, eatC: 18 })).length).toBeGreaterThan(0);
  });

  it('no fat sets within a degree or two', () => {
    const found = excluded(jobOf('drink', { workC: 20 }), jobOf('cut', { workC: 18 }));
    expect(found.some(({ kind }) => kind === 'tooSteep')).toBe(true);
  });

  it('two jobs may ask opposite things of one moment', () => {
    const key = 'work.yieldStressPa';
    const found = excluded(
      jobOf('layers', { workC: 20, overruled: { [key]: { low: 100, high: 300 } } }),
      jobOf('sandwich', { workC: 20, overruled: { [key]: { low: 900, high: 3000 } } }),
    );
    expect(found[0]).toMatchObject({ kind: 'sameMoment', leastPa: 900, mostPa: 300 });
  });
});
