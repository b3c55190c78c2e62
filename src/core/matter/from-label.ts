import { solveQuadraticProgram } from '../quadratic-program';
import {
  COMPONENT_COUNT,
  COMPONENT_NAMES,
  type ComponentName,
  type Composition,
  compositionVector,
} from './components';
import { type NutritionField, nutrition, nutritionRow } from './nutrition';

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

export const LABEL_FIELDS = [
  'energyKcal',
  'fat',
  'saturates',
  'carbohydrate',
  'sugars',
  'polyols',
  'fibre',
  'protein',
  'salt',
  'cocoaPercent',
] as const satisfies readonly LabelField[];

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

/** Something on a label that cannot be. */
export interface LabelFault {
  readonly field: LabelField;
  readonly message: string;
}

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
  for (let i = 0; i < COMPONENT_COUNT; i++) sum += (row[i] as number) * (grams[i] as number);
  return sum;
}

/** How far a typical kind is from a label, in tolerances. */
function distance(kind: TypicalKind, label: PackLabel): number {
  const grams = compositionVector(kind.composition).map((part) => 100 * part);
  return given(label).reduce(
    (sum, field) => sum + ((comesTo(field, grams) - (label[field] as number)) / (TOLERANCE[field] + 2)) ** 2,
    0,
  );
}

/** Room a component has around the typical kind, g per 100 g (J). */
const roomOf = (typical: number) => 0.15 * typical + 0.3;
/** Beyond this many tolerances a value counts as not met. */
const MET = 2;

/**
 * Faults of a label that no composition can meet.
 *
 * @param label values per 100 g
 * @returns one message at the field it belongs to; empty when the label can be
 */
export function labelFaults(label: PackLabel): LabelFault[] {
  const faults: LabelFault[] = [];
  const say = (field: LabelField, message: string) => faults.push({ field, message });
  for (const field of given(label)) {
    const value = label[field] as number;
    if (!Number.isFinite(value) || value < 0) say(field, 'It must be a number, 0 or more.');
    else if (value > (field === 'energyKcal' ? 900 : 100)) {
      say(field, field === 'energyKcal' ? 'Nothing has more than 900 kcal in 100 g.' : 'It cannot be more than 100.');
    }
  }
  if (faults.length > 0) return faults;
  const over = (part: LabelField, whole: LabelField, words: string) => {
    const [a, b] = [label[part], label[whole]];
    if (a !== undefined && b !== undefined && a > b + 0.05) say(part, words);
  };
  over('sugars', 'carbohydrate', 'Sugars are a part of carbohydrate: they cannot be more.');
  over('polyols', 'carbohydrate', 'Polyols are a part of carbohydrate: they cannot be more.');
  over('saturates', 'fat', 'Saturates are a part of fat: they cannot be more.');
  const parts = ['fat', 'carbohydrate', 'protein', 'fibre', 'salt'] as const;
  const sum = parts.reduce((total, field) => total + (label[field] ?? 0), 0);
  if (sum > 101) say('fat', `Fat, carbohydrate, protein, fibre and salt add up to ${sum.toFixed(1)} g in 100 g.`);
  return faults;
}

/**
 * Works a composition out of a pack label: the one closest to the nearest typical kind that meets the label.
 *
 * Constrained least squares: each printed value within its rounding, each component near the typical kind's, none negative, 100 g in all. Only
 * components of the typical kind are used.
 *
 * @param label at least one value
 * @param kinds one or more; the nearest is taken
 * @throws {RangeError} no kind to start from
 */
export function compositionFromLabel(label: PackLabel, kinds: readonly TypicalKind[]): FromLabel {
  const kind = kinds.reduce<TypicalKind | undefined>(
    (best, next) => (!best || distance(next, label) < distance(best, label) ? next : best),
    undefined,
  );
  if (!kind) throw new RangeError('there is no typical ingredient to start from');
  const typical = compositionVector(kind.composition).map((part) => 100 * part);
  const used = COMPONENT_NAMES.flatMap((_, i) => ((typical[i] as number) > 0 ? [i] : []));
  const fields = given(label);
  const room = used.map((i) => roomOf(typical[i] as number));

  const quadratic = used.map((i, a) =>
    used.map((j, b) => {
      let sum = a === b ? 2 / (room[a] as number) ** 2 : 0;
      for (const field of fields) {
        sum += (2 * (rowOf(field)[i] as number) * (rowOf(field)[j] as number)) / TOLERANCE[field] ** 2;
      }
      return sum;
    }),
  );
  const linear = used.map((i, a) => {
    let sum = (-2 * (typical[i] as number)) / (room[a] as number) ** 2;
    for (const field of fields) {
      sum -= (2 * (rowOf(field)[i] as number) * (label[field] as number)) / TOLERANCE[field] ** 2;
    }
    return sum;
  });
  const solution = solveQuadraticProgram({
    quadratic,
    linear,
    equalities: [{ row: used.map(() => 1), equals: 100 }],
    inequalities: used.map((_, a) => ({ row: used.map((__, b) => (a === b ? 1 : 0)), least: 0 })),
  });
  const found = new Float64Array(COMPONENT_COUNT);
  used.forEach((i, a) => {
    found[i] = Math.max(solution?.[a] ?? (typical[i] as number), 0);
  });
  const composition = Object.fromEntries(
    used.map((i) => [COMPONENT_NAMES[i] as ComponentName, Math.round((found[i] as number) * 100) / 100]),
  ) as Composition;
  const bound = (i: number) =>
    fields.some((field) => Math.abs(rowOf(field)[i] as number) * roomOf(typical[i] as number) > TOLERANCE[field] / 2);
  return {
    composition,
    kind: kind.id,
    assumed: used.flatMap((i) => (bound(i) ? [] : [COMPONENT_NAMES[i] as ComponentName])),
    unmet: fields.flatMap((field) => {
      const [wanted, got] = [label[field] as number, comesTo(field, found)];
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
