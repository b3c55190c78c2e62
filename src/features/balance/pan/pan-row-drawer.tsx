import { ArrowLeftRight, Blend, Minus, MoveDown, MoveUp, Plus, Trash2 } from 'lucide-react';
import { formIn, formsOf, measureDoubt } from '@/core/matter/measures';
import { STAGES } from '@/formats/stages';
import { Button } from '@/ui/button';
import { choiceOf } from '@/ui/choice-of';
import { gramsPlain } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { Tick } from '@/ui/tick';
import { GramEffects } from './gram-effects';
import { stepNumber, stepped, stepText } from './gram-steps';
import type { PanRowProps } from './pan-row-props';
import { STAGE_WORDS } from './stage-words';

const STEPS = [-10, -1, 1, 10];
/** Rows in the same group keep their proportion in a balance. */
const TIES = ['A', 'B', 'C'];

/** What opens below a row: steps, least and most, form, moving and removing, for one finger. */
export function PanRowDrawer(props: PanRowProps) {
  const { line, name, edit, ingredient, more, onSwap, onBlend } = props;
  const nudge = (step: number) =>
    edit({
      type: 'grams',
      key: line.key,
      grams: stepped(line.grams, step),
    });
  return (
    <fieldset className="space-y-3 pt-1 pr-1 pb-3 pl-[60px]" aria-label={`${name}: more`}>
      {more && <GramEffects {...more} />}
      <div className="flex gap-1.5">
        {STEPS.map((step) => (
          <Button
            key={step}
            className="read flex-1 !px-0"
            onClick={() => nudge(step)}
            aria-label={`${step > 0 ? 'Add' : 'Take'} ${stepText(Math.abs(step))}`}
          >
            {step < 0 ? <Minus size={14} aria-hidden="true" /> : <Plus size={14} aria-hidden="true" />}
            {stepNumber(Math.abs(step))}
          </Button>
        ))}
      </div>
      <Limits {...props} />
      <HowItGoesIn {...props} />
      {ingredient && formsOf(ingredient).length > 1 && (
        <p className="text-[13px] text-mute">
          A cup of it is read as {formIn(ingredient, line.form)}, give or take{' '}
          {Math.round(100 * measureDoubt('cup', formIn(ingredient, line.form)))} %; say {formsOf(ingredient).join(', ')}{' '}
          above to change that.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Tick
          label="by cup or spoon"
          isOn={line.byVolume ?? false}
          onTick={(isOn) => edit({ type: 'byVolume', key: line.key, byVolume: isOn })}
          className="text-[13.5px]"
        />
        <label className="flex min-h-11 items-center gap-2 text-[13.5px]">
          <span className="shrink-0">Ratio kept</span>
          <select
            className="h-11 min-w-0 flex-1 rounded-lg border border-rule bg-field px-1"
            aria-label={`Ratio of ${name} kept with group`}
            value={line.tie ?? ''}
            onChange={(event) => edit({ type: 'tie', key: line.key, tie: event.target.value || undefined })}
          >
            <option value="">no</option>
            {TIES.map((tie) => (
              <option key={tie} value={tie}>
                in group {tie}
              </option>
            ))}
          </select>
        </label>
      </div>
      {ingredient && (
        <div className="flex gap-1.5">
          <Button className="flex-1 !px-2" onClick={() => onSwap(line.key)}>
            <ArrowLeftRight size={16} aria-hidden="true" /> Swap it
          </Button>
          <Button className="flex-1 !px-2" onClick={() => onBlend(line.key)}>
            <Blend size={16} aria-hidden="true" /> Blend it
          </Button>
        </div>
      )}
      <Places {...props} />
    </fieldset>
  );
}

/** The least and the most a balance may take of it. */
function Limits({ line, edit, pause }: PanRowProps) {
  return (
    <div className="grid grid-cols-2 gap-2">
      <NumberField
        label="Least"
        showLabel
        optional
        placeholder="0"
        value={line.minGrams}
        rules={{ ...GRAMS, most: line.maxGrams ?? GRAMS.most }}
        write={gramsPlain}
        onValue={(value) => edit({ type: 'limits', key: line.key, minGrams: value, maxGrams: line.maxGrams })}
        onLeave={pause}
      />
      <NumberField
        label="Most"
        showLabel
        optional
        placeholder="free"
        value={line.maxGrams}
        rules={{ ...GRAMS, least: line.minGrams ?? 0 }}
        write={gramsPlain}
        onValue={(value) => edit({ type: 'limits', key: line.key, minGrams: line.minGrams, maxGrams: value })}
        onLeave={pause}
      />
    </div>
  );
}

/** When and how it goes in. */
function HowItGoesIn({ line, edit, pause }: PanRowProps) {
  return (
    <>
      <label className="block">
        <span className="mb-1 block text-[0.86rem] text-mute">When it goes in</span>
        <select
          className="h-11 w-full rounded-lg border border-rule bg-field px-2"
          value={line.stage ?? ''}
          onChange={(event) => edit({ type: 'stage', key: line.key, stage: choiceOf(STAGES, event.target.value) })}
        >
          <option value="">not said</option>
          {STAGES.map((stage) => (
            <option key={stage} value={stage}>
              {STAGE_WORDS[stage]}
            </option>
          ))}
        </select>
      </label>
      <label className="block">
        <span className="mb-1 block text-[0.86rem] text-mute">How it goes in</span>
        <input
          className="h-11 w-full rounded-lg border border-rule bg-field px-3"
          value={line.form ?? ''}
          maxLength={40}
          placeholder="chopped, boil then pour…"
          onChange={(event) => edit({ type: 'form', key: line.key, form: event.target.value })}
          onBlur={pause}
        />
      </label>
    </>
  );
}

/** Moving and removing, for one finger. */
function Places({ line, name, place, count, edit }: PanRowProps) {
  return (
    <div className="flex gap-1.5">
      <Button
        disabled={place === 0}
        onClick={() => edit({ type: 'move', key: line.key, to: place - 1 })}
        aria-label={`Move ${name} up`}
      >
        <MoveUp size={16} aria-hidden="true" />
      </Button>
      <Button
        disabled={place === count - 1}
        onClick={() => edit({ type: 'move', key: line.key, to: place + 1 })}
        aria-label={`Move ${name} down`}
      >
        <MoveDown size={16} aria-hidden="true" />
      </Button>
      <Button
        look="danger"
        className="ml-auto"
        onClick={() => edit({ type: 'remove', key: line.key })}
        aria-label={`Remove ${name}`}
      >
        <Trash2 size={16} aria-hidden="true" /> Remove
      </Button>
    </div>
  );
}
