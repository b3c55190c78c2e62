import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import { foldWords } from '@/formats/fold-words';
import type { Ingredient } from '@/formats/ingredient';
import { plainMeaning } from '@/formats/ingredient-words';

const MOST_SHOWN = 40;

/** An ingredient of the larder, found by typing a word of it in any kitchen's language; what a line may mean stands first. */
export function IngredientBox({
  label,
  value,
  likely,
  ingredients,
  disabled,
  onChoose,
}: {
  label: string;
  value: Ingredient | undefined;
  /** what it may be, shown before anything is typed */
  likely: readonly Ingredient[];
  ingredients: readonly Ingredient[];
  disabled: boolean;
  onChoose: (ingredient: Ingredient) => void;
}) {
  const [query, setQuery] = useState('');
  const shown = useMemo(() => {
    const words = foldWords(query).split(' ').filter(Boolean);
    if (words.length === 0) return [...new Set([...likely, ...ingredients])].slice(0, MOST_SHOWN);
    const named = ingredients.filter(({ name }) => words.every((word) => foldWords(name).includes(word)));
    return [...new Set([...plainMeaning(query, ingredients).found, ...named])].slice(0, MOST_SHOWN);
  }, [query, likely, ingredients]);
  return (
    <Combobox
      value={value ?? null}
      disabled={disabled}
      immediate
      onChange={(chosen: Ingredient | null) => chosen && onChoose(chosen)}
      onClose={() => setQuery('')}
    >
      <div className="relative min-w-0">
        <ComboboxInput
          aria-label={label}
          autoComplete="off"
          className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field pr-9 pl-3"
          placeholder="which one? type to search"
          displayValue={(ingredient: Ingredient | null) => ingredient?.name ?? ''}
          onChange={(event) => setQuery(event.target.value)}
        />
        <ComboboxButton className="absolute inset-y-0 right-0 w-9" aria-label={`${label}: show the list`}>
          <ChevronDown size={16} className="mx-auto text-mute" aria-hidden="true" />
        </ComboboxButton>
      </div>
      <ComboboxOptions
        anchor="bottom start"
        className="thin-scroll z-50 w-80 rounded-lg border border-rule bg-sheet py-1 shadow-xl [--anchor-max-height:18rem] overflow-y-auto"
      >
        {shown.map((each) => (
          <ComboboxOption
            key={each.id}
            value={each}
            className="flex min-h-11 cursor-pointer items-center px-3 data-focus:bg-enamel-wash data-selected:font-semibold"
          >
            {each.name}
          </ComboboxOption>
        ))}
        {shown.length === 0 && (
          <p className="px-3 py-3 text-mute">Nothing in the larder is called “{query}”. Try a shorter word.</p>
        )}
      </ComboboxOptions>
    </Combobox>
  );
}
