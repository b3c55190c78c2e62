import { describe, expect, it } from 'vitest';
import { drawExercise, EXERCISE_KINDS } from '@/core/practice/exercises';
import { practiceFamilies } from '@/kitchen/practice/families';
import { practiceBase } from '@/kitchen/practice/practice-base';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../support/kitchen';

describe('a formula as it is practised', () => {
  it('has its own rows, pour and eating', () => {
    const [file] = practiceFamilies();
    const base = file && practiceBase(file, larder);
    expect(base?.rows.map(({ name, role, grams }) => [name, role, grams])).toEqual([
      ['Whipping cream 35 %', 'liquid', 200],
      ['Dark couverture 60 %', 'chocolate', 200],
    ]);
    expect([base?.pourC, base?.eatC, base?.hours]).toEqual([36, 5, 12]);
  });

  it('leaves out what nobody knows, and is none where nothing is known', () => {
    const [file] = practiceFamilies();
    if (!file) throw new Error('there are families');
    const strange = {
      ...file,
      lines: [{ ...file.lines[0], ingredient: 'nobody-knows' }, ...file.lines],
    } as typeof file;
    expect(practiceBase(strange, larder)?.rows.map(({ name }) => name)).toEqual([
      'Whipping cream 35 %',
      'Dark couverture 60 %',
    ]);
    expect(practiceBase({ ...file, lines: [] }, larder)).toBeUndefined();
  });

  it('every kind can be drawn from what ships', () => {
    const bases = [...practiceFamilies(), ...lanternMillFormulas()].flatMap((file) => practiceBase(file, larder) ?? []);
    for (const kind of EXERCISE_KINDS) {
      expect(bases.filter((base) => drawExercise(kind, base, 3)).length, kind).toBeGreaterThan(2);
    }
  });
});
