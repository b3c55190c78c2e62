import { Search } from 'lucide-react';
import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Allergen } from '@/core/matter/allergens';
import { INGREDIENT_GROUPS } from '@/formats/ingredient';
import { Key } from '@/ui/button';
import type { LarderFilter } from './larder-rows';

/** What of the larder is shown. */
export function LarderFilters({
  filter,
  allergens,
  onFilter,
}: {
  filter: LarderFilter;
  /** those the larder has */
  allergens: readonly Allergen[];
  onFilter: (filter: LarderFilter) => void;
}) {
  const search = useRef<HTMLInputElement>(null);
  useHotkeys('/', () => search.current?.focus(), { useKey: true, ignoreModifiers: true, preventDefault: true });
  return (
    <>
      <label className="relative block w-full max-w-72">
        <span className="sr-only">Search the larder</span>
        <Search size={18} className="absolute top-3 left-3 text-mute" aria-hidden="true" />
        <input
          ref={search}
          type="search"
          className="h-11 w-full rounded-lg border border-rule bg-field pr-9 pl-10"
          placeholder="Name, note, allergen"
          value={filter.query}
          onChange={(event) => onFilter({ ...filter, query: event.target.value })}
        />
        <span className="pointer-events-none absolute top-2.5 right-3 text-mute">
          <Key>/</Key>
        </span>
      </label>
      <Choice
        label="Group"
        value={filter.group}
        none="all groups"
        options={INGREDIENT_GROUPS}
        onChoose={(group) => onFilter({ ...filter, group })}
      />
      <Choice
        label="Without"
        value={filter.without}
        none="any allergens"
        options={allergens}
        before="without "
        onChoose={(without) => onFilter({ ...filter, without })}
      />
      <Toggle label="vegan" on={filter.vegan} onToggle={(vegan) => onFilter({ ...filter, vegan })} />
      <Toggle label="own" on={filter.own} onToggle={(own) => onFilter({ ...filter, own })} />
    </>
  );
}

function Choice<Value extends string>({
  label,
  value,
  none,
  options,
  before = '',
  onChoose,
}: {
  label: string;
  value: Value | '';
  none: string;
  options: readonly Value[];
  before?: string;
  onChoose: (value: Value | '') => void;
}) {
  return (
    <select
      aria-label={label}
      className="h-11 rounded-lg border border-rule bg-field px-2"
      value={value}
      onChange={(event) => onChoose(options.find((option) => option === event.target.value) ?? '')}
    >
      <option value="">{none}</option>
      {options.map((option) => (
        <option key={option} value={option}>
          {before}
          {option}
        </option>
      ))}
    </select>
  );
}

function Toggle({ label, on, onToggle }: { label: string; on: boolean; onToggle: (on: boolean) => void }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onToggle(!on)}
      className="min-h-11 rounded-lg border border-rule bg-field px-4 aria-pressed:border-enamel aria-pressed:bg-enamel-wash aria-pressed:font-semibold aria-pressed:text-enamel"
    >
      {label}
    </button>
  );
}
