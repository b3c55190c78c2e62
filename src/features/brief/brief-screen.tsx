'use client';

import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Overruled } from '@/core/brief/job';
import { planBrief } from '@/core/brief/plan';
import type { OwnFormula } from '@/formats/brief-answers';
import type { Ingredient } from '@/formats/ingredient';
import { Button, Key } from '@/ui/button';
import { grams } from '@/ui/format';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { AmountPanel } from './amount-panel';
import { BriefCurve } from './brief-curve';
import { usualBrief, whatFor } from './brief-file';
import { BriefGates } from './brief-gates-view';
import { kitchenWord } from './brief-words';
import { JobSentence } from './job-sentence';
import { ScalingNotes, StartList } from './start-list';
import { useBrief } from './use-brief';
import { UseCards } from './use-cards';
import { type StoredOf, useOpenBench } from './use-open-bench';
import { useProposals } from './use-proposals';
import { MakingSentence, WishSentence } from './wish-sentence';

/** Keeps the grams of the formula the brief belongs to. */
const AS_IT_IS = 'as-it-is';

/** The Brief: what it must do and for how many, said as a sentence; the gates, the amount and where to start follow at once. */
export function BriefScreen({
  of,
  isFor,
  formulas,
  ingredients,
}: {
  of: StoredOf | undefined;
  /** the brief is for another occasion of that formula, which itself stays as it is */
  isFor: boolean;
  formulas: readonly OwnFormula[];
  ingredients: readonly Ingredient[];
}) {
  const [kitchenC] = useKitchenTemperature();
  const belongs = of !== undefined && !isFor;
  const start = useMemo(() => of?.file.brief ?? usualBrief(kitchenC, of?.file.use), [of, kitchenC]);
  const open = useBrief(start, `dark-pour:brief:${of ? `${of.id}${isFor ? ':for' : ''}` : 'new'}`);
  const { brief } = open;
  const plan = useMemo(() => planBrief(brief), [brief]);
  const shelf = useMemo(() => ({ formulas, ingredients }), [formulas, ingredients]);
  const larder = useMemo(() => new Map(ingredients.map((each) => [each.id, each])), [ingredients]);
  const proposals = useProposals(brief, of?.id, shelf);
  const [picked, setPicked] = useState<string | undefined>(belongs ? AS_IT_IS : undefined);

  const starts = proposals.answer?.starts ?? [];
  const chosen = starts.find(({ id }) => id === picked) ?? (picked === AS_IT_IS ? undefined : starts[0]);
  const chosenFile = formulas.find(({ id }) => id === chosen?.id)?.file;

  const { busy, fault, open: openBench } = useOpenBench({ of: belongs ? of : undefined, open, plan });
  const openChosen = () => void openBench(picked === AS_IT_IS ? 'asItIs' : chosen, chosenFile);
  useHotkeys('mod+enter', openChosen, { enableOnFormTags: true, preventDefault: true });

  const overrule = (index: number, key: string, edges: Overruled | undefined) => {
    const job = brief.jobs[index];
    if (!job) return;
    const { [key]: _, ...others } = job.overruled;
    open.job(index, { overruled: edges ? { ...others, [key]: edges } : others });
  };
  const kitchen = kitchenWord(brief.kitchenC);
  // The tablet's kitchen is known only in the browser: until then nothing can be said differently.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);

  return (
    <div className="flex min-h-screen flex-col" data-ready={ready}>
      <TopBar>
        <span className="min-w-0 flex-1 truncate">
          {of ? (isFor ? `${of.file.name}, for another occasion` : of.file.name) : 'New brief'}
        </span>
        <Steps at="brief" id={belongs ? of.id : undefined} />
      </TopBar>
      <main className="grid flex-1 grid-cols-1 md:grid-cols-[minmax(0,1fr)_292px] lg:grid-cols-[minmax(0,1fr)_372px]">
        <div className="min-w-0 px-5 pt-5 pb-10 lg:px-10">
          <h1 className="sr-only">What it must do</h1>
          {open.isKept && (
            <p
              role="status"
              className="mb-3 flex flex-wrap items-center gap-2 rounded-lg bg-near-wash px-3 py-1 text-near"
            >
              This is what you said last time and never opened.
              <Button look="bare" className="!px-2" onClick={open.again}>
                Begin anew
              </Button>
            </p>
          )}
          <UseCards jobs={brief.jobs} onToggle={open.toggle} />
          <div className="space-y-3">
            {brief.jobs.map((job, i) => (
              <JobSentence
                key={job.use}
                job={job}
                kitchenC={brief.kitchenC}
                onJob={(change) => open.job(i, change)}
                onKitchen={i === 0 ? open.kitchen : undefined}
              />
            ))}
          </div>
          {kitchen && <p className="mt-1 text-[13.5px] text-near">{kitchen}</p>}
          <div className="mt-3">
            <WishSentence wishes={brief.wishes} onWish={open.wish} />
          </div>
          <div className="mt-3">
            <MakingSentence making={brief.making} onMake={open.make} />
          </div>

          <BriefGates
            brief={brief}
            plan={plan}
            landsSomewhere={starts.some(({ lands }) => lands)}
            onOverrule={overrule}
          />
        </div>

        <aside className="border-rule bg-sheet md:border-l">
          <div className="thin-scroll px-5 pt-4 pb-6 md:sticky md:top-0 md:max-h-screen md:overflow-y-auto">
            <AmountPanel brief={brief} size={plan.size} />
            <div className="mt-2">
              <BriefCurve
                targets={plan.targets}
                curve={chosen?.curve}
                colour={chosen?.colour}
                kitchenC={brief.kitchenC}
              />
            </div>
            <Button
              look="primary"
              className="mt-3 mb-1 min-h-12 w-full text-[1.05rem]"
              disabled={busy || (!chosen && !belongs)}
              onClick={openChosen}
            >
              {busy ? 'Opening…' : 'Open on the bench'} <Key>Ctrl ↵</Key>
            </Button>
            {fault && (
              <p role="alert" className="mb-2 rounded-lg bg-off-wash px-3 py-2 text-[13.5px] text-off">
                {fault}
              </p>
            )}
            <p className="mb-3 text-[13px] text-mute">
              {picked === AS_IT_IS
                ? 'The gates and the amount follow the brief; the grams stay as they are.'
                : chosen
                  ? `Opens ${chosen.name} at ${grams(Math.round(chosen.lines.reduce((sum, line) => sum + line.grams, 0)))} g.`
                  : 'Choose where to start.'}
            </p>
            {chosen && chosenFile && (
              <ScalingNotes start={chosen} fromG={chosenFile.lines.reduce((sum, line) => sum + line.grams, 0)} />
            )}
            {belongs && (
              <AsItIs
                massG={of.file.lines.reduce((sum, line) => sum + line.grams, 0)}
                isChosen={picked === AS_IT_IS}
                onChoose={() => setPicked(AS_IT_IS)}
              />
            )}
            <StartList
              answer={proposals.answer}
              share={proposals.share}
              stopped={proposals.stopped}
              larder={larder}
              batchKg={plan.size.weighedG / 1000}
              chosen={chosen?.id}
              onChoose={setPicked}
              onStop={proposals.stop}
              onAgain={proposals.again}
            />
            <Button
              look="bare"
              className="mt-2 w-full"
              disabled={busy || belongs}
              onClick={() => void openBench(undefined, undefined)}
            >
              Start with an empty pan
            </Button>
          </div>
        </aside>
      </main>
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
        <span>
          For <strong>{whatFor(brief)}</strong>
        </span>
        <span>Kept on this tablet until it is opened</span>
        <span className="ml-auto">
          Open on the bench <Key>Ctrl ↵</Key>
        </span>
      </footer>
    </div>
  );
}

/** The choice to leave the grams alone. */
function AsItIs({ massG, isChosen, onChoose }: { massG: number; isChosen: boolean; onChoose: () => void }) {
  return (
    <label
      className={`mb-2 flex min-h-12 cursor-pointer items-center rounded-lg border px-3 has-checked:border-enamel has-checked:bg-enamel-wash has-focus-visible:outline-2 has-focus-visible:outline-enamel ${isChosen ? 'border-enamel' : 'border-rule'}`}
    >
      <input type="radio" name="start" className="sr-only" checked={isChosen} onChange={onChoose} />
      <span>
        <span className="font-semibold">The pan as it is</span>
        <span className="block text-[13px] text-mute">{grams(massG)} g; no row is touched</span>
      </span>
    </label>
  );
}
