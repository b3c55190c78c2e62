import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Brief } from '@/core/brief/brief';
import { usualJob } from '@/core/brief/job';
import { JOB_USES } from '@/core/uses/catalogue';
import { PORTION_KINDS, type PortionKey, usualSizes } from '@/core/yields/portions';
import { briefSchema, MOST_JOBS } from '@/formats/brief';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { applyVariation, variationOf } from '@/formats/variation';
import { briefOf, jobOf } from '../support/brief';
import { fileOf } from '../support/kitchen';

const reads = (change: (brief: Brief) => unknown) => briefSchema.safeParse(change(briefOf([jobOf('coat')])));
const plain = (value: unknown) => (value === undefined ? undefined : JSON.parse(JSON.stringify(value)));

describe('a brief as it is kept', () => {
  it('every use as usual can be kept, and comes back the same', () => {
    for (const use of JOB_USES) {
      const brief = briefOf([usualJob(use)]);
      expect(plain(briefSchema.parse(plain(brief))), use).toEqual(plain(brief));
    }
  });

  it('any brief within its reach comes back the same', () => {
    const brief = fc
      .record({
        use: fc.constantFrom(...JOB_USES),
        portion: fc.constantFrom(...(Object.keys(PORTION_KINDS) as PortionKey[])),
        count: fc.integer({ min: 1, max: 10_000 }),
        kitchenC: fc.double({ min: 5, max: 45, noNaN: true }),
        eatC: fc.double({ min: 0, max: 90, noNaN: true }),
        keepDays: fc.option(fc.integer({ min: 1, max: 400 }), { nil: undefined }),
      })
      .map(({ use, portion, count, kitchenC, eatC, keepDays }) =>
        briefOf([jobOf(use, { portion, count, eatC, sizes: usualSizes(portion) })], {
          kitchenC,
          wishes: keepDays === undefined ? {} : { keepDays },
        }),
      );
    fc.assert(
      fc.property(brief, (each) => {
        expect(plain(briefSchema.parse(plain(each)))).toEqual(plain(each));
      }),
    );
  });

  it.each([
    ['no job', (brief: Brief) => ({ ...brief, jobs: [] }), 'at least one job'],
    [
      'too many jobs',
      (brief: Brief) => ({ ...brief, jobs: Array.from({ length: MOST_JOBS + 1 }, () => jobOf('coat')) }),
      'at most 6 jobs',
    ],
    ['zero pieces', (brief: Brief) => ({ ...brief, jobs: [jobOf('coat', { count: 0 })] }), 'must be 1 or more'],
    ['a billion pieces', (brief: Brief) => ({ ...brief, jobs: [jobOf('coat', { count: 1e9 })] }), 'at most 10000'],
    ['not a number', (brief: Brief) => ({ ...brief, kitchenC: Number.NaN }), 'must be a number'],
    ['a kitchen at 60 °C', (brief: Brief) => ({ ...brief, kitchenC: 60 }), 'at most 45'],
    [
      'a size that is missing',
      (brief: Brief) => ({ ...brief, jobs: [jobOf('coat', { sizes: { length: 13 } })] }),
      'must be 0.5 to 30',
    ],
    [
      'a use nobody knows',
      (brief: Brief) => ({ ...brief, jobs: [{ ...jobOf('coat'), use: 'juggle' }] }),
      'must be one of coat',
    ],
  ] as const)('refuses %s with the reason', (_, change, reason) => {
    const read = reads(change);
    expect(read.success).toBe(false);
    expect(read.error?.issues.map(({ message }) => message).join('; ')).toContain(reason);
  });
});

describe('a formula with a brief', () => {
  const withBrief = (brief: Brief | undefined): FormulaFile =>
    readFormula({
      ...fileOf([
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ]),
      brief: plain(brief),
    });

  it('keeps it in its file, and does without one', () => {
    const brief = briefOf([jobOf('coat', { what: 'buckwheat éclairs' }), jobOf('nap')]);
    expect(plain(withBrief(brief).brief)).toEqual(plain(brief));
    expect(withBrief(undefined).brief).toBeUndefined();
    expect(() => withBrief({ ...brief, kitchenC: 99 })).toThrow(/brief\.kitchenC/);
  });

  it('a variant follows its base’s brief until it has its own', () => {
    const [base, other] = [briefOf([jobOf('coat')]), briefOf([jobOf('pipe')])];
    const own = { name: 'Child', note: undefined, tags: undefined };
    const follows = variationOf(withBrief(base), withBrief(base));
    expect(plain(applyVariation(withBrief(other), follows, own).brief)).toEqual(plain(other));
    const apart = variationOf(withBrief(base), withBrief(other));
    expect(plain(applyVariation(withBrief(base), apart, own).brief)).toEqual(plain(other));
    const without = variationOf(withBrief(base), withBrief(undefined));
    expect(applyVariation(withBrief(base), without, own).brief).toBeUndefined();
  });
});
