import { type ComponentVector, type Composition, compositionVector } from '@/core/matter/components';
import type { Formula } from '@/core/predict/formula';
import { type FormulaFile, FormulaFileError } from './formula-file';

/** Anything that knows what larder ingredients are made of: a composition by id. */
export interface LarderComposition {
  get(id: string): { readonly name: string; readonly components: Composition } | undefined;
}

const vectors = new WeakMap<object, ComponentVector>();

/** The vector of a composition, worked out once for each composition object. */
function vectorOf(components: Composition): ComponentVector {
  let vector = vectors.get(components);
  if (!vector) {
    vector = compositionVector(components);
    vectors.set(components, vector);
  }
  return vector;
}

/** The part of a formula file that prediction needs. */
export type ResolvableFormula = Pick<FormulaFile, 'lines' | 'ingredients' | 'process' | 'moments' | 'gates'>;

/**
 * Resolves a formula file's ingredients: its own first, then the larder's.
 *
 * @throws {FormulaFileError} a line names an ingredient neither knows
 */
export function resolveFormula(file: ResolvableFormula, larder: LarderComposition): Formula {
  return {
    lines: file.lines.map((line, index) => {
      const own = Object.hasOwn(file.ingredients, line.ingredient) ? file.ingredients[line.ingredient] : undefined;
      const known = own ?? larder.get(line.ingredient);
      if (!known) {
        throw new FormulaFileError(
          `lines[${index}].ingredient: "${line.ingredient}" is neither in the file's ingredients nor in the larder`,
        );
      }
      return { ...line, perGram: vectorOf(known.components) };
    }),
    process: file.process,
    moments: file.moments,
    gates: file.gates,
  };
}
