'use client';

import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogBackdrop,
  DialogPanel,
  DialogTitle,
} from '@headlessui/react';
import Fuse from 'fuse.js';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Ingredient } from '@/formats/ingredient';
import { Button } from '@/ui/button';

const MOST_SHOWN = 60;

/** Searches the larder and puts one ingredient into the pan. */
export function AddIngredient({
  open,
  ingredients,
  onClose,
  onAdd,
}: {
  open: boolean;
  ingredients: readonly Ingredient[];
  onClose: () => void;
  onAdd: (ingredient: Ingredient) => void;
}) {
  const [query, setQuery] = useState('');
  const index = useMemo(
    () => new Fuse(ingredients, { keys: ['name', 'group', 'allergens'], threshold: 0.35, ignoreLocation: true }),
    [ingredients],
  );
  const found = useMemo(
    () => (query.trim() === '' ? ingredients : index.search(query.trim()).map(({ item }) => item)),
    [query, index, ingredients],
  );
  const close = () => {
    setQuery('');
    onClose();
  };
  return (
    <Dialog open={open} onClose={close} className="relative z-40">
      <DialogBackdrop className="fixed inset-0 bg-ink/45" />
      <div className="fixed inset-0 flex items-start justify-center p-4 pt-[8vh]">
        <DialogPanel className="flex max-h-[80vh] w-full max-w-xl flex-col overflow-hidden rounded-xl bg-sheet shadow-2xl">
          <div className="flex items-center justify-between px-5 pt-3">
            <DialogTitle className="text-[1.25rem]">Add to the pan</DialogTitle>
            <Button look="bare" className="!px-3" onClick={close} aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Button>
          </div>
          <Combobox
            immediate
            value={null}
            onChange={(ingredient: Ingredient | null) => {
              if (!ingredient) return;
              onAdd(ingredient);
              setQuery('');
            }}
          >
            <div className="px-5 py-2">
              <ComboboxInput
                autoFocus
                aria-label="Search the larder"
                className="h-12 w-full rounded-lg border border-rule bg-white px-3 text-[1.05rem]"
                placeholder="Search the larder: cream, dark, hazelnut…"
                value={query}
                onChange={(event) => setQuery(event.target.value)}
              />
            </div>
            {/* New with each query, so that Enter takes the best match and not what the pointer happened to rest on. */}
            <ComboboxOptions key={query} static className="thin-scroll min-h-24 overflow-y-auto px-2 pb-3">
              {found.slice(0, MOST_SHOWN).map((ingredient) => (
                <ComboboxOption
                  key={ingredient.id}
                  value={ingredient}
                  className="flex min-h-11 cursor-pointer items-center gap-3 rounded-lg px-3 data-focus:bg-enamel-wash"
                >
                  <span className="flex-1 font-medium">{ingredient.name}</span>
                  {ingredient.allergens.length > 0 && (
                    <span className="text-[13px] text-mute">{ingredient.allergens.join(', ')}</span>
                  )}
                  <span className="w-20 text-right text-[13px] text-mute">{ingredient.group}</span>
                </ComboboxOption>
              ))}
              {found.length === 0 && (
                <p className="px-3 py-4 text-mute">Nothing in the larder is called “{query}”. Try a shorter word.</p>
              )}
            </ComboboxOptions>
          </Combobox>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
