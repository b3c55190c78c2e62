import type { Allergen } from '@/core/matter/allergens';
import type { CupSystem } from '@/core/matter/measures';
import type { Ingredient } from '@/formats/ingredient';
import { lineAllergens } from '@/formats/line-allergens';
import { gramsOfRow, type RecipeRow } from '@/formats/recipe-text';
import { Button } from '@/ui/button';
import { gramsPlain, listed, weight } from '@/ui/format';
import { IngredientBox } from '@/ui/ingredient/ingredient-box';
import { gramsRules, measureText } from '@/ui/kitchen-measure';
import { NumberField } from '@/ui/number-field';

/** What a cook said about a line. */
export interface RecipeAnswer {
  readonly ingredient?: string;
  readonly grams?: number | undefined;
  readonly left?: boolean;
  /** left out, and used nowhere with it either */
  readonly isUnused?: boolean;
}

/** A line with what was said about it. */
export interface AnsweredRow {
  readonly left: boolean;
  /** allergens it would bring, while it is left out and nobody said that it is not used */
  readonly brings: readonly Allergen[];
  readonly ingredient: Ingredient | undefined;
  /** g; nothing while the cook has to say */
  readonly amount: number | undefined;
}

/** Takes a line and its answer together. A line whose amount is asked has none until the cook has said it. */
export function answeredRow(
  row: RecipeRow,
  answer: RecipeAnswer,
  ingredients: readonly Ingredient[],
  cups: CupSystem,
): AnsweredRow {
  const guess = row.sure || row.asks !== undefined ? row.candidates[0]?.id : undefined;
  const ingredient = ingredients.find(({ id }) => id === (answer.ingredient ?? guess));
  const amount = answer.grams ?? (ingredient && row.asks === undefined ? gramsOfRow(row, ingredient, cups) : undefined);
  const left = answer.left ?? false;
  const brings = left && !answer.isUnused ? lineAllergens(row.raw, ingredient) : [];
  return { left, brings, ingredient, amount };
}

/** Ways to understand an amount that is asked, the proposed one first. */
function proposals(row: RecipeRow, ingredient: Ingredient | undefined, cups: CupSystem) {
  if (!ingredient || row.amount === undefined) return [];
  const readings = [{ amount: row.amount, unit: row.unit }, ...row.others];
  const known = readings.flatMap(({ amount, unit }) => {
    const value = gramsOfRow({ ...row, amount, unit }, ingredient, cups);
    const text = measureText({ amount, unit: unit ?? 'g', isAbout: false });
    return value === undefined ? [] : [{ label: unit === 'g' ? text : `${text} = ${weight(value)}`, value }];
  });
  return known.length > 0 || row.unit !== undefined ? known : [{ label: `${weight(row.amount)}`, value: row.amount }];
}

/** One line of a recipe: what was written, which ingredient, how much; what is doubtful is asked, with proposals. */
export function RecipeRowView({
  row,
  answered: { left, brings, ingredient, amount },
  isSaid,
  ingredients,
  cups,
  onSay,
}: {
  row: RecipeRow;
  answered: AnsweredRow;
  /** the cook typed or chose the amount */
  isSaid: boolean;
  ingredients: readonly Ingredient[];
  cups: CupSystem;
  onSay: (answer: RecipeAnswer) => void;
}) {
  const asks = !left && (!ingredient || amount === undefined);
  const offered = amount === undefined ? proposals(row, ingredient, cups) : [];
  return (
    <li
      className={`rounded-lg px-2 py-1 ${asks ? 'bg-near-wash' : ''} ${left && brings.length === 0 ? 'opacity-50' : ''}`}
    >
      <div className="grid grid-cols-[1fr_minmax(0,1.2fr)_112px_auto] items-center gap-3">
        <span className="line-clamp-3 min-w-0 break-words">{row.raw}</span>
        <IngredientBox
          label={`Ingredient for ${row.raw}`}
          value={ingredient}
          likely={row.candidates}
          ingredients={ingredients}
          disabled={left}
          onChoose={({ id }) => onSay({ ingredient: id })}
        />
        {!ingredient || (amount !== undefined && !isSaid) ? (
          <span className="read text-right">{amount === undefined ? '–' : `${weight(amount)}`}</span>
        ) : (
          <NumberField
            label={`Grams for ${row.raw}`}
            optional
            placeholder="?"
            value={amount}
            rules={gramsRules(ingredient, row.form, cups, ingredient.name)}
            write={gramsPlain}
            disabled={left}
            onValue={(value) => onSay({ grams: value })}
          />
        )}
        <Button look="bare" className="!px-2 text-[13px]" onClick={() => onSay({ left: !left })}>
          {left ? 'Take it' : 'Leave out'}
        </Button>
      </div>
      {brings.length > 0 && (
        <p className="flex flex-wrap items-center gap-2 pt-1.5 pb-1 text-[13.5px] text-near">
          It brings {listed(brings)}. Left out, it is on no label.
          <Button className="!px-3" onClick={() => onSay({ isUnused: true })}>
            It is not used
          </Button>
        </p>
      )}
      {asks && row.asks && (
        <p className="flex flex-wrap items-center gap-2 pt-1.5 pb-1 text-[13.5px] text-near">
          {row.asks}
          {offered.map(({ label, value }) => (
            <Button key={label} className="!px-3" onClick={() => onSay({ grams: value })}>
              {label}
            </Button>
          ))}
        </p>
      )}
    </li>
  );
}
