import { useMemo, useState } from 'react';
import type { Formula } from '@/core/formula/formula';
import type { MethodFault } from '@/core/method/fault';
import type { FollowedStep } from '@/core/method/follow-method';
import type { Mend } from '@/core/method/mends/mend';
import type { MethodStep } from '@/core/method/step';
import { nth } from '@/core/nth';
import { capital } from '@/formats/capital';
import { panLooks } from '@/kitchen/method/pan-look';
import { reheatingSplash } from '@/kitchen/method/reheating';
import { stepCaution } from '@/kitchen/method/step-caution';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { CHECKS_OF } from '@/kitchen/words/check-words';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { mendSentence, previewSentence } from '@/kitchen/words/mend-words';
import { faultSentence } from '@/kitchen/words/method-fault-words';
import { proposalSentence, TOOL_WORDS, WAY_WORDS } from '@/kitchen/words/method-words';
import { HEAT_SENTENCES } from '@/kitchen/words/step-words';
import { Button } from '@/ui/button';
import { duration } from '@/ui/duration';
import { faultNumbers } from '@/ui/fault-numbers';
import { celsius, centimetres, weight } from '@/ui/format';
import { PanPicture } from '@/ui/pan-picture';
import { StepEditor } from './edit/step-editor';
import { LineLooks } from './line-looks';
import { StepFigures } from './step-figures';
import { useMends } from './use-mends';

/** On what heat, with what in the hand. */
function handsWords({ step }: FollowedStep): string {
  const heat = step.where === 'aside' ? 'Beside the pan' : capital(HEAT_SENTENCES[step.heat ?? 'none']);
  return step.tool ? `${heat}, ${TOOL_WORDS[step.tool]}` : heat;
}

/** What is wrong, each with one press that mends it, where one does. */
function Faults({
  method,
  faults,
  names,
  onMend,
}: {
  method: WorkedMethod;
  faults: readonly MethodFault[];
  names: readonly string[];
  onMend: (mend: Mend) => void;
}) {
  const mends = useMends(method, faults);
  const numbers = faultNumbers(names);
  return faults.map((fault, i) => {
    const preview = mends[i];
    return (
      <div key={JSON.stringify(fault)} className="mt-2 rounded-lg bg-off-wash px-3 py-2 text-off">
        <p role="alert">{faultSentence(fault, numbers)}</p>
        {preview && (
          <>
            <Button className="mt-1 w-full text-ink" onClick={() => onMend(preview.mend)}>
              {mendSentence(preview.mend, centimetres)}
            </Button>
            <p className="mt-1 text-[13.5px] text-ink">{previewSentence(preview, numbers)}</p>
          </>
        )}
      </div>
    );
  });
}

/** The step that is looked at: its figures, why it is done so, what can go wrong, and what is wrong with it here. */
export function StepDetail({
  method,
  place,
  names,
  onChoose,
  onSteps,
  onMend,
  formula,
}: {
  formula: Formula | undefined;
  method: WorkedMethod;
  place: number;
  names: readonly string[];
  /** looks at another step */
  onChoose: (step: number) => void;
  /** takes changed steps, and which of them to look at */
  onSteps: (steps: readonly MethodStep[], look?: number) => void;
  onMend: (mend: Mend) => void;
}) {
  const [isChanging, setChanging] = useState(false);
  const splash = useMemo(
    () =>
      method.way === 'reheated' && formula
        ? reheatingSplash(formula, method.pourC, method.followed.at(-1)?.end.lostWaterG ?? 0)
        : undefined,
    [method, formula],
  );
  const looks = useMemo(() => panLooks(method.followed), [method]);
  const followed = method.followed[place];
  if (!followed) return null;
  const words = wordsOfStep(followed);
  const faults = method.faults.filter((fault) => !('step' in fault) || fault.step === place);
  const caution = stepCaution(followed);
  return (
    <section aria-label="This step" className="px-4 pt-3 pb-6">
      <div className="flex items-start gap-2">
        <h2 className="min-w-0 flex-1 text-[1.2rem]">
          {place + 1} · {words.name}
        </h2>
        <button
          type="button"
          aria-pressed={isChanging}
          className="-mt-2 min-h-11 shrink-0 font-medium text-enamel"
          onClick={() => setChanging(!isChanging)}
        >
          {isChanging ? 'Done' : 'Change'}
        </button>
      </div>
      {!isChanging && (
        <>
          <p className="text-mute">{handsWords(followed)}</p>
          {followed.step.where !== 'aside' && (
            <figure className="mt-2 rounded-xl border border-rule bg-bench p-3">
              <PanPicture
                look={nth(looks, place)}
                name={`The pan after step ${place + 1}`}
                className="mx-auto h-[168px] w-48"
              />
              <figcaption className="mt-1 text-center font-semibold">{words.looks}</figcaption>
            </figure>
          )}
          {formula && CHECKS_OF[followed.step.kind]?.includes('coats') && (
            <LineLooks pan={followed.end} process={formula.process} />
          )}
        </>
      )}
      <Faults method={method} faults={faults} names={names} onMend={onMend} />
      {followed.step.where === 'aside' ? (
        <p className="mt-2 text-mute">Beside the pan, about {duration(followed.seconds)}; it goes in later.</p>
      ) : (
        <StepFigures followed={followed} splash={splash} />
      )}
      {isChanging && <StepEditor method={method} place={place} names={names} onSteps={onSteps} />}
      <h3 className="mt-3 font-sans font-semibold">Why</h3>
      <p>{words.why}</p>
      <h3 className="mt-3 font-sans font-semibold">If it goes wrong</h3>
      <p>{words.wrong}</p>
      {caution && (
        <p className="mt-3 rounded-lg border border-near/40 bg-near-wash px-3 py-2">
          {caution} <span className="text-mute">{CAUTION_WORDS.code}</span>
        </p>
      )}
      <div className="mt-4 flex gap-2">
        <Button className="flex-1" disabled={place === 0} onClick={() => onChoose(place - 1)}>
          Step before
        </Button>
        <Button className="flex-1" disabled={place >= method.followed.length - 1} onClick={() => onChoose(place + 1)}>
          Next step
        </Button>
      </div>
      <h3 className="mt-4 font-sans font-semibold">This way</h3>
      <p>
        {method.proposal ? proposalSentence(method.proposal, celsius) : 'Chosen here.'} {WAY_WORDS[method.way].for}
      </p>
      <p className="mt-1 text-mute">
        In all {weight(Math.round(method.followed.at(-1)?.end.lostWaterG ?? 0))} of water boil off; once you choose a
        way, the bench reckons with that, with its emulsion and its cooked starch.
      </p>
    </section>
  );
}
