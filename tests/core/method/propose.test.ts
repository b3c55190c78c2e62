import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { methodFaults } from '@/core/method/checks';
import { followMethod } from '@/core/method/follow-method';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { proposeWay, tryWays } from '@/core/method/propose';
import { methodRows } from '@/core/method/rows';
import { methodInKitchen } from '@/core/method/ways/in-kitchen';
import { suitingWays } from '@/core/method/ways/ways';
import { LARDER_IDS, perGram } from '../../support/pan';
import { sensibleFormulas } from '../../support/sensible-formulas';

const ABOUT = { mix: 0.6, isWhipped: false };
const rowsOf = (lines: readonly (readonly [string, number])[]) =>
  methodRows(lines.map(([id, grams]) => ({ perGram: perGram(id), grams })));
const proposed = (lines: readonly (readonly [string, number])[], pourC: number, kitchen = USUAL_METHOD_KITCHEN) => {
  const found = proposeWay(rowsOf(lines), pourC, ABOUT, kitchen);
  if (!found) throw new Error('no way');
  return found;
};

describe('a way that is proposed', () => {
  it('leaves nothing wrong, over 300 formulas a kitchen may well make', () => {
    const faulty = sensibleFormulas(300, 2027).flatMap(({ name, rows, pourC, lines }) => {
      const found = proposeWay(rows, pourC, ABOUT, USUAL_METHOD_KITCHEN);
      return found && found.tried.faults.length === 0 ? [] : [[name, found?.way, found?.tried.faults, lines]];
    });
    expect(faulty).toEqual([]);
  });

  it('tells nobody to do for a second what is done: from 30 g to 20 kg, a step puts something in or takes a while', () => {
    for (const grams of [15, 20, 40, 150, 1000, 10_000]) {
      for (const rest of [[], [['butter-unsalted-82', grams / 5]]] as const) {
        const { tried } = proposed([['dark-couverture-60', grams], ['cream-35', grams], ...rest], 36);
        const brief = tried.followed.filter(
          ({ step, seconds }) => step.adds.length === 0 && step.where !== 'aside' && seconds < 5,
        );
        expect(
          brief.map(({ step }) => step.kind),
          `${grams} g`,
        ).toEqual([]);
      }
    }
  });

  it('is found, or none, for any rows whatever: nothing is thrown', () => {
    const line = fc.tuple(fc.constantFrom(...LARDER_IDS), fc.constantFrom(0, 0.01, 5, 200));
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 6 }), (lines) => {
        const found = proposeWay(rowsOf(lines), 40, ABOUT, USUAL_METHOD_KITCHEN);
        expect(found === undefined || found.tried.method.steps.length > 0).toBe(true);
      }),
      { numRuns: 80, seed: 24 },
    );
  });

  it('is what comes of following it: judged anew, it is the same', () => {
    for (const { rows, pourC } of sensibleFormulas(25, 3)) {
      const found = proposeWay(rows, pourC, ABOUT, USUAL_METHOD_KITCHEN);
      if (!found) throw new Error('no way');
      const followed = followMethod(rows, found.tried.method, USUAL_METHOD_KITCHEN);
      expect(methodFaults(rows, followed, pourC)).toEqual(found.tried.faults);
    }
  });

  it('is never one that leaves something wrong while another leaves nothing', () => {
    const weak = { ...USUAL_METHOD_KITCHEN, powerW: 900, microwaveW: 500, kitchenC: 18 };
    let judged = 0;
    for (const { rows, pourC } of sensibleFormulas(20, 5)) {
      const found = proposeWay(rows, pourC, ABOUT, weak);
      if (!found || found.tried.faults.length === 0) continue;
      judged++;
      const clean = suitingWays(rows, pourC).filter(
        (way) => !['reheated', 'whipped'].includes(way) && methodInKitchen(way, rows, pourC, weak)?.faults.length === 0,
      );
      expect(clean).toEqual([]);
      expect(found.why).toBe('leastWrong');
    }
    expect(judged).toBeGreaterThan(0);
  });

  it('for twice as much chocolate as cream, a small batch, melts all of it and says how', () => {
    const found = proposed(
      [
        ['dark-couverture-60', 160],
        ['cream-35', 80],
      ],
      32,
    );
    expect(found.tried.faults).toEqual([]);
    const stirring = found.tried.followed.reduce((sum, { step, seconds }) => sum + (step.stir > 0.3 ? seconds : 0), 0);
    expect(stirring).toBeLessThan(600);
    if (found.why === 'enoughHeat') expect(found.togetherC).toBeGreaterThan(34);
  });

  it('is the water bath where the cream has not heat enough, and says what the usual way would do', () => {
    const found = proposed(
      [
        ['white-couverture-34', 376],
        ['cream-35', 120],
        ['butter-unsalted-82', 35],
      ],
      36,
    );
    expect(found).toMatchObject({ way: 'waterBath', why: 'cleanest', instead: { way: 'pouredOver' } });
    expect(found.tried.faults).toEqual([]);
    expect(found.tried.followed.every(({ end }) => end.catching < 0.01)).toBe(true);
  });

  it('ends at its pour: butter goes in where it still does', () => {
    const butter = (pourC: number) =>
      proposed(
        [
          ['dark-couverture-66', 220],
          ['cream-35', 300],
          ['butter-unsalted-82', 25],
        ],
        pourC,
      ).tried;
    for (const pourC of [32, 38, 45, 58]) {
      const { faults, followed } = butter(pourC);
      expect(faults).toEqual([]);
      expect(Math.abs((followed.at(-1)?.end.temperatureC ?? 0) - pourC)).toBeLessThan(2.6);
    }
    const kinds = (pourC: number) => butter(pourC).method.steps.map(({ kind }) => kind);
    // Whisked in from so warm that it still ends at the pour; from the start where that is too warm for it.
    const from = (pourC: number) =>
      butter(pourC).followed.find(({ step }) => step.kind === 'butter')?.before.temperatureC;
    expect(from(32)).toBeCloseTo(48, 0);
    expect(from(45)).toBeGreaterThan(50);
    expect(from(45)).toBeLessThan(60);
    expect(kinds(58)).not.toContain('butter');
  });

  it('has no step that takes no time or holds nothing', () => {
    for (const { rows, pourC } of sensibleFormulas(60, 9)) {
      const found = proposeWay(rows, pourC, ABOUT, USUAL_METHOD_KITCHEN);
      for (const { step, seconds } of found?.tried.followed ?? []) {
        expect(step.adds.length > 0 || seconds >= 1).toBe(true);
        if (step.kind === 'butter' || step.kind === 'spirit') expect(step.adds.length).toBeGreaterThan(0);
      }
    }
  });

  it('cooks the starch before the chocolate goes in; slaked last stays a choice', () => {
    const lines = [
      ['water', 420],
      ['sugar-granulated', 150],
      ['cocoa-alkalised-11', 60],
      ['starch-corn', 9],
      ['dark-couverture-70', 90],
    ] as const;
    const found = proposed(lines, 50);
    expect(found.way).toBe('starchSauce');
    const place = (kind: string) => found.tried.method.steps.findIndex((step) => step.kind === kind);
    expect(place('cookOut')).toBeLessThan(place('melt'));
    expect(suitingWays(rowsOf(lines), 50)).toContain('starchLast');
  });

  it('soaks gelatin in five times its weight of the recipe’s own water', () => {
    const rows = rowsOf([
      ['water', 150],
      ['sugar-caster', 220],
      ['glucose-syrup-de42', 110],
      ['cream-35', 150],
      ['cocoa-alkalised-22', 70],
      ['gelatin-leaf-200', 11],
    ]);
    const found = proposeWay(rows, 33, ABOUT, USUAL_METHOD_KITCHEN);
    const [soak] = found?.tried.followed ?? [];
    const grams = new Map(soak?.additions.map(({ key, grams: g }) => [Number(key), g]));
    expect((grams.get(0) ?? 0) / (grams.get(5) ?? 1)).toBeCloseTo(5, 6);
    expect(found?.tried.faults).toEqual([]);
  });

  it('puts an extract in once it has cooled anyway, without a stop of its own', () => {
    const lines = [
      ['dark-couverture-60', 200],
      ['cream-35', 200],
      ['vanilla-extract', 3],
    ] as const;
    const steps = proposed(lines, 32).tried.method.steps;
    expect(steps.at(-1)?.kind).toBe('spirit');
    expect(steps.filter(({ kind }) => kind === 'cool')).toHaveLength(1);
  });

  it('tells how far it is, and stops at the first way that leaves nothing wrong', () => {
    const trying = tryWays(
      rowsOf([
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ]),
      32,
      ABOUT,
      USUAL_METHOD_KITCHEN,
    );
    expect(trying.next().done).toBe(true);
  });
});
