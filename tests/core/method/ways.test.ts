import { describe, expect, it } from 'vitest';
import { roleOf } from '@/core/formula/moment-role';
import { methodFaults } from '@/core/method/checks';
import { followMethod } from '@/core/method/follow-method';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { proposeWay } from '@/core/method/propose';
import { roleOfRow } from '@/core/method/row-role';
import { methodRows } from '@/core/method/rows';
import type { Method, MethodStep } from '@/core/method/step';
import { methodInKitchen } from '@/core/method/ways/in-kitchen';
import { methodBy, suitingWays } from '@/core/method/ways/ways';
import { massG } from '@/core/pan/pan';
import { resolveFormula } from '@/formats/resolve-formula';
import { rowHints } from '@/kitchen/method/row-hints';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';
import { perGram } from '../../support/pan';

const DEMO = lanternMillFormulas().map((file) => {
  const { lines, moments } = resolveFormula(file, larder, 'standard');
  const pourC = moments.find((moment) => roleOf(moment) === 'pour')?.temperatureC ?? 35;
  return { name: file.name, mix: file.process.mix, rows: methodRows(lines, rowHints(file.lines)), pourC };
});

const ALL = DEMO.flatMap(({ name, rows, pourC }) =>
  suitingWays(rows, pourC).flatMap((way) => {
    const found = methodInKitchen(way, rows, pourC, USUAL_METHOD_KITCHEN);
    return found ? [{ name, way, rows, pourC, method: found.method }] : [];
  }),
);

/** Rows from ids and grams. */
const rowsOf = (lines: readonly (readonly [string, number])[], hints: Parameters<typeof methodRows>[1] = []) =>
  methodRows(
    lines.map(([id, grams]) => ({ perGram: perGram(id), grams })),
    hints,
  );

describe('what a row is to a method', () => {
  it.each([
    ['dark-couverture-60', 'chocolate'],
    ['white-couverture-28', 'chocolate'],
    ['compound-dark-coating', 'chocolate'],
    ['dark-maltitol-55', 'chocolate'],
    ['cocoa-alkalised-22', 'cocoa'],
    ['cream-35', 'liquid'],
    ['water', 'liquid'],
    ['oat-drink', 'liquid'],
    ['puree-raspberry', 'liquid'],
    ['sugar-granulated', 'sugar'],
    ['erythritol', 'sugar'],
    ['glucose-syrup-de42', 'syrup'],
    ['honey', 'syrup'],
    ['condensed-sweetened', 'syrup'],
    ['butter-unsalted-82', 'butter'],
    ['cocoa-butter', 'butter'],
    ['sunflower-oil', 'oil'],
    ['hazelnut-paste', 'paste'],
    ['praline-50', 'paste'],
    ['peanut-butter', 'paste'],
    ['spread-hazelnut-cocoa', 'chocolate'],
    ['gianduja-dark', 'chocolate'],
    ['gianduja-milk', 'chocolate'],
    ['starch-corn', 'starch'],
    ['gelatin-leaf-200', 'gelatin'],
    ['pectin-nh', 'helper'],
    ['rum-40', 'spirit'],
    ['cream-liqueur-17', 'spirit'],
    ['salt-fine', 'flavour'],
  ])('%s is %s', (id, role) => {
    expect(roleOfRow(perGram(id))).toBe(role);
  });
});

