import { describe, expect, it } from 'vitest';
import { methodFaults } from '@/core/method/checks';
import { splitStep } from '@/core/method/edit-steps';
import type { MethodFault } from '@/core/method/fault';
import { followMethod } from '@/core/method/follow-method';
import { type MethodKitchen, USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { type Mend, mendOf } from '@/core/method/mends/mend';
import { methodRows } from '@/core/method/rows';
import type { Method, MethodStep } from '@/core/method/step';
import { step } from '@/core/method/ways/parts';
import { methodBy } from '@/core/method/ways/ways';
import { perGram } from '../../support/pan';

type Hints = Parameters<typeof methodRows>[1];
const rowsOf = (lines: readonly (readonly [string, number])[], hints: Hints = []) =>
  methodRows(
    lines.map(([id, grams]) => ({ perGram: perGram(id), grams })),
    hints,
  );
type Rows = ReturnType<typeof rowsOf>;

function judged(rows: Rows, method: Method, pourC: number, kitchen: MethodKitchen = USUAL_METHOD_KITCHEN) {
  const followed = followMethod(rows, method, kitchen);
  return { rows, method, kitchen, pourC, followed, faults: methodFaults(rows, followed, pourC) };
}

/** The method as it is after a mend, judged anew. */
function afterMend(mend: Mend, { rows, method, kitchen, pourC }: ReturnType<typeof judged>) {
  return mend.kind === 'widerPan'
    ? judged(rows, method, pourC, { ...kitchen, panM: mend.panM, bowlM: Math.max(mend.panM, kitchen.bowlM) })
    : judged(rows, { ...method, steps: mend.steps }, pourC, kitchen);
}

const changed = (method: Method, kind: MethodStep['kind'], change: Partial<MethodStep>): Method => ({
  ...method,
  steps: method.steps.map((each) => (each.kind === kind ? { ...each, ...change } : each)),
});
const without = (method: Method, ...kinds: readonly MethodStep['kind'][]): Method => ({
  ...method,
  steps: method.steps.filter(({ kind }) => !kinds.includes(kind)),
});
const made = (rows: Rows, way: Method['way'], pourC: number): Method => methodBy(way, rows, pourC) as Method;

const GANACHE = rowsOf([
  ['cream-35', 200],
  ['dark-couverture-60', 200],
  ['butter-unsalted-82', 40],
  ['rum-40', 15],
]);
const STARCH = rowsOf([
  ['milk-whole', 400],
  ['sugar-caster', 60],
  ['starch-corn', 14],
]);
const MIRROR = rowsOf(
  [
    ['water', 150],
    ['sugar-caster', 150],
    ['glucose-syrup-de42', 100],
    ['cocoa-alkalised-22', 60],
    ['gelatin-leaf-200', 10],
    ['water', 50],
  ],
  [{}, {}, {}, {}, {}, { soaks: true }],
);
const COLD = rowsOf([
  ['cream-35', 200],
  ['dark-couverture-66', 240],
]);
const WET = rowsOf([
  ['dark-couverture-70', 300],
  ['water', 14],
  ['cream-35', 260],
]);
const THICK = rowsOf([
  ['condensed-sweetened', 300],
  ['cocoa-alkalised-22', 40],
]);
const SUGARY = rowsOf([
  ['cream-35', 200],
  ['sugar-granulated', 40],
  ['dark-couverture-60', 150],
]);

const poured = made(GANACHE, 'pouredOver', 35);
/** The spirit into what has only just boiled. */
const tooSoon = {
  ...poured,
  steps: poured.steps.toSorted(
    (a, b) =>
      Number(b.kind === 'boil') - Number(a.kind === 'boil') ||
      Number(b.kind === 'spirit') - Number(a.kind === 'spirit'),
  ),
};
const starch = made(STARCH, 'starchSauce', 50);
const mirror = made(MIRROR, 'gelatinMirror', 33);
const blended = made(GANACHE, 'stickBlender', 32);
const stirIn = (row: number) =>
  step('stir', 'pan', { kind: 'seconds', seconds: 20 }, { adds: [{ row, share: 1 }], stir: 0.5 });
/** Much cream, so that it is still hot when the butter goes in. */
const CREAMY = rowsOf([
  ['cream-35', 400],
  ['dark-couverture-60', 150],
  ['butter-unsalted-82', 40],
]);
const weak = { ...USUAL_METHOD_KITCHEN, powerW: 900 };

const BAD: readonly (readonly [MethodFault['kind'], ReturnType<typeof judged>, Mend['kind']])[] = [
  ['boilsOver', judged(GANACHE, poured, 35, { ...USUAL_METHOD_KITCHEN, panM: 0.08 }), 'widerPan'],
  ['overflows', judged(GANACHE, poured, 35, { ...USUAL_METHOD_KITCHEN, panM: 0.06, bowlM: 0.06 }), 'widerPan'],
  ['rowInNoStep', judged(GANACHE, without(poured, 'spirit'), 35), 'putWhereItBelongs'],
  [
    'rowTooOften',
    judged(GANACHE, { ...poured, steps: [...poured.steps.slice(0, 1), ...poured.steps] }, 35),
    'onlyOnce',
  ],
  [
    'unmelted',
    judged(COLD, changed(made(COLD, 'pouredOver', 32), 'boil', { end: { kind: 'temperature', temperatureC: 50 } }), 32),
    'boilFirst',
  ],
  ['butterTooWarm', judged(CREAMY, without(made(CREAMY, 'simmered', 35), 'cool'), 35), 'coolFirst'],
  [
    'butterTooCold',
    judged(GANACHE, changed(poured, 'cool', { end: { kind: 'cooled', temperatureC: 32 } }), 30),
    'warmFirst',
  ],
  ['spiritHot', judged(GANACHE, tooSoon, 35), 'whenItIsCooler'],
  [
    'slurryNotBoiling',
    judged(STARCH, changed(starch, 'boil', { end: { kind: 'temperature', temperatureC: 70 } }), 50),
    'boilFirst',
  ],
  ['slurryThick', judged(STARCH, changed(starch, 'soak', { adds: [{ row: 2, share: 1 }] }), 50), 'moreLiquidAside'],
  [
    'floury',
    judged(
      STARCH,
      changed(changed(starch, 'slurry', { end: { kind: 'seconds', seconds: 5 } }), 'cookOut', {
        end: { kind: 'cooked', share: 0.4 },
        leastSeconds: undefined,
      }),
      50,
    ),
    'cookOut',
  ],
  ['gelatinHot', judged(MIRROR, without(mirror, 'cool'), 33), 'coolFirst'],
  [
    'gelatinCold',
    judged(MIRROR, changed(mirror, 'cool', { end: { kind: 'cooled', temperatureC: 42 } }), 33),
    'warmFirst',
  ],
  [
    'gelatinBoiled',
    judged(
      MIRROR,
      changed(without(mirror, 'cool'), 'strain', { heat: 'high', where: 'pan', end: { kind: 'boil' } }),
      33,
    ),
    'afterTheBoil',
  ],
  ['gelatinDry', judged(MIRROR, changed(mirror, 'soak', { adds: [{ row: 4, share: 1 }] }), 33), 'moreLiquidAside'],
  [
    'catches',
    judged(
      THICK,
      {
        way: 'cocoaSyrup',
        steps: [
          step(
            'simmer',
            'pan',
            { kind: 'seconds', seconds: 240 },
            {
              adds: [
                { row: 0, share: 1 },
                { row: 1, share: 1 },
              ],
              heat: 'high',
            },
          ),
        ],
      },
      50,
    ),
    'lowerHeat',
  ],
  ['neverBoils', judged(STARCH, changed(starch, 'boil', { heat: 'low' }), 50, weak), 'moreHeat'],
  ['belowPour', judged(GANACHE, changed(poured, 'butter', { leastSeconds: 900 }), 40), 'warmAgain'],
  ['blenderTemperature', judged(GANACHE, without(blended, 'cool'), 32), 'coolFirst'],
  [
    'stirredWhileSetting',
    judged(
      GANACHE,
      {
        ...poured,
        steps: [...poured.steps, step('stir', 'bowl', { kind: 'cooled', temperatureC: 26 }, { stir: 0.6 })],
      },
      35,
    ),
    'stopStirring',
  ],
  [
    'seizes',
    judged(
      WET,
      {
        way: 'fatFirst',
        steps: [
          step('melt', 'pan', { kind: 'melted' }, { adds: [{ row: 0, share: 1 }], heat: 'low', stir: 0.4 }),
          stirIn(1),
          stirIn(2),
        ],
      },
      40,
    ),
    'liquidFirst',
  ],
  [
    'undissolved',
    judged(
      SUGARY,
      {
        way: 'pouredOver',
        steps: [
          step('boil', 'pan', { kind: 'boil' }, { adds: [{ row: 0, share: 1 }], heat: 'high', stir: 0.6 }),
          step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: [{ row: 2, share: 1 }] }),
          step('stir', 'bowl', { kind: 'melted' }, { stir: 0.5 }),
          step('cool', 'bowl', { kind: 'cooled', temperatureC: 40 }, { stir: 0.2 }),
          step('stir', 'bowl', { kind: 'seconds', seconds: 20 }, { adds: [{ row: 1, share: 1 }], stir: 0.3 }),
        ],
      },
      35,
    ),
    'withTheLiquid',
  ],
];

