import { type BookChoices, LANDED } from '@/formats/book';
import { choiceOf } from '@/ui/choice-of';
import type { Book } from './use-book';

const BOX = 'h-11 min-w-0 rounded-lg border border-rule bg-field px-3';
const LANDED_WORDS = { yes: 'landed', no: 'missed', unsaid: 'nobody said' } as const;

/** Which months a kitchen may ask for: from now back to a year ago. */
const MONTHS = 13;

/** The first moments of a month and of the next, on this tablet's clock. */
function monthSpan(text: string): { from: number | undefined; to: number | undefined } {
  const [year, month] = text.split('-').map(Number);
  if (!year || !month) return { from: undefined, to: undefined };
  return { from: new Date(year, month - 1, 1).getTime(), to: new Date(year, month, 1).getTime() };
}

/** The last months by their first day, the newest first. */
function lastMonths(now: Date): readonly (readonly [string, string])[] {
  return Array.from({ length: MONTHS }, (_, i) => {
    const day = new Date(now.getFullYear(), now.getMonth() - i, 1);
    const two = String(day.getMonth() + 1).padStart(2, '0');
    return [
      `${day.getFullYear()}-${two}`,
      day.toLocaleDateString('en-GB', { month: 'long', year: 'numeric' }),
    ] as const;
  });
}

/** What the book is narrowed by: a word, a formula, a month, how it went, and by whom. */
export function BookFilters({
  book,
  choices,
  now,
  hasFormula,
}: {
  book: Book;
  choices: BookChoices;
  now: Date;
  hasFormula: boolean;
}) {
  const { filter, narrow } = book;
  const month = lastMonths(now).find(([key]) => monthSpan(key).from === filter.from)?.[0] ?? '';
  return (
    <search className="flex flex-wrap gap-2">
      <input
        type="search"
        aria-label="Search the book"
        className={`${BOX} flex-1 basis-40`}
        placeholder="a name, a number, a word"
        value={filter.search ?? ''}
        onChange={(event) => narrow({ search: event.target.value })}
      />
      {!hasFormula && (
        <Choice
          label="Formula"
          value={filter.formula ?? ''}
          any="any formula"
          options={choices.formulas.map(({ id, name }) => [id, name])}
          onChoose={(formula) => narrow({ formula: formula || undefined })}
        />
      )}
      <Choice
        label="Month"
        value={month}
        any="any month"
        options={lastMonths(now)}
        onChoose={(text) => narrow(monthSpan(text))}
      />
      <Choice
        label="How it went"
        value={filter.landed ?? ''}
        any="however it went"
        options={LANDED.map((each) => [each, LANDED_WORDS[each]])}
        onChoose={(text) => narrow({ landed: choiceOf(LANDED, text) })}
      />
      <Choice
        label="Rescued"
        value={filter.rescued ?? ''}
        any="rescued or not"
        options={[
          ['yes', 'rescued'],
          ['no', 'as planned'],
        ]}
        onChoose={(text) => narrow({ rescued: choiceOf(['yes', 'no'] as const, text) })}
      />
      {choices.names.length > 0 && (
        <Choice
          label="By whom it was made"
          value={filter.by ?? ''}
          any="by anyone"
          options={choices.names.map((name) => [name, name])}
          onChoose={(by) => narrow({ by: by || undefined })}
        />
      )}
    </search>
  );
}

function Choice({
  label,
  value,
  any,
  options,
  onChoose,
}: {
  label: string;
  value: string;
  any: string;
  options: readonly (readonly [string, string])[];
  onChoose: (value: string) => void;
}) {
  return (
    <select
      aria-label={label}
      className={`${BOX} max-w-52`}
      value={value}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="">{any}</option>
      {options.map(([key, name]) => (
        <option key={key} value={key}>
          {name}
        </option>
      ))}
    </select>
  );
}
