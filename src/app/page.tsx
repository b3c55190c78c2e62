import { summarise } from '@/features/library/formula-summary';
import { LibraryScreen } from '@/features/library/library-screen';
import { sharedDatabase } from '@/server/db/database';
import { listLibrary } from '@/server/repositories/formulas';
import { listIngredients } from '@/server/repositories/larder';

export const dynamic = 'force-dynamic';

export default async function FormulasPage() {
  const { db } = await sharedDatabase();
  const ingredients = await listIngredients(db);
  const larder = new Map(ingredients.map((ingredient) => [ingredient.id, ingredient]));
  const { formulas, unreadable } = await listLibrary(db);
  return (
    <LibraryScreen
      formulas={formulas.map((formula) => summarise(formula, larder))}
      unreadable={unreadable}
      ingredients={ingredients}
    />
  );
}
