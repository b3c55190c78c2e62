import { useMemo } from 'react';
import { usualHistory } from '@/core/matter/process';
import { stateAt } from '@/core/predict/state';
import { TruthCurve } from './truth-curve';
import { truthWords } from './truth-words';
import type { Round } from './use-practice';

type Said = NonNullable<Round['said']>;

/** After the call: whether it was right, the truth, what told it, and the curve. */
export function Afterwards({ round, said, onNext }: { round: Round; said: Said; onNext: () => void }) {
  const { isRight } = said.judgement;
  const { exercise } = round;
  const words = useMemo(() => truthWords(exercise, said.call), [exercise, said]);
  const pan = exercise.kind === 'which' ? exercise.pans[exercise.answer] : exercise.pan;
  const points = useMemo(() => {
    const { batch, base } = pan;
    const { thenC, hours } = exercise.kind === 'tomorrow' ? exercise : { thenC: base.eatC, hours: base.hours };
    const hottestC = Math.max(base.pourC + 20, exercise.kind === 'tomorrow' ? exercise.atC : 0);
    const at = (temperatureC: number, history = usualHistory(temperatureC)) => ({
      temperatureC,
      pa: stateAt(batch, temperatureC, history).flow.resistancePa,
    });
    const span = Array.from({ length: 13 }, (_, i) => hottestC - ((hottestC - thenC) * i) / 12);
    return span.map((t) => (t <= thenC + 0.01 ? at(t, [[hours, t]]) : at(t)));
  }, [pan, exercise]);
  return (
    <section aria-label="Afterwards" aria-live="polite">
      <p className={`font-head text-[1.35rem] font-bold ${isRight ? 'text-enamel' : 'text-off'}`}>
        {isRight ? 'Right.' : 'Not this time.'}
      </p>
      {words.map((line) => (
        <p key={line}>{line}</p>
      ))}
      <TruthCurve points={points} pourC={pan.base.pourC} eatC={points.at(-1)?.temperatureC ?? pan.base.eatC} />
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
