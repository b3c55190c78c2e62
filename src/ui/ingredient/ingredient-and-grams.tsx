import { useEffect, useRef, useState } from 'react';
import { MOST_GRAMS } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { Button } from '../button';
import { EntryForm } from '../entry-form';
import { inlinePlain } from '../inline-rules';
import { NumberField } from '../number-field';
import { IngredientBox } from './ingredient-box';

const GRAMS = { least: 0.1, most: MOST_GRAMS, unit: 'g', units: { g: 1, kg: 1000 }, example: '236' };

/** An ingredient and how much of it, taken by one press. */
export function IngredientAndGrams({
  label,
  press,
  ingredients,
  onTake,
}: {
  label: string;
  press: string;
  ingredients: readonly Ingredient[];
  onTake: (ingredient: Ingredient, grams: number) => void;
}) {
  const [ingredient, setIngredient] = useState<Ingredient | undefined>();
  const [grams, setGrams] = useState<number | undefined>();
  const [made, setMade] = useState(0);
  const box = useRef<HTMLDivElement>(null);
  // One key before the box, which would open its list: the next one is typed where the last one was.
  useEffect(() => {
    if (made > 0) box.current?.focus();
  }, [made]);
  const take = () => {
    if (!ingredient || grams === undefined) return;
    onTake(ingredient, grams);
    setIngredient(undefined);
    setGrams(undefined);
    setMade(made + 1);
  };
  return (
    <div ref={box} tabIndex={-1} className="outline-none">
      <EntryForm
        key={made}
        className="grid grid-cols-[minmax(0,1fr)_112px_auto] items-center gap-2"
        onEntry={() => grams !== undefined && take()}
      >
        <IngredientBox
          label={label}
          value={ingredient}
          likely={[]}
          ingredients={ingredients}
          disabled={false}
          onChoose={setIngredient}
        />
        <NumberField
          label={`${label}: grams`}
          value={grams}
          optional
          rules={GRAMS}
          write={inlinePlain}
          placeholder="–"
          onValue={setGrams}
        />
        <Button type="submit" disabled={!ingredient || grams === undefined}>
          {press}
        </Button>
      </EntryForm>
    </div>
  );
}
