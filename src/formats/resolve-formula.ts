import type { Formula, FormulaLine } from '@/core/formula/formula';
import type { Calibration } from '@/core/learn/kitchen';
import { type ComponentVector, type Composition, compositionVector } from '@/core/matter/components';
import { formIn, gramsPerMl, measureDoubt } from '@/core/matter/measures';
import { lookUp } from '@/formats/look-up';
import { doubtKindOf } from './doubt-kind';
import type { FileLine, FormulaFile } from './formula-file';
import { FormulaFileError } from './formula-file-error';
import type { Ingredient } from './ingredient';
import { processHere } from './process-here';

/** As much of a larder ingredient as a formula needs; more makes cost and doubt known. */
export type LarderIngredient = { readonly name: string; readonly components: Composition } & Partial<
  Pick<Ingredient, 'group' | 'pricePerKg' | 'measures' | 'pieces' | 'densityGPerMl' | 'ph'>
>;

/** Anything that knows larder ingredients by id. */
export interface LarderComposition {
  get(id: string): LarderIngredient | undefined;
}

const vectors = new WeakMap<object, ComponentVector>();

/** The vector of a composition, worked out once for each composition object. */
export function vectorOf(components: Composition): ComponentVector {
  let vector = vectors.get(components);
  if (!vector) {
    vector = compositionVector(components);
    vectors.set(components, vector);
  }
  return vector;
}

/** Doubt of a line that is measured out by volume: by its form, or the usual one of its kind. */
function volumeDoubt(line: FileLine, known: LarderIngredient): FormulaLine['measured'] {
  if (!line.byVolume) return undefined;
  const measurable = {
    measures: known.measures ?? {},
    pieces: known.pieces ?? {},
    densityGPerMl: known.densityGPerMl ?? null,
  };
  const form = formIn(measurable, line.form);
  const perMl = gramsPerMl(measurable, form);
  return { lnSd: measureDoubt(perMl !== undefined && line.grams / perMl < 60 ? 'tbsp' : 'cup', form) };
}

/** The part of a formula file that prediction needs. */
export type ResolvableFormula = Pick<FormulaFile, 'lines' | 'ingredients' | 'process' | 'moments' | 'gates'> &
  Partial<Pick<FormulaFile, 'yield'>>;

/**
 * Resolves the ingredients of a formula file's lines: its own first, then the larder's.
 *
 * @throws {FormulaFileError} a line names an ingredient neither knows
 */
export function resolveLines(
  file: Pick<ResolvableFormula, 'lines' | 'ingredients'>,
  larder: LarderComposition,
): FormulaLine[] {
  return file.lines.map((line, index) => {
    const own = lookUp(file.ingredients, line.ingredient);
    const known: LarderIngredient | undefined = own ?? larder.get(line.ingredient);
    if (!known) {
      throw new FormulaFileError(
        `lines[${index}].ingredient: "${line.ingredient}" is neither in the file's ingredients nor in the larder`,
      );
    }
    return {
      ...line,
      perGram: vectorOf(known.components),
      pricePerKg: known.pricePerKg ?? undefined,
      ph: known.ph ?? undefined,
      kind: known.group ? doubtKindOf({ group: known.group }) : 'other',
      measured: volumeDoubt(line, known),
    } satisfies FormulaLine;
  });
}

/**
 * Resolves a formula file for a prediction.
 *
 * @param calibration whose figures: the standard ones, or a kitchen's
 * @throws {FormulaFileError} a line names an ingredient nobody knows
 */
export function resolveFormula(file: ResolvableFormula, larder: LarderComposition, calibration: Calibration): Formula {
  const lines = resolveLines(file, larder);
  return {
    lines,
    process: processHere(file.process, lines, calibration),
    moments: file.moments,
    gates: file.gates,
    evaporationG: file.yield?.evaporationGrams,
  };
}
