import { useEffect, useMemo, useRef, useState } from 'react';
import { recordOf } from '@/core/keys-of';
import type { RingRead } from '@/core/learn/ring-residual';
import { compositionVector } from '@/core/matter/components';
import { roundToScale } from '@/core/matter/scale-rounding';
import { roleOfRow } from '@/core/method/row-role';
import { SEEN } from '@/core/rescue/belief';
import type { CauseShare } from '@/core/rescue/causes';
import type { NextPortion } from '@/core/rescue/portion';
import type { Sign } from '@/core/rescue/signs';
import type { Ingredient } from '@/formats/ingredient';
import { panLooksLike, seenFluids } from '@/kitchen/cook/seen-fluids';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { FLOW_CAUSE_WORDS, LOOK_WORDS, putInSentences, SEEN_WORDS } from '@/kitchen/words/rescue-words';
import { Button } from '@/ui/button';
import { celsius, percent, weight } from '@/ui/format';
import { behaviour } from '@/ui/landmarks';
import { RingEntry } from '@/ui/ring-entry';
import { AFTER_S } from '@/ui/sauce/line-stills';
import { SauceStill } from '@/ui/sauce/sauce-still';
import type { StillOf } from '@/ui/sauce/stills';
import { AdditiveTable } from './additive-table';
import { Becomes } from './becomes';
import { PortionPictures } from './portion-pictures';
import { SignPicture } from './sign-picture';
import { useRescue } from './use-rescue';
import type { RescuedPan } from './use-rescued-pan';
import { WentIn } from './went-in';

/** Causes less likely than this are not told. */
const WORTH_TELLING = 0.12;

/** How sure something is, in a word. */
const sureWord = (share: number) => (share > 0.6 ? 'Most likely' : share > 0.3 ? 'Perhaps' : 'Less likely');

/** A pan mended in portions: why it is so, what could go in, how much of it now, and how it looks after. */
export function Portions({
  pan,
  sign,
  when,
  isForGood,
}: {
  pan: RescuedPan;
  sign: Sign;
  when: 'warm' | 'cold';
  isForGood: boolean;
}) {
  const { input, temperatureC } = pan;
  const rescue = useRescue(input, sign, when, temperatureC);
  const { stage, goal } = rescue;
  const noted = useRef(false);
  useEffect(() => {
    if (stage.kind !== 'done' || noted.current) return;
    noted.current = true;
    pan.noteFix(sign, undefined, true);
  }, [stage.kind, pan, sign]);
  return (
    <>
      <WhatHappened causes={rescue.causes} isForGood={isForGood} />
      <section aria-label="The next portion" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
        {stage.kind === 'done' && (
          <p className="text-[22px]">
            <strong>It is right.</strong>{' '}
            {stage.chance > 0.5
              ? `By all that was seen the chance is ${percent(stage.chance)}.`
              : 'You say so, and that decides.'}
          </p>
        )}
        {stage.kind === 'bring' && (
          <>
            <p className="text-[22px] leading-tight">
              It is at {celsius(temperatureC ?? goal.temperatureC)} and is poured at{' '}
              {celsius(Math.round(goal.temperatureC))}. Bring it there first: the chance that it is right then is{' '}
              {percent(stage.chance)}.
            </p>
            <div className="mt-3 flex flex-wrap gap-3">
              <Button look="primary" className="min-h-16 px-8 text-[20px]" onClick={() => rescue.say('brought')}>
                It is at {celsius(Math.round(goal.temperatureC))} now
              </Button>
              <Button className="min-h-16 px-5" onClick={() => rescue.say('notWaiting')}>
                Do something now
              </Button>
            </div>
          </>
        )}
        {(stage.kind === 'look' || stage.kind === 'lookAgain') && (
          <LookNow
            rescue={rescue}
            when={when}
            pan={pan}
            chance={stage.kind === 'lookAgain' ? stage.chance : undefined}
          />
        )}
        {stage.kind === 'add' && <AddNow rescue={rescue} when={when} pan={pan} />}
        {rescue.cold && stage.kind !== 'done' && (
          <p className="mt-3 rounded-lg bg-near-wash px-3 py-2">
            After {rescue.putIn.length} portions it still looks a bit off. Left as it is, in the fridge at {celsius(5)}{' '}
            it {behaviour(rescue.cold.flow.resistancePa)}. If that is what you want, stop here.{' '}
            <Button onClick={() => rescue.say('right')}>It is right: stop here</Button>
          </p>
        )}
      </section>
      <WentIn putIn={rescue.putIn} wholeG={rescue.massG} formulaId={pan.formulaId} />
      <Becomes uses={rescue.becomes} />
    </>
  );
}

