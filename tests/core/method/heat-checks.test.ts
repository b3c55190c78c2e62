import { describe, expect, it } from 'vitest';
import { withStepAt } from '@/core/method/edit-steps';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { mendOf } from '@/core/method/mends/mend';
import { proposeWay } from '@/core/method/propose';
import { methodRows } from '@/core/method/rows';
import type { Method, MethodStep } from '@/core/method/step';
import { methodInKitchen, tried } from '@/core/method/ways/in-kitchen';
import { boil, step } from '@/core/method/ways/parts';
import { perGram, phOf } from '../../support/pan';

const ABOUT = { mix: 0.6, isWhipped: false };
type Lines = readonly (readonly [string, number])[];
const rowsOf = (lines: Lines) =>
  methodRows(lines.map(([id, grams]) => ({ perGram: perGram(id), grams, ph: phOf(id) })));
const follow = (lines: Lines, steps: readonly MethodStep[], pourC = 20) =>
  tried(rowsOf(lines), { way: 'pouredOver', steps }, USUAL_METHOD_KITCHEN, pourC);
const kinds = (lines: Lines, steps: readonly MethodStep[]) => follow(lines, steps).faults.map(({ kind }) => kind);
const proposed = (lines: Lines, pourC: number) => {
  const found = proposeWay(rowsOf(lines), pourC, ABOUT, USUAL_METHOD_KITCHEN);
  if (!found) throw new Error('no way');
  return found;
};
const add = (...rows: number[]) => rows.map((row) => ({ row, share: 1 }));
const hottest = ({ tried: { followed } }: ReturnType<typeof proposed>) =>
  Math.max(...followed.flatMap(({ curve }) => curve.map(([, temperatureC]) => temperatureC)));

const CUSTARD: Lines = [
  ['milk-whole', 250],
  ['cream-35', 250],
  ['egg-yolk', 100],
  ['sugar-caster', 50],
  ['dark-couverture-60', 220],
];

describe('what must be cooked, or never too hot', () => {
  it('egg in a boiling pan scrambles, and in a lukewarm one stays raw', () => {
    const boiled = [
      boil(add(0, 1, 2, 3)),
      step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(4) }),
    ];
    expect(kinds(CUSTARD, boiled)).toContain('eggScrambles');
    const warm = step('warm', 'pan', { kind: 'temperature', temperatureC: 60 }, { adds: add(0, 1, 2, 3), heat: 'low' });
    expect(kinds(CUSTARD, [warm])).toContain('eggUncooked');
  });

  it('egg may boil where starch holds it', () => {
    const lines: Lines = [...CUSTARD.slice(0, 4), ['starch-corn', 25]];
    const cold = step(
      'warm',
      'pan',
      { kind: 'temperature', temperatureC: 40 },
      { adds: add(0, 1, 2, 3, 4), heat: 'low', stir: 1 },
    );
    expect(kinds(lines, [cold, boil([], 'medium')])).not.toContain('eggScrambles');
  });

  it('a custard is proposed for egg: 82 to 85 °C, never boiled, the chocolate melted', () => {
    const found = proposed(CUSTARD, 38);
    expect(found).toMatchObject({ way: 'custard', why: 'eggMustNotBoil' });
    expect(found.tried.faults).toEqual([]);
    expect(hottest(found)).toBeGreaterThan(81.5);
    expect(hottest(found)).toBeLessThan(85);
  });

  it('an egg moved into the boil is mended by a press, and the mend leaves nothing scrambled', () => {
    const method: Method = {
      way: 'pouredOver',
      steps: [
        boil(add(0, 1, 2, 3)),
        step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(4) }),
        step('stir', 'bowl', { kind: 'melted' }, { stir: 0.5, leastSeconds: 60 }),
      ],
    };
    const rows = rowsOf(CUSTARD);
    const judged = { ...tried(rows, method, USUAL_METHOD_KITCHEN, 30), rows, kitchen: USUAL_METHOD_KITCHEN, pourC: 30 };
    const fault = judged.faults.find(({ kind }) => kind === 'eggScrambles');
    if (!fault) throw new Error('no fault');
    const mend = mendOf(fault, judged);
    expect(mend).toMatchObject({ kind: 'belowScrambling' });
    const steps = mend && 'steps' in mend ? mend.steps : [];
    expect(tried(rows, { ...method, steps }, USUAL_METHOD_KITCHEN, 30).faults).toEqual([]);
  });

  it('yoghurt as the liquid is kept cool, and has a way', () => {
    const lines: Lines = [
      ['yoghurt-whole', 200],
      ['white-couverture-34', 300],
    ];
    const found = proposed(lines, 32);
    expect(found).toMatchObject({ way: 'keptCool', why: 'culturedKeptCool' });
    expect(found.tried.faults).toEqual([]);
    expect(hottest(found)).toBeLessThan(40.5);
    expect(
      kinds(lines, [boil(add(0)), step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(1) })]),
    ).toContain('culturedWarm');
  });

  it('gianduja and praline with cream have a way that leaves nothing wrong', () => {
    for (const paste of ['gianduja-dark', 'praline-50']) {
      const found = proposed(
        [
          [paste, 200],
          ['cream-35', 120],
        ],
        32,
      );
      expect([paste, found.tried.faults]).toEqual([paste, []]);
    }
  });

  it('condensed milk is the liquid: warmed below 90 °C, not boiled beside a spoon of milk', () => {
    const found = proposed(
      [
        ['condensed-sweetened', 300],
        ['dark-couverture-60', 120],
        ['milk-whole', 20],
      ],
      40,
    );
    expect(found.tried.faults).toEqual([]);
    expect(found.way).toBe('condensedWarmed');
    expect(hottest(found)).toBeLessThan(90);
    expect(found.tried.followed.reduce((sum, { seconds }) => sum + seconds, 0)).toBeLessThan(40 * 60);
    expect(
      kinds(
        [
          ['condensed-sweetened', 300],
          ['milk-whole', 100],
        ],
        [boil(add(0, 1))],
      ),
    ).toContain('condensedHot');
  });

  it('agar that is only warmed does not set; its way boils it for a minute', () => {
    const lines: Lines = [
      ['milk-whole', 400],
      ['sugar-caster', 60],
      ['agar', 3],
      ['dark-couverture-60', 200],
    ];
    const warm = step(
      'warm',
      'pan',
      { kind: 'temperature', temperatureC: 70 },
      { adds: add(0, 1, 2, 3), heat: 'medium', stir: 0.5 },
    );
    expect(follow(lines, [warm]).faults).toContainEqual(expect.objectContaining({ kind: 'gelNotBoiled', gel: 'agar' }));
    const found = proposed(lines, 45);
    expect(found.tried.faults).toEqual([]);
    const over90 = found.tried.followed.reduce(
      (sum, { curve }) =>
        sum + curve.reduce((s, [at, warm], i) => s + (i > 0 && warm > 90 ? at - (curve[i - 1]?.[0] ?? at) : 0), 0),
      0,
    );
    expect(over90).toBeGreaterThan(50);
  });

  it('a shine glaze boils its cream and syrup, melts the chocolate off the heat and takes the glaze last', () => {
    const lines: Lines = [
      ['cream-35', 200],
      ['butter-unsalted-82', 20],
      ['glucose-syrup-de42', 60],
      ['dark-couverture-60', 200],
      ['glaze-neutral-cold', 250],
    ];
    const found = methodInKitchen('neutralGlaze', rowsOf(lines), 34, USUAL_METHOD_KITCHEN);
    const place = (row: number) =>
      found?.method.steps.findIndex(({ adds }) => adds.some((each) => each.row === row)) ?? -1;
    expect(place(0)).toBeLessThan(place(3));
    expect(place(3)).toBeLessThan(place(4));
    expect(found?.faults).toEqual([]);
    const boils = found?.followed.find(({ step: { end } }) => end.kind === 'boil');
    expect(boils?.seconds).toBeGreaterThanOrEqual(300);
  });
});

