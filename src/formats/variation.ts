import { nth } from '@/core/nth';
import type { FileLine, FormulaFile } from './formula-file';

/** Fields of a row that differ from the base's; null where the variant leaves a field out. */
type RowChange = { readonly [Field in keyof FileLine]?: FileLine[Field] | null };

/**
 * What a variant does differently from its base: only that is its own; all else follows the base.
 *
 * Rows are known by their ingredient and, where one stands twice, by which of them it is (`sugar-caster#2`).
 */
export interface Variation {
  /** by base row */
  readonly changed: Readonly<Record<string, RowChange>>;
  /** base rows that are left out */
  readonly removed: readonly string[];
  /** rows of its own, each after a base row or at the head */
  readonly added: readonly { readonly after: string | null; readonly line: FileLine }[];
  /** its own order of the base's rows, where it differs */
  readonly order?: readonly string[] | undefined;
  /** whole parts that differ; null where the variant has none */
  readonly parts: { readonly [Part in (typeof PARTS)[number]]?: FormulaFile[Part] | null };
}

const PARTS = ['gates', 'moments', 'process', 'use', 'yield', 'brief', 'method', 'ingredients'] as const;
const FIELDS = ['grams', 'form', 'locked', 'minGrams', 'maxGrams', 'stage', 'tie', 'byVolume'] as const;

/** What a variant never takes from its base, and what rows are known by. */
type Own = 'format' | 'version' | 'name' | 'note' | 'tags' | 'lines';
type Known = 'ingredient';
/** A part of a formula or a field of a row that is missed above fails to compile here. */
const NONE_MISSED: [
  Exclude<keyof FormulaFile, (typeof PARTS)[number] | Own>,
  Exclude<keyof FileLine, (typeof FIELDS)[number] | Known>,
] extends [never, never]
  ? true
  : never = true;
void NONE_MISSED;

/** Names of a pan's rows, each once. */
function rowNames(lines: readonly FileLine[]): string[] {
  const seen = new Map<string, number>();
  return lines.map(({ ingredient }) => {
    const n = (seen.get(ingredient) ?? 0) + 1;
    seen.set(ingredient, n);
    return n === 1 ? ingredient : `${ingredient}#${n}`;
  });
}

const text = (value: unknown) => JSON.stringify(value ?? null);

/** Those of the names that differ, with what the second has there. */
function differing<Name extends string>(names: readonly Name[], a: object, b: object): Record<string, unknown> {
  const [from, to] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return Object.fromEntries(
    names.filter((name) => text(from[name]) !== text(to[name])).map((name) => [name, to[name] ?? null]),
  );
}

const present = (change: object) =>
  Object.fromEntries(Object.entries(change).map(([name, value]) => [name, value ?? undefined]));

/**
 * What a formula does differently from a base.
 *
 * @param base the base as it stands
 * @param child the variant as it should be
 */
export function variationOf(base: FormulaFile, child: FormulaFile): Variation {
  const [baseNames, childNames] = [rowNames(base.lines), rowNames(child.lines)];
  const shared = childNames.filter((name) => baseNames.includes(name));
  const inOrder = baseNames.filter((name) => shared.includes(name));
  const changed: Record<string, RowChange> = {};
  const added: { after: string | null; line: FileLine }[] = [];
  let after: string | null = null;
  child.lines.forEach((line, i) => {
    const name = nth(childNames, i);
    const own = base.lines[baseNames.indexOf(name)];
    if (!own) {
      added.push({ after, line });
      return;
    }
    after = name;
    const change = differing(FIELDS, own, line);
    if (Object.keys(change).length > 0) changed[name] = change;
  });
  return {
    changed,
    removed: baseNames.filter((name) => !childNames.includes(name)),
    added,
    ...(text(shared) === text(inOrder) ? {} : { order: shared }),
    parts: differing(PARTS, base, child),
  };
}

/**
 * The variant a variation makes of its base: rows in the base's order, or its own, with its own rows where they belong.
 *
 * @param base as it stands now
 * @param variation what is different
 * @param own name, note and tags of the variant, which are never the base's
 */
export function applyVariation(
  base: FormulaFile,
  variation: Variation,
  own: Pick<FormulaFile, 'name' | 'note' | 'tags'>,
): FormulaFile {
  const { changed, removed, added, order, parts } = variation;
  const baseNames = rowNames(base.lines);
  const place = (name: string) => {
    const at = order?.indexOf(name) ?? -1;
    return at < 0 ? baseNames.length + baseNames.indexOf(name) : at;
  };
  const names = order ? baseNames.toSorted((a, b) => place(a) - place(b)) : baseNames;
  const following = (name: string | null) => added.filter((each) => each.after === name).map(({ line }) => line);
  const orphans = added.filter(({ after }) => after !== null && !baseNames.includes(after)).map(({ line }) => line);
  const rows = names.flatMap((name): FileLine[] => {
    const line = nth(base.lines, baseNames.indexOf(name));
    const row = { ...line, ...present(changed[name] ?? {}) } as FileLine;
    return [...(removed.includes(name) ? [] : [row]), ...following(name)];
  });
  return {
    ...base,
    ...(present(parts) as Partial<FormulaFile>),
    name: own.name,
    note: own.note,
    tags: own.tags,
    lines: [...following(null), ...rows, ...orphans],
  };
}
