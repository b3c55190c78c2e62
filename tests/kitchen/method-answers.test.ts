import { describe, expect, it } from 'vitest';
import { readFormula } from '@/formats/formula-file';
import { answerMethod } from '@/kitchen/method/method-answers';
import { rowHints } from '@/kitchen/method/row-hints';
import { fileOf, larder } from '../support/kitchen';

const ganache = fileOf([
  ['dark-couverture-60', 200],
  ['cream-35', 240],
  ['butter-unsalted-82', 40],
]);

describe('a method from the shell', () => {
  it('names the way and why, and each step with its grams, times and temperatures', () => {
    const answer = answerMethod(readFormula(ganache), larder);
    expect(answer).toMatchObject({ way: 'pouredOver', why: 'enoughHeat', pourC: 36, faults: [] });
    expect(answer.otherWays).toContain('microwave');
    const [boil, pour] = answer.steps;
    expect(boil).toMatchObject({ kind: 'boil', adds: [{ ingredient: 'cream-35', grams: 240 }], reached: true });
    expect(boil?.temperatureC).toBeGreaterThan(99);
    expect(pour?.together?.unmelted).toBe(0);
    expect(answer.steps.at(-1)?.temperatureC).toBeLessThanOrEqual(36);
    expect(answer.seconds).toBeCloseTo(
      answer.steps.reduce((sum, { seconds }) => sum + seconds, 0),
      6,
    );
  });

  it('refuses an empty pan and one that no way suits', () => {
    expect(() => answerMethod(readFormula(fileOf([['water', 0]])), larder)).toThrow('nothing is in the pan');
    expect(() => answerMethod(readFormula(fileOf([['salt-fine', 5]])), larder)).toThrow('no way of working suits');
  });

  it('reads what is noted beside a row, in several languages', () => {
    const notes = [
      'soaks the leaves',
      'eingeweicht: einweichen',
      'trempée',
      'slaked in cold milk',
      'boil, then pour',
      undefined,
    ];
    expect(
      rowHints(notes.map((form) => ({ ingredient: 'water', form }))).map(({ soaks, slakes, poured }) => [
        soaks,
        slakes,
        poured,
      ]),
    ).toEqual([
      [true, false, false],
      [true, false, false],
      [true, false, false],
      [false, true, false],
      [false, false, true],
      [false, false, false],
    ]);
  });
});
