'use client';

import { useMemo, useState } from 'react';
import { keysOf } from '@/core/keys-of';
import type { CupSystem } from '@/core/matter/measures';
import type { WayId } from '@/core/method/step';
import { findUse } from '@/core/uses/ready-gates';
import { recipeLinesOfCsv } from '@/formats/formula-csv';
import { type FormulaFileInput, formulaFileSchema, MOST_GRAMS } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { findRecipe, findRecipeInPage } from '@/formats/recipe-json-ld';
import { type RecipeRow, readRecipe } from '@/formats/recipe-text';
import { fetchLarder } from '@/kitchen/client/shelf';
import { larderOf } from '@/kitchen/known-item';
import { wayOfSteps } from '@/kitchen/method/way-of-steps';
import { useFetched } from '@/kitchen/use-fetched';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { Sheet } from '@/ui/sheet';
import { CUP_WORDS, useCupSystem } from '@/ui/use-measure-system';
import { answeredRow, type RecipeAnswer, RecipeRowView } from './recipe-row';
import { RecipeSteps, type StepsChoice } from './recipe-steps';

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
  way: WayId | undefined,
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
    ...(way ? { method: { way } } : {}),
    lines: rows.flatMap(([row, { left, ingredient, amount }]) =>
      left || !ingredient || amount === undefined ? [] : [{ ingredient: ingredient.id, grams: amount, form: row.form }],
    ),
    moments: (USE?.moments ?? []).map((moment) => ({ ...moment, history: moment.history.map(([h, t]) => [h, t]) })),
    gates: [],
  };
}

/** The way of working that the steps tell; nothing where they tell none that suits. */
function wayIn(steps: readonly string[], made: FormulaFileInput, ingredients: readonly Ingredient[]) {
  const read = formulaFileSchema.safeParse(made);
  return read.success ? wayOfSteps(steps, read.data, larderOf(ingredients)) : undefined;
}

/** The rows of a recipe's text, with what was answered about them, and the formula they make. */
function useRecipeRows(text: string, ingredients: readonly Ingredient[], cups: CupSystem) {
  const [answers, setAnswers] = useState<Readonly<Record<number, RecipeAnswer>>>({});
  const pasted = useMemo(() => pastedOf(text), [text]);
  const read = useMemo(() => readRecipe(pasted.text, ingredients, cups), [pasted, ingredients, cups]);
  const steps = pasted.steps ?? read.steps;
  const rows = useMemo(
    () => read.rows.map((row, i) => [row, answeredRow(row, answers[i] ?? {}, ingredients, cups)] as const),
    [read, answers, ingredients, cups],
  );
  /** how many rows still need a word */
  const open = rows.filter(([, { left, brings, ingredient, amount }]) =>
    left ? brings.length > 0 : !ingredient || amount === undefined || amount > MOST_GRAMS,
  ).length;
  const way = useMemo(
    () =>
      rows.length > 0 && open === 0 && steps.length > 0
        ? wayIn(steps, fileOf('Recipe', [], undefined, rows), ingredients)
        : undefined,
    [rows, open, steps, ingredients],
  );
  return {
    name: pasted.name ?? read.title,
    steps,
    rows,
    open,
    way,
    made: (title: string, { areFollowed, areNoted }: StepsChoice) =>
      fileOf(title, areNoted ? steps : [], areFollowed ? way : undefined, rows),
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
  const [choice, setChoice] = useState<StepsChoice>({ areFollowed: true, areNoted: true });
  const {
    name: namedThere,
    steps,
    rows,
    way,
    open,
    made,
    isSaid,
    say,
    forget,
  } = useRecipeRows(text, ingredients, cups);

  const title = (name || namedThere).trim();
  const create = () =>
    title === ''
      ? setFault('Give it a name first.')
      : onCreate(made(title, choice)).catch((error) => setFault(messageOf(error)));

  return (
    <Sheet
      title="From a recipe"
      width="wide"
      asksFirst
      onClose={onClose}
      footer={
        <>
          <Button look="primary" disabled={rows.length === 0 || open > 0} onClick={create}>
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
          {rows.map(([row, answer], i) => (
            <RecipeRowView
              key={row.line}
              row={row}
              answered={answer}
              isSaid={isSaid(i)}
              ingredients={ingredients}
              cups={cups}
              onSay={(said) => say(i, said)}
            />
          ))}
        </ul>
      )}
      {steps.length > 0 && <RecipeSteps steps={steps} way={way} choice={choice} onChoose={setChoice} />}
    </Sheet>
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
