import type { Ingredient } from '@/formats/ingredient';
import { fetchLarder } from '@/kitchen/client/shelf';
import { useFetched } from '@/kitchen/use-fetched';
import { Button } from '@/ui/button';
import { IngredientAndGrams } from '@/ui/ingredient/ingredient-and-grams';

/** Something that is in the pan and stands nowhere: taken from the whole larder. */
export function MoreInPan({ onMore }: { onMore: (ingredient: Ingredient, grams: number) => void }) {
  const { data: larder, fault, again } = useFetched(fetchLarder);
  return (
    <div className="mt-2 border-rule border-t pt-2">
      {fault && (
        <p role="alert" className="text-off">
          The larder does not come: {fault} <Button onClick={again}>Ask again</Button>
        </p>
      )}
      <IngredientAndGrams label="Something else is in it" press="Add" ingredients={larder ?? []} onTake={onMore} />
    </div>
  );
}
