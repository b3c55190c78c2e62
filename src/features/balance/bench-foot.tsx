import { spoilersOf } from '@/core/keep/keeping';
import { compositionVector } from '@/core/matter/components';
import { modelDoubt } from '@/core/predict/doubt';
import type { Prediction } from '@/core/predict/predict-formula';
import type { PanContents } from '@/kitchen/pan-contents';
import { alcoholWords } from '@/kitchen/words/alcohol-words';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { keepsWords } from '@/kitchen/words/keeping-words';
import { Key } from '@/ui/button';
import { priceByWeight, significant, waterActivity } from '@/ui/format';
import { PoursSwitch } from '@/ui/pours/pours-switch';
import type { OpenSheet } from './sheets/open-sheet';

/** What the keeping of a pan is judged by. */
const keepingFacts = ({ items }: PanContents, { asKept, batch }: Prediction) => ({
  waterActivity: asKept.waterActivity,
  waterActivitySd: modelDoubt(batch.mixture).waterActivity,
  spoilers: spoilersOf(items.map(({ components }) => ({ perGram: compositionVector(components), grams: 1 }))),
});

/** The foot of the bench: what the pan holds, how it keeps, what it costs, where saving stands. */
export function BenchFoot({
  contents,
  prediction,
  saving,
  onSheet,
}: {
  contents: PanContents;
  prediction: Prediction | undefined;
  /** where saving stands, in words */
  saving: string;
  onSheet: (sheet: OpenSheet) => void;
}) {
  const declared = allergenWords(contents);
  const alcohol = prediction && alcoholWords(prediction.alcoholPercentVol, significant);
  return (
    <footer className="flex min-h-9 flex-wrap items-center gap-x-7 gap-y-1 border-rule border-t bg-foot px-4 py-1 text-[13px]">
      <span>
        Contains <strong>{declared.contains}</strong>
        {declared.mayContain && <>; may contain {declared.mayContain}</>}
        {declared.unknown.length > 0 && (
          <button
            type="button"
            className="min-h-9 pl-2 font-semibold text-off underline"
            onClick={() => onSheet('nutrition')}
          >
            {declared.unknown.length === 1
              ? 'one row may contain anything'
              : `${declared.unknown.length} rows may contain anything`}
          </button>
        )}
      </span>
      <PoursSwitch />
      {alcohol && <span>Alcohol {alcohol}</span>}
      {prediction && (
        <span>
          <span className="read">aw {waterActivity(prediction.asKept.waterActivity).number}</span>:{' '}
          <strong>{keepsWords(keepingFacts(contents, prediction))}</strong>
        </span>
      )}
      {prediction && prediction.costPerKg > 0 && <span className="read">{priceByWeight(prediction.costPerKg)}</span>}
      <span className="ml-auto font-medium" role="status" data-testid="save-state">
        {saving}
      </span>
      {prediction && (
        <button type="button" className="min-h-11 underline" onClick={() => onSheet('nutrition')}>
          Nutrition
        </button>
      )}
      <button type="button" className="min-h-11" onClick={() => onSheet('shortcuts')}>
        Keys <Key>?</Key>
      </button>
    </footer>
  );
}
