import { keysOf } from '@/core/keys-of';
import type { FollowedStep } from '@/core/method/follow-method';
import type { StepEnd } from '@/core/method/step';
import { STEP_REACH } from '@/formats/method';
import { END_WORDS } from '@/kitchen/words/step-words';
import { InlineChoice } from '@/ui/inline-choice';
import { inlinePlain, inlineRules } from '@/ui/inline-rules';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';

const reach = ({ min, max }: { readonly min: number; readonly max: number }) => [min, max] as const;

const SECONDS: AmountRules = {
  ...inlineRules(reach(STEP_REACH.seconds), 's', '90'),
  units: { s: 1, sec: 1, min: 60, h: 3600 },
};
const HOURS = inlineRules(reach(STEP_REACH.hours), 'h', '12');
const DEGREES = inlineRules(reach(STEP_REACH.temperatureC), '°C', '60');
const LOST = { ...inlineRules(reach(STEP_REACH.lostGrams), 'g', '20'), units: { g: 1, kg: 1000 } };
const PERCENT = { ...inlineRules([1, 100], '%', '90'), units: { '%': 1 } };

/** What an end measures, and how it is said with another figure. */
function figureOf(end: StepEnd) {
  switch (end.kind) {
    case 'temperature':
    case 'cooled':
      return { value: end.temperatureC, rules: DEGREES, with: (v: number): StepEnd => ({ ...end, temperatureC: v }) };
    case 'bursts':
      return { value: end.toC, rules: DEGREES, with: (v: number): StepEnd => ({ ...end, toC: v }) };
    case 'seconds':
      return { value: end.seconds, rules: SECONDS, with: (v: number): StepEnd => ({ ...end, seconds: v }) };
    case 'stand':
      return { value: end.hours, rules: HOURS, with: (v: number): StepEnd => ({ ...end, hours: v }) };
    case 'lost':
      return { value: end.grams, rules: LOST, with: (v: number): StepEnd => ({ ...end, grams: v }) };
    case 'cooked':
      return { value: 100 * end.share, rules: PERCENT, with: (v: number): StepEnd => ({ ...end, share: v / 100 }) };
    default:
      return undefined;
  }
}

/** Another end of the same step, with the figures it has as it is now. */
function endAs(kind: StepEnd['kind'], { end, seconds, start }: FollowedStep): StepEnd {
  const temperatureC = Math.round(end.temperatureC);
  const lost = Math.max(Math.round(end.lostWaterG - start.lostWaterG), 1);
  if (kind === 'temperature' || kind === 'cooled') return { kind, temperatureC };
  if (kind === 'seconds') return { kind, seconds: Math.max(Math.round(seconds / 5) * 5, 5) };
  if (kind === 'lost') return { kind, grams: lost };
  if (kind === 'cooked') return { kind, share: 0.9 };
  if (kind === 'bursts') return { kind, toC: 40 };
  if (kind === 'stand') return { kind, hours: 2 };
  return { kind };
}

/** When a step is over, as words in a sentence. */
export function EndChoice({ followed, onEnd }: { followed: FollowedStep; onEnd: (end: StepEnd) => void }) {
  const { end } = followed.step;
  const figure = figureOf(end);
  return (
    <>
      until{' '}
      <InlineChoice
        label="Until"
        value={end.kind}
        options={keysOf(END_WORDS).map((kind) => [kind, END_WORDS[kind]] as const)}
        onChoose={(kind) => onEnd(endAs(kind, followed))}
      />
      {figure && (
        <>
          {' '}
          <NumberField
            key={end.kind}
            look="inline"
            label="How much"
            value={figure.value}
            rules={figure.rules}
            write={inlinePlain}
            onValue={(value) => value !== undefined && onEnd(figure.with(value))}
          />
        </>
      )}
    </>
  );
}
