'use client';

import { Printer, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { movedStep } from '@/core/method/edit-steps';
import type { Mend } from '@/core/method/mends/mend';
import { preparationOf } from '@/core/method/preparation';
import type { WayId } from '@/core/method/step';
import { utensilsOf } from '@/core/method/utensils';
import { nth } from '@/core/nth';
import type { Ingredient } from '@/formats/ingredient';
import { panLooks } from '@/kitchen/method/pan-look';
import { planReadyAt } from '@/kitchen/method/plan';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { wordsOfStep } from '@/kitchen/words/fitting-words';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';
import { UTENSIL_WORDS } from '@/kitchen/words/utensil-words';
import { Button } from '@/ui/button';
import { CookThis } from '@/ui/cook-this';
import { listed, percent } from '@/ui/format';
import { PanPicture } from '@/ui/pan-picture';
import { PoursSwitch } from '@/ui/pours/pours-switch';
import { SaveNotice, saveWords } from '@/ui/saving/save-notice';
import { Steps } from '@/ui/steps';
import { clockOf } from '@/ui/time-of-day';
import { TopBar } from '@/ui/top-bar';
import { useStove } from '@/ui/use-stove';
import { CalendarLink } from './calendar-link';
import { HandsStrip } from './hands-strip';
import { MethodHead } from './method-head';
import { SettingTable } from './setting-table';
import { StepDetail } from './step-detail';
import { StepsList } from './steps-list';
import { AirSentence, StoveSentence } from './stove-sentence';
import { TemperatureChart } from './temperature-chart';
import { timedSteps } from './timed-steps';
import { type MethodDraft, type OpenedMethod, useMethodDraft } from './use-method-draft';
import { usePlan } from './use-plan';
import { WaysTable } from './ways-table';

interface MethodProps {
  readonly id: string;
  readonly opened: OpenedMethod;
  readonly ingredients: readonly Ingredient[];
}

/** The Method: how this batch is made, step by step, worked out by the pan in time; rows nobody knows are left out and named. */
export function MethodScreen({ id, opened, ingredients }: MethodProps) {
  const draft = useMethodDraft(id, opened, ingredients);
  const { file, pan, method, autosave } = draft;
  const [chosen, setChosen] = useState(0);
  const mend = useMending(draft);
  // Tells when the page listens.
  const [ready, setReady] = useState(false);
  useEffect(() => setReady(true), []);
  const takeWay = (way: WayId) => {
    setChosen(0);
    draft.choose(way);
  };
  const place = Math.min(chosen, (method?.followed.length ?? 1) - 1);

  return (
    <div className="flex min-h-screen flex-col lg:h-screen" data-ready={ready}>
      <TopBar
        title={<span className="min-w-0 truncate px-2 text-[1.05rem]">{file.name}</span>}
        steps={<Steps at="method" id={id} />}
      >
        <button
          type="button"
          aria-label="Undo"
          disabled={!draft.canUndo}
          onClick={draft.undo}
          className="flex size-11 items-center justify-center rounded-md hover:bg-white/10 disabled:opacity-35"
        >
          <Undo2 size={20} aria-hidden="true" />
        </button>
      </TopBar>
      <SaveNotice autosave={autosave} onOpen={draft.open} />
      {pan.unknown.length > 0 && (
        <p role="alert" className="bg-near-wash px-4 py-2">
          Not in the larder, and left out of the method: {pan.unknown.join(', ')}.
        </p>
      )}
      {method ? (
        <main className="grid flex-1 grid-cols-1 md:grid-cols-[340px_minmax(0,1fr)] md:max-lg:grid-rows-[auto_1fr] lg:min-h-0 lg:grid-cols-[390px_minmax(0,1fr)_300px]">
          <div className="thin-scroll border-rule border-r bg-sheet md:max-lg:row-span-2 lg:overflow-y-auto">
            <StepsList
              method={method}
              names={pan.names}
              chosen={place}
              onWay={takeWay}
              onChoose={setChosen}
              onMove={(from, to) => {
                draft.edit(movedStep(stepsOf(method), from, to));
                setChosen(to);
              }}
            />
          </div>
          <TheLine id={id} draft={draft} method={method} place={place} onChoose={setChosen} onWay={takeWay} />
          <div className="thin-scroll border-rule bg-sheet max-lg:border-t lg:overflow-y-auto lg:border-l">
            <StepDetail
              method={method}
              formula={pan.formula}
              place={place}
              names={pan.names}
              onChoose={setChosen}
              onSteps={(steps, look) => {
                draft.edit(steps);
                if (look !== undefined) setChosen(look);
              }}
              onMend={mend}
            />
          </div>
        </main>
      ) : draft.ways.share !== undefined ? (
        <Trying share={draft.ways.share} />
      ) : draft.ways.isLost ? (
        <NotTried onAgain={draft.ways.again} />
      ) : (
        <NoWay />
      )}
      <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
        <span>Times and temperatures are worked out for this batch and kitchen; your eyes decide.</span>
        <PoursSwitch />
        <Link href={`/rescue?formula=${id}`} className="ml-auto inline-flex min-h-11 items-center text-enamel">
          {RESCUE_NAME}
        </Link>
        <Link href={`/formulas/${id}/method/card`} className="inline-flex min-h-11 items-center gap-2 text-enamel">
          <Printer size={15} aria-hidden="true" /> Print
        </Link>
        <span role="status">{saveWords(autosave.state)}</span>
      </footer>
    </div>
  );
}

const stepsOf = ({ followed }: WorkedMethod) => followed.map(({ step }) => step);

/** Takes a mend: other steps, or a wider pan, which the brief names or this tablet. */
function useMending({ file, edit, inPan }: MethodDraft) {
  const { setPanCm } = useStove();
  return (mend: Mend) => {
    if (mend.kind !== 'widerPan') edit(mend.steps);
    else if (file.brief) inPan(100 * mend.panM);
    else setPanCm(100 * mend.panM);
  };
}

function NoWay() {
  return (
    <main className="flex-1 px-6 py-10">
      <p className="max-w-prose text-mute">
        No way of working suits what is in this pan yet: a liquid and chocolate, cocoa, starch or gelatin are what a
        method is made around. Fill the pan on the bench first.
      </p>
    </main>
  );
}

/** Pans, bowls and tools a method is worked with. */
function utensilsWords({ rows, followed }: WorkedMethod): string[] {
  const cuts = preparationOf(rows, followed).cutRows.length > 0;
  return utensilsOf(followed, cuts).map((each) => UTENSIL_WORDS[each]);
}

/** The ways of working are being tried, of which one will be proposed. */
function Trying({ share }: { share: number }) {
  return (
    <main className="flex-1 px-6 py-10">
      <p role="status" className="text-mute">
        Trying the ways to make it in this kitchen, {percent(share)}…
      </p>
      <progress className="mt-2 w-72 accent-enamel" value={share} aria-label="Ways tried" />
    </main>
  );
}

function NotTried({ onAgain }: { onAgain: () => void }) {
  return (
    <main className="flex-1 px-6 py-10">
      <p role="alert">No way could be proposed: the server cannot be reached.</p>
      <Button className="mt-2" onClick={onAgain}>
        Try again
      </Button>
    </main>
  );
}

/** The work on a line: when it pours, temperature against time, hands and waits, and what the pan looks like. */
function TheLine({
  id,
  draft,
  method,
  place,
  onChoose,
  onWay,
}: {
  id: string;
  draft: MethodDraft;
  method: WorkedMethod;
  place: number;
  onChoose: (step: number) => void;
  onWay: (way: WayId) => void;
}) {
  const { file } = draft;
  const { names } = draft.pan;
  const wantedAt = file.brief?.wantedAt;
  const kept = usePlan(id, wantedAt === undefined ? undefined : planReadyAt(wantedAt, method.seconds / 60));
  const start = kept.plan?.start;
  const timed = useMemo(() => timedSteps(method.followed), [method]);
  const looks = useMemo(() => panLooks(method.followed), [method]);
  const clock = useCallback(
    (minutes: number) => (start === undefined ? `${Math.round(minutes)} min` : clockOf(start + minutes)),
    [start],
  );
  return (
    <div className="thin-scroll min-w-0 px-5 pt-4 pb-6 lg:overflow-y-auto">
      <MethodHead method={method} kept={kept} />
      <CookThis
        key={file.lines.map(({ grams }) => grams).join(' ')}
        id={id}
        grams={file.lines.reduce((sum, { grams }) => sum + grams, 0)}
      />
      <p>You need: {listed(utensilsWords(method))}.</p>
      <StoveSentence file={file} inMicrowave={method.followed.some(({ bursts }) => bursts !== undefined)} />
      <AirSentence />
      {kept.plan && <CalendarLink id={id} plan={kept.plan} onDay={kept.onDay} />}
      <div className="mt-3 rounded-xl border border-rule bg-sheet pt-2 pb-3">
        <TemperatureChart timed={timed} names={names} pourC={method.pourC} chosen={place} clock={clock} />
        <HandsStrip timed={timed} chosen={place} />
      </div>
      <h2 className="mt-5 mb-2 text-[1.1rem]">What the pan looks like</h2>
      <ul className="thin-scroll flex gap-3 overflow-x-auto rounded-xl border border-rule bg-sheet p-4">
        {timed.map(({ followed, place: step }) => (
          <li key={step}>
            <button
              type="button"
              onClick={() => onChoose(step)}
              aria-pressed={step === place}
              className="w-28 rounded-lg p-2 text-center text-[13px] leading-tight hover:bg-enamel-wash/60 aria-pressed:bg-enamel-wash"
            >
              <PanPicture look={nth(looks, step)} name={`The pan after step ${step + 1}`} />
              <span className="mt-1 block font-semibold">{wordsOfStep(followed).looks}</span>
              <span className="text-mute">step {step + 1}</span>
            </button>
          </li>
        ))}
      </ul>
      <WaysTable method={method} ways={draft.ways} carried={draft.carried} onWay={onWay} />
      <SettingTable key={method.way} method={method} />
    </div>
  );
}
