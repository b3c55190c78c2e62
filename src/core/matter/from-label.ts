import { nth } from '../nth';
import { solveQuadraticProgram } from '../quadratic-program';
import {
  COMPONENT_COUNT,
  COMPONENT_NAMES,
  type ComponentName,
  type Composition,
  compositionVector,
} from './components';
import { DECLARED_FIELDS, type NutritionField, nutrition, nutritionRow } from './nutrition';

/** What a pack says of 100 g. Anything may be left out. */
export interface PackLabel {
  readonly energyKcal?: number | undefined;
  readonly fat?: number | undefined;
  readonly saturates?: number | undefined;
  readonly carbohydrate?: number | undefined;
  readonly sugars?: number | undefined;
  readonly polyols?: number | undefined;
  readonly fibre?: number | undefined;
  readonly protein?: number | undefined;
  readonly salt?: number | undefined;
  readonly cocoaPercent?: number | undefined;
}

export type LabelField = keyof PackLabel;

export const LABEL_FIELDS = ['energyKcal', ...DECLARED_FIELDS, 'cocoaPercent'] as const satisfies readonly LabelField[];

/** How closely a printed value binds: its rounding and what packs differ, in its unit (J). */
const TOLERANCE: Record<LabelField, number> = {
  energyKcal: 5,
  fat: 0.3,
  saturates: 0.5,
  carbohydrate: 0.5,
  sugars: 0.4,
  polyols: 0.4,
  fibre: 1,
  protein: 0.4,
  salt: 0.03,
  cocoaPercent: 0.5,
};

/** A typical ingredient to start from. */
export interface TypicalKind {
  readonly id: string;
  readonly composition: Composition;
}

/** A composition worked out from a label. */
export interface FromLabel {
  /** g per 100 g */
  readonly composition: Composition;
  /** the typical kind what the label leaves open was taken from */
  readonly kind: string;
  /** components the label says next to nothing about: as in the typical kind */
  readonly assumed: readonly ComponentName[];
  /** values of the label that the composition cannot meet, with what it comes to */
  readonly unmet: readonly { readonly field: LabelField; readonly wanted: number; readonly got: number }[];
}

/** What is wrong with a value of a label. */
export type LabelFault = { readonly field: LabelField } & (
  | { readonly kind: 'notAnAmount' }
  | { readonly kind: 'tooMuch'; readonly most: number }
  | { readonly kind: 'moreThanWhole'; readonly whole: LabelField }
  /** g in 100 g of what should be 100 at most */
  | { readonly kind: 'sum'; readonly sum: number }
);

const rows = new Map<LabelField, Float64Array>();

/** What 1 g of each component adds to a field, per 100 g. */
function rowOf(field: LabelField): Float64Array {
  let row = rows.get(field);
  if (!row) {
    row =
      field === 'cocoaPercent'
        ? Float64Array.from(COMPONENT_NAMES, (name) => (name === 'cocoa_butter' || name === 'cocoa_solids' ? 1 : 0))
        : nutritionRow(field as Exclude<NutritionField, 'energyKj'>);
    rows.set(field, row);
  }
  return row;
}

const given = (label: PackLabel) => LABEL_FIELDS.filter((field) => label[field] !== undefined);

/** What a composition in g per 100 g comes to in a field of the label. */
function comesTo(field: LabelField, grams: ArrayLike<number>): number {
  const row = rowOf(field);
  let sum = 0;
  for (let i = 0; i < COMPONENT_COUNT; i++) sum += nth(row, i) * nth(grams, i);
  return sum;
}

/** Room a component has around the typical kind, g per 100 g (J). */
const roomOf = (typical: number) => 0.15 * typical + 0.3;
/** Beyond this many tolerances a value counts as not met. */
const MET = 2;

/** kcal in 100 g of pure fat. */
const MOST_KCAL = 900;
/** Fields that are a part of another one. */
const PARTS_OF = [
  ['sugars', 'carbohydrate'],
  ['polyols', 'carbohydrate'],
  ['saturates', 'fat'],
] as const satisfies readonly (readonly [LabelField, LabelField])[];

/**
 * Faults of a label that no composition can meet.
 *
 * @param label values per 100 g
 * @returns each at the field it belongs to; empty when the label can be
 */
export function labelFaults(label: PackLabel): LabelFault[] {
  const faults: LabelFault[] = [];
  for (const field of given(label)) {
    const value = label[field] ?? Number.NaN;
    const most = field === 'energyKcal' ? MOST_KCAL : 100;
    if (!Number.isFinite(value) || value < 0) faults.push({ kind: 'notAnAmount', field });
    else if (value > most) faults.push({ kind: 'tooMuch', field, most });
  }
  if (faults.length > 0) return faults;
  for (const [field, whole] of PARTS_OF) {
    const [a, b] = [label[field], label[whole]];
    if (a !== undefined && b !== undefined && a > b + 0.05) faults.push({ kind: 'moreThanWhole', field, whole });
  }
  const parts = ['fat', 'carbohydrate', 'protein', 'fibre', 'salt'] as const;
  const sum = parts.reduce((total, field) => total + (label[field] ?? 0), 0);
  if (sum > 101) faults.push({ kind: 'sum', field: 'fat', sum });
  return faults;
}