describe('the ways of working', () => {
  it('are each walked by a formula of the demo, or by one of the shelf', () => {
    const glaze = rowsOf([
      ['glaze-neutral-cold', 300],
      ['dark-couverture-60', 80],
      ['cream-35', 60],
    ]);
    const cocoa = rowsOf([
      ['cocoa-alkalised-22', 60],
      ['sugar-caster', 120],
      ['milk-whole', 250],
      ['butter-unsalted-82', 40],
    ]);
    const keto = rowsOf([
      ['butter-unsalted-82', 80],
      ['unsweetened-chocolate-100', 90],
      ['erythritol', 60],
      ['cream-35', 260],
    ]);
    const walked = new Set([
      ...ALL.map(({ way }) => way),
      ...[glaze, cocoa, keto].flatMap((rows) => suitingWays(rows, 40)),
    ]);
    expect([...walked].sort()).toEqual(
      [
        'cocoaSyrup',
        'condensedWarmed',
        'creamInMicrowave',
        'fatFirst',
        'gelatinMirror',
        'microwave',
        'neutralGlaze',
        'overCondensed',
        'pouredOver',
        'reheated',
        'simmered',
        'starchLast',
        'starchSauce',
        'stickBlender',
        'waterBath',
        'whipped',
      ].sort(),
    );
  });

  it.each(ALL)('$name, $way: no check fails and all ends are reached', ({ rows, method, pourC }) => {
    const followed = followMethod(rows, method, USUAL_METHOD_KITCHEN);
    expect(methodFaults(rows, followed, pourC)).toEqual([]);
    expect(followed.filter(({ reached }) => !reached)).toEqual([]);
    const weighed = rows.lines.reduce((sum, { grams }) => sum + grams, 0);
    const last = followed.at(-1)?.end;
    expect(last && massG(last) + last.lostWaterG + last.lostEthanolG).toBeCloseTo(weighed, 6);
  });

  it.each(ALL)('$name, $way: every row goes in whole, once', ({ rows, method }) => {
    const taken = rows.lines.map(() => 0);
    for (const { adds } of method.steps) for (const { row, share } of adds) taken[row] = (taken[row] ?? 0) + share;
    for (const share of taken) expect(share).toBeCloseTo(1, 9);
  });

  it('are proposed by what a formula must undergo, then by its notes and balance', () => {
    const proposals = DEMO.map(({ name, rows, pourC, mix }) => [
      name,
      proposeWay(rows, pourC, { mix, isWhipped: false }, USUAL_METHOD_KITCHEN)?.way,
    ]);
    expect(Object.fromEntries(proposals)).toMatchObject({
      'Plated sponge, thick dip': 'starchSauce',
      'Sluice water sauce': 'starchSauce',
      'Snowmelt mirror, white': 'gelatinMirror',
      'Lantern mirror, dark': 'gelatinMirror',
      'Rye-caramel bar layer': 'overCondensed',
      'Chestnut entremets rosette': 'stickBlender',
      'Feast day gloss': 'pouredOver',
      'Shop jar, molasses': 'pouredOver',
      'Fudge sauce, no added sugar': 'pouredOver',
    });
    expect(proposals.filter(([, way]) => way === undefined)).toEqual([]);
  });

  it('propose nothing for water alone', () => {
    const about = { mix: 0.6, isWhipped: false };
    expect(proposeWay(rowsOf([['water', 100]]), 40, about, USUAL_METHOD_KITCHEN)).toBeUndefined();
  });

  it('put a noted row where it is noted: off the heat, in the pan', () => {
    const rows = rowsOf(
      [
        ['cream-35', 200],
        ['dark-couverture-60', 150],
        ['butter-unsalted-82', 30],
        ['vanilla-extract', 4],
      ],
      [{}, {}, { stage: 'pan' }, { stage: 'offHeat' }],
    );
    const method = methodBy('pouredOver', rows, 35) as Method;
    const stepOf = (row: number) => method.steps.find(({ adds }) => adds.some((each) => each.row === row))?.kind;
    expect([stepOf(0), stepOf(1), stepOf(2), stepOf(3)]).toEqual(['boil', 'pourOver', 'boil', 'spirit']);
  });
});

/** The same method with one of its steps changed. */
const changed = (method: Method, kind: MethodStep['kind'], change: Partial<MethodStep>): Method => ({
  ...method,
  steps: method.steps.map((step) => (step.kind === kind ? { ...step, ...change } : step)),
});

const without = (method: Method, ...kinds: readonly MethodStep['kind'][]): Method => ({
  ...method,
  steps: method.steps.filter(({ kind }) => !kinds.includes(kind)),
});

