import { cocoaPercent } from '@/core/balance/quantities';
import type { Prediction } from '@/core/predict/formula';
import { CompositionStrip } from '@/ui/composition-strip';
import { percent, significant } from '@/ui/format';

/** What the batch is made of, as a bar and the ratios cooks ask for. */
export function CompositionBar({ prediction }: { prediction: Prediction }) {
  const { mixture } = prediction.batch;
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
        <Ratio name="cocoa" value={percent(cocoaPercent(mixture) / 100)} />
        <Ratio name="fat : water" value={significant(mixture.fatG / mixture.waterG)} />
        <Ratio name="syrup in the water" value={percent(prediction.asKept.flow.dissolved.brix / 100)} />
        <Ratio name="sweet" value={significant(prediction.taste.sweetness)} />
      </p>
    </section>
  );
}

function Ratio({ name, value }: { name: string; value: string }) {
  return (
    <span>
      {name} <span className="read text-[0.92rem] text-ink">{value}</span>
    </span>
  );
}
