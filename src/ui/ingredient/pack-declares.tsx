import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { Check, ChevronDown, X } from 'lucide-react';
import { ALLERGENS, type Allergen, type Declared, inOrder, isUnrecognised } from '@/core/matter/allergens';

/** What a pack declares, as it is chosen. */
export interface Declares {
  /** chosen; what was imported and not recognised stands among them until someone decides */
  readonly contains: readonly Declared[];
  readonly mayContain: readonly Declared[];
  /** somebody read the pack, also where it names nothing */
  readonly isRead: boolean;
}

/** Allergens are chosen from the list, never typed: a word nobody recognises protects nobody. */
export function PackDeclares({ value, onChange }: { value: Declares; onChange: (value: Declares) => void }) {
  const { contains, mayContain, isRead } = value;
  const undecided = [...contains, ...mayContain].filter(isUnrecognised);
  const decide = (text: Declared, as: Allergen | undefined) => {
    const swapped = (list: readonly Declared[]) =>
      inOrder(list.flatMap((each) => (each === text ? (as ?? []) : [each])));
    onChange({ contains: swapped(contains), mayContain: swapped(mayContain), isRead: true });
  };
  return (
    <fieldset className="rounded-xl border border-rule p-4">
      <legend className="px-1 font-semibold">What the pack declares</legend>
      <div className="grid gap-3 sm:grid-cols-2">
        <AllergenList
          label="Contains"
          chosen={contains}
          onChoose={(chosen) => onChange({ ...value, contains: chosen, isRead: isRead || chosen.length > 0 })}
        />
        <AllergenList
          label="May contain"
          chosen={mayContain}
          onChoose={(chosen) => onChange({ ...value, mayContain: chosen })}
        />
      </div>
      <label className="mt-2 flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-enamel"
          checked={isRead}
          onChange={(event) => onChange({ ...value, isRead: event.target.checked })}
        />
        I read the pack: it declares {contains.length > 0 ? 'these' : 'no allergen'}
      </label>
      {!isRead && (
        <p className="text-[13.5px] text-near">
          Until someone has read the pack it may contain anything, and no wish takes it for free of something.
        </p>
      )}
      {undecided.map((text) => (
        <div
          key={text}
          role="alert"
          className="mt-2 flex flex-wrap items-center gap-2 rounded-lg bg-off-wash px-3 py-1.5 text-[13.5px]"
        >
          <span className="flex-1">
            <strong>“{text.replace('other: ', '')}”</strong> is no allergen of the list: it may be anything until you
            decide.
          </span>
          <select
            aria-label={`What “${text.replace('other: ', '')}” is`}
            className="h-11 rounded-lg border border-rule bg-field px-2"
            value=""
            onChange={(event) =>
              decide(
                text,
                ALLERGENS.find((each) => each === event.target.value),
              )
            }
          >
            <option value="">decide…</option>
            <option value="no allergen">no allergen</option>
            {ALLERGENS.map((each) => (
              <option key={each} value={each}>
                it is {each}
              </option>
            ))}
          </select>
        </div>
      ))}
    </fieldset>
  );
}

/** One list of allergens: opened, ticked, and each taken out again where it stands. */
function AllergenList({
  label,
  chosen,
  onChoose,
}: {
  label: string;
  chosen: readonly Declared[];
  onChoose: (chosen: readonly Declared[]) => void;
}) {
  const known = chosen.filter((each) => !isUnrecognised(each));
  const undecided = chosen.filter(isUnrecognised);
  return (
    <div>
      <Listbox value={known} multiple onChange={(next: Declared[]) => onChoose(inOrder([...next, ...undecided]))}>
        <ListboxButton
          aria-label={`${label}: ${known.join(', ') || 'nothing chosen'}`}
          className="flex h-11 w-full items-center justify-between rounded-lg border border-rule bg-field px-3 text-left"
        >
          <span>{label}…</span>
          <ChevronDown size={17} aria-hidden="true" />
        </ListboxButton>
        <ListboxOptions
          anchor="bottom start"
          className="thin-scroll z-50 w-64 [--anchor-max-height:20rem] overflow-y-auto rounded-lg border border-rule bg-sheet py-1 shadow-xl"
        >
          {ALLERGENS.map((each) => (
            <ListboxOption
              key={each}
              value={each}
              className="group flex min-h-11 cursor-pointer items-center gap-2 px-3 data-focus:bg-enamel-wash"
            >
              <Check size={17} className="invisible text-enamel group-data-selected:visible" aria-hidden="true" />
              {each}
            </ListboxOption>
          ))}
        </ListboxOptions>
      </Listbox>
      <ul className="mt-1 flex flex-wrap gap-1">
        {known.map((each) => (
          <li key={each}>
            <button
              type="button"
              className="inline-flex min-h-11 items-center gap-1 rounded-lg bg-rule-soft px-2.5 text-[13.5px]"
              aria-label={`Take ${each} out of ${label.toLowerCase()}`}
              onClick={() => onChoose(chosen.filter((other) => other !== each))}
            >
              {each} <X size={14} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
