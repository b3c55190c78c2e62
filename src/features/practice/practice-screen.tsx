'use client';

import { useEffect, useMemo, useState } from 'react';
import { nth } from '@/core/nth';
import { EXERCISE_KINDS, type Exercise, type ExerciseKind } from '@/core/practice/exercises';
import type { HiddenPan } from '@/core/practice/hidden-pan';
import { observe, type Seen } from '@/core/practice/observe';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { EXERCISE_WORDS } from '@/kitchen/words/practice-words';
import { celsius, weight } from '@/ui/format';
import { TopBar } from '@/ui/top-bar';
import { Afterwards } from './afterwards';
import { CallPanel } from './call-panel';
import { CoolingPresses, useCooling } from './cooling-pan';
import { EyePanel } from './eye-panel';
import { LearnerBar } from './learner-bar';
import { PracticePan } from './practice-pan';
import { PAN_NAMES, type Sign, Signs, signWords } from './signs';
import { useDoing } from './use-doing';
import { type Practice, usePractice } from './use-practice';

const pourAt = ({ base }: HiddenPan) => celsius(Math.round(base.pourC));

/** What is asked, as a question. */
function question(exercise: Exercise): string {
  switch (exercise.kind) {
    case 'tomorrow': {
      const then = celsius(Math.round(exercise.thenC));
      if (exercise.where === 'side')
        return `Poured at ${pourAt(exercise.pan)} over the upright side of a cake: what stays on it?`;
      if (exercise.where === 'room') return `Left in a room of ${then} until tomorrow: how firm will it be?`;
      return `How firm will it be at ${then}, once it has set?`;
    }
    case 'mend':
      return `At ${pourAt(exercise.pan)} it would not pour as it should. Mend it.`;
    case 'when':
      return 'Pour it when it is right: now, cooler, or warmer.';
    case 'which':
      return `One of them has a third more ${nth(exercise.pans[0].base.rows, exercise.row).name}. Which?`;
    case 'why':
      return 'Something went wrong. What was it?';
    default:
      return `The ${nth(exercise.pan.base.rows, exercise.row).name} was measured by spoon. How was the spoon filled?`;
  }
}

/** Rows that are named; of more it is said how many. */
const MOST_NAMED = 8;

