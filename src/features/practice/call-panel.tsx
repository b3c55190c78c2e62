import { useState } from 'react';
import { keysOf } from '@/core/keys-of';
import { nth } from '@/core/nth';
import { type Exercise, FILLINGS, MOST_PORTIONS } from '@/core/practice/exercises';
import { CAUSES } from '@/core/practice/hidden-pan';
import type { Call } from '@/core/practice/judge';
import { CAUSE_WORDS, COAT_WORDS, FILLING_WORDS, FIRMNESS_WORDS } from '@/kitchen/words/practice-words';
import { Button } from '@/ui/button';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';

const GRAMS = { least: 1, most: 5000, unit: 'g', units: { g: 1, kg: 1000 }, example: '24' };
const PORTIONS = inlineRules([1, MOST_PORTIONS], '', '3');

interface Option {
  readonly key: string;
  readonly name: string;
  readonly call: Call;
}

/** What can be said where a word is enough. */
function optionsOf(exercise: Exercise): readonly Option[] {
  switch (exercise.kind) {
    case 'tomorrow':
      return (exercise.where === 'side' ? COAT_WORDS : FIRMNESS_WORDS).map((name, step) => ({
        key: name,
        name,
        call: { kind: 'tomorrow', step },
      }));
    case 'which':
      return (['Pan A', 'Pan B'] as const).map((name, i) => ({
        key: name,
        name,
        call: { kind: 'which', pan: i === 0 ? 0 : 1 },
      }));
    case 'why':
      return CAUSES.map((cause) => ({ key: cause, name: CAUSE_WORDS[cause], call: { kind: 'why', cause } }));
    case 'spoon':
      return keysOf(FILLINGS).map((filling) => ({
        key: filling,
        name: FILLING_WORDS[filling],
        call: { kind: 'spoon', filling },
      }));
    default:
      return [];
  }
}

/** One of a few words: chosen with the arrow keys or a finger, said with the press below. */
function Words({ options, onCall }: { options: readonly Option[]; onCall: (call: Call) => void }) {
  const [chosen, setChosen] = useState<Option | undefined>();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (chosen) onCall(chosen.call);
      }}
    >
      <fieldset className="grid gap-2">
        <legend className="sr-only">Your call</legend>
        {options.map((option) => (
          <label
            key={option.key}
            className="flex min-h-12 items-center gap-3 rounded-lg border border-rule bg-sheet px-4 has-checked:border-enamel has-checked:bg-enamel-wash has-focus-visible:outline-2"
          >
            <input
              type="radio"
              name="call"
              className="size-5 accent-enamel"
              checked={chosen?.key === option.key}
              onChange={() => setChosen(option)}
            />
            {option.name}
          </label>
        ))}
      </fieldset>
      <Button look="primary" type="submit" disabled={!chosen} className="mt-3 min-h-14 w-full">
        That is my call
      </Button>
    </form>
  );
}

type MendExercise = Extract<Exercise, { kind: 'mend' }>;

/** What goes in, how much, and in how many portions. */
function Mending({ exercise, onCall }: { exercise: MendExercise; onCall: (call: Call) => void }) {
  const { rows } = exercise.pan.base;
  const [row, setRow] = useState(nth(exercise.choices, 0));
  const [grams, setGrams] = useState<number | undefined>();
  const [portions, setPortions] = useState<number>(MOST_PORTIONS);
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (grams !== undefined) onCall({ kind: 'mend', row, grams, portions: Math.round(portions) });
      }}
    >
      <label className="grid grid-cols-[minmax(0,1fr)_190px] items-center gap-2">
        Put in
        <select
          className="h-11 min-w-0 rounded-lg border border-rule bg-field px-2"
          value={row}
          onChange={(event) => setRow(Number(event.target.value))}
        >
          {exercise.choices.map((place) => (
            <option key={place} value={place}>
              {nth(rows, place).name}
            </option>
          ))}
        </select>
      </label>
      <div className="grid grid-cols-[minmax(0,1fr)_190px] items-center gap-2">
        <span>So much of it at most</span>
        <NumberField
          label="Grams to put in"
          value={grams}
          optional
          rules={GRAMS}
          write={inlinePlain}
          placeholder="–"
          onValue={setGrams}
        />
        <span>In so many portions</span>
        <NumberField
          label="Portions"
          value={portions}
          rules={PORTIONS}
          write={inlinePlain}
          placeholder=""
          onValue={(value) => setPortions(value ?? 1)}
        />
      </div>
      <p className="text-[13.5px] text-mute">
        Portions differ a little. The pan is looked at after each. Once it pours right, nothing more goes in.
      </p>
      <Button look="primary" type="submit" disabled={grams === undefined} className="min-h-14">
        Put it in
      </Button>
    </form>
  );
}

/** Where the call is made. A pan that cools is stopped beside its picture. */
export function CallPanel({ exercise, onCall }: { exercise: Exercise; onCall: (call: Call) => void }) {
  if (exercise.kind === 'mend') return <Mending exercise={exercise} onCall={onCall} />;
  if (exercise.kind === 'when') return null;
  return <Words options={optionsOf(exercise)} onCall={onCall} />;
}
