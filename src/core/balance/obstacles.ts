import type { Formula } from '../predict/formula';
import { predictFormula } from '../predict/formula';
import { balanceProblem } from './problem';
import { search } from './search';

/** One thing that keeps a formula from landing. Loosening it alone is enough when `enough` is true. */
export type Obstacle =
  | { readonly kind: 'lock'; readonly line: number; readonly ingredient: string; readonly enough: boolean }
  | { readonly kind: 'least' | 'most'; readonly line: number; readonly ingredient: string; readonly enough: boolean }
  | {
      readonly kind: 'gate';
      readonly gate: number;
      readonly moment: string;
      readonly quantity: string;
      readonly enough: boolean;
    }
  | { readonly kind: 'total'; readonly enough: boolean };

/** Starts spent on each "what if": fewer than a balance, since most of these are near the formula. */
const STARTS = 3;
const INWARD = 0.005;

/** Whether a formula could land. */
function couldLand(formula: Formula, freeTotal = false): boolean {
  return search(balanceProblem(formula, { inward: INWARD, freeTotal }), STARTS).landing !== undefined;
}

function withLine(formula: Formula, index: number, change: Partial<Formula['lines'][number]>): Formula {
  return { ...formula, lines: formula.lines.map((line, i) => (i === index ? { ...line, ...change } : line)) };
}

/**
 * Names what keeps a formula from landing: each lock, each least or most the cook set, each gate and the kept total is loosened by itself,
 * and those that are enough are given. When none is enough alone, the gates still missed at the nearest point and every lock are
 * given, marked as not enough alone.
 *
 * @param formula what was asked
 * @param nearest the closest that could be reached
 */
export function obstacles(formula: Formula, nearest: Formula): Obstacle[] {
  const locks = formula.lines.flatMap((line, index): { obstacle: Obstacle; loosened: Formula }[] =>
    line.locked
      ? [
          {
            obstacle: { kind: 'lock', line: index, ingredient: line.ingredient, enough: true },
            loosened: withLine(formula, index, { locked: false }),
          },
        ]
      : [],
  );
  const bounds = formula.lines.flatMap((line, index): { obstacle: Obstacle; loosened: Formula }[] => {
    if (line.locked) return [];
    const { ingredient } = line;
    const found: { obstacle: Obstacle; loosened: Formula }[] = [];
    if (line.minGrams) {
      found.push({
        obstacle: { kind: 'least', line: index, ingredient, enough: true },
        loosened: withLine(formula, index, { minGrams: undefined }),
      });
    }
    if (line.maxGrams !== undefined) {
      found.push({
        obstacle: { kind: 'most', line: index, ingredient, enough: true },
        loosened: withLine(formula, index, { maxGrams: undefined }),
      });
    }
    return found;
  });
  const gates = formula.gates.map((gate, index): { obstacle: Obstacle; loosened: Formula } => ({
    obstacle: { kind: 'gate', gate: index, moment: gate.moment, quantity: gate.quantity, enough: true },
    loosened: { ...formula, gates: formula.gates.filter((_, i) => i !== index) },
  }));

  const enough = [...locks, ...bounds, ...gates].flatMap(({ obstacle, loosened }) =>
    couldLand(loosened) ? [obstacle] : [],
  );
  if (couldLand(formula, true)) enough.push({ kind: 'total', enough: true });
  if (enough.length > 0) return enough;

  const missed = predictFormula(nearest)?.gates ?? [];
  return [
    ...missed.flatMap((gate, index): Obstacle[] =>
      gate.lands ? [] : [{ kind: 'gate', gate: index, moment: gate.moment, quantity: gate.quantity, enough: false }],
    ),
    ...locks.map(({ obstacle }) => ({ ...obstacle, enough: false })),
  ];
}