describe('what is wrong with a method', () => {
  const ganache = rowsOf([
    ['cream-35', 200],
    ['dark-couverture-60', 200],
    ['butter-unsalted-82', 40],
    ['rum-40', 15],
  ]);
  const poured = methodBy('pouredOver', ganache, 35) as Method;
  const faultsOf = (rows: typeof ganache, method: Method, kitchen = USUAL_METHOD_KITCHEN) =>
    methodFaults(rows, followMethod(rows, method, kitchen)).map(({ kind }) => kind);

  it('nothing: and cream and butter come from the fridge, chocolate and rum from the shelf', () => {
    const followed = followMethod(ganache, poured, USUAL_METHOD_KITCHEN);
    expect(methodFaults(ganache, followed)).toEqual([]);
    const came = followed.flatMap(({ additions }) => additions.map(({ key, temperatureC }) => [key, temperatureC]));
    expect(Object.fromEntries(came)).toEqual({ 0: 5, 1: 22, 2: 5, 3: 22 });
  });

  it('a row in no step, and one that goes in twice', () => {
    expect(faultsOf(ganache, without(poured, 'spirit'))).toContain('rowInNoStep');
    expect(faultsOf(ganache, { ...poured, steps: [...poured.steps, ...poured.steps.slice(0, 1)] })).toContain(
      'rowTooOften',
    );
  });

  it('cream that is not hot enough for so much chocolate', () => {
    const rows = rowsOf([
      ['cream-35', 90],
      ['dark-couverture-66', 330],
    ]);
    const method = changed(methodBy('pouredOver', rows, 32) as Method, 'boil', {
      end: { kind: 'temperature', temperatureC: 60 },
    });
    const followed = followMethod(rows, method, USUAL_METHOD_KITCHEN);
    const fault = methodFaults(rows, followed).find(({ kind }) => kind === 'unmelted');
    expect(fault).toMatchObject({ kind: 'unmelted', step: 2 });
    expect(followed[1]?.together?.unmelted).toBeGreaterThan(0.2);
  });

  it('butter and spirit while it is too hot', () => {
    expect(faultsOf(ganache, without(poured, 'cool', 'wait', 'stir'))).not.toContain('butterTooWarm');
    const hot = {
      ...poured,
      steps: poured.steps.filter(({ kind }) => kind === 'boil' || kind === 'butter' || kind === 'spirit'),
    };
    expect(faultsOf(ganache, hot)).toEqual(expect.arrayContaining(['butterTooWarm', 'spiritHot', 'rowInNoStep']));
  });

  it('starch that never boils, is slaked too thickly or not cooked', () => {
    const rows = rowsOf([
      ['milk-whole', 400],
      ['sugar-caster', 60],
      ['starch-corn', 14],
    ]);
    const method = methodBy('starchSauce', rows, 50) as Method;
    expect(faultsOf(rows, method)).toEqual([]);
    const cold = changed(without(method, 'boil', 'slurry'), 'cookOut', {
      kind: 'slurry',
      heat: 'low',
      end: { kind: 'seconds', seconds: 30 },
    });
    expect(faultsOf(rows, cold)).toContain('slurryNotBoiling');
    const floury = changed(method, 'cookOut', { end: { kind: 'seconds', seconds: 1 }, leastSeconds: 0 });
    const early = changed(floury, 'slurry', { end: { kind: 'seconds', seconds: 5 } });
    expect(faultsOf(rows, early)).toContain('floury');
    const cookedTo = (share: number) =>
      faultsOf(
        rows,
        changed(changed(method, 'slurry', { end: { kind: 'seconds', seconds: 5 } }), 'cookOut', {
          end: { kind: 'cooked', share },
          leastSeconds: 0,
        }),
      );
    expect(cookedTo(0.75)).toContain('floury');
    expect(cookedTo(0.88)).not.toContain('floury');
    const thick = changed(method, 'soak', { adds: [{ row: 2, share: 1 }] });
    expect(faultsOf(rows, thick)).toContain('slurryThick');
  });

  it('gelatin that is boiled, or soaked in too little', () => {
    const rows = rowsOf(
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
    const method = methodBy('gelatinMirror', rows, 33) as Method;
    expect(faultsOf(rows, method)).toEqual([]);
    expect(faultsOf(rows, without(method, 'cool'))).toContain('gelatinHot');
    const boiled = changed(without(method, 'cool'), 'strain', { heat: 'high', where: 'pan', end: { kind: 'boil' } });
    expect(faultsOf(rows, boiled)).toContain('gelatinBoiled');
    expect(faultsOf(rows, changed(method, 'soak', { adds: [{ row: 4, share: 1 }] }))).toContain('gelatinDry');
  });

  it('a pan of 8 cm for half a litre, a flame that catches, a heat that never boils it', () => {
    expect(faultsOf(ganache, poured, { ...USUAL_METHOD_KITCHEN, panM: 0.08 })).toContain('boilsOver');
    expect(faultsOf(ganache, poured, { ...USUAL_METHOD_KITCHEN, panM: 0.06 })).toContain('overflows');
    const thick = rowsOf([
      ['condensed-sweetened', 300],
      ['cocoa-alkalised-22', 40],
    ]);
    const scorched: Method = {
      way: 'cocoaSyrup',
      steps: [
        {
          kind: 'boil',
          where: 'pan',
          adds: [
            { row: 0, share: 1 },
            { row: 1, share: 1 },
          ],
          heat: 'high',
          stir: 0,
          cover: 0,
          end: { kind: 'seconds', seconds: 300 },
        },
      ],
    };
    expect(faultsOf(thick, scorched)).toContain('catches');
    expect(
      faultsOf(ganache, changed(poured, 'boil', { heat: 'low' }), { ...USUAL_METHOD_KITCHEN, powerW: 200 }),
    ).toContain('neverBoils');
    const dry = changed(poured, 'boil', { end: { kind: 'seconds', seconds: 3600 } });
    expect(faultsOf(ganache, dry)).toContain('boilsDry');
  });

  it('a microwave that never warms it through, though nothing is left to melt', () => {
    const rows = rowsOf([
      ['cream-35', 9000],
      ['dark-couverture-60', 300],
    ]);
    const method = methodBy('microwave', rows, 35) as Method;
    const weak = { ...USUAL_METHOD_KITCHEN, microwaveW: 200, bowlM: 0.6 };
    const [bursts] = followMethod(rows, method, weak);
    expect(bursts?.reached).toBe(false);
    expect(faultsOf(rows, method, weak).some((kind) => kind === 'neverEnds' || kind === 'unmelted')).toBe(true);
    const warmer = changed(methodBy('reheated', ganache, 35) as Method, 'bursts', {
      end: { kind: 'bursts', toC: 140 },
    });
    expect(faultsOf(ganache, warmer)).toContain('neverEnds');
  });

  it('a splash of water in melted chocolate, with the grams that loosen it again', () => {
    const rows = rowsOf([
      ['dark-couverture-70', 300],
      ['water', 14],
    ]);
    const method: Method = {
      way: 'fatFirst',
      steps: [
        {
          kind: 'melt',
          where: 'pan',
          adds: [{ row: 0, share: 1 }],
          heat: 'low',
          stir: 0.4,
          cover: 0,
          end: { kind: 'melted' },
        },
        {
          kind: 'stir',
          where: 'pan',
          adds: [{ row: 1, share: 1 }],
          stir: 0.5,
          cover: 0,
          end: { kind: 'seconds', seconds: 20 },
        },
      ],
    };
    const followed = followMethod(rows, method, USUAL_METHOD_KITCHEN);
    const fault = methodFaults(rows, followed).find(({ kind }) => kind === 'seizes');
    expect(fault).toBeDefined();
    expect(fault && 'neededG' in fault && fault.neededG).toBeGreaterThan(14);
  });

  it('a blender in what is too hot, and stirring on while it sets', () => {
    const blended = methodBy('stickBlender', ganache, 32) as Method;
    expect(faultsOf(ganache, without(blended, 'cool'))).toContain('blenderTemperature');
    const late = {
      ...poured,
      steps: [
        ...poured.steps,
        {
          kind: 'stir',
          where: 'bowl',
          adds: [],
          stir: 0.6,
          cover: 0,
          end: { kind: 'cooled', temperatureC: 26 },
        } as MethodStep,
      ],
    };
    expect(faultsOf(ganache, late)).toContain('stirredWhileSetting');
  });
});