type Rescue = ReturnType<typeof useRescue>;

function WhatHappened({ causes, isForGood }: { causes: readonly CauseShare[]; isForGood: boolean }) {
  return (
    <section aria-label="What happened" className="mt-4">
      <h2 className="text-[1.2rem]">What happened</h2>
      <ul>
        {causes
          .filter(({ share }) => share > WORTH_TELLING)
          .map(({ cause, share }) => (
            <li key={cause}>
              <strong>{sureWord(share)}</strong> ({percent(share)}): {FLOW_CAUSE_WORDS[cause]}
            </li>
          ))}
      </ul>
      {!isForGood && <p className="mt-1">It cannot be undone, only thinned.</p>}
    </section>
  );
}

/** How it looks now: by eye, or by a ring. */
function LookNow({
  rescue,
  when,
  pan,
  chance,
}: {
  rescue: Rescue;
  when: 'warm' | 'cold';
  pan: RescuedPan;
  /** it looked right, and is so by what is believed; nothing where nobody looked yet */
  chance: number | undefined;
}) {
  const { pan: mended, goal } = rescue;
  const stills = useMemo(() => {
    const [fluids, look] = [seenFluids(mended, goal.band), panLooksLike(mended)];
    return recordOf(SEEN, (seen): StillOf => ({ kind: 'line', fluid: fluids[seen], look, seconds: AFTER_S }));
  }, [mended, goal.band]);
  return (
    <>
      <h2 className="text-[1.3rem]">
        {chance === undefined ? 'How does it look now?' : 'It looks right. Look once more.'}
      </h2>
      {chance !== undefined && (
        <p>
          By all that was seen the chance that it is right is {percent(chance)}.
          {when === 'warm' && ' A ring would settle it.'}
        </p>
      )}
      <p className="text-mute">{LOOK_WORDS[when]}</p>
      <div className="mt-3 grid grid-cols-2 gap-2 md:grid-cols-5">
        {SEEN.map((seen) => (
          <Button key={seen} className="!block min-h-16 !p-1 !pb-2 text-[17px]" onClick={() => rescue.look(seen)}>
            {when === 'warm' && (
              <SauceStill of={stills[seen]} name="" flat={<SignPicture of="plain" />} className="mb-1" />
            )}
            {SEEN_WORDS[seen]}
          </Button>
        ))}
      </div>
      {when === 'warm' && (
        <div className="mt-3">
          <p>Or measure it:</p>
          <Measure rescue={rescue} pan={pan} />
        </div>
      )}
      {chance !== undefined && (
        <Button className="mt-3" onClick={() => rescue.say('right')}>
          It is right: stop here
        </Button>
      )}
    </>
  );
}

function Measure({ rescue, pan }: { rescue: Rescue; pan: RescuedPan }) {
  const measure = (ring: RingRead) => {
    rescue.measure(ring);
    pan.noteRing(ring);
  };
  return <RingEntry warm={pan.temperatureC} onRead={measure} />;
}

/** What a portion is worth, by figures and by eye. */
function portionNote(next: Extract<NextPortion, { kind: 'add' }>, hasRing: boolean): string {
  if (next.isOneSpoon) {
    return `By the figures it is right at ${percent(next.chance)}; with this it is at ${percent(next.chanceThen)}. Your eye decides: take one spoon and no more.`;
  }
  const inAll = weight(roundToScale(Math.round(next.inAll)));
  return `About ${inAll} in all, as it looks now. The chance that it is right already is ${percent(next.chance)}, with this portion ${percent(next.chanceThen)}.${hasRing ? ' The ring is counted in.' : ''}`;
}

