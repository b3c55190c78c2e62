import type { MethodStep, StepAddition } from '@/core/method/step';
import { nth } from '@/core/nth';
import type { FileLine } from '@/formats/formula-file';
import type { FileStep } from '@/formats/method';

type Rows = readonly Pick<FileLine, 'ingredient'>[];

/** Place of a row, by its ingredient and by which of them it is; nothing where the formula no longer has it. */
function rowOf(lines: Rows, ingredient: string, which: number): number | undefined {
  const places = lines.flatMap((line, row) => (line.ingredient === ingredient ? [row] : []));
  return places[which - 1];
}

/** Steps of a formula file over the rows of its pan; what the pan no longer has does not go in. */
export function stepsOfFile(steps: readonly FileStep[], lines: Rows): MethodStep[] {
  return steps.map(({ adds, ...step }) => ({
    ...step,
    adds: adds.flatMap(({ ingredient, which, share, size }): StepAddition[] => {
      const row = rowOf(lines, ingredient, which ?? 1);
      return row === undefined ? [] : [{ row, share, size }];
    }),
  }));
}

/** Shares are kept to so many parts. */
const PARTS = 1e6;

/** Steps as a formula file keeps them. */
export function fileSteps(steps: readonly MethodStep[], lines: Rows): FileStep[] {
  return steps.map(({ adds, ...step }) => ({
    ...step,
    adds: adds.map(({ row, share, size }) => {
      const { ingredient } = nth(lines, row);
      const which = lines.slice(0, row + 1).filter((line) => line.ingredient === ingredient).length;
      return {
        ingredient,
        share: Math.round(share * PARTS) / PARTS,
        ...(which > 1 ? { which } : {}),
        ...(size ? { size } : {}),
      };
    }),
  }));
}
