import type { FormulaDraft } from '../draft/edit';
import type { OpenFormula } from '../draft/use-formula';

const NONE: ReadonlyMap<string, number> = new Map();

function changedFrom(draft: FormulaDraft, previous: FormulaDraft | undefined): ReadonlyMap<string, number> {
  const before = new Map(previous?.lines.map((line) => [line.key, line.grams]));
  return new Map(
    draft.lines.flatMap(({ key, grams }) => {
      const was = before.get(key);
      return was === undefined || was === grams ? [] : [[key, was] as const];
    }),
  );
}

/** Grams each row had before the last step, where a proposal, a swap or a blend changed them. */
export function changedGrams({ draft, previousDraft, lastStep }: OpenFormula): ReadonlyMap<string, number> {
  const isStep = lastStep === 'balanced' || lastStep === 'lines';
  return isStep ? changedFrom(draft, previousDraft) : NONE;
}
