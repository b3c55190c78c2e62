import { describe, expect, it } from 'vitest';
import { methodFaults } from '@/core/method/checks';
import { followMethod } from '@/core/method/follow-method';
import { USUAL_METHOD_KITCHEN } from '@/core/method/kitchen';
import { type Mend, mendOf } from '@/core/method/mends/mend';
import { methodRows } from '@/core/method/rows';
import { mayCurdle, phOf } from '@/core/method/sourness';
import type { Method } from '@/core/method/step';
import { boil, step } from '@/core/method/ways/parts';
import { methodBy } from '@/core/method/ways/ways';
import { previewMend } from '@/kitchen/method/mend-preview';
import { previewSentence } from '@/kitchen/words/mend-words';
import { perGram } from '../../support/pan';

const PH: Readonly<Record<string, number>> = { 'puree-raspberry': 3.2, 'cream-35': 6.7, honey: 3.9, 'milk-whole': 6.7 };
const linesOf = (lines: readonly (readonly [string, number])[]) =>
  lines.map(([id, grams]) => ({ perGram: perGram(id), grams, ph: PH[id] }));
const whole = (row: number) => ({ row, share: 1 });
const judged = (rows: ReturnType<typeof methodRows>, method: Method) => {
  const followed = followMethod(rows, method, USUAL_METHOD_KITCHEN);
  return { rows, method, kitchen: USUAL_METHOD_KITCHEN, pourC: 35, followed, faults: methodFaults(rows, followed) };
};

describe('what is sour with hot milk', () => {
  it('has the mean of the hydrogen ions as its pH, and may curdle with milk alone', () => {
    const half = linesOf([
      ['puree-raspberry', 100],
      ['cream-35', 100],
    ]);
    expect(phOf(half)).toBeCloseTo(3.2 + Math.log10(2), 2);
    expect(mayCurdle(half)).toBe(true);
    // A pH of 5.1 is still too sour, one of 5.6 is not.
    const soured = (ph: number) => half.map((line) => ({ ...line, ph }));
    expect([mayCurdle(soured(5.1)), mayCurdle(soured(5.6))]).toEqual([true, false]);
    expect(mayCurdle(linesOf([['puree-raspberry', 100]]))).toBe(false);
    expect(mayCurdle(linesOf([['cream-35', 100]]))).toBe(false);
    // A spoon of honey is taken up by the milk.
    expect(
      mayCurdle(
        linesOf([
          ['cream-35', 190],
          ['honey', 24],
        ]),
      ),
    ).toBe(false);
  });

  it('goes in late by the ways themselves, and is told where a cook boils it with the cream', () => {
    const rows = methodRows(
      linesOf([
        ['cream-35', 220],
        ['dark-couverture-60', 200],
        ['puree-raspberry', 60],
      ]),
    );
    const method = methodBy('pouredOver', rows, 35) as Method;
    expect(judged(rows, method).faults).toEqual([]);
    expect(method.steps.find(({ adds }) => adds.some(({ row }) => row === 2))?.kind).toBe('spirit');

    const together: Method = {
      way: 'pouredOver',
      steps: [
        boil([whole(0), whole(2)]),
        step('pourOver', 'bowl', { kind: 'seconds', seconds: 120 }, { adds: [whole(1)] }),
        step('stir', 'bowl', { kind: 'melted' }, { stir: 0.5, tool: 'whisk' }),
      ],
    };
    const bad = judged(rows, together);
    expect(bad.faults).toEqual([
      { kind: 'mayCurdle', step: 0, ph: expect.any(Number), temperatureC: expect.any(Number) },
    ]);
    const mend = mendOf(bad.faults[0] as (typeof bad.faults)[number], bad);
    expect(mend?.kind).toBe('sourLast');
    expect(mend && 'steps' in mend && judged(rows, { ...together, steps: mend.steps }).faults).toEqual([]);
  });
});

describe('cocoa', () => {
  const rows = methodRows(
    linesOf([
      ['milk-whole', 300],
      ['sugar-caster', 60],
      ['cocoa-alkalised-22', 50],
    ]),
  );
  const onBoiling: Method = {
    way: 'cocoaSyrup',
    steps: [
      step('warm', 'pan', { kind: 'dissolved' }, { adds: [whole(0), whole(1)], heat: 'medium', stir: 0.5 }),
      boil([]),
      step('simmer', 'pan', { kind: 'seconds', seconds: 60 }, { adds: [whole(2)], heat: 'medium', stir: 0.4 }),
    ],
  };

  it('dry onto boiling milk makes lumps; with its sugar it does not, by one press', () => {
    const bad = judged(rows, onBoiling);
    expect(bad.faults).toEqual([{ kind: 'cocoaLumps', step: 2, temperatureC: expect.any(Number) }]);
    const mend = mendOf(bad.faults[0] as (typeof bad.faults)[number], bad);
    expect(mend?.kind).toBe('cocoaWithSugar');
    expect(mend && 'steps' in mend && mend.steps[0]?.adds.map(({ row }) => row)).toEqual([0, 1, 2]);
  });

  it('tells before the press what the mend does', () => {
    const bad = judged(rows, onBoiling);
    const mend = mendOf(bad.faults[0] as (typeof bad.faults)[number], bad) as Mend;
    const preview = previewMend(mend, bad);
    const after = judged(rows, { ...onBoiling, steps: 'steps' in mend ? mend.steps : [] });
    expect(preview.left).toBe(after.faults.length);
    expect(preview.endC).toBe(after.followed.at(-1)?.end.temperatureC);
    expect(preview.added.length - preview.removed.length).toBe(after.followed.length - bad.followed.length);
    const words = previewSentence(preview, {
      celsius: (c) => `${Math.round(c)} C`,
      duration: (s) => `${Math.round(s)} s`,
    });
    expect(words).toContain('Then nothing is wrong.');
    expect(words).toContain(`ends at ${Math.round(preview.endC ?? 0)} C`);
  });

  it('goes in with the sugar by the way itself', () => {
    expect(judged(rows, methodBy('cocoaSyrup', rows, 45) as Method).faults).toEqual([]);
  });
});
