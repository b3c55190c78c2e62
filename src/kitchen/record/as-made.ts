import type { Formula } from '@/core/formula/formula';
import type { BatchState } from '@/formats/batch-state';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { resolveFormula } from '@/formats/resolve-formula';
import type { OpenedPan } from '../cook/cook-batch';
import { massIn, panNow } from '../cook/pan-now';

/** A batch as it was really made. */
export interface AsMade {
  /** its rows as weighed, and what was put in besides, each with all it is made of */
  readonly file: FormulaFile;
  readonly formula: Formula;
}

type Own = FormulaFile['ingredients'][string];

/** What was put in besides, as an ingredient of the batch's own: declared where the larder has it under that name, else as nobody has said. */
function putIn(name: string, components: Own['components'], known: Ingredient | undefined): Own {
  if (!known) return { name, components };
  const { allergens, mayContain, madeOf, vegan, transFatG, cholesterolMg } = known;
  return {
    name,
    components,
    vegan,
    ...(allergens === null ? {} : { allergens: [...allergens] }),
    ...(mayContain.length > 0 ? { mayContain: [...mayContain] } : {}),
    ...(madeOf === '' ? {} : { madeOf }),
    ...(transFatG === null ? {} : { transFatG }),
    ...(cholesterolMg === null ? {} : { cholesterolMg }),
  };
}

/**
 * A batch as it was made: rows as they were weighed, what a rescue put in, and the water that is gone. Where nobody wrote down that anything went in, as
 * it was planned.
 *
 * @param known what the larder has under a name
 */
export function asMade(
  opened: Pick<OpenedPan, 'formula' | 'method'>,
  state: BatchState,
  file: FormulaFile,
  known: (name: string) => Ingredient | undefined = () => undefined,
): AsMade {
  const told = panNow(opened, state, 'asPlanned');
  const pan = massIn({ ...told, added: [] }) > 0 ? told : { ...panNow(opened, undefined), added: told.added };
  const own = pan.added.map(({ name, components, grams }, i) => ({
    id: `put-in-${i + 1}`,
    grams,
    item: putIn(name, components, known(name)),
  }));
  const made: FormulaFile = {
    ...file,
    lines: [
      ...file.lines.map((line, row) => ({ ...line, grams: pan.rows[row] ?? 0 })),
      ...own.map(({ id, grams }) => ({ ingredient: id, grams, locked: false })),
    ],
    ingredients: { ...file.ingredients, ...Object.fromEntries(own.map(({ id, item }) => [id, item])) },
    yield: { bowlLossGrams: 0, ...file.yield, evaporationGrams: pan.lostG },
  };
  return { file: made, formula: resolveFormula(made, new Map(), 'standard') };
}
