'use client';

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import Fuse from 'fuse.js';
import { Plus } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { contentsOf } from '@/core/matter/contents';
import type { CupSystem } from '@/core/matter/measures';
import { isFreeOf, type Restriction } from '@/core/swap/restrictions';
import type { Ingredient } from '@/formats/ingredient';
import { plainMeaning } from '@/formats/ingredient-words';
import { gramsOfRow, type RecipeRow, readRecipeText } from '@/formats/recipe-text';
import { addIngredient } from '@/kitchen/client/larder';
import { allergenLine } from '@/kitchen/words/allergen-sentences';
import { Button } from '@/ui/button';
import { weight } from '@/ui/format';
import { IngredientForm } from '@/ui/ingredient/ingredient-form';
import { BLANK } from '@/ui/ingredient/ingredient-values';
import { Sheet } from '@/ui/sheet';
import { useCupSystem } from '@/ui/use-measure-system';

/** After the dialog has placed the focus, ms. */
const AFTER_DIALOG_MS = 30;

const MOST_SHOWN = 60;
const MOST_RECENT = 6;
const RECENT_PLACE = 'dark-pour:recent';

/** Wishes that can be typed instead of a name. */
const WISHES: readonly (readonly [RegExp, Restriction])[] = [
  [/\bno dairy\b/i, 'dairy'],
  [/\b(no|without) alcohol\b/i, 'alcohol'],
  [/\bno (added )?sugar\b/i, 'addedSugar'],
  [/\bno nuts\b/i, 'nuts'],
  [/\bno soya?\b/i, 'soya'],
  [/\bno gelatine?\b/i, 'gelatin'],
  [/\bvegan\b/i, 'animal'],
];

const recent = {
  read(): string[] {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(RECENT_PLACE) ?? '[]');
      return Array.isArray(kept) ? kept.filter((id) => typeof id === 'string') : [];
    } catch {
      return [];
    }
  },
  add(id: string) {
    try {
      const list = [id, ...recent.read().filter((each) => each !== id)].slice(0, MOST_RECENT);
      localStorage.setItem(RECENT_PLACE, JSON.stringify(list));
    } catch {
      // Storage barred: the list stays in the larder's order.
    }
  },
};

/** A query as a line of a recipe, where it begins with an amount: `250 g dark chocolate 60%`. */
function asLine(query: string, ingredients: readonly Ingredient[], cups: CupSystem): RecipeRow | undefined {
  const [row] = query.trim() === '' ? [] : readRecipeText(query, ingredients, cups);
  return row?.amount !== undefined && row.candidates.length > 0 && row.name !== query.trim() ? row : undefined;
}

/** What a query finds: wishes narrow, the rest is searched by name, group and allergen; recent ones stand first while nothing is typed. */
function find(query: string, ingredients: readonly Ingredient[], index: Fuse<Ingredient>): readonly Ingredient[] {
  const wishes = WISHES.filter(([pattern]) => pattern.test(query)).map(([, restriction]) => restriction);
  const words = WISHES.reduce((text, [pattern]) => text.replace(pattern, ' '), query)
    .replace(/%/g, ' ')
    .trim();
  const fits = (ingredient: Ingredient) => wishes.every((restriction) => isFreeOf(restriction, ingredient));
  if (words !== '') {
    // Every typed number must stand in the name: 20 % cream is no 35 % cream.
    const numbers = words.match(/\d+/g) ?? [];
    const hasNumbers = ({ name }: Ingredient) => numbers.every((number) => new RegExp(`\\b${number}`).test(name));
    const found = index
      .search(words)
      .map(({ item }) => item)
      .filter(fits);
    const exact = found.filter(hasNumbers);
    // A plain word means the plain thing: it stands first.
    const plain = plainMeaning(words, ingredients).found.filter(fits);
    const named = plain.filter(hasNumbers);
    const first = exact.length > 0 && named.length > 0 ? named : plain;
    return [...new Set([...first, ...(exact.length > 0 ? exact : found)])];
  }
  const used = recent.read();
  const place = ({ id }: Ingredient) => (used.includes(id) ? used.indexOf(id) : used.length);
  return ingredients.filter(fits).toSorted((a, b) => place(a) - place(b));
}

