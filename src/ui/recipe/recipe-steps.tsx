import type { WayId } from '@/core/method/step';
import { WAY_WORDS } from '@/kitchen/words/method-words';
import { Tick } from '@/ui/tick';

/** What becomes of the steps of a pasted recipe. */
export interface StepsChoice {
  /** the method is the way they tell */
  readonly areFollowed: boolean;
  /** they are kept as a note */
  readonly areNoted: boolean;
}

/** The steps of a pasted recipe: they put nothing in; how they work may become the method, and their words a note. */
export function RecipeSteps({
  steps,
  way,
  choice,
  onChoose,
}: {
  steps: readonly string[];
  /** the way they tell; nothing while it is not known */
  way: WayId | undefined;
  choice: StepsChoice;
  onChoose: (choice: StepsChoice) => void;
}) {
  return (
    <section aria-label="Its steps" className="mt-4">
      {way && (
        <Tick
          label={`Make it as they say: ${WAY_WORDS[way].name}`}
          isOn={choice.areFollowed}
          onTick={(areFollowed) => onChoose({ ...choice, areFollowed })}
        />
      )}
      <Tick
        label="Keep its steps as a note of the formula"
        isOn={choice.areNoted}
        onTick={(areNoted) => onChoose({ ...choice, areNoted })}
      />
      <ol className="list-decimal pl-6 text-[14.5px] text-mute">
        {steps.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: steps stand in their order; two may be alike
          <li key={i}>{step}</li>
        ))}
      </ol>
    </section>
  );
}
