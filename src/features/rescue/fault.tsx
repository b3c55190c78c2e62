import { useMemo, useState } from 'react';
import {
  ANSWERS,
  type Answered,
  type CauseChance,
  causesOfFault,
  type FaultCause,
  type FaultSign,
  nextQuestion,
  type Question,
} from '@/core/rescue/diagnosis';
import { type Fix, type FixStep, fixFor } from '@/core/rescue/fixes';
import type { Ingredient } from '@/formats/ingredient';
import { faultFacts, fixLiquid } from '@/kitchen/cook/pan-fault';
import type { PutIn } from '@/kitchen/cook/rescue';
import {
  ANSWER_WORDS,
  END_WORDS,
  FAULT_CAUSE_WORDS,
  fixStepSentence,
  QUESTION_WORDS,
  WORKED_WORDS,
} from '@/kitchen/words/rescue-words';
import { Button } from '@/ui/button';
import { celsius, hours, percent, weight } from '@/ui/format';
import { numeral } from '@/ui/settings/numerals';
import { AnswerPicture } from './answer-picture';
import { BecomesAsIs } from './becomes';
import type { RescuedPan } from './use-rescued-pan';
import { WentIn } from './went-in';

const FIGURES = {
  weight: (grams: number) => weight(Math.round(grams)),
  celsius: (temperatureC: number) => celsius(Math.round(temperatureC)),
  minutes: (minutes: number) => `${numeral(minutes, 1)} min`,
  hours,
};

/** Causes less likely than this are not told. */
const WORTH_TELLING = 0.12;

/** A fault: asked about until its cause is plain, then a fix, how to tell that it worked, and what if not. */
export function Fault({ pan, sign }: { pan: RescuedPan; sign: FaultSign }) {
  const facts = useMemo(() => faultFacts(pan.input), [pan.input]);
  const [answers, setAnswers] = useState<readonly Answered[]>([]);
  const causes = causesOfFault(sign, facts, answers);
  const question = nextQuestion(causes, answers);
  if (question) {
    return <Ask question={question} onAnswer={(answer) => setAnswers([...answers, { question, answer }])} />;
  }
  const [likeliest] = causes;
  if (!likeliest) return null;
  return (
    <>
      <WhyIt causes={causes} />
      <FixToDo key={answers.map(({ answer }) => answer).join(' ')} pan={pan} sign={sign} cause={likeliest.cause} />
      {answers.length > 0 && (
        <Button className="mt-3" onClick={() => setAnswers([])}>
          Answer again
        </Button>
      )}
    </>
  );
}

