import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Sign } from '@/core/rescue/signs';
import type { UseId } from '@/core/uses/catalogue';
import { USES } from '@/core/uses/ready-gates';
import type { Ingredient } from '@/formats/ingredient';
import { MOST_TYPED, writeTypedPan } from '@/formats/typed-pan';
import { fetchLarder } from '@/kitchen/client/shelf';
import { useFetched } from '@/kitchen/use-fetched';
import { USE_NAMES } from '@/kitchen/words/job-words';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { weight } from '@/ui/format';
import { IngredientAndGrams } from '@/ui/ingredient/ingredient-and-grams';

const USE_IDS = USES.map(({ id }) => id);

/** A pan nobody has a formula of: what went in, row by row, and what it was to do. */
export function TypePan({ sign }: { sign: Sign }) {
  const router = useRouter();
  const { data: larder, fault, again } = useFetched(fetchLarder);
  const [rows, setRows] = useState<readonly { readonly ingredient: Ingredient; readonly grams: number }[]>([]);
  const [use, setUse] = useState<UseId>('pour_icecream');
  const open = () => {
    const typed = rows.map(({ ingredient, grams }) => ({ ingredient: ingredient.id, grams }));
    router.push(`/rescue?${new URLSearchParams({ rows: writeTypedPan(typed), use, sign })}`);
  };
  return (
    <section aria-label="Typed by hand" className="mt-6 max-w-[640px]">
      <h2 className="text-[1.2rem]">Or say what went in</h2>
      {fault && (
        <p role="alert" className="mt-1 text-off">
          The larder does not come: {fault} <Button onClick={again}>Ask again</Button>
        </p>
      )}
      <ul className="mt-2">
        {rows.map(({ ingredient, grams }, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: what went in stands in its order; two may be alike
          <li key={i} className="flex items-center gap-3 border-rule border-b py-1">
            <span className="min-w-0 flex-1">{ingredient.name}</span>
            <span className="read">{weight(grams)}</span>
            <Button
              look="bare"
              aria-label={`Take ${ingredient.name} out`}
              onClick={() => setRows(rows.filter((_, at) => at !== i))}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-2">
        {rows.length < MOST_TYPED && (
          <IngredientAndGrams
            label="What went in"
            press="Add"
            ingredients={larder ?? []}
            onTake={(ingredient, grams) => setRows([...rows, { ingredient, grams }])}
          />
        )}
      </div>
      <label className="mt-3 flex flex-wrap items-center gap-3">
        It was to
        <select
          aria-label="What it was to do"
          className="min-h-12 rounded-lg border border-rule bg-field px-3"
          value={use}
          onChange={(event) => setUse(choiceOf(USE_IDS, event.target.value) ?? use)}
        >
          {USES.map(({ id }) => (
            <option key={id} value={id}>
              {USE_NAMES[id]}
            </option>
          ))}
        </select>
      </label>
      <Button look="primary" className="mt-3 min-h-12 px-6" disabled={rows.length === 0} onClick={open}>
        That is in the pan
      </Button>
    </section>
  );
}
