import type { Formula } from '@/core/formula/formula';
import type { Calibration } from '@/core/learn/kitchen';
import { nth } from '@/core/nth';
import { type Prediction, predictFormula } from '@/core/predict/predict-formula';
import type { FormulaFile } from '@/formats/formula-file';
import { resolveFormula } from '@/formats/resolve-formula';
import { itemOf, type Larder } from './known-item';

/** A row with a key of its own, so that what is said of it stays with it. */
export type KeyedLine = FormulaFile['lines'][number] & { readonly key: string };

/** A formula whose rows have keys. */
export type KeyedPan = Omit<FormulaFile, 'lines'> & { readonly lines: readonly KeyedLine[] };

/** A formula file with a key for each row, by its place: for what is read and not edited. */
export const keyed = (file: FormulaFile): KeyedPan => ({
  ...file,
  lines: file.lines.map((line, place) => ({ ...line, key: `row-${place}` })),
});

/** What can be predicted of a pan: the rows that are known, and how to find back from each to its key. */
export interface KnownPan {
  readonly formula: Formula;
  /** key of each of the formula's lines */
  readonly keys: readonly string[];
  /** ingredients of rows that nobody knows: they count as nothing, and the screen says so beside them */
  readonly unknown: readonly string[];
}

/** A pan with everything predicted of it. */
export interface Predicted extends KnownPan {
  readonly prediction: Prediction;
}

/** Resolves the rows that are known. */
export function knownPan(pan: KeyedPan, larder: Larder, calibration: Calibration): KnownPan {
  const isKnown = ({ ingredient }: KeyedLine) => itemOf(pan, larder, ingredient) !== undefined;
  const lines = pan.lines.filter(isKnown);
  return {
    formula: resolveFormula({ ...pan, lines: [...lines] }, larder, calibration),
    keys: lines.map(({ key }) => key),
    unknown: pan.lines.filter((line) => !isKnown(line)).map(({ ingredient }) => ingredient),
  };
}

/** Predicts a pan; nothing while it is empty. */
export function predictPan(pan: KeyedPan, larder: Larder, calibration: Calibration): Predicted | undefined {
  const known = knownPan(pan, larder, calibration);
  const prediction = predictFormula(known.formula);
  return prediction && { ...known, prediction };
}

/** Figures of a formula's lines, by the keys of the rows they belong to. */
export function byKey<Value>({ keys }: Pick<KnownPan, 'keys'>, values: readonly Value[]): ReadonlyMap<string, Value> {
  return new Map(keys.flatMap((key, i) => (i < values.length ? [[key, nth(values, i)] as const] : [])));
}
