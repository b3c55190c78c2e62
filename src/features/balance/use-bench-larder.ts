import { useMemo, useState } from 'react';
import type { Ingredient } from '@/formats/ingredient';
import { fetchLarder } from '@/kitchen/client/shelf';
import { larderOf } from '@/kitchen/known-item';
import { type Carried, useWhole } from '@/kitchen/use-whole';

/** The larder as the bench knows it: what came with the page, the rest once it is fetched, and what was added here. */
export function useBenchLarder(carried: Carried<Ingredient>) {
  const { rows, fault, again } = useWhole(carried, fetchLarder);
  const [added, setAdded] = useState<readonly Ingredient[]>([]);
  const ingredients = useMemo(() => {
    const known = new Set(rows.map(({ id }) => id));
    return [...rows, ...added.filter(({ id }) => !known.has(id))];
  }, [rows, added]);
  const larder = useMemo(() => larderOf(ingredients), [ingredients]);
  return {
    ingredients,
    larder,
    add: (ingredient: Ingredient) => setAdded([...added, ingredient]),
    /** why the rest does not come */
    fault,
    again,
  };
}
