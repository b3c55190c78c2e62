'use client';

import { useMemo, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import type { CupSystem } from '@/core/matter/measures';
import { findUse } from '@/core/uses/ready-gates';
import { recipeLinesOfCsv } from '@/formats/formula-csv';
import { type FormulaFileInput, MOST_GRAMS } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { findRecipe, findRecipeInPage } from '@/formats/recipe-json-ld';
import { type RecipeRow, readRecipe } from '@/formats/recipe-text';
import { fetchLarder } from '@/kitchen/client/shelf';
import { useFetched } from '@/kitchen/use-fetched';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { Sheet } from '@/ui/sheet';
import { CUP_WORDS, useCupSystem } from '@/ui/use-measure-system';
import { answeredRow, type RecipeAnswer, RecipeRowView } from './recipe-row';

/** Letters of a saved web page at most. */
const MOST_PASTED = 2_000_000;
const LONGEST_NOTE = 2000;
const USE = findUse('coat_eclair');

/** What was pasted: lines to be read, and what is already known of it. */
interface Pasted {
  readonly text: string;
  readonly name?: string;
  readonly steps?: readonly string[];
}

/** Whatever was pasted: a schema.org Recipe, by itself or in a saved web page, a CSV of a pan, or plain text. */
function pastedOf(text: string): Pasted {
  const ofRecipe = (found: ReturnType<typeof findRecipe>): Pasted | undefined =>
    found && { name: found.name, steps: found.steps, text: found.lines.join('\n') };
  if (/^\s*[[{]/.test(text)) {
    try {
      const found = ofRecipe(findRecipe(JSON.parse(text)));
      if (found) return found;
    } catch {
      // No JSON: read as text.
    }
  }
  const page = /<script/i.test(text) ? ofRecipe(findRecipeInPage(text)) : undefined;
  if (page) return page;
  const rows = recipeLinesOfCsv(text);
  return { text: rows ? rows.join('\n') : text };
}

interface Props {
  /** text to begin with, from a file */
  readonly start: string;
  readonly onClose: () => void;
  /** rejects with the reason when it could not be kept */
  readonly onCreate: (formula: FormulaFileInput) => Promise<void>;
}

/** A recipe pasted as text (or JSON-LD, or CSV): its lines matched to the larder, doubtful ones asked, then a formula. */
export function RecipeSheet(props: Props) {
  const { data: ingredients, fault } = useFetched(fetchLarder);
  if (ingredients) return <RecipeForm {...props} ingredients={ingredients} />;
  return (
    <Sheet title="From a recipe" width="wide" onClose={props.onClose}>
      {fault ? (
        <p role="alert" className="text-off">
          {fault}
        </p>
      ) : (
        <p role="status" className="text-mute">
          Fetching the larder…
        </p>
      )}
    </Sheet>
  );
}

/** A formula of the rows that are not left out; its moments are those of the usual use. */
function fileOf(
  title: string,
  steps: readonly string[],
  rows: readonly (readonly [RecipeRow, ReturnType<typeof answeredRow>])[],
): FormulaFileInput {
  return {
    format: 'dark-pour/formula',
    version: 1,
    name: title.slice(0, 120),
    ...(steps.length > 0
      ? {
          note: steps
            .map((step, i) => `${i + 1}. ${step}`)
            .join('\n')
            .slice(0, LONGEST_NOTE),
        }
      : {}),
    lines: rows.flatMap(([row, { left, ingredient, amount }]) =>
      left || !ingredient || amount === undefined ? [] : [{ ingredient: ingredient.id, grams: amount, form: row.form }],
    ),
    moments: (USE?.moments ?? []).map((moment) => ({ ...moment, history: moment.history.map(([h, t]) => [h, t]) })),
    gates: [],
  };
}

/** The rows of a recipe's text, with what was answered about them. */
function useRecipeRows(text: string, ingredients: readonly Ingredient[], cups: CupSystem) {
  const [answers, setAnswers] = useState<Readonly<Record<number, RecipeAnswer>>>({});
  const pasted = useMemo(() => pastedOf(text), [text]);
  const read = useMemo(() => readRecipe(pasted.text, ingredients, cups), [pasted, ingredients, cups]);
  const { rows } = read;
  const answered = (row: RecipeRow, i: number) => answeredRow(row, answers[i] ?? {}, ingredients, cups);
  return {
    name: pasted.name ?? read.title,
    steps: pasted.steps ?? read.steps,
    rows,
    answered,
    /** how many rows still need a word */
    open: rows.filter((row, i) => {
      const { left, brings, ingredient, amount } = answered(row, i);
      return left ? brings.length > 0 : !ingredient || amount === undefined || amount > MOST_GRAMS;
    }).length,
    isSaid: (i: number) => answers[i]?.grams !== undefined,
    say: (i: number, answer: RecipeAnswer) => setAnswers({ ...answers, [i]: { ...answers[i], ...answer } }),
    forget: () => setAnswers({}),
  };
}

function RecipeForm({ start, ingredients, onClose, onCreate }: Props & { ingredients: readonly Ingredient[] }) {
  const [text, setText] = useState(start);
  const [name, setName] = useState('');
  const [cups, setCups] = useCupSystem();
  const [fault, setFault] = useState<string | undefined>();
  const [keepsSteps, setKeepsSteps] = useState(true);
  const { name: namedThere, steps, rows, answered, open, isSaid, say, forget } = useRecipeRows(text, ingredients, cups);

  const create = async () => {
    const title = (name || namedThere).trim();
    if (title === '') {
      setFault('Give it a name first.');
      return;
    }
    try {
      await onCreate(
        fileOf(
          title,
          keepsSteps ? steps : [],
          rows.map((row, i) => [row, answered(row, i)]),
        ),
      );
    } catch (error) {
      setFault(messageOf(error));
    }
  };

  return (
    <Sheet
      title="From a recipe"
      width="wide"
      asksFirst
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
          maxLength={MOST_PASTED}
          onChange={(event) => {
            setText(event.target.value);
            forget();
          }}
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-3">
        <label className="block w-full max-w-md">
          <span className="mb-1 block text-mute">Name</span>
          <input
            className="h-11 w-full rounded-lg border border-rule bg-field px-3"
            value={name || namedThere}
            maxLength={120}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <CupsChoice cups={cups} onCups={setCups} />
      </div>
      {fault && (
        <p role="alert" className="mt-2 text-off">
          {fault}
        </p>
      )}
      {rows.length > 0 && (
        <ul className="mt-3 space-y-1.5" data-testid="recipe-rows">
          {rows.map((row, i) => (
            <RecipeRowView
              key={row.line}
              row={row}
              answered={answered(row, i)}
              isSaid={isSaid(i)}
              ingredients={ingredients}
              cups={cups}
              onSay={(answer) => say(i, answer)}
            />
          ))}
        </ul>
      )}
      {steps.length > 0 && <RecipeSteps steps={steps} isKept={keepsSteps} onKeep={setKeepsSteps} />}
    </Sheet>
  );
}

/** The steps of a pasted recipe: they put nothing in, and may be kept with the formula. */
function RecipeSteps({
  steps,
  isKept,
  onKeep,
}: {
  steps: readonly string[];
  isKept: boolean;
  onKeep: (isKept: boolean) => void;
}) {
  return (
    <section aria-label="Its steps" className="mt-4">
      <label className="flex min-h-11 items-center gap-3 font-medium">
        <input
          type="checkbox"
          className="size-5 accent-enamel"
          checked={isKept}
          onChange={(event) => onKeep(event.target.checked)}
        />
        Keep its steps as a note of the formula
      </label>
      <ol className="list-decimal pl-6 text-[14.5px] text-mute">
        {steps.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in their order; two may be alike
          <li key={i}>{step}</li>
        ))}
      </ol>
    </section>
  );
}

function CupsChoice({ cups, onCups }: { cups: CupSystem; onCups: (cups: CupSystem) => void }) {
  return (
    <label className="block">
      <span className="mb-1 block text-mute">Cups and spoons in it</span>
      <select
        className="h-11 rounded-lg border border-rule bg-field px-2"
        value={cups}
        onChange={(event) => onCups(choiceOf(keysOf(CUP_WORDS), event.target.value) ?? cups)}
      >
        {keysOf(CUP_WORDS).map((key) => (
          <option key={key} value={key}>
            {CUP_WORDS[key]}
          </option>
        ))}
      </select>
    </label>
  );
}