/** One typical kind bent towards a label. */
interface Bent {
  readonly kind: string;
  /** places of the components the kind has */
  readonly used: readonly number[];
  readonly typical: Float64Array;
  /** g per 100 g */
  readonly found: Float64Array;
  /** squared misses of the label and departures from the kind, each in its own tolerance */
  readonly strain: number;
}

/** The composition closest to a typical kind that meets a label: constrained least squares, none negative, 100 g in all. */
function bend({ id, composition }: TypicalKind, label: PackLabel): Bent {
  const typical = compositionVector(composition).map((part) => 100 * part);
  const used = COMPONENT_NAMES.flatMap((_, i) => (nth(typical, i) > 0 ? [i] : []));
  // Every condition is a row that should come to a value within a tolerance: the label's fields, and each component as is typical.
  const conditions = [
    ...given(label).map((field) => ({
      row: used.map((i) => nth(rowOf(field), i)),
      value: label[field] ?? 0,
      within: TOLERANCE[field],
    })),
    ...used.map((i, a) => ({
      row: used.map((_, b) => (a === b ? 1 : 0)),
      value: nth(typical, i),
      within: roomOf(nth(typical, i)),
    })),
  ];
  const quadratic = used.map((_, a) =>
    used.map((__, b) =>
      conditions.reduce((sum, { row, within }) => sum + (2 * nth(row, a) * nth(row, b)) / within ** 2, 0),
    ),
  );
  const linear = used.map((_, a) =>
    conditions.reduce((sum, { row, value, within }) => sum - (2 * nth(row, a) * value) / within ** 2, 0),
  );
  const solution = solveQuadraticProgram({
    quadratic,
    linear,
    equalities: [{ row: used.map(() => 1), equals: 100 }],
    inequalities: used.map((_, a) => ({ row: used.map((__, b) => (a === b ? 1 : 0)), least: 0 })),
  });
  const found = new Float64Array(COMPONENT_COUNT);
  used.forEach((i, a) => {
    found[i] = Math.max(solution?.[a] ?? nth(typical, i), 0);
  });
  const strain = conditions.reduce((sum, { row, value, within }) => {
    const got = row.reduce((total, factor, a) => total + factor * nth(found, nth(used, a)), 0);
    return sum + ((got - value) / within) ** 2;
  }, 0);
  return { kind: id, used, typical, found, strain };
}

/**
 * Works a composition out of a pack label: of all typical kinds the one that has to be bent least to meet it, bent.
 *
 * Constrained least squares: each printed value within its rounding, each component near the typical kind's, none negative, 100 g in all. Only
 * components of the typical kind are used.
 *
 * @param label at least one value
 * @param kinds one or more
 * @throws {RangeError} no kind to start from
 */
export function compositionFromLabel(label: PackLabel, kinds: readonly TypicalKind[]): FromLabel {
  const best = kinds
    .map((kind) => bend(kind, label))
    .reduce<Bent | undefined>((least, next) => (!least || next.strain < least.strain ? next : least), undefined);
  if (!best) throw new RangeError('there is no typical ingredient to start from');
  const { used, typical, found } = best;
  const fields = given(label);
  const isBound = (i: number) =>
    fields.some((field) => Math.abs(nth(rowOf(field), i)) * roomOf(nth(typical, i)) > TOLERANCE[field] / 2);
  return {
    composition: Object.fromEntries(
      used.map((i) => [nth(COMPONENT_NAMES, i), Math.round(nth(found, i) * 100) / 100]),
    ) as Composition,
    kind: best.kind,
    assumed: used.flatMap((i) => (isBound(i) ? [] : [nth(COMPONENT_NAMES, i)])),
    unmet: fields.flatMap((field) => {
      const [wanted, got] = [label[field] ?? 0, comesTo(field, found)];
      return Math.abs(wanted - got) > MET * TOLERANCE[field] ? [{ field, wanted, got }] : [];
    }),
  };
}

/** The label a composition would carry: to compare, and to start a cook's own from. */
export function labelOf(composition: Composition): Required<PackLabel> {
  const grams = compositionVector(composition).map((part) => 100 * part);
  const { energyKj: _, alcohol: __, ...fields } = nutrition(grams);
  return { ...fields, cocoaPercent: comesTo('cocoaPercent', grams) };
}
