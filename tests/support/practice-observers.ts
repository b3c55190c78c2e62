import { keysOf } from '@/core/keys-of';
import { nth } from '@/core/nth';
import { pourGate } from '@/core/practice/as-meant';
import { drawExercise, type Exercise, type ExerciseKind, FILLINGS } from '@/core/practice/exercises';
import { CAUSES, type HiddenPan, type PracticeBase } from '@/core/practice/hidden-pan';
import { type Call, judge } from '@/core/practice/judge';
import { leastOf } from '@/core/practice/least-fix';
import { observe, type Seen } from '@/core/practice/observe';

/** How somebody makes a call: by all that is seen, without looking, or by the warm look as if it were at its pour. */
export const OBSERVERS = ['ideal', 'blind', 'warmLook'] as const;
export type Observer = (typeof OBSERVERS)[number];

const RING_READ_MM = 2.5;
/** °C a press cools by, and how often one presses at most. */
const PRESS_C = 2;
const MOST_PRESSES = 14;

const pansOf = (exercise: Exercise): readonly HiddenPan[] =>
  exercise.kind === 'which' ? exercise.pans : [exercise.pan];
/** °C of each pan while it is judged. */
function atOf(exercise: Exercise, pan: number): number {
  if (exercise.kind === 'when') return exercise.fromC;
  return exercise.kind === 'which' ? nth(exercise.atC, pan) : exercise.atC;
}

/** What everybody knows of an exercise before looking: exercises that share it are drawn alike. */
function asked(exercise: Exercise): string {
  switch (exercise.kind) {
    case 'tomorrow':
      return `${exercise.where} ${exercise.thenC}`;
    case 'which':
      return `${exercise.row}`;
    case 'spoon':
      return `${exercise.row}`;
    default:
      return '';
  }
}

/** How much alike two pans look, 0-1. */
function alike(a: Seen, b: Seen, looksAtAll: boolean): number {
  const near = Math.exp(-(((a.ringMm - b.ringMm) / RING_READ_MM) ** 2) / 2);
  if (!looksAtAll) return near;
  const same = a.grit === b.grit && a.driedRim === b.driedRim && a.taste === b.taste && a.hasSkin === b.hasSkin;
  return same ? near : 0.02 * near;
}

/** How much of what is seen of one exercise would be seen of another, to an observer. */
function weightOf(exercise: Exercise, other: Exercise, observer: Observer): number {
  if (observer === 'blind') return 1;
  const seesHeat = observer === 'ideal';
  // Who takes the pan for one at its pour compares with pans that are there.
  return pansOf(exercise).reduce((weight: number, pan: HiddenPan, i: number) => {
    const now = observe(pan, atOf(exercise, i));
    const otherPan = nth(pansOf(other), i);
    const then = observe(otherPan, seesHeat ? atOf(exercise, i) : otherPan.base.pourC);
    return weight * alike(now, then, seesHeat);
  }, 1);
}

/** The calls that can be made by a word. */
function callsOf(exercise: Exercise): readonly Call[] {
  switch (exercise.kind) {
    case 'tomorrow':
      return exercise.steps.map((_, step) => ({ kind: 'tomorrow', step }));
    case 'which':
      return [
        { kind: 'which', pan: 0 },
        { kind: 'which', pan: 1 },
      ];
    case 'why':
      return CAUSES.map((cause) => ({ kind: 'why', cause }));
    case 'spoon':
      return keysOf(FILLINGS).map((filling) => ({ kind: 'spoon', filling }));
    default:
      return [];
  }
}

/** Exercises of a kind of a formula, as many as somebody meets in a long life. */
export function manyExercises(kind: ExerciseKind, base: PracticeBase, count: number, firstSeed: number): Exercise[] {
  return Array.from({ length: count }, (_, i) => drawExercise(kind, base, firstSeed + 31 * i)).filter(
    (each): each is Exercise => each !== undefined,
  );
}

type Of<Kind extends ExerciseKind> = Extract<Exercise, { kind: Kind }>;

/** Grams of a row that bring a pan into the middle of its gate, for the row that takes fewest. */
function mendOf(exercise: Of<'mend'>, like: Of<'mend'>): Call {
  const { low, high } = pourGate(exercise.pan.base);
  const middle = Math.sqrt(low * high);
  const fixes = exercise.choices.flatMap((row) => {
    const grams = leastOf(like.pan, exercise.pan.base.pourC, { low: middle, high: middle }, row);
    return grams === undefined || grams === 0 ? [] : [{ row, grams }];
  });
  const [best] = fixes.toSorted((a, b) => a.grams - b.grams);
  return { kind: 'mend', row: best?.row ?? nth(exercise.choices, 0), grams: best?.grams ?? 1, portions: 3 };
}

/** When somebody pours: by the ring that pans have at their pour, after so many presses whatever is seen, or by the first look. */
function whenOf(exercise: Of<'when'>, others: readonly Of<'when'>[], observer: Observer): Call {
  const presses = Array.from({ length: 2 * MOST_PRESSES + 1 }, (_, i) => PRESS_C * (i - MOST_PRESSES));
  const pour = (by: number, of: Of<'when'>): Call => ({ kind: 'when', temperatureC: of.fromC - by });
  if (observer === 'ideal') {
    const { pourC } = exercise.pan.base;
    const meantMm = others.reduce((sum, { pan }) => sum + observe(pan, pourC).ringMm, 0) / others.length;
    const off = (by: number) => Math.abs(observe(exercise.pan, exercise.fromC - by).ringMm - meantMm);
    return pour(presses.toSorted((a, b) => off(a) - off(b))[0] ?? 0, exercise);
  }
  const weighed = others.map((other) => ({ other, weight: weightOf(exercise, other, observer) }));
  const rights = (by: number) =>
    weighed.reduce((sum, { other, weight }) => sum + (judge(other, pour(by, other)).isRight ? weight : 0), 0);
  return pour(presses.toSorted((a, b) => rights(b) - rights(a))[0] ?? 0, exercise);
}

/** What an observer calls, who has met many other exercises of the same formula. */
export function callBy(observer: Observer, exercise: Exercise, met: readonly Exercise[]): Call {
  const others = met.filter(
    (other) => other.seed !== exercise.seed && other.kind === exercise.kind && asked(other) === asked(exercise),
  );
  if (exercise.kind === 'when') {
    return whenOf(
      exercise,
      others.filter((other) => other.kind === 'when'),
      observer,
    );
  }
  const weighed = others.map((other) => ({ other, weight: weightOf(exercise, other, observer) }));
  if (exercise.kind === 'mend') {
    const mends = weighed.flatMap(({ other, weight }) => (other.kind === 'mend' ? [{ other, weight }] : []));
    const [like] = mends.toSorted((a, b) => b.weight - a.weight);
    if (!like) throw new Error('none was met');
    return mendOf(exercise, like.other);
  }
  const score = (call: Call) =>
    weighed.reduce((sum, { other, weight }) => sum + (judge(other, call).isRight ? weight : 0), 0);
  return nth(
    callsOf(exercise).toSorted((a, b) => score(b) - score(a)),
    0,
  );
}
