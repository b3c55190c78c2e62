'use client';

import type { Brief, Making, Shine, TasteWish, Thickener, Wishes } from '@/core/brief/brief';
import { RESTRICTIONS, type Restriction } from '@/core/swap/restrictions';
import { BRIEF_REACH } from '@/formats/brief';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import { RESTRICTION_WORDS } from '@/ui/restriction-words';
import { MONEY } from '@/ui/settings/shown-units';
import { Mark } from './mark';

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
        Shine{' '}
        <InlineChoice
          label="Shine"
          value={wishes.shine}
          options={SHINE_WORDS}
          onChoose={(shine) => onWish({ shine })}
        />
        <Mark>,</Mark> taste{' '}
        <InlineChoice
          label="Taste"
          value={wishes.taste}
          options={TASTE_WORDS}
          onChoose={(taste) => onWish({ taste })}
        />
        <Mark>,</Mark> cocoa at least{' '}
        <Wish
          label="Cocoa at least"
          value={wishes.cocoaPercent}
          reach={BRIEF_REACH.cocoaPercent}
          unit="%"
          example="25"
          onValue={(cocoaPercent) => onWish({ cocoaPercent })}
        />
        <Mark>.</Mark> Keeps{' '}
        <Wish
          label="Keeps for days"
          value={wishes.keepDays}
          reach={BRIEF_REACH.keepDays}
          unit="days"
          example="7"
          onValue={(keepDays) => onWish({ keepDays })}
        />{' '}
        in the{' '}
        <InlineChoice
          label="Keeps in"
          value={wishes.keepIn}
          options={[
            ['fridge', 'fridge'],
            ['room', 'room'],
          ]}
          onChoose={(keepIn) => onWish({ keepIn })}
        />
        <Mark>,</Mark> a portion costs at most{' '}
        <Wish
          label="Portion costs at most"
          value={wishes.portionCost}
          reach={BRIEF_REACH.portionCost}
          unit={MONEY}
          example="0.40"
          onValue={(portionCost) => onWish({ portionCost })}
        />
        <Mark>.</Mark> Thickened by{' '}
        <InlineChoice
          label="Thickened by"
          value={wishes.thickener}
          options={THICKENER_WORDS}
          onChoose={(thickener) => onWish({ thickener })}
        />
        <Mark>.</Mark>
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

/** How it is cooked and what is lost on the way. */
export function MakingSentence({
  making,
  onMake,
}: {
  making: Brief['making'];
  onMake: (change: Partial<Making>) => void;
}) {
  return (
    <div className="font-head text-[1.15rem] leading-[2.15] tracking-tight" data-testid="making">
      <InlineChoice
        label="Heat"
        value={making.heat}
        options={[
          ['none', 'Not boiled'],
          ['simmer', 'Simmered'],
          ['boil', 'Boiled'],
        ]}
        onChoose={(heat) => onMake({ heat })}
      />{' '}
      {making.heat !== 'none' && (
        <>
          for{' '}
          <NumberField
            look="inline"
            label="Minutes"
            value={making.minutes}
            rules={inlineRules(BRIEF_REACH.minutes, 'min', '2')}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onMake({ minutes: value })}
          />{' '}
          on{' '}
          <InlineChoice
            label="Hob"
            value={making.hob}
            options={[
              ['induction', 'induction'],
              ['gas', 'gas'],
              ['electric', 'an electric plate'],
            ]}
            onChoose={(hob) => onMake({ hob })}
          />{' '}
          of{' '}
          <NumberField
            look="inline"
            label="Hob power"
            value={making.powerW}
            rules={{ ...inlineRules(BRIEF_REACH.powerW, 'W', '2000'), units: { w: 1, kw: 1000 } }}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onMake({ powerW: value })}
          />{' '}
        </>
      )}
      in a pan{' '}
      <NumberField
        look="inline"
        label="Pan width"
        value={making.panCm}
        rules={inlineRules(BRIEF_REACH.panCm, 'cm', '24')}
        write={inlinePlain}
        onValue={(value) => value !== undefined && onMake({ panCm: value })}
      />{' '}
      wide; bowl and bag keep{' '}
      <NumberField
        look="inline"
        label="Bowl and bag keep"
        value={making.bowlPercent}
        rules={inlineRules(BRIEF_REACH.percent, '%', '3')}
        write={inlinePlain}
        onValue={(value) => value !== undefined && onMake({ bowlPercent: value })}
      />
      <Mark>,</Mark>{' '}
      <NumberField
        look="inline"
        label="Reserve"
        value={making.reservePercent}
        rules={inlineRules(BRIEF_REACH.percent, '%', '5')}
        write={inlinePlain}
        onValue={(value) => value !== undefined && onMake({ reservePercent: value })}
      />{' '}
      in reserve.
    </div>
  );
}
