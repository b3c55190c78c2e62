'use client';

import { useState } from 'react';
import { nutrition } from '@/core/matter/nutrition';
import type { Prediction } from '@/core/predict/predict-formula';
import type { PanContents } from '@/kitchen/pan-contents';
import { alcoholWords } from '@/kitchen/words/alcohol-words';
import { allergenWords } from '@/kitchen/words/allergen-sentences';
import { alluloseWords } from '@/kitchen/words/nutrition-words';
import { gramsPlain, money, priceByWeight, significant } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { NutritionTable } from '@/ui/nutrition-table';
import { GRAMS } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';

const USUAL_PORTION_G = 30;

const VEGAN_WORDS: Record<PanContents['vegan'], string> = {
  yes: 'yes, by its ingredients; vegan does not mean safe for allergies',
  no: 'no',
  unknown: 'not known: not every row says so',
};

/** Energy and nutrition of the pan per 100 g and per portion, allergens, alcohol, vegan, cost. */
export function NutritionSheet({
  prediction,
  contents,
  onClose,
}: {
  prediction: Prediction;
  contents: PanContents;
  onClose: () => void;
}) {
  const [portionG, setPortionG] = useState(USUAL_PORTION_G);
  const declared = allergenWords(contents);
  const cost = (prediction.costPerKg * portionG) / 1000;
  const unpriced = contents.items.filter(({ pricePerKg }) => pricePerKg === null).length;
  return (
    <Sheet title="Nutrition and label" onClose={onClose}>
      <div className="mb-4 max-w-44">
        <NumberField
          label="Portion"
          showLabel
          value={portionG}
          rules={{ ...GRAMS, least: 1, most: 5000 }}
          write={gramsPlain}
          onValue={(value) => value !== undefined && setPortionG(value)}
        />
      </div>
      <NutritionTable per100={nutrition(prediction.components)} portionG={portionG} />
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
        <dt className="text-mute">Contains</dt>
        <dd className="font-semibold">{declared.contains}</dd>
        {declared.mayContain && (
          <>
            <dt className="text-mute">May contain</dt>
            <dd>{declared.mayContain}</dd>
          </>
        )}
        {declared.unknown.length > 0 && (
          <>
            <dt className="text-mute">Not known</dt>
            <dd className="text-off">
              {declared.unknown.map((sentence) => (
                <p key={sentence}>{sentence}</p>
              ))}
            </dd>
          </>
        )}
        <dt className="text-mute">Alcohol</dt>
        <dd>{alcoholWords(prediction.alcoholPercentVol, significant) ?? 'none'}</dd>
        <dt className="text-mute">Vegan</dt>
        <dd>{VEGAN_WORDS[contents.vegan]}</dd>
        <dt className="text-mute">Cost</dt>
        <dd>
          {priceByWeight(prediction.costPerKg)}, {money(cost)} a portion
          {unpriced > 0 && `; ${unpriced} without a price counted as free`}
        </dd>
      </dl>
      <p className="mt-4 text-[13.5px] text-mute">
        Typical values worked out from composition, rounded by the European Commission’s guidance of 2012; packs differ.{' '}
        {alluloseWords(prediction.components, 'eu')} The list of allergens and what a label must say follow your local
        food code.
      </p>
    </Sheet>
  );
}
