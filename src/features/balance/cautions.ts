import type { Prediction } from '@/core/predict/formula';
import type { Ingredient } from '@/formats/ingredient';

/** Per cent of the batch from which polyols are worth a word; some codes ask for a warning there. */
const POLYOL_WORD = 0.1;

/** All allergens of the ingredients in the pan, each once. */
export function allergens(ingredients: readonly Ingredient[]): string[] {
  return [...new Set(ingredients.flatMap((ingredient) => ingredient.allergens))].sort();
}

/**
 * The cautions this pan asks for, one plain line each, the sharpest first. They are common guidance; the local food code and licensed
 * practice decide.
 *
 * @param prediction of the pan
 * @param ingredients in it
 */
export function cautions(prediction: Prediction, ingredients: readonly Ingredient[]): string[] {
  const { components, massG } = { components: prediction.batch.mixture, massG: prediction.massG };
  const notes: string[] = [];
  if (prediction.batch.mixture.ethanolG > 0.001 * massG) {
    notes.push('Spirit near a flame can light: heat off, bottle away, then add. Alcohol stays in: not for children.');
  }
  if (components.polyols.xylitol > 0) notes.push('Xylitol is poisonous to dogs, even a little.');
  if (components.solidPolyolG + components.glycerolG > POLYOL_WORD * massG) {
    notes.push('Polyols: large servings are laxative, children sooner.');
  }
  if (ingredients.some(({ id }) => id.startsWith('egg-'))) {
    notes.push('Use pasteurised egg where it is not cooked through.');
  }
  if (ingredients.some(({ id }) => id === 'honey')) notes.push('Honey: not for babies under a year.');
  if (ingredients.some(({ group, components: parts }) => group === 'dairy' && (parts.water ?? 0) > 30)) {
    notes.push('Cream rises and scalds: pan half full at most. Cool dairy fast and keep it at 5 °C or under.');
  } else {
    notes.push('Hot liquid and steam scald: carry with dry cloths, pour away from you.');
  }
  return notes;
}
