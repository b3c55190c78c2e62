import { useState } from 'react';
import type { RingRead } from '@/core/learn/ring-residual';
import { compositionVector } from '@/core/matter/components';
import { roundToScale } from '@/core/matter/scale-rounding';
import { roleOfRow } from '@/core/method/row-role';
import { SEEN } from '@/core/rescue/belief';
import type { Sign } from '@/core/rescue/signs';
import type { Ingredient } from '@/formats/ingredient';
import type { RescueInput } from '@/kitchen/cook/rescue';
import { CAUTION_WORDS } from '@/kitchen/words/cautions';
import { CAUSE_WORDS, SEEN_WORDS } from '@/kitchen/words/rescue-words';
import { Button } from '@/ui/button';
import { celsius, percent, significant, weight } from '@/ui/format';
import { RingEntry } from '@/ui/ring-entry';
import { AdditiveTable } from './additive-table';
import { FoldBack } from './fold-back';
import { useRescue } from './use-rescue';

/** Causes less likely than this are not told. */
const WORTH_TELLING = 0.12;
/** From here on a difference of warmth is the first thing to mend, °C. */
const WARMTH_MATTERS_C = 3;

/** How sure something is, in a word. */
const sureWord = (share: number) => (share > 0.6 ? 'Most likely' : share > 0.3 ? 'Perhaps' : 'Less likely');

/** How a portion goes in. Spirit is never warmed. */
function howWords(when: 'warm' | 'cold', isSpirit: boolean): string {
  if (isSpirit)
    return when === 'warm' ? ', as it is, off the heat' : ', as it is, off the heat, once the pan is warmed again';
  return when === 'warm' ? ', as warm as the pan' : ', once it is warmed again';
}

/** A pan mended in portions: why it is so, what could go in, how much of it now, and how it looks after. */
export function Portions({
  input,
  sign,
  when,
  temperatureC,
  isForGood,
  formulaId,
  onPut,
  onRing,
}: {
  input: RescueInput;
  sign: Sign;
  when: 'warm' | 'cold';
  temperatureC: number | undefined;
  isForGood: boolean;
  /** the formula it may be written into; nothing where there is none */
  formulaId: string | undefined;
  /** is told of each portion that went in */
  onPut: (ingredient: Ingredient, grams: number) => void;
  /** is told of each ring that was read */
  onRing: (ring: RingRead) => void;
}) {
  const rescue = useRescue(input, sign, when, temperatureC);
  const { goal, next, ingredient, causes, options } = rescue;
  const isSpirit = ingredient !== undefined && roleOfRow(compositionVector(ingredient.components)) === 'spirit';
  const [more, setMore] = useState(false);
  const measure = (ring: RingRead) => {
    rescue.measure(ring);
    onRing(ring);
  };
  const isOff =
    when === 'warm' && temperatureC !== undefined && Math.abs(temperatureC - goal.temperatureC) > WARMTH_MATTERS_C;
  return (
    <>
      <section aria-label="What happened" className="mt-4">
        <h2 className="text-[1.2rem]">What happened</h2>
        <ul>
          {causes
            .filter(({ share }) => share > WORTH_TELLING)
            .map(({ cause, share }) => (
              <li key={cause}>
                <strong>{sureWord(share)}</strong> ({percent(share)}): {CAUSE_WORDS[cause]}
              </li>
            ))}
        </ul>
        {!isForGood && <p className="mt-1">It cannot be undone, only thinned.</p>}
      </section>
      {isOff && causes[0]?.cause !== 'formula' && rescue.putIn.length === 0 && (
        <p role="status" className="mt-3 rounded-xl bg-near-wash px-4 py-3 text-[18px]">
          It is at {celsius(temperatureC)}, and is poured at {celsius(Math.round(goal.temperatureC))}. Bring it there
          first, then look again: that alone may be all.
        </p>
      )}
      <section aria-label="The next portion" className="mt-4 rounded-xl border border-rule bg-sheet px-5 py-4">
        {rescue.isMended && rescue.isLookedAt ? (
          <p className="text-[22px]">
            <strong>It is right.</strong>{' '}
            {rescue.saysRight
              ? 'You say so, and that decides.'
              : `By all that you saw the chance is ${percent(rescue.chance)}.`}
          </p>
        ) : !rescue.isLookedAt ? (
          <>
            <h2 className="text-[1.3rem]">How does it look now?</h2>
            <p className="text-mute">Stir it smooth, wait half a minute, draw the spoon out.</p>
            <div className="mt-3 grid grid-cols-2 gap-2 md:grid-cols-5">
              {SEEN.map((seen) => (
                <Button key={seen} className="min-h-16 text-[17px]" onClick={() => rescue.look(seen)}>
                  {SEEN_WORDS[seen]}
                </Button>
              ))}
            </div>
            {when === 'warm' && (
              <div className="mt-3">
                <p>Or measure it:</p>
                <RingEntry warm={temperatureC} onRead={measure} />
              </div>
            )}
          </>
        ) : next?.kind === 'add' && ingredient ? (
          <>
            <p className="text-[24px] leading-tight">
              Stir in <strong className="read">{weight(roundToScale(next.grams))}</strong> of {ingredient.name}
              {howWords(when, isSpirit)}, with a whisk, from the middle.
            </p>
            {isSpirit && <p className="mt-1">{CAUTION_WORDS.spirit}</p>}
            <p className="mt-1 text-mute">
              About {weight(roundToScale(next.inAll))} in all, as it looks now; the rest is decided by what you see
              after this portion. The chance that it is right already is {percent(next.chance)}.
              {rescue.ring && ` The ring is taken into account.`}
            </p>
            <InHand ingredient={ingredient} wantedG={next.inAll} />
            {when === 'warm' && rescue.putIn.length === 0 && (
              <details className="mt-2">
                <summary className="inline-flex min-h-11 cursor-pointer items-center text-enamel underline">
                  Measure it first, with a ring on a plate
                </summary>
                <RingEntry warm={temperatureC} onRead={measure} />
              </details>
            )}
            <div className="mt-3 flex flex-wrap gap-3">
              <Button
                look="primary"
                className="min-h-16 px-8 text-[20px]"
                onClick={() => {
                  rescue.put(next.grams);
                  onPut(ingredient, roundToScale(next.grams));
                }}
              >
                It is in
              </Button>
              <Button className="min-h-16 px-5" aria-expanded={more} onClick={() => setMore(!more)}>
                Something else instead
              </Button>
            </div>
            {more && (
              <AdditiveTable
                options={options}
                additives={input.additives}
                formula={input.formula}
                chosen={ingredient.id}
                onChoose={rescue.choose}
              />
            )}
          </>
        ) : (
          <p className="text-[20px]">Nothing that is here brings it there without spoiling something else.</p>
        )}
      </section>
      {rescue.putIn.length > 0 && (
        <section aria-label="What went in" className="mt-4">
          <h2 className="text-[1.15rem]">What went in</h2>
          <ul>
            {rescue.putIn.map(({ ingredient: each, grams }, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: portions stand in the order they went in; two may be alike
              <li key={i}>
                {each.name} <span className="read">{weight(roundToScale(grams))}</span>
              </li>
            ))}
          </ul>
          <p className="text-mute">{significant(rescue.massG, 3)} g in the pan now.</p>
          {formulaId && <FoldBack formulaId={formulaId} putIn={rescue.putIn} wholeG={rescue.massG} />}
        </section>
      )}
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
