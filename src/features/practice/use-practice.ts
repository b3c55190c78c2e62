import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { drawExercise, EXERCISE_KINDS, type Exercise, type ExerciseKind } from '@/core/practice/exercises';
import type { PracticeBase } from '@/core/practice/hidden-pan';
import { type Call, type Judgement, judge } from '@/core/practice/judge';
import { nextKind, type Try } from '@/core/practice/learner';
import type { FormulaFile } from '@/formats/formula-file';
import type { Ingredient } from '@/formats/ingredient';
import { messageOf } from '@/formats/message-of';
import { LONGEST_LEARNER } from '@/formats/practice';
import { fetchPractice, keepPractice } from '@/kitchen/client/practice';
import { newKey } from '@/kitchen/cook/untold';
import { larderOf } from '@/kitchen/known-item';
import { practiceBase } from '@/kitchen/practice/practice-base';
import { tabletSetting } from '@/ui/tablet-setting';

/** Who practises at this tablet; empty while nobody said. */
const useLearner = tabletSetting<string>('learner', (text) => text.slice(0, LONGEST_LEARNER), '');

/** A base with the name of its formula. */
interface Practised extends PracticeBase {
  readonly formula: string;
}

/** An exercise as it stands on the screen. */
export interface Round {
  readonly exercise: Exercise;
  readonly formula: string;
  /** what was said, and how it was; nothing before */
  readonly said: { readonly call: Call; readonly judgement: Judgement } | undefined;
}

/** A number of a name and a count: the same learner meets the same pans in the same order. */
function seedOf(learner: string, count: number): number {
  let sum = 17;
  for (const letter of learner) sum = (sum * 31 + (letter.codePointAt(0) ?? 0)) >>> 0;
  return (sum + 104_729 * count) >>> 0;
}

/** Looks through the formulas for one that has an exercise of a kind. */
function drawFrom(bases: readonly Practised[], kind: ExerciseKind, seed: number): Round | undefined {
  for (let i = 0; i < bases.length; i++) {
    const base = bases[(seed + i) % bases.length];
    const exercise = base && drawExercise(kind, base, seed + i);
    if (base && exercise) return { exercise, formula: base.formula, said: undefined };
  }
  return undefined;
}

/** What one learner has done, kept on the server; nobody's tries stay on this page alone. */
function useTries(learner: string) {
  const [held, setHeld] = useState<{ readonly of: string; readonly tries: readonly Try[] } | undefined>();
  const [learners, setLearners] = useState<readonly string[]>([]);
  const [fault, setFault] = useState<string | undefined>();
  // What another learner has done is nobody’s here.
  const tries = held?.of === learner ? held.tries : undefined;
  const asked = useRef('');
  const load = useCallback(() => {
    asked.current = learner;
    fetchPractice(learner).then(
      (answer) => {
        if (asked.current !== learner) return;
        setLearners(answer.learners);
        const done = answer.tries.map((each) => ({
          ...each,
          called: each.called ?? undefined,
          miss: each.miss ?? undefined,
          panC: each.panC ?? undefined,
        }));
        setHeld({ of: learner, tries: done });
        setFault(undefined);
      },
      (error) => {
        if (asked.current !== learner) return;
        setHeld({ of: learner, tries: [] });
        setFault(messageOf(error));
      },
    );
  }, [learner]);
  useEffect(load, [load]);
  const add = (done: Try, formula: string) => {
    setHeld({ of: learner, tries: [...(tries ?? []), done] });
    if (learner === '') return;
    keepPractice({
      key: newKey(),
      learner,
      kind: done.kind,
      formula,
      isRight: done.isRight,
      called: done.called ?? null,
      miss: done.miss ?? null,
      panC: done.panC ?? null,
    }).then(
      () => setFault(undefined),
      (error) => setFault(`This one is not kept: ${messageOf(error)}`),
    );
  };
  return { tries, learners, fault, add, load };
}

/** Practice: exercises drawn where the learner is weakest, said, judged and kept. */
export function usePractice(files: readonly FormulaFile[], ingredients: readonly Ingredient[]) {
  const [learner, setLearner] = useLearner();
  const kept = useTries(learner);
  const { tries } = kept;
  const [skipped, setSkipped] = useState(0);
  const [wanted, setWanted] = useState<ExerciseKind | undefined>();
  const [round, setRound] = useState<Round | undefined>();
  const bases = useMemo(() => {
    const larder = larderOf(ingredients);
    return files.flatMap((file): Practised[] => {
      const base = practiceBase(file, larder);
      return base ? [{ ...base, formula: file.name }] : [];
    });
  }, [files, ingredients]);
  const draw = useCallback(
    (kind: ExerciseKind | undefined, count: number, done: readonly Try[]) => {
      const seed = seedOf(learner, done.length + count);
      const first = kind ?? nextKind(EXERCISE_KINDS, done);
      const found = [first, ...EXERCISE_KINDS].map((each) => drawFrom(bases, each, seed)).find((each) => each);
      setRound(found);
    },
    [bases, learner],
  );
  // The first one, once it is known what was done before.
  const isLoaded = tries !== undefined;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new one is drawn when asked for, not after each call
  useEffect(() => {
    if (tries) draw(wanted, skipped, tries);
  }, [isLoaded, draw]);
  return {
    learner,
    setLearner,
    kept,
    round,
    wanted,
    choose: (kind: ExerciseKind | undefined) => {
      setWanted(kind);
      draw(kind, skipped, tries ?? []);
    },
    next: () => draw(wanted, skipped, tries ?? []),
    skip: () => {
      setSkipped(skipped + 1);
      draw(wanted, skipped + 1, tries ?? []);
    },
    say: (call: Call) => {
      if (!round || round.said) return;
      const judgement = judge(round.exercise, call);
      setRound({ ...round, said: { call, judgement } });
      kept.add({ kind: call.kind, ...judgement }, round.formula);
    },
  };
}

export type Practice = ReturnType<typeof usePractice>;
