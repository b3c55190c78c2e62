import type { MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import { significant, weight } from '@/ui/format';

/** Least and most of an axis on the map. */
export type Reach = readonly [number, number];

/** A value on an axis, as it is said. */
export const axisText = (axis: MapAxis, value: number) =>
  axis.kind === 'grams' ? weight(value) : `${significant(value, 2)} : 1`;

/** Names an axis among the choices. */
export const axisKey = (axis: MapAxis) => (axis.kind === 'grams' ? `g${axis.line}` : `r${axis.over}-${axis.under}`);

/** The choices of an axis: each row's grams, and the ratio of the first two rows. */
export function axisChoices(formula: Formula, nameOf: (ingredient: string) => string) {
  const rows = formula.lines.map((line, i) => ({
    name: nameOf(line.ingredient),
    axis: { kind: 'grams', line: i } as MapAxis,
  }));
  const bySize = formula.lines
    .map((line, i) => ({ i, line }))
    .sort((a, b) => b.line.grams - a.line.grams)
    .slice(0, 3)
    .sort((a, b) => a.i - b.i);
  const ratios = bySize.flatMap(({ i, line }, a) =>
    bySize.slice(a + 1).map(({ i: j, line: other }) => ({
      name: `${nameOf(line.ingredient)} : ${nameOf(other.ingredient)}`,
      axis: { kind: 'ratio', over: i, under: j } as MapAxis,
    })),
  );
  return [...rows, ...ratios].map((choice) => ({ ...choice, key: axisKey(choice.axis) }));
}

/** The two rows there is most of, in their order: what a map is opened on. */
export function largestTwo(formula: Formula): readonly [MapAxis, MapAxis] {
  const [a = 0, b = 1] = formula.lines
    .map((_, i) => i)
    .sort((i, j) => (formula.lines[j]?.grams ?? 0) - (formula.lines[i]?.grams ?? 0))
    .slice(0, 2)
    .sort((i, j) => i - j);
  return [
    { kind: 'grams', line: a },
    { kind: 'grams', line: b },
  ];
}