/** What goes in now: what to do, how to tell that it worked, what if not. */
function AddNow({ rescue, when, pan }: { rescue: Rescue; when: 'warm' | 'cold'; pan: RescuedPan }) {
  const { next, ingredient, options } = rescue;
  const [more, setMore] = useState(false);
  if (next?.kind !== 'add' || !ingredient) return <NothingHelps rescue={rescue} />;
  const role = roleOfRow(compositionVector(ingredient.components));
  const amount = `${weight(next.grams)} of ${ingredient.name}`;
  return (
    <>
      {putInSentences(role, amount, when === 'cold').map((sentence) => (
        <p key={sentence} className="text-[24px] leading-tight">
          {sentence}
        </p>
      ))}
      {role === 'spirit' && <p className="mt-1">{CAUTION_WORDS.spirit}</p>}
      {when === 'warm' && <PortionPictures rescue={rescue} ingredient={ingredient} grams={next.grams} />}
      <p className="mt-1 text-mute">{portionNote(next, rescue.ring !== undefined)}</p>
      <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-3">
        <dt className="text-mute">How to tell</dt>
        <dd>{LOOK_WORDS[when]}</dd>
        <dt className="text-mute">If not</dt>
        <dd>Say how it looks; the next portion follows from that.</dd>
      </dl>
      <InHand ingredient={ingredient} wantedG={next.inAll} />
      {when === 'warm' && rescue.putIn.length === 0 && (
        <details className="mt-2">
          <summary className="inline-flex min-h-11 cursor-pointer items-center text-enamel underline">
            Measure it first, with a ring on a plate
          </summary>
          <Measure rescue={rescue} pan={pan} />
        </details>
      )}
      <div className="mt-3 flex flex-wrap gap-3">
        <Button
          look="primary"
          className="min-h-16 px-8 text-[20px]"
          onClick={() => {
            rescue.put(next.grams);
            pan.note(ingredient, next.grams);
          }}
        >
          It is in
        </Button>
        <Button className="min-h-16 px-5" aria-expanded={more} onClick={() => setMore(!more)}>
          Something else instead
        </Button>
        {next.isOneSpoon && (
          <Button className="min-h-16 px-5" onClick={() => rescue.say('right')}>
            It is right: stop here
          </Button>
        )}
      </div>
      {more && (
        <AdditiveTable
          options={options}
          additives={pan.input.additives}
          formula={pan.input.formula}
          chosen={ingredient.id}
          onChoose={rescue.choose}
        />
      )}
    </>
  );
}

/** Where nothing in hand moves it: what is left to do. */
function NothingHelps({ rescue }: { rescue: Rescue }) {
  return (
    <>
      <p className="text-[20px]">Nothing in the larder brings it there without spoiling something else.</p>
      <p className="mt-1">Thicker: boil some of its water off, or chill it. Thinner: use it warmer. Then look again.</p>
      <div className="mt-3 flex flex-wrap gap-3">
        {SEEN.map((seen) => (
          <Button key={seen} className="min-h-14" onClick={() => rescue.look(seen)}>
            {SEEN_WORDS[seen]}
          </Button>
        ))}
        <Button className="min-h-14" onClick={() => rescue.say('right')}>
          It is right: stop here
        </Button>
      </div>
    </>
  );
}

/** What the kitchen says it has of an ingredient, where that is less than may be needed. */
function InHand({ ingredient: { name, stockG }, wantedG }: { ingredient: Ingredient; wantedG: number }) {
  if (stockG === null || stockG >= wantedG) return null;
  return (
    <p className="mt-1 text-near">
      By the larder only {weight(Math.round(stockG))} of {name} is in hand.
    </p>
  );
}
