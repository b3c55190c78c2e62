import { labelFigure, type Nutrition, type NutritionField } from '@/core/matter/nutrition';

const ROWS: readonly (readonly [field: NutritionField, name: string, unit: string, inner: boolean])[] = [
  ['fat', 'Fat', 'g', false],
  ['saturates', 'of which saturates', 'g', true],
  ['carbohydrate', 'Carbohydrate', 'g', false],
  ['sugars', 'of which sugars', 'g', true],
  ['polyols', 'of which polyols', 'g', true],
  ['fibre', 'Fibre', 'g', false],
  ['protein', 'Protein', 'g', false],
  ['salt', 'Salt', 'g', false],
  ['alcohol', 'Alcohol', 'g', false],
];

/** Nutrition per 100 g and, where given, per portion, rounded as labels are. */
export function NutritionTable({ per100, portionG }: { per100: Nutrition; portionG?: number | undefined }) {
  const factors = [1, ...(portionG === undefined ? [] : [portionG / 100])];
  const shown = ROWS.filter(([field]) => (field !== 'polyols' && field !== 'alcohol') || per100[field] > 0.05);
  return (
    <table className="w-full text-[13.5px]">
      <thead>
        <tr className="border-rule border-b text-left text-mute">
          <th className="py-1 font-medium">Typical values</th>
          <th className="text-right font-medium">100 g</th>
          {portionG !== undefined && <th className="text-right font-medium">{Math.round(portionG)} g portion</th>}
        </tr>
      </thead>
      <tbody>
        <tr className="border-rule-soft border-b">
          <th className="py-1 text-left font-medium">Energy</th>
          {factors.map((factor) => (
            <td key={factor} className="read text-right">
              {labelFigure('energyKj', factor * per100.energyKj)} kJ /{' '}
              {labelFigure('energyKcal', factor * per100.energyKcal)} kcal
            </td>
          ))}
        </tr>
        {shown.map(([field, name, unit, inner]) => (
          <tr key={field} className="border-rule-soft border-b">
            <th className={`py-1 text-left font-medium ${inner ? 'pl-4 text-mute' : ''}`}>{name}</th>
            {factors.map((factor) => (
              <td key={factor} className="read text-right">
                {labelFigure(field, factor * per100[field])} {unit}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
