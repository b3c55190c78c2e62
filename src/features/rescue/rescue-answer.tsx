import { useMemo } from 'react';
import { compositionVector } from '@/core/matter/components';
import { foldMixture } from '@/core/matter/mixture';
import { becomes } from '@/core/rescue/becomes';
import { gramsPastSeizing } from '@/core/rescue/past-seizing';
import { planFor, type RescueStep, type Sign } from '@/core/rescue/signs';
import { tasteGrams } from '@/core/rescue/taste-grams';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { USE_NAMES } from '@/kitchen/words/job-words';
import { HAPPENED, rescueStepSentence } from '@/kitchen/words/rescue-words';
import { celsius, hours, weight } from '@/ui/format';
import { numeral } from '@/ui/settings/numerals';
import { Portions } from './portions';
import type { RescuedPan } from './use-rescued-pan';

const FIGURES = {
  weight: (grams: number) => weight(Math.round(grams)),
  celsius: (temperatureC: number) => celsius(Math.round(temperatureC)),
  minutes: (minutes: number) => `${numeral(minutes, 1)} min`,
  hours,
};
const WATER = compositionVector({ water: 100 });
/** A pan colder than this is none to be judged warm. */
const USUAL_WARM_C = 36;

/** What is done about a sign: in portions, by taste, or a few things one after the other; and what it can still become. */
export function RescueAnswer({ pan, sign }: { pan: RescuedPan; sign: Sign }) {
  const { input, massG, temperatureC } = pan;
  const plan = useMemo(() => {
    const { formula, components } = input;
    const there = {
      components,
      process: formula.process,
      temperatureC: USUAL_WARM_C,
      history: [[0.3, USUAL_WARM_C]] as const,
      read: () => 1,
    };
    return planFor(sign, { massG, seizedNeedsG: massG > 0 ? gramsPastSeizing(there, WATER) : undefined });
  }, [input, sign, massG]);
  if (!(massG > 0)) {
    return (
      <p role="alert" className="mt-4 text-[18px]">
        By what is written nothing is in the pan yet. Correct it above: how much of what went in.
      </p>
    );
  }
  return (
    <>
      {HAPPENED[sign] && <p className="mt-3 max-w-prose text-[18px]">{HAPPENED[sign]}</p>}
      {plan.kind === 'portions' && (
        <Portions
          input={input}
          sign={sign}
          when={plan.when}
          temperatureC={temperatureC}
          isForGood={plan.isForGood}
          formulaId={pan.formulaId}
          onPut={pan.note}
          onRing={pan.noteRing}
        />
      )}
      {plan.kind === 'taste' && <Taste pan={pan} wants={plan.wants} />}
      {plan.kind === 'steps' && <StepsToDo steps={plan.steps} isForGood={plan.isForGood} />}
      <Becomes pan={pan} />
      <p className="mt-5 text-[14px] text-mute">
        {CAUTION_WORDS.hot} {CAUTION_WORDS.code}
      </p>
    </>
  );
}

function StepsToDo({ steps, isForGood }: { steps: readonly RescueStep[]; isForGood: boolean }) {
  return (
    <section aria-label="What to do" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
      <ol className="grid gap-3 text-[19px]">
        {steps.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: things to do stand in their order; two may be alike
          <li key={i} className="flex gap-3">
            <span className="read text-mute">{i + 1}</span> {rescueStepSentence(step, FIGURES)}
          </li>
        ))}
      </ol>
      {!isForGood && <p className="mt-3 text-mute">It saves what can be saved; it will not be what it was to be.</p>}
    </section>
  );
}

/** Grams that change the taste by about a tenth, then the flow is looked at again. */
function Taste({ pan, wants }: { pan: RescuedPan; wants: 'lessSweet' | 'lessBitter' }) {
  const { formula, components, additives } = pan.input;
  const wanted = additives.find(
    ({ id }) => id === (wants === 'lessSweet' ? 'unsweetened-chocolate-100' : 'sugar-caster'),
  );
  const grams =
    wanted && tasteGrams(foldMixture(components, formula.process), compositionVector(wanted.components), wants);
  return (
    <section aria-label="What to do" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4 text-[20px]">
      {grams === undefined ? (
        <p>Nothing that is here changes its taste by enough without making another batch of it.</p>
      ) : (
        <p>
          Stir in <strong className="read">{weight(Math.round(grams))}</strong> of {wanted?.name}, warm, in two lots,
          and taste between. That is about a tenth {wants === 'lessSweet' ? 'less sweet' : 'sweeter'}. Then look at how
          it flows: it moves that too.
        </p>
      )}
    </section>
  );
}

/** Other uses whose gates the pan passes as it is. */
function Becomes({ pan }: { pan: RescuedPan }) {
  const { components, formula } = pan.input;
  const uses = useMemo(() => becomes(components, formula.process), [components, formula]);
  if (uses.length === 0) return null;
  return (
    <section aria-label="What it can still become" className="mt-5">
      <h2 className="text-[1.15rem]">As it is it can still become</h2>
      <p>{uses.map((use) => USE_NAMES[use]).join(' · ')}</p>
    </section>
  );
}
