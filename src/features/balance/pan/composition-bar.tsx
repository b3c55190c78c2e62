import { memo } from 'react';
import type { Prediction } from '@/core/predict/predict-formula';
import { cocoaPercent, sugarPercent } from '@/core/predict/quantities';
import { itemOf, type KnownItem, type Larder } from '@/kitchen/known-item';
import { CompositionStrip } from '@/ui/composition-strip';
import { percent, significant } from '@/ui/format';
import type { FormulaDraft } from '../draft/edit';
import { isChocolate, isLiquid } from './kinds';

/** What the batch is made of, as a bar and the ratios cooks ask for. */
export const CompositionBar = memo(function CompositionBar({
  prediction,
  draft,
  larder,
}: {
  prediction: Prediction;
  draft: FormulaDraft;
  larder: Larder;
}) {
  const { mixture } = prediction.batch;
  const sumOf = (counts: (item: KnownItem) => boolean) =>
    draft.lines.reduce((sum, line) => {
      const known = itemOf(draft, larder, line.ingredient);
      return sum + (known && counts(known) ? line.grams : 0);
    }, 0);
  const [chocolateG, liquidG] = [sumOf(isChocolate), sumOf(isLiquid)];
  return (
    <section aria-label="What it is made of" className="mt-4">
      <h3 className="mb-1 font-sans font-semibold text-[0.95rem]">What it is made of</h3>
      <CompositionStrip
        total={mixture.massG}
        amounts={{
          water: mixture.waterG,
          'cocoa butter': mixture.cocoaButterG,
          'milk fat': mixture.milkFatG,
          'other fat': mixture.fatG - mixture.cocoaButterG - mixture.milkFatG,
          sugars: mixture.sugarsG,
          cocoa: mixture.cocoaSolidsG,
          alcohol: mixture.ethanolG,
        }}
      />
      <p className="mt-1 flex flex-wrap gap-x-4 text-[13px] text-mute">
        {chocolateG > 0 && liquidG > 0 && <Ratio name="chocolate : liquid" value={significant(chocolateG / liquidG)} />}
        <Ratio name="cocoa" value={percent(cocoaPercent(mixture) / 100)} />
        <Ratio name="fat : water" value={significant(mixture.fatG / mixture.waterG)} />
        <Ratio name="syrup in the water" value={percent(prediction.asKept.flow.dissolved.brix / 100)} />
        <Ratio name="sugar" value={percent(sugarPercent(mixture) / 100)} />
        <Ratio name="sweet as" value={significant(prediction.taste.sweetness)} />
        {prediction.alcoholPercentVol > 0.05 && (
          <Ratio name="alcohol" value={`${significant(prediction.alcoholPercentVol)} % vol`} />
        )}
      </p>
    </section>
  );
});

function Ratio({ name, value }: { name: string; value: string }) {
  return (
    <span>
      {name} <span className="read text-[0.92rem] text-ink">{value}</span>
    </span>
  );
}
