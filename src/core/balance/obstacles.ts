import type { Formula } from '../formula/formula';
import type { GateQuantity } from '../formula/gate-quantities';
import { nth } from '../nth';
import { predictFormula } from '../predict/predict-formula';
import { EFFORT_TO_EXPLAIN, type Effort } from './effort';
import { balanceProblem } from './problem';
import { search } from './search';

/** A thing that can be loosened. */
type Loosenable =
  | { readonly kind: 'lock' | 'least' | 'most'; readonly line: number; readonly ingredient: string }
  | { readonly kind: 'gate'; readonly gate: number; readonly moment: string; readonly quantity: GateQuantity }
  | { readonly kind: 'total' };

/**
 * One thing that keeps a formula from landing. Loosening it is enough `alone`, or `together` with the others so marked, or `no` set that was
 * tried is enough.
 */
export type Obstacle = Loosenable & { readonly enough: 'alone' | 'together' | 'no' };

/** Starts spent on each "what if": fewer than a balance, since most of these are near the formula. */
const STARTS_ALONE = 3;
const STARTS_TOGETHER = 1;
const INWARD = 0.005;
/** Sets of two and of three that are tried, the most promising first. */
const MOST_PAIRS = 30;
const MOST_TRIPLES = 20;

/** Everything a cook set that could be loosened: locks, leasts and mosts, gates, and the kept total. */
function loosenables(formula: Formula): Loosenable[] {
  return [
    ...formula.lines.flatMap((line, index): Loosenable[] => {
      const at = { line: index, ingredient: line.ingredient };
      if (line.locked) return [{ kind: 'lock', ...at }];
      const least: Loosenable[] = line.minGrams ? [{ kind: 'least', ...at }] : [];
      return line.maxGrams === undefined ? least : [...least, { kind: 'most', ...at }];
    }),
    ...formula.gates.map(
      ({ moment, quantity }, index): Loosenable => ({ kind: 'gate', gate: index, moment, quantity }),
    ),
    { kind: 'total' },
  ];
}

/** Gates that are missed and limits that hold at the nearest point first: with many rows there may be no work left for all. */
function likeliestFirst(things: readonly Loosenable[], nearest: Formula): Loosenable[] {
  const gates = predictFormula(nearest)?.gates ?? [];
  const isLikely = (thing: Loosenable) => {
    if (thing.kind === 'gate') return gates[thing.gate]?.lands === false;
    if (thing.kind === 'total' || thing.kind === 'lock') return true;
    const { grams = 0, minGrams = 0, maxGrams } = nearest.lines[thing.line] ?? {};
    return thing.kind === 'least' ? grams <= minGrams : maxGrams === undefined || grams >= maxGrams;
  };
  return things.toSorted((a, b) => Number(isLikely(b)) - Number(isLikely(a)));
}

/** What is left of a formula when some things are loosened, and how far it then stays from landing (0 when it lands). */
function missWithout(formula: Formula, loose: readonly Loosenable[], starts: number, effort: Effort): number {
  if (effort.left <= 0) return Number.POSITIVE_INFINITY;
  const gone = (kind: Loosenable['kind'], index: number) =>
    loose.some(
      (each) => each.kind === kind && ('line' in each ? each.line : 'gate' in each ? each.gate : -1) === index,
    );
  const loosened: Formula = {
    ...formula,
    lines: formula.lines.map((line, i) => ({
      ...line,
      locked: line.locked && !gone('lock', i),
      minGrams: gone('least', i) ? undefined : line.minGrams,
      maxGrams: gone('most', i) ? undefined : line.maxGrams,
    })),
    gates: formula.gates.filter((_, i) => !gone('gate', i)),
  };
  const freeTotal = loose.some(({ kind }) => kind === 'total');
  const { landing, nearest } = search(balanceProblem(loosened, { inward: INWARD, freeTotal }), starts, effort);
  return landing ? 0 : (nearest?.miss ?? Number.POSITIVE_INFINITY);
}

/** All sets of a size out of things in order of promise, the most promising first. */
function setsOf<T>(things: readonly T[], size: number, most: number): T[][] {
  const sets: { set: T[]; rank: number }[] = [];
  const grow = (from: number, set: T[], rank: number) => {
    if (set.length === size) {
      sets.push({ set, rank });
      return;
    }
    for (let i = from; i < things.length; i++) grow(i + 1, [...set, nth(things, i)], rank + i);
  };
  grow(0, [], 0);
  return sets
    .sort((a, b) => a.rank - b.rank)
    .slice(0, most)
    .map(({ set }) => set);
}

/**
 * Names what keeps a formula from landing: each lock, each least or most the cook set, each gate and the kept total is loosened by itself, and
 * those that are enough are given. When none is enough alone, the smallest set that is enough is looked for, two and then three
 * at a time, locks and limits before gates, those first that alone came closest. When no such set is found, or none before the work that may be spent on it
 * ({@link EFFORT_TO_EXPLAIN}) is done, the gates missed at the nearest point and every lock are given.
 *
 * @param formula what was asked
 * @param nearest the closest that could be reached
 * @param effort what work may be spent
 */
export function obstacles(
  formula: Formula,
  nearest: Formula,
  effort: Effort = { left: EFFORT_TO_EXPLAIN },
): Obstacle[] {
  const asSet = loosenables(formula);
  const misses = new Map(
    likeliestFirst(asSet, nearest).map((thing) => [thing, missWithout(formula, [thing], STARTS_ALONE, effort)]),
  );
  const tried = asSet.map((thing) => ({ thing, miss: misses.get(thing) ?? Number.POSITIVE_INFINITY }));
  const alone = tried.filter(({ miss }) => miss === 0);
  if (alone.length > 0) return alone.map(({ thing }) => ({ ...thing, enough: 'alone' }));

  // What the cook only holds on to goes before what the batch is for.
  const things = tried
    .toSorted((a, b) => Number(a.thing.kind === 'gate') - Number(b.thing.kind === 'gate') || a.miss - b.miss)
    .map(({ thing }) => thing);
  for (const set of [...setsOf(things, 2, MOST_PAIRS), ...setsOf(things, 3, MOST_TRIPLES)]) {
    if (missWithout(formula, set, STARTS_TOGETHER, effort) === 0)
      return set.map((thing) => ({ ...thing, enough: 'together' }));
  }

  const missed = predictFormula(nearest)?.gates ?? [];
  return [
    ...missed.flatMap(({ lands, moment, quantity }, index): Obstacle[] =>
      lands ? [] : [{ kind: 'gate', gate: index, moment, quantity, enough: 'no' }],
    ),
    ...things.flatMap((thing): Obstacle[] => (thing.kind === 'lock' ? [{ ...thing, enough: 'no' }] : [])),
  ];
}