describe('one press that mends', () => {
  it.each(BAD)('%s', (kind, bad, by) => {
    const fault = bad.faults.find((each) => each.kind === kind);
    expect(bad.faults.map((each) => each.kind)).toContain(kind);
    const mend = mendOf(fault as MethodFault, bad);
    expect(mend?.kind).toBe(by);
    const better = afterMend(mend as Mend, bad);
    expect(better.faults.length).toBeLessThan(bad.faults.length);
  });

  it('pressed again and again, a method turned upside down comes right, or says that nothing helps', () => {
    const upside: Method = { ...poured, steps: poured.steps.toReversed() };
    let now = judged(GANACHE, { ...upside, steps: splitStep(upside.steps, 0) }, 35);
    for (let press = 0; press < 20; press++) {
      const mend = now.faults.map((fault) => mendOf(fault, now)).find((each) => each !== undefined);
      if (!mend) break;
      const next = afterMend(mend, now);
      expect(next.faults.length).toBeLessThan(now.faults.length);
      now = next;
    }
    const weighed = now.rows.lines.reduce((sum, { grams }) => sum + grams, 0);
    const last = now.followed.at(-1)?.end;
    expect(last?.lostWaterG).toBeGreaterThan(0);
    expect(weighed).toBeCloseTo(455, 9);
  });

  it('offers nothing that does not help: a pan nobody has', () => {
    const huge = rowsOf([
      ['cream-35', 60_000],
      ['dark-couverture-60', 60_000],
    ]);
    const bad = judged(huge, made(huge, 'pouredOver', 35), 35);
    const fault = bad.faults.find(({ kind }) => kind === 'overflows');
    expect(mendOf(fault as MethodFault, bad)).toBeUndefined();
  });
});
