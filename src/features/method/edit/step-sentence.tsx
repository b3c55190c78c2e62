import { keysOf } from '@/core/keys-of';
import type { FollowedStep } from '@/core/method/follow-method';
import { HEAT_WORDS, type MethodStep, STEP_KINDS, STEP_PLACES } from '@/core/method/step';
import { TOOL_MIX } from '@/core/pan/pan';
import { STEP_WORDS, TOOL_WORDS } from '@/kitchen/words/method-words';
import { HEAT_SENTENCES, PLACE_WORDS, STIR_WORDS } from '@/kitchen/words/step-words';
import { InlineChoice } from '@/ui/inline-choice';
import { EndChoice } from './end-choice';

/** The word that comes nearest to how much it is stirred. */
const stirWord = (stir: number) =>
  STIR_WORDS.reduce((best, each) => (Math.abs(each[0] - stir) < Math.abs(best[0] - stir) ? each : best));

/** What is done in a step, as a sentence whose words can be changed. */
export function StepSentence({
  followed,
  onChange,
}: {
  followed: FollowedStep;
  onChange: (change: Partial<MethodStep>) => void;
}) {
  const { step } = followed;
  return (
    <div className="text-[1.02rem] leading-[2.6]">
      <InlineChoice
        label="What is done"
        value={step.kind}
        options={STEP_KINDS.map((kind) => [kind, STEP_WORDS[kind].name] as const)}
        onChoose={(kind) => onChange({ kind })}
      />
      <br />
      <InlineChoice
        label="Where"
        value={step.where}
        options={STEP_PLACES.map((place) => [place, PLACE_WORDS[place]] as const)}
        onChoose={(where) => onChange({ where })}
      />{' '}
      <InlineChoice
        label="Heat"
        value={step.heat ?? 'none'}
        options={(['none', ...HEAT_WORDS] as const).map((heat) => [heat, HEAT_SENTENCES[heat]] as const)}
        onChoose={(heat) => onChange({ heat: heat === 'none' ? undefined : heat })}
      />
      ,{' '}
      <InlineChoice
        label="Stirring"
        value={String(stirWord(step.stir)[0])}
        options={STIR_WORDS.map(([stir, words]) => [String(stir), words] as const)}
        onChoose={(stir) => onChange({ stir: Number(stir) })}
      />{' '}
      <InlineChoice
        label="Tool"
        value={step.tool ?? 'none'}
        options={[
          ['none', 'with nothing'],
          ...keysOf(TOOL_MIX).map((tool) => [tool, `with a ${TOOL_WORDS[tool]}`] as const),
        ]}
        onChoose={(tool) => onChange({ tool: tool === 'none' ? undefined : tool })}
      />
      ,{' '}
      <InlineChoice
        label="Cover"
        value={step.cover > 0.5 ? 'covered' : 'open'}
        options={[
          ['open', 'open'],
          ['covered', 'covered'],
        ]}
        onChoose={(cover) => onChange({ cover: cover === 'covered' ? 1 : 0 })}
      />
      , <EndChoice followed={followed} onEnd={(end) => onChange({ end })} />.
    </div>
  );
}
