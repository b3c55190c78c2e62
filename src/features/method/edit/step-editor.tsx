import { ArrowDown, ArrowUp, Plus, Scissors, Trash2 } from 'lucide-react';
import { changedStep, movedStep, splitStep, withoutStep, withStepAt } from '@/core/method/edit-steps';
import type { MethodStep } from '@/core/method/step';
import { MOST_STEPS } from '@/formats/method';
import type { WorkedMethod } from '@/kitchen/method/work-method';
import { Button } from '@/ui/button';
import { InlineText } from '@/ui/inline-text';
import { StepRows } from './step-rows';
import { StepSentence } from './step-sentence';

/** What a step added by hand begins as. */
const newStep = (where: MethodStep['where']): MethodStep => ({
  kind: 'stir',
  where: where === 'aside' ? 'pan' : where,
  adds: [],
  stir: 0.5,
  tool: 'spatula',
  cover: 0,
  end: { kind: 'seconds', seconds: 60 },
});

/** A step while it is changed: what is done, what goes in, its place, and a note. */
export function StepEditor({
  method,
  place,
  names,
  onSteps,
}: {
  method: WorkedMethod;
  place: number;
  names: readonly string[];
  /** takes the changed steps, and which of them to look at */
  onSteps: (steps: readonly MethodStep[], look?: number) => void;
}) {
  const steps = method.followed.map(({ step }) => step);
  const followed = method.followed[place];
  if (!followed) return null;
  const { step } = followed;
  const change = (fields: Partial<MethodStep>) => onSteps(changedStep(steps, place, fields), place);
  const isFull = steps.length >= MOST_STEPS;
  return (
    <div>
      <StepSentence followed={followed} onChange={change} />
      <StepRows rows={method.rows} steps={steps} place={place} names={names} onSteps={(next) => onSteps(next, place)} />
      <p className="mt-3">
        Note{' '}
        <InlineText
          label="Note on this step"
          value={step.note ?? ''}
          placeholder="nothing noted"
          longest={400}
          onText={(note) => change({ note: note === '' ? undefined : note })}
        />
      </p>
      <div className="mt-3 grid grid-cols-2 gap-2">
        <Button disabled={place === 0} onClick={() => onSteps(movedStep(steps, place, place - 1), place - 1)}>
          <ArrowUp size={17} aria-hidden="true" /> Earlier
        </Button>
        <Button
          disabled={place >= steps.length - 1}
          onClick={() => onSteps(movedStep(steps, place, place + 1), place + 1)}
        >
          <ArrowDown size={17} aria-hidden="true" /> Later
        </Button>
        <Button disabled={isFull} onClick={() => onSteps(splitStep(steps, place), place)}>
          <Scissors size={17} aria-hidden="true" /> Split
        </Button>
        <Button disabled={steps.length < 2} onClick={() => onSteps(withoutStep(steps, place), Math.max(place - 1, 0))}>
          <Trash2 size={17} aria-hidden="true" /> Take out
        </Button>
        <Button
          className="col-span-2"
          disabled={isFull}
          onClick={() => onSteps(withStepAt(steps, place + 1, newStep(step.where)), place + 1)}
        >
          <Plus size={17} aria-hidden="true" /> A step after this one
        </Button>
      </div>
      {isFull && <p className="mt-1 text-[13px] text-mute">{MOST_STEPS} steps are as many as a method holds.</p>}
    </div>
  );
}
