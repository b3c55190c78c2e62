'use client';

import type { Shine, TasteWish, Thickener, Wishes } from '@/core/brief/brief';
import { RESTRICTIONS, type Restriction } from '@/core/swap/restrictions';
import { BRIEF_REACH } from '@/formats/brief';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { RESTRICTION_WORDS } from '@/ui/restriction-words';
import { Sentence } from '@/ui/sentence';
import { MONEY } from '@/ui/settings/shown-units';

const SHINE_WORDS: readonly (readonly [Shine, string])[] = [
  ['any', 'as it comes'],
  ['satin', 'satin'],
  ['high', 'high'],
];
const TASTE_WORDS: readonly (readonly [TasteWish, string])[] = [
  ['any', 'as it comes'],
  ['bitter', 'bitter'],
  ['balanced', 'balanced'],
  ['sweet', 'sweet'],
];
const THICKENER_WORDS: readonly (readonly [Thickener, string])[] = [
  ['any', 'whatever fits'],
  ['chocolate', 'chocolate alone'],
  ['starch', 'starch, cooked out'],
  ['gelatin', 'gelatin'],
];

const WISH_SENTENCES =
  'Shine {shine}, taste {taste}, cocoa at least {cocoa}. Keeps {days} in the {keepIn}, a portion costs at most {cost}. Thickened by {thickener}.';

/** A field of the wishes that may be left empty. */
function Wish({
  label,
  value,
  reach,
  unit,
  example,
  onValue,
}: {
  label: string;
  value: number | undefined;
  reach: readonly [number, number];
  unit: string;
  example: string;
  onValue: (value: number | undefined) => void;
}) {
  return (
    <NumberField
      look="inline"
      optional
      placeholder="any"
      label={label}
      value={value}
      rules={inlineRules(reach, unit, example)}
      write={inlinePlain}
      onValue={onValue}
    />
  );
}

/** What is wanted beside the job, and what it must do without. */
export function WishSentence({ wishes, onWish }: { wishes: Wishes; onWish: (change: Partial<Wishes>) => void }) {
  const toggle = (restriction: Restriction) =>
    onWish({
      without: wishes.without.includes(restriction)
        ? wishes.without.filter((each) => each !== restriction)
        : [...wishes.without, restriction],
    });
  return (
    <div data-testid="wishes">
      <div className="font-head text-[1.15rem] leading-[2.15] tracking-tight">
        <Sentence words={WISH_SENTENCES} fields={wishFields(wishes, onWish)} />
      </div>
      <fieldset className="mt-1 flex flex-wrap gap-1.5" aria-label="Without">
        {RESTRICTIONS.map((restriction) => (
          <button
            key={restriction}
            type="button"
            aria-pressed={wishes.without.includes(restriction)}
            onClick={() => toggle(restriction)}
            className="min-h-11 rounded-lg border border-rule bg-sheet px-3 text-[14px] hover:border-mute aria-pressed:border-enamel aria-pressed:bg-enamel-wash aria-pressed:font-semibold aria-pressed:text-enamel"
          >
            {wishes.without.includes(restriction) && '✓ '}
            {RESTRICTION_WORDS[restriction]}
          </button>
        ))}
      </fieldset>
    </div>
  );
}

/** The fields of the wishes, by their names in the sentences. */
function wishFields(wishes: Wishes, onWish: (change: Partial<Wishes>) => void) {
  return {
    shine: (
      <InlineChoice label="Shine" value={wishes.shine} options={SHINE_WORDS} onChoose={(shine) => onWish({ shine })} />
    ),
    taste: (
      <InlineChoice label="Taste" value={wishes.taste} options={TASTE_WORDS} onChoose={(taste) => onWish({ taste })} />
    ),
    cocoa: (
      <Wish
        label="Cocoa at least"
        value={wishes.cocoaPercent}
        reach={BRIEF_REACH.cocoaPercent}
        unit="%"
        example="25"
        onValue={(cocoaPercent) => onWish({ cocoaPercent })}
      />
    ),
    days: (
      <Wish
        label="Keeps for days"
        value={wishes.keepDays}
        reach={BRIEF_REACH.keepDays}
        unit="days"
        example="7"
        onValue={(keepDays) => onWish({ keepDays })}
      />
    ),
    keepIn: (
      <InlineChoice
        label="Keeps in"
        value={wishes.keepIn}
        options={[
          ['fridge', 'fridge'],
          ['room', 'room'],
        ]}
        onChoose={(keepIn) => onWish({ keepIn })}
      />
    ),
    cost: (
      <Wish
        label="Portion costs at most"
        value={wishes.portionCost}
        reach={BRIEF_REACH.portionCost}
        unit={MONEY}
        example="0.40"
        onValue={(portionCost) => onWish({ portionCost })}
      />
    ),
    thickener: (
      <InlineChoice
        label="Thickened by"
        value={wishes.thickener}
        options={THICKENER_WORDS}
        onChoose={(thickener) => onWish({ thickener })}
      />
    ),
  };
}
