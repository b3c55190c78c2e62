import type { Ingredient, StoredIngredient } from '@/formats/ingredient';
import { addIngredient, removeIngredient, saveIngredient } from '@/kitchen/client/larder';
import { IngredientForm } from '@/ui/ingredient/ingredient-form';
import { Sheet } from '@/ui/sheet';
import { IngredientSheet } from './ingredient-sheet';

/** What lies over the table. */
export type Over =
  | { readonly what: 'detail'; readonly id: string }
  | { readonly what: 'edit'; readonly id: string }
  | { readonly what: 'new'; readonly start: Omit<Ingredient, 'id' | 'origin'> };

/** One ingredient looked into, changed, or begun. */
export function LarderSheets({
  over,
  setOver,
  ingredients,
  onDone,
  onKept,
}: {
  over: Over | undefined;
  setOver: (over: Over | undefined) => void;
  ingredients: readonly StoredIngredient[];
  /** told what was done, in a sentence */
  onDone: (text: string) => void;
  /** price, stock or note were kept; the sheet stays */
  onKept: () => void;
}) {
  const opened = over && 'id' in over ? ingredients.find(({ id }) => id === over.id) : undefined;
  return (
    <>
      {over?.what === 'detail' && opened && (
        <IngredientSheet
          key={`${opened.id} ${opened.revision}`}
          ingredient={opened}
          onClose={() => setOver(undefined)}
          onEdit={() => setOver({ what: 'edit', id: opened.id })}
          onCopy={() => setOver({ what: 'new', start: { ...opened, name: `${opened.name}, own` } })}
          onRemove={async () => {
            await removeIngredient(opened.id);
            onDone(`“${opened.name}” is out.`);
          }}
          onKeep={async (ingredient) => {
            await saveIngredient(ingredient, opened.revision);
            onKept();
          }}
        />
      )}
      {over?.what === 'edit' && opened && (
        <Sheet
          title={`Change ${opened.name}`}
          width="wide"
          asksFirst
          onClose={() => setOver({ what: 'detail', id: opened.id })}
        >
          <IngredientForm
            id={opened.id}
            start={opened}
            typical={ingredients}
            onKeep={async (ingredient) => {
              await saveIngredient(ingredient, opened.revision);
              onDone(`“${ingredient.name}” is changed.`);
            }}
            onCancel={() => setOver({ what: 'detail', id: opened.id })}
          />
        </Sheet>
      )}
      {over?.what === 'new' && (
        <Sheet title="New ingredient" width="wide" asksFirst onClose={() => setOver(undefined)}>
          <IngredientForm
            id=""
            start={over.start}
            typical={ingredients}
            onKeep={async (ingredient) => {
              await addIngredient(ingredient);
              onDone(`“${ingredient.name}” is in.`);
            }}
            onCancel={() => setOver(undefined)}
          />
        </Sheet>
      )}
    </>
  );
}
