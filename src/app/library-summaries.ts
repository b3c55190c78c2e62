import { setImmediate as nextTurn } from 'node:timers/promises';
import type { KitchenKnowledge } from '@/core/learn/kitchen';
import type { Ingredient } from '@/formats/ingredient';
import type { StoredFormula } from '@/formats/server-answers';
import { type FormulaSummary, type PouredLook, summarise } from '@/kitchen/formula-summary';
import { type Larder, larderOf } from '@/kitchen/known-item';
import type { Database } from '@/server/db/query-builder';
import { listLibrary, type UnreadableFormula } from '@/server/repositories/formula-list';
import { findFormula } from '@/server/repositories/formulas';
import { kitchenPours } from '@/server/repositories/kitchen-tests';
import { someIngredients } from '@/server/repositories/larder';

/** Formulas that are summed up before others who ask have their turn. */
const AT_A_TIME = 50;

interface Kept {
  readonly summary: FormulaSummary;
  /** what the larder said of its rows then */
  readonly from: readonly (Ingredient | undefined)[];
  /** what the kitchen's tests had taught */
  readonly knowledge: KitchenKnowledge | undefined;
}

const kept = new WeakMap<StoredFormula, Kept>();

/** {@link summarise}, once for each state of a formula and of what is in it. */
function summaryOf(
  formula: StoredFormula,
  larder: Larder,
  knowledge: KitchenKnowledge | undefined,
): { summary: FormulaSummary; isNew: boolean } {
  const from = formula.file.lines.map(({ ingredient }) => larder.get(ingredient));
  const known = kept.get(formula);
  if (known?.knowledge === knowledge && known?.from.every((item, i) => item === from[i]))
    return { summary: known.summary, isNew: false };
  const summary = summarise(formula, larder, knowledge);
  kept.set(formula, { summary, from, knowledge });
  return { summary, isNew: true };
}

/** What single formulas look like as they are poured, by id; those that are gone or empty are left out. */
export async function pouredLooks(db: Database, ids: readonly string[]): Promise<Readonly<Record<string, PouredLook>>> {
  // One that cannot be read has no picture; the list says what is wrong with it.
  const found = await Promise.all([...new Set(ids)].map((id) => findFormula(db, id).catch(() => undefined)));
  const formulas = found.filter((each) => each !== undefined);
  const used = formulas.flatMap(({ file }) => file.lines.map(({ ingredient }) => ingredient));
  const larder = larderOf(await someIngredients(db, used));
  const knowledge = await kitchenPours(db);
  return Object.fromEntries(
    formulas.flatMap((formula) => {
      const { predicted } = summarise(formula, larder, knowledge);
      if (!predicted) return [];
      const { colour, shine, plateDiameterMm, fluid, pourC } = predicted;
      return [[formula.id, { colour, shine, plateDiameterMm, fluid, pourC }]];
    }),
  );
}

/**
 * The formulas for the list, the last changed first, and those that cannot be read.
 *
 * @param most as many as are wanted from the top; all when left out
 */
export async function summaries(
  db: Database,
  most?: number,
): Promise<{ readonly formulas: FormulaSummary[]; readonly unreadable: readonly UnreadableFormula[] }> {
  const library = await listLibrary(db, most);
  const ids = library.formulas.flatMap(({ file }) => file.lines.map(({ ingredient }) => ingredient));
  const larder = new Map((await someIngredients(db, ids)).map((ingredient) => [ingredient.id, ingredient]));
  const knowledge = await kitchenPours(db);
  const formulas: FormulaSummary[] = [];
  let fresh = 0;
  for (const formula of library.formulas) {
    const { summary, isNew } = summaryOf(formula, larder, knowledge);
    formulas.push(summary);
    if (isNew && ++fresh % AT_A_TIME === 0) await nextTurn();
  }
  return { formulas, unreadable: library.unreadable };
}
