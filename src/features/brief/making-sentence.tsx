'use client';

import type { Brief, Making } from '@/core/brief/brief';
import { BRIEF_REACH } from '@/formats/brief';
import { InlineChoice } from '@/ui/inline-choice';
import { InlineNumber } from '@/ui/inline-number';
import { inlineRules } from '@/ui/inline-rules';
import type { AmountRules } from '@/ui/parse-amount';
import { Sentence } from '@/ui/sentence';

const UNHEATED = '{heat} in a pan {pan} wide; bowl and bag keep {bowl}, {reserve} in reserve.';
const HEATED =
  '{heat} for {minutes} on {hob} of {power} in a pan {pan} wide; bowl and bag keep {bowl}, {reserve} in reserve.';

type NumberOfMaking = { [Key in keyof Making]: Making[Key] extends number ? Key : never }[keyof Making];

/** How it is cooked and what is lost on the way. */
export function MakingSentence({
  making,
  onMake,
}: {
  making: Brief['making'];
  onMake: (change: Partial<Making>) => void;
}) {
  const figure = (label: string, key: NumberOfMaking, rules: AmountRules) => (
    <InlineNumber label={label} value={making[key]} rules={rules} onNumber={(value) => onMake({ [key]: value })} />
  );
  return (
    <div className="font-head text-[1.15rem] leading-[2.15] tracking-tight" data-testid="making">
      <Sentence
        words={making.heat === 'none' ? UNHEATED : HEATED}
        fields={{
          heat: (
            <InlineChoice
              label="Heat"
              value={making.heat}
              options={[
                ['none', 'Not boiled'],
                ['simmer', 'Simmered'],
                ['boil', 'Boiled'],
              ]}
              onChoose={(heat) => onMake({ heat })}
            />
          ),
          minutes: figure('Minutes', 'minutes', inlineRules(BRIEF_REACH.minutes, 'min', '2')),
          hob: (
            <InlineChoice
              label="Hob"
              value={making.hob}
              options={[
                ['induction', 'induction'],
                ['gas', 'gas'],
                ['electric', 'an electric plate'],
              ]}
              onChoose={(hob) => onMake({ hob })}
            />
          ),
          power: figure('Hob power', 'powerW', {
            ...inlineRules(BRIEF_REACH.powerW, 'W', '2000'),
            units: { w: 1, kw: 1000 },
          }),
          pan: figure('Pan width', 'panCm', inlineRules(BRIEF_REACH.panCm, 'cm', '24')),
          bowl: figure('Bowl and bag keep', 'bowlPercent', inlineRules(BRIEF_REACH.percent, '%', '3')),
          reserve: figure('Reserve', 'reservePercent', inlineRules(BRIEF_REACH.percent, '%', '5')),
        }}
      />
    </div>
  );
}
