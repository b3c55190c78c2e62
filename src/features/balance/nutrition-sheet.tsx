'use client';

import { useState } from 'react';
import { nutrition } from '@/core/matter/nutrition';
import type { Prediction } from '@/core/predict/formula';
import type { Ingredient } from '@/formats/ingredient';
import { gramsPlain, significant } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { NutritionTable } from '@/ui/nutrition-table';
import { GRAMS } from '@/ui/parse-amount';
import { Sheet } from '@/ui/sheet';
import { allergens } from './cautions';

const USUAL_PORTION_G = 30;

/** Energy and nutrition of the pan per 100 g and per portion, allergens, alcohol, vegan, cost. */
export function NutritionSheet({
  prediction,
  ingredients,
  onClose,
}: {
  prediction: Prediction;
  /** in the pan */
  ingredients: readonly Ingredient[];
  onClose: () => void;
}) {
  const [portionG, setPortionG] = useState(USUAL_PORTION_G);
  const vegan = ingredients.length > 0 && ingredients.every((ingredient) => ingredient.vegan);
  const cost = (prediction.costEurPerKg * portionG) / 1000;
  const unpriced = ingredients.filter(({ priceEurPerKg }) => priceEurPerKg === null).length;
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
        <dd className="font-semibold">{allergens(ingredients).join(', ') || 'no declared allergen'}</dd>
        <dt className="text-mute">Alcohol</dt>
        <dd>
          {prediction.alcoholPercentVol > 0.05
            ? `${significant(prediction.alcoholPercentVol)} % vol: say so, and keep it from children`
            : 'none'}
        </dd>
        <dt className="text-mute">Vegan</dt>
        <dd>{vegan ? 'yes, by its ingredients; vegan does not mean safe for allergies' : 'no'}</dd>
        <dt className="text-mute">Cost</dt>
        <dd>
          {prediction.costEurPerKg.toFixed(2)} €/kg, {cost.toFixed(2)} € a portion
          {unpriced > 0 && `; ${unpriced} without a price counted as free`}
        </dd>
      </dl>
      <p className="mt-4 text-[13.5px] text-mute">
        Typical values worked out from composition, rounded by the European Commission’s guidance of 2012; packs differ.
        The list of allergens and what a label must say follow your local food code.
      </p>
    </Sheet>
  );
}
