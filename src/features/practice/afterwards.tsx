import { useMemo } from 'react';
import { usualHistory } from '@/core/matter/process';
import { nth } from '@/core/nth';
import { FILLINGS, nearestStep } from '@/core/practice/exercises';
import { mend } from '@/core/practice/judge';
import { stateAt } from '@/core/predict/state';
import {
  CAUSE_WORDS,
  COAT_WORDS,
  FILLING_WORDS,
  FIRMNESS_WORDS,
  FLOW_CALL_WORDS,
  TOLD_BY,
} from '@/kitchen/words/practice-words';
import { celsius, millimetres, percent, significant, weight } from '@/ui/format';
import { TruthCurve } from './truth-curve';
import type { Round } from './use-practice';

type Said = NonNullable<Round['said']>;

/** What it really was, and what told it. */
function truthWords({ exercise }: Round, { call }: Said): readonly string[] {
  switch (exercise.kind) {
    case 'tomorrow': {
      const { pan, atC, where, steps, truth } = exercise;
      const step = nearestStep(truth, steps);
      return where === 'set'
        ? [
            `It was like ${nth(FIRMNESS_WORDS, step)}: ${significant(truth)} Pa at ${celsius(Math.round(pan.base.eatC))}.`,
            `What told it: its ring at ${celsius(Math.round(atC))} beside what the recipe should give there, carried along the curve to the cold.`,
          ]
        : [
            `On the side ${nth(COAT_WORDS, step)}: ${millimetres(Number(truth.toPrecision(2)))}.`,
            'What told it: the spoon’s line, and how little the ring spread. What stays on a side is what the sauce holds by itself.',
          ];
    }
    case 'mend': {
      if (call.kind !== 'mend') return [];
      const { leastG, after, isInGate } = mend(exercise, call);
      const name = nth(exercise.pan.base.rows, call.row).name;
      return [
        ...after.map(
          ({ grams, seen }) =>
            `After ${weight(Math.round(grams))}: ${millimetres(Math.round(seen.ringMm))} on the plate.`,
        ),
        isInGate ? 'It pours right.' : 'It does not pour right yet.',
        leastG === undefined
          ? `${name} alone cannot mend it.`
          : `The least that does it: ${weight(Math.max(Math.round(leastG), 1))} of ${name}.`,
      ];
    }
    case 'when': {
      const { leastC, mostC } = exercise.window;
      const at = call.kind === 'when' ? [`You poured at ${celsius(Math.round(call.temperatureC))}.`] : [];
      return [
        ...at,
        `It pours as it should from ${celsius(Math.round(leastC))} to ${celsius(Math.round(mostC))}.`,
        'What told it: the ribbon, and how fast the spoon’s line shuts.',
      ];
    }
    case 'which':
      return [
        `Pan ${exercise.answer === 0 ? 'A' : 'B'} had a third more ${nth(exercise.pans[0].base.rows, exercise.row).name}.`,
        'What told it: the two rings, side by side.',
      ];
    case 'why':
      return [`The truth: ${CAUSE_WORDS[exercise.answer]}.`, TOLD_BY[exercise.answer]];
    default: {
      const share = Math.abs(exercise.times - 1);
      return [
        `It pours ${FLOW_CALL_WORDS[exercise.answer]}${exercise.answer === 'same' ? '' : ` by ${percent(share)}`}.`,
        `Filled ${FILLING_WORDS[exercise.filling]}, a spoon holds ${percent(FILLINGS[exercise.filling])} of what was meant.`,
      ];
    }
  }
}

/** After the call: whether it was right, the truth, what told it, and the curve. */
export function Afterwards({ round, said, onNext }: { round: Round; said: Said; onNext: () => void }) {
  const { isRight } = said.judgement;
  const { exercise } = round;
  const pan = exercise.kind === 'which' ? exercise.pans[exercise.answer] : exercise.pan;
  const points = useMemo(() => {
    const { batch, base } = pan;
    const at = (temperatureC: number, history = usualHistory(temperatureC)) => ({
      temperatureC,
      pa: stateAt(batch, temperatureC, history).flow.resistancePa,
    });
    const span = Array.from({ length: 13 }, (_, i) => base.pourC + 20 - ((base.pourC + 20 - base.eatC) * i) / 12);
    return span.map((t) => (t <= base.eatC + 0.01 ? at(t, [[base.hours, t]]) : at(t)));
  }, [pan]);
  return (
    <section aria-label="Afterwards" aria-live="polite">
      <p className={`font-head text-[1.35rem] font-bold ${isRight ? 'text-enamel' : 'text-off'}`}>
        {isRight ? 'Right.' : 'Not this time.'}
      </p>
      {truthWords(round, said).map((line) => (
        <p key={line}>{line}</p>
      ))}
      <TruthCurve points={points} pourC={pan.base.pourC} eatC={pan.base.eatC} />
      <button
        type="button"
        // biome-ignore lint/a11y/noAutofocus: the next step of what was just pressed
        autoFocus
        onClick={onNext}
        className="mt-3 min-h-14 w-full rounded-lg bg-enamel px-4 font-semibold text-sheet hover:bg-enamel-deep"
      >
        Next pan
      </button>
    </section>
  );
}