/** How much of it goes in as it was typed. */
const AmountOf = ({ grams }: { grams: number | undefined }) =>
  grams === undefined ? null : <span className="read">{weight(grams)}</span>;

/** Searches the larder and puts one ingredient into the pan; one that is missing is added from its label without leaving. */
export function AddIngredient({
  ingredients,
  onClose,
  onAdd,
  onNew,
}: {
  ingredients: readonly Ingredient[];
  onClose: () => void;
  /** grams where they were typed with the name */
  onAdd: (ingredient: Ingredient, grams: number | undefined) => void;
  /** told of an ingredient that is in the larder from now on */
  onNew: (ingredient: Ingredient) => void;
}) {
  const [query, setQuery] = useState('');
  const search = useRef<HTMLInputElement>(null);
  // On a screen that is touched the dialog keeps the focus for itself; here one types at once, whatever the keyboard.
  useEffect(() => {
    const timer = setTimeout(() => search.current?.focus(), AFTER_DIALOG_MS);
    return () => clearTimeout(timer);
  }, []);
  const [isNew, setIsNew] = useState(false);
  const index = useMemo(
    () => new Fuse(ingredients, { keys: ['name', 'group', 'allergens'], threshold: 0.35, ignoreLocation: true }),
    [ingredients],
  );
  const [cups] = useCupSystem();
  const line = useMemo(() => asLine(query, ingredients, cups), [query, ingredients, cups]);
  const found = useMemo(() => {
    const others = find(line?.name ?? query, ingredients, index);
    return [...new Set([...(line?.candidates ?? []), ...others])];
  }, [query, line, index, ingredients]);
  const gramsOf = (ingredient: Ingredient) => line && gramsOfRow(line, ingredient, cups);
  const add = (ingredient: Ingredient) => {
    recent.add(ingredient.id);
    onAdd(ingredient, gramsOf(ingredient));
  };
  if (isNew) {
    return (
      <Sheet title="New ingredient" width="wide" asksFirst onClose={onClose}>
        <IngredientForm
          id=""
          start={{ ...BLANK, name: query }}
          typical={ingredients}
          onKeep={async (ingredient) => {
            const kept = await addIngredient(ingredient);
            onNew(kept);
            add(kept);
          }}
          onCancel={() => setIsNew(false)}
        />
      </Sheet>
    );
  }
  return (
    <Sheet title="Add to the pan" onClose={onClose}>
      <Combobox immediate value={null} onChange={(ingredient: Ingredient | null) => ingredient && add(ingredient)}>
        <ComboboxInput
          ref={search}
          autoFocus
          aria-label="Search the larder"
          className="mb-2 h-12 w-full rounded-lg border border-rule bg-field px-3 text-[1.05rem]"
          placeholder="250 g dark 60 %, cream 20 %, no dairy…"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          // The list is always open: Escape leaves the sheet, not the list first.
          onKeyDown={(event) => event.key === 'Escape' && onClose()}
        />
        {/* New with each query, so that Enter takes the best match and not what the pointer happened to rest on. */}
        <ComboboxOptions key={query} static modal={false} className="thin-scroll max-h-[52vh] min-h-24 overflow-y-auto">
          {found.slice(0, MOST_SHOWN).map((ingredient) => (
            <ComboboxOption
              key={ingredient.id}
              value={ingredient}
              className="flex min-h-11 cursor-pointer items-center gap-3 rounded-lg px-3 data-focus:bg-enamel-wash"
            >
              <span className="flex-1 font-medium">{ingredient.name}</span>
              {line && <AmountOf grams={gramsOf(ingredient)} />}
              {ingredient.allergens?.length !== 0 && (
                <span className="text-[13px] text-mute">{allergenLine(contentsOf(ingredient))}</span>
              )}
              <span className="w-20 text-right text-[13px] text-mute">{ingredient.group}</span>
            </ComboboxOption>
          ))}
          {found.length === 0 && (
            <p className="px-3 py-4 text-mute">Nothing in the larder is called “{query}”. Try a shorter word.</p>
          )}
        </ComboboxOptions>
      </Combobox>
      <Button className="mt-3" onClick={() => setIsNew(true)}>
        <Plus size={16} aria-hidden="true" /> New ingredient from a label
      </Button>
    </Sheet>
  );
}
