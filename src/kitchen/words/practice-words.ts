import type { ExerciseKind, Filling } from '@/core/practice/exercises';
import type { Cause } from '@/core/practice/hidden-pan';
import type { Called, Warmth } from '@/core/practice/learner';
import type { Seen } from '@/core/practice/observe';

export const EXERCISE_WORDS: Readonly<Record<ExerciseKind, string>> = {
  tomorrow: 'What will it be?',
  mend: 'Mend it',
  when: 'When to pour',
  which: 'Which is which?',
  why: 'Why is it so?',
  spoon: 'By spoon',
};

export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  asPlanned: 'nothing went wrong',
  shortLiquid: 'too little liquid went in',
  boiledLong: 'it boiled too long',
  notHot: 'it was not hot enough to melt all of it',
  sugarLate: 'the sugar came too late',
};

/** What told it, for each cause. */
export const TOLD_BY: Readonly<Record<Cause, string>> = {
  asPlanned: 'Smooth, and its ring is what the recipe gives at that temperature.',
  shortLiquid: 'Thicker than meant at its temperature, and richer. No water boiled off: too little went in.',
  boiledLong: 'A rim had dried on, and it is thicker than meant. Water boiled off.',
  notHot: 'Flecks in a pan that pours: the fat had not all melted.',
  sugarLate: 'Sand between the teeth and a dull surface: the sugar found no water.',
};

export const FILLING_WORDS: Readonly<Record<Filling, string>> = {
  loose: 'loosely, with air between',
  level: 'level, as it should be',
  heaped: 'heaped',
};

/** Names of the steps a call of firmness is made in. */
export const FIRMNESS_WORDS = [
  'pouring cream',
  'runny honey',
  'thick yoghurt',
  'soft butter',
  'cold butter',
  'a chocolate bar',
] as const;

export const CALLED_WORDS: Readonly<Record<Called, string>> = {
  cold: 'How firm it will be',
  coat: 'How thick it coats',
  amount: 'How much mends it',
  temperature: 'How warm it is poured',
};

export const WARMTH_WORDS: Readonly<Record<Warmth, string>> = {
  hot: 'Hot pans',
  warm: 'Warm ones',
  cool: 'Cool ones',
};

export const GRIT_WORDS: Readonly<Record<Seen['grit'], string>> = {
  smooth: 'is smooth',
  flecks: 'has flecks that are not melted',
  sandy: 'is sandy between the teeth',
};

/** Names of the steps of a coat on the side of a cake. */
export const COAT_WORDS = ['it runs off: a stain stays', 'a thin coat stays', 'a thick coat hangs'] as const;

/** How a surface shines, 0-100, in a word. */
export function shineWord(shine: number): string {
  if (shine >= 70) return 'It shines like a mirror.';
  return shine >= 45 ? 'It shines softly.' : 'It is dull.';
}
