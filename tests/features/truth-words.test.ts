import { describe, expect, it } from 'vitest';
import { drawExercise, type Exercise, type ExerciseKind } from '@/core/practice/exercises';
import type { Call } from '@/core/practice/judge';
import { truthWords } from '@/features/practice/truth-words';
import { practiceFamilies } from '@/kitchen/practice/families';
import { practiceBase } from '@/kitchen/practice/practice-base';
import { larder } from '../support/kitchen';

const bases = practiceFamilies().flatMap((file) => practiceBase(file, larder) ?? []);
const drawn = <Kind extends ExerciseKind>(kind: Kind, count = 30) =>
  bases
    .flatMap((base) => Array.from({ length: count }, (_, i) => drawExercise(kind, base, 900 + i)))
    .filter((each): each is Extract<Exercise, { kind: Kind }> => each?.kind === kind);
const first = <Item>(items: readonly Item[]): Item => {
  const [item] = items;
  if (item === undefined) throw new Error('none drawn');
  return item;
};
/** The words with plain spaces. */
const said = (exercise: Exercise, call: Call = { kind: 'which', pan: 0 }) =>
  truthWords(exercise, call).join(' ').replaceAll(/\s/g, ' ');

describe('after a call', () => {
  it('each tells the truth, what told it, and the least that mends it', () => {
    for (const kind of ['tomorrow', 'which', 'spoon'] as const) {
      for (const exercise of drawn(kind, 8)) {
        const words = said(exercise);
        expect(words).toMatch(
          /The least that makes it pour as meant: \d+ g of|needs nothing|None of its rows alone makes it pour/,
        );
        if (kind !== 'spoon') expect(words).toContain('What told it');
      }
    }
  });

  it('says that nearly every pan like it becomes so where the truth stands clear', () => {
    const words = drawn('tomorrow').map((exercise) => said(exercise));
    expect(words.filter((each) => each.includes('Nearly every pan')).length / words.length).toBeGreaterThan(0.8);
  });

  it('what went wrong is mended by what is missing, or by warmth', () => {
    const whys = drawn('why');
    const wordsOf = (answer: string) => said(first(whys.filter((each) => each.answer === answer)));
    const short = first(whys.filter(({ answer }) => answer === 'shortLiquid'));
    const cream = short.pan.base.rows.findIndex(({ role }) => role === 'liquid');
    const left = Math.round((short.pan.base.rows[cream]?.grams ?? 0) - (short.pan.grams[cream] ?? 0));
    expect(said(short)).toContain(`the ${left} g of`);
    const boiled = first(whys.filter(({ answer }) => answer === 'boiledLong'));
    expect(said(boiled)).toContain(`${Math.round(boiled.pan.lostWaterG)} g of water`);
    expect(wordsOf('notHot')).toContain('warm it gently');
    expect(wordsOf('sugarLate')).toContain('a spoonful of water');
  });

  it('a pour too early waits, one too late is warmed again, one in time needs nothing', () => {
    const exercise = first(drawn('when', 3));
    const { leastC, mostC } = exercise.window;
    const at = (temperatureC: number) => said(exercise, { kind: 'when', temperatureC });
    expect(at(mostC + 4)).toContain('mends it: wait');
    expect(at(leastC - 4)).toContain('warm it again');
    expect(at((leastC + mostC) / 2)).not.toContain('mends it');
  });

  it('a fix tells what it does once it has set', () => {
    const exercise = first(drawn('mend'));
    const words = (grams: number) => said(exercise, { kind: 'mend', row: 0, grams, portions: 1 });
    expect(words(1)).toMatch(/Once set it is like [a-z ]+(, as meant|; [a-z ]+ was meant)\./);
    expect(words(4000)).toContain('was meant');
    const thick = first(drawn('mend').filter(({ pan }) => (pan.grams[0] ?? 0) < (pan.base.rows[0]?.grams ?? 0)));
    expect(said(thick, { kind: 'mend', row: 0, grams: 1, portions: 1 })).toContain('still too thick');
    expect(said(thick, { kind: 'mend', row: 0, grams: 4000, portions: 1 })).toContain('still too thin');
    // Chocolate does not thin: what does is named.
    const wrong = said(thick, { kind: 'mend', row: 1, grams: 20, portions: 1 });
    expect(wrong).toMatch(/alone cannot mend it\. The least that makes it pour as meant: \d+ g of/);
  });
});