/** A question with its answers, drawn. */
function Ask({ question, onAnswer }: { question: Question; onAnswer: (answer: string) => void }) {
  const words: Readonly<Record<string, string>> = ANSWER_WORDS[question];
  return (
    <section aria-label="A question first" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
      <h2 className="text-[1.3rem]">{QUESTION_WORDS[question]}</h2>
      <ul className="mt-3 grid grid-cols-2 gap-2 md:grid-cols-4">
        {Object.keys(ANSWERS[question]).map((answer) => (
          <li key={answer}>
            <button
              type="button"
              onClick={() => onAnswer(answer)}
              className="flex min-h-20 w-full items-center gap-3 rounded-xl border border-rule bg-field px-3 py-2 text-left font-medium hover:border-enamel hover:bg-enamel-wash"
            >
              <AnswerPicture question={question} answer={answer} />
              <span className="leading-tight">{words[answer]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function WhyIt({ causes }: { causes: readonly CauseChance[] }) {
  return (
    <section aria-label="What happened" className="mt-4">
      <h2 className="text-[1.2rem]">What happened</h2>
      <ul>
        {causes
          .filter(({ chance }) => chance > WORTH_TELLING)
          .map(({ cause, chance }, i) => (
            <li key={cause}>
              <strong>{i === 0 ? 'Most likely' : 'Perhaps'}</strong> ({percent(chance)}): {FAULT_CAUSE_WORDS[cause]}
            </li>
          ))}
      </ul>
    </section>
  );
}

type Outcome = 'worked' | 'notYet' | 'ended';

/** A fix, done step by step; another where the first did not work. */
function FixToDo({ pan, sign, cause: first }: { pan: RescuedPan; sign: FaultSign; cause: FaultCause }) {
  const [cause, setCause] = useState(first);
  const [outcome, setOutcome] = useState<Outcome>('notYet');
  const [putIn, setPutIn] = useState<readonly PutIn[]>([]);
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const fix = useMemo(() => fixFor(cause, faultFacts(pan.input)), [cause, pan.input]);
  const addedG = putIn.reduce((sum, { grams }) => sum + grams, 0);
  const add = (place: number, ingredient: Ingredient, grams: number) => {
    setPutIn([...putIn, { ingredient, grams }]);
    setDone(new Set([...done, place]));
    pan.note(ingredient, grams);
  };
  const tell = (hasWorked: boolean) => {
    pan.noteFix(sign, cause, hasWorked);
    if (hasWorked) return setOutcome('worked');
    if ('next' in fix.ifNot) {
      setCause(fix.ifNot.next);
      setDone(new Set());
      return;
    }
    setOutcome('ended');
  };
  return (
    <>
      <section aria-label="What to do" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
        <ol className="grid gap-3 text-[19px]">
          {fix.steps.map((step, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: things to do stand in their order; two may be alike
            <li key={place} className="flex flex-wrap items-center gap-3">
              <span className="read text-mute">{place + 1}</span>
              <StepToDo
                step={step}
                pan={pan}
                isIn={done.has(place)}
                onIn={(ingredient, grams) => add(place, ingredient, grams)}
              />
            </li>
          ))}
        </ol>
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-3">
          <dt className="text-mute">How to tell</dt>
          <dd>{WORKED_WORDS[fix.worked]}</dd>
          <dt className="text-mute">If not</dt>
          <dd>{ifNotWords(fix)}</dd>
        </dl>
        {!fix.isForGood && (
          <p className="mt-2 text-mute">It saves what can be saved. It will not be what you planned.</p>
        )}
        {outcome === 'notYet' && (
          <div className="mt-3 flex flex-wrap gap-3">
            <Button look="primary" className="min-h-14 px-6" onClick={() => tell(true)}>
              It worked
            </Button>
            <Button className="min-h-14 px-6" onClick={() => tell(false)}>
              It did not work
            </Button>
          </div>
        )}
        <p role="status" className="mt-2 text-[18px]">
          {outcome === 'worked' && <strong>It worked. {pan.isBatch && 'It is noted in the batch.'}</strong>}
          {outcome === 'ended' && 'end' in fix.ifNot && <strong>{END_WORDS[fix.ifNot.end]}</strong>}
        </p>
      </section>
      <WentIn putIn={putIn} wholeG={pan.massG + addedG} formulaId={outcome === 'worked' ? pan.formulaId : undefined} />
      {fix.hasOtherUses && outcome !== 'ended' && <BecomesAsIs pan={pan} />}
    </>
  );
}

const ifNotWords = ({ ifNot }: Fix) =>
  'next' in ifNot ? `It may be something else: ${FAULT_CAUSE_WORDS[ifNot.next].toLowerCase()}` : END_WORDS[ifNot.end];

/** One thing to do; what goes in is said to be in. */
function StepToDo({
  step,
  pan,
  isIn,
  onIn,
}: {
  step: FixStep;
  pan: RescuedPan;
  isIn: boolean;
  onIn: (ingredient: Ingredient, grams: number) => void;
}) {
  const ingredient = 'what' in step ? fixLiquid(pan.input, step.what) : undefined;
  return (
    <>
      <span className="min-w-0 flex-1">{fixStepSentence(step, ingredient?.name ?? 'water', FIGURES)}</span>
      {'grams' in step &&
        ingredient &&
        (isIn ? (
          <span className="text-lands">✓ in</span>
        ) : (
          <Button className="min-h-12" onClick={() => onIn(ingredient, step.grams)}>
            It is in
          </Button>
        ))}
    </>
  );
}
