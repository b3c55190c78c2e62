'use client';

import { useMemo, useState } from 'react';
import { findUse } from '@/core/balance/uses';
import { recipeLinesOfCsv } from '@/formats/formula-csv';
import { type FormulaFileInput, MOST_GRAMS } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { findRecipe } from '@/formats/recipe-json-ld';
import { gramsOfRow, type RecipeRow, readRecipeText } from '@/formats/recipe-text';
import { Button } from '@/ui/button';
import { grams, gramsPlain } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';

/** What a cook said about a doubtful line. */
interface Answer {
  readonly ingredient?: string;
  readonly grams?: number | undefined;
  readonly left?: boolean;
}

const USE = findUse('coat_eclair');

/** The ingredient lines of whatever was pasted: a schema.org Recipe, a CSV of a pan, or plain text. */
function linesOf(text: string): { name: string; text: string } {
  if (/^\s*[[{]/.test(text)) {
    try {
      const found = findRecipe(JSON.parse(text));
      if (found) return { name: found.name, text: found.lines.join('\n') };
    } catch {
      // No JSON: read as text.
    }
  }
  const rows = recipeLinesOfCsv(text);
  return { name: '', text: rows ? rows.join('\n') : text };
}

/** A recipe pasted as text (or JSON-LD, or CSV): its lines matched to the larder, doubtful ones asked, then a formula. */
export function RecipeSheet({
  start,
  ingredients,
  onClose,
  onCreate,
}: {
  /** text to begin with, from a file */
  start: string;
  ingredients: readonly Ingredient[];
  onClose: () => void;
  /** rejects with the reason when it could not be kept */
  onCreate: (formula: FormulaFileInput) => Promise<void>;
}) {
  const [text, setText] = useState(start);
  const [name, setName] = useState('');
  const [answers, setAnswers] = useState<Readonly<Record<number, Answer>>>({});
  const [fault, setFault] = useState<string | undefined>();
  const read = useMemo(() => linesOf(text), [text]);
  const rows = useMemo(() => readRecipeText(read.text, ingredients), [read, ingredients]);

  const answered = (row: RecipeRow, i: number) => {
    const answer = answers[i] ?? {};
    const id = answer.ingredient ?? (row.sure ? row.candidates[0]?.id : undefined);
    const ingredient = ingredients.find((each) => each.id === id);
    const amount = answer.grams ?? (ingredient && gramsOfRow(row, ingredient));
    return { left: answer.left ?? false, ingredient, amount };
  };
  const open = rows.filter((row, i) => {
    const { left, ingredient, amount } = answered(row, i);
    return !left && (!ingredient || amount === undefined || amount > MOST_GRAMS);
  }).length;
  const say = (i: number, answer: Answer) => setAnswers({ ...answers, [i]: { ...answers[i], ...answer } });

  const create = async () => {
    const title = (name || read.name).trim();
    if (title === '') {
      setFault('Give it a name first.');
      return;
    }
    try {
      await onCreate({
        format: 'dark-pour/formula',
        version: 1,
        name: title.slice(0, 120),
        lines: rows.flatMap((row, i) => {
          const { left, ingredient, amount } = answered(row, i);
          return left || !ingredient || amount === undefined
            ? []
            : [{ ingredient: ingredient.id, grams: amount, form: row.form }];
        }),
        moments: (USE?.moments ?? []).map((moment) => ({ ...moment, history: moment.history.map(([h, t]) => [h, t]) })),
        gates: [],
      });
    } catch (error) {
      setFault((error as Error).message);
    }
  };

  return (
    <Sheet
      title="From a recipe"
      width="wide"
      onClose={onClose}
      footer={
        <>
          <Button look="primary" disabled={rows.length === 0 || open > 0} onClick={() => void create()}>
            Make it a formula
          </Button>
          {open > 0 && (
            <span className="self-center text-[13.5px] text-near">
              {open === 1 ? 'One line needs' : `${open} lines need`} your word first.
            </span>
          )}
        </>
      }
    >
      <label className="block">
        <span className="mb-1 block text-mute">A line an ingredient: 200 g dark couverture 64 %, chopped</span>
        <textarea
          className="h-32 w-full rounded-lg border border-rule bg-field p-3"
          value={text}
          maxLength={20_000}
          onChange={(event) => {
            setText(event.target.value);
            setAnswers({});
          }}
        />
      </label>
      <label className="mt-2 block max-w-md">
        <span className="mb-1 block text-mute">Name</span>
        <input
          className="h-11 w-full rounded-lg border border-rule bg-field px-3"
          value={name || read.name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      {fault && (
        <p role="alert" className="mt-2 text-off">
          {fault}
        </p>
      )}
      {rows.length > 0 && (
        <ul className="mt-3 space-y-1.5" data-testid="recipe-rows">
          {rows.map((row, i) => {
            const { left, ingredient, amount } = answered(row, i);
            const asks = !left && (!ingredient || amount === undefined);
            return (
              <li
                key={row.line}
                className={`grid grid-cols-[1fr_minmax(0,1.2fr)_112px_auto] items-center gap-3 rounded-lg px-2 py-1 ${
                  asks ? 'bg-near-wash' : ''
                } ${left ? 'opacity-50' : ''}`}
              >
                <span className="min-w-0 truncate" title={row.raw}>
                  {row.raw}
                </span>
                <select
                  aria-label={`Ingredient for ${row.raw}`}
                  className="h-11 w-full min-w-0 rounded-lg border border-rule bg-field px-2"
                  value={ingredient?.id ?? ''}
                  disabled={left}
                  onChange={(event) => say(i, { ingredient: event.target.value })}
                >
                  <option value="" disabled>
                    which one?
                  </option>
                  {[...new Set([...row.candidates, ...(ingredient ? [ingredient] : [])])].map((candidate) => (
                    <option key={candidate.id} value={candidate.id}>
                      {candidate.name}
                    </option>
                  ))}
                  <optgroup label="all">
                    {ingredients.map((each) => (
                      <option key={each.id} value={each.id}>
                        {each.name}
                      </option>
                    ))}
                  </optgroup>
                </select>
                {!ingredient || (amount !== undefined && answers[i]?.grams === undefined) ? (
                  <span className="read text-right">{amount === undefined ? '–' : `${grams(amount)} g`}</span>
                ) : (
                  <NumberField
                    label={`Grams for ${row.raw}`}
                    optional
                    placeholder="?"
                    value={amount}
                    rules={GRAMS}
                    write={gramsPlain}
                    disabled={left}
                    onValue={(value) => say(i, { grams: value })}
                  />
                )}
                <Button look="bare" className="!px-2 text-[13px]" onClick={() => say(i, { left: !left })}>
                  {left ? 'Take it' : 'Leave out'}
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </Sheet>
  );
}
