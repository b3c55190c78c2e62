import { keysOf } from '../keys-of';
import type { ExerciseKind } from './exercises';

/** What a call is measured in: how firm, how thick a coat, how much, how warm; each as said less true (ln, ln, ln, tens of °C). */
export const CALLED = ['cold', 'coat', 'amount', 'temperature'] as const;
export type Called = (typeof CALLED)[number];

/** One exercise that was done. */
export interface Try {
  readonly kind: ExerciseKind;
  readonly isRight: boolean;
  /** nothing where the call has no size */
  readonly called: Called | undefined;
  readonly miss: number | undefined;
  /** °C of the pan as it was judged; nothing where the call has no size, or nobody noted it */
  readonly panC: number | undefined;
}

/** A learner's bias and spread in one quantity. */
export interface Eye {
  readonly tries: number;
  /** mean of said less true, drawn towards none while there are few */
  readonly bias: number;
  readonly biasSd: number;
  /** spread of single calls about it */
  readonly spread: number;
}

/** Before any try: no bias, give or take; a spread of a beginner (J). What the signs themselves leave open is taken out of the spread. */
const PRIOR = { sd: 0.5, spread: 0.8, weight: 4, signs: 0.25 } as const;
/** What a bias is drawn towards while tries are few, and how firmly (sd). */
interface Towards {
  readonly bias: number;
  readonly sd: number;
}
const NONE: Towards = { bias: 0, sd: PRIOR.sd };
/** By how much an eye differs between hot and cool pans, sd (J). */
const BY_WARMTH_SD = 0.35;

/**
 * A learner's eye for one quantity, shrunk honestly when tries are few.
 *
 * @param misses said less true, any number
 * @param towards what is believed before any try
 * @see normal mean with a normal prior; variance with a scaled inverse chi-squared prior
 */
export function eyeOf(misses: readonly number[], towards: Towards = NONE): Eye {
  const n = misses.length;
  const mean = n > 0 ? misses.reduce((sum, each) => sum + each, 0) / n : 0;
  const squares = misses.reduce((sum, each) => sum + (each - mean) ** 2, 0);
  const variance = (PRIOR.weight * PRIOR.spread ** 2 + squares) / (PRIOR.weight + Math.max(n - 1, 0));
  const before = 1 / towards.sd ** 2;
  const precision = before + n / variance;
  return {
    tries: n,
    bias: (before * towards.bias + (n * mean) / variance) / precision,
    biasSd: 1 / Math.sqrt(precision),
    spread: Math.sqrt(Math.max(variance - PRIOR.signs ** 2, 0.01)),
  };
}

/** How warm a pan was as it was judged, by the °C from which it counts (J): one that runs, one that pours, one that holds. */
export const WARMTHS = { hot: 48, warm: 36, cool: Number.NEGATIVE_INFINITY } as const;
export type Warmth = keyof typeof WARMTHS;

/** The warmth a pan's temperature belongs to. */
export const warmthOf = (panC: number): Warmth =>
  panC >= WARMTHS.hot ? 'hot' : panC >= WARMTHS.warm ? 'warm' : 'cool';

/**
 * A learner's eye for one quantity by how warm the pan was: each drawn towards the eye over all of them while its own tries are few.
 *
 * @returns those warmths that were tried, the hottest first
 * @see partial pooling of a normal mean
 */
export function eyeByWarmth(tries: readonly Try[], called: Called): readonly (readonly [Warmth, Eye])[] {
  const sized = tries.filter((each) => each.called === called && each.miss !== undefined);
  const { bias } = eyeOf(sized.map(({ miss = 0 }) => miss));
  return keysOf(WARMTHS).flatMap((warmth): (readonly [Warmth, Eye])[] => {
    const misses = sized.flatMap(({ miss, panC }) =>
      panC !== undefined && warmthOf(panC) === warmth && miss !== undefined ? [miss] : [],
    );
    return misses.length > 0 ? [[warmth, eyeOf(misses, { bias, sd: BY_WARMTH_SD })]] : [];
  });
}

/** Boxes of Leitner's card file: how many exercises lie between two of a kind, by the box it is in. */
const GAPS = [1, 2, 4, 8, 16] as const;

/**
 * The kind of exercise that comes next: Leitner's boxes (1972). A kind that was right moves up a box and comes back later, one that was wrong goes to the
 * first; of those that are due the one that waits longest, of those that wait as long the one that was wrong more often.
 *
 * @param tries all so far, the oldest first
 */
export function nextKind(
  kinds: readonly ExerciseKind[],
  tries: readonly Pick<Try, 'kind' | 'isRight'>[],
): ExerciseKind {
  const stands = kinds.map((kind, order) => {
    let box = 0;
    let last = -1;
    let wrong = 0;
    for (const [at, each] of tries.entries()) {
      if (each.kind !== kind) continue;
      box = each.isRight ? Math.min(box + 1, GAPS.length - 1) : 0;
      wrong += each.isRight ? 0 : 1;
      last = at;
    }
    const since = last < 0 ? Number.POSITIVE_INFINITY : tries.length - last;
    return { kind, order, overdue: since / (GAPS[box] ?? 1), wrong };
  });
  const [first] = stands.toSorted((a, b) => b.overdue - a.overdue || b.wrong - a.wrong || a.order - b.order);
  if (!first) throw new RangeError('there is no exercise to choose from');
  return first.kind;
}