/** What should have gone in, the most first. */
function meant(exercise: Exercise): string {
  const { rows } = (exercise.kind === 'which' ? exercise.pans[0] : exercise.pan).base;
  const named = rows.toSorted((a, b) => b.grams - a.grams).slice(0, MOST_NAMED);
  const more = rows.length - named.length;
  return `${named.map(({ name, grams }) => `${weight(grams)} ${name}`).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
}

/** Signs that would give the answer away. */
const WITHOUT: Readonly<Record<ExerciseKind, readonly Sign[]>> = {
  tomorrow: [],
  mend: [],
  when: ['probe'],
  which: [],
  why: [],
  spoon: [],
};
const DOES = { spoon: 'line', tilt: 'tilt', plate: 'drop', ribbon: 'ribbon' } as const;

/** The pan or pans of an exercise as they are seen, and what a cook may do with them: each sign stays as it was read, though the pan cools on. */
function Scene({ exercise, coolingC }: { exercise: Exercise; coolingC: number }) {
  const [read, setRead] = useState<ReadonlyMap<Sign, readonly Seen[]>>(new Map());
  const { doing, begun, begin } = useDoing();
  const seen = useMemo(
    () =>
      exercise.kind === 'which'
        ? exercise.pans.map((pan, i) => observe(pan, nth(exercise.atC, i)))
        : [observe(exercise.pan, exercise.kind === 'when' ? coolingC : exercise.atC)],
    [exercise, coolingC],
  );
  return (
    <>
      <div className={seen.length > 1 ? 'grid gap-3 sm:grid-cols-2' : 'max-w-xl'}>
        {seen.map((now, i) => {
          const name = seen.length > 1 ? ` ${nth(PAN_NAMES, i)}` : '';
          return (
            <div key={name} className="rounded-xl border border-rule bg-sheet p-3">
              {name && <p className="font-semibold">Pan{name}</p>}
              <PracticePan
                seen={now}
                doing={doing}
                begun={begun}
                dropped={read.get('plate')?.[i]}
                label={`The pan${name}. ${signWords('look', now)}`}
                onDrawn={() => setRead(new Map([...read, ['spoon', seen]]))}
              />
            </div>
          );
        })}
      </div>
      <Signs
        read={new Map([['look', seen], ...read])}
        without={WITHOUT[exercise.kind]}
        onSign={(sign) => {
          setRead(new Map([...read, [sign, seen]]));
          if (sign in DOES) begin(DOES[sign as keyof typeof DOES]);
        }}
      />
    </>
  );
}

/** Which exercise: the next by itself, or one that is chosen. */
function Kinds({ practice }: { practice: Practice }) {
  return (
    <label className="flex flex-wrap items-center gap-2">
      <span className="text-mute">Exercise</span>
      <select
        className="h-11 rounded-lg border border-rule bg-field px-2"
        value={practice.wanted ?? ''}
        onChange={(event) => practice.choose(EXERCISE_KINDS.find((kind) => kind === event.target.value))}
      >
        <option value="">as my eye needs it</option>
        {EXERCISE_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {EXERCISE_WORDS[kind]}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Practice pans: a pan nobody has to wash. */
export function PracticeScreen({
  files,
  ingredients,
  only,
}: {
  files: readonly FormulaFile[];
  ingredients: readonly Ingredient[];
  /** name of the one formula that is practised */
  only: string | undefined;
}) {
  const practice = usePractice(files, ingredients);
  const { round, kept } = practice;
  const cooling = useCooling(round?.exercise);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const exercise = round?.exercise;
  return (
    <div className="flex min-h-screen flex-col" data-ready={ready && kept.tries !== undefined}>
      <TopBar />
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[minmax(0,1fr)_340px] lg:grid-cols-[minmax(0,1fr)_400px]">
        <div className="px-6 py-5">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h1 className="text-[1.6rem]">{round ? EXERCISE_WORDS[round.exercise.kind] : 'Practice'}</h1>
            <Kinds practice={practice} />
          </div>
          {round && exercise ? (
            <>
              <p className="mt-1 text-[1.15rem] font-semibold text-balance">{question(exercise)}</p>
              <p className="mb-3 text-mute">{round.formula}, as somebody made it. Look, try, then say.</p>
              <p className="mb-3">
                <span className="text-mute">Meant: </span>
                {meant(exercise)}
              </p>
              <Scene key={`${exercise.kind} ${exercise.seed}`} exercise={exercise} coolingC={cooling.temperatureC} />
            </>
          ) : (
            <p className="mt-3 text-mute">
              {kept.tries === undefined
                ? 'A pan is being made…'
                : `Nothing of ${only ?? 'these formulas'} can be practised: it needs something liquid and something that sets.`}
            </p>
          )}
        </div>
        <div className="border-rule bg-sheet px-5 py-5 max-md:border-t md:border-l">
          {round?.said ? (
            <Afterwards round={round} said={round.said} onNext={practice.next} />
          ) : (
            exercise && (
              <>
                <h2 className="mb-2 text-[1.2rem]">Your call</h2>
                {exercise.kind === 'when' ? (
                  <CoolingPresses cooling={cooling} onPour={(at) => practice.say({ kind: 'when', temperatureC: at })} />
                ) : (
                  <CallPanel key={`${exercise.kind} ${exercise.seed}`} exercise={exercise} onCall={practice.say} />
                )}
              </>
            )
          )}
          <EyePanel tries={kept.tries ?? []} />
          <LearnerBar practice={practice} />
        </div>
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
        <span>Simulated: nothing of it is written to batches, and the kitchen learns nothing from it.</span>
        {exercise?.kind === 'tomorrow' && exercise.where === 'room' && (
          <span>A real one with cream in it stays out no longer than your local food code allows.</span>
        )}
        <button type="button" className="ml-auto min-h-11 text-enamel underline" onClick={practice.skip}>
          Skip this one
        </button>
      </footer>
    </div>
  );
}