describe('steps that were silent', () => {
  const GANACHE: Lines = [
    ['cream-35', 200],
    ['dark-couverture-60', 200],
    ['rum-40', 20],
    ['starch-corn', 4],
  ];

  it('a spirit that is boiled with the cream loses its alcohol, and is told wherever it stands', () => {
    const found = follow(GANACHE.slice(0, 3), [
      boil(add(0, 2)),
      step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(1) }),
    ]);
    const fault = found.faults.find(({ kind }) => kind === 'spiritHot');
    expect(fault).toMatchObject({ step: 0 });
    expect(fault?.kind === 'spiritHot' && fault.lost).toBeGreaterThan(0.05);
  });

  it('dry starch into something hot makes lumps; a slurry does not', () => {
    const dry = [
      boil(add(0)),
      step('stir', 'pan', { kind: 'seconds', seconds: 60 }, { adds: add(3), heat: 'medium', stir: 0.8 }),
    ];
    expect(kinds(GANACHE, dry)).toContain('starchLumps');
    const slaked = [
      step('soak', 'aside', { kind: 'seconds', seconds: 30 }, { adds: [{ row: 0, share: 0.2 }, ...add(3)], stir: 0.6 }),
      boil([{ row: 0, share: 0.8 }]),
      step('slurry', 'pan', { kind: 'boil' }, { heat: 'medium', stir: 0.8 }),
    ];
    expect(kinds(GANACHE, slaked)).not.toContain('starchLumps');
  });

  it('chocolate alone is not poured over by anything', () => {
    const first = step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(1) });
    expect(kinds(GANACHE, [first])).toContain('nothingPoured');
    expect(kinds(GANACHE, [boil(add(0)), first])).not.toContain('nothingPoured');
  });

  it('whipped at the bench it takes no air; after a night in the cold it does', () => {
    const made = [boil(add(0)), step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: add(1) })];
    const whip = step('whip', 'bowl', { kind: 'seconds', seconds: 90 }, { stir: 0.8, tool: 'whisk' });
    const lines = GANACHE.slice(0, 2);
    expect(kinds(lines, [...made, whip])).toContain('whipWarm');
    const chilled = withStepAt([...made, whip], 2, step('chill', 'bowl', { kind: 'stand', hours: 12 }, { cover: 1 }));
    expect(kinds(lines, chilled)).not.toContain('whipWarm');
  });

  it('a simmer whose flame is too small is told to steam, with where it stays', () => {
    const lines: Lines = [['milk-whole', 2500]];
    const faint = step('simmer', 'pan', { kind: 'seconds', seconds: 1200 }, { adds: [], heat: 'low', stir: 0.4 });
    const found = follow(lines, [boil(add(0)), faint]).faults.filter(({ kind }) => kind === 'neverBoils');
    expect(found).toMatchObject([{ step: 1, heat: 'low' }]);
  });
});
