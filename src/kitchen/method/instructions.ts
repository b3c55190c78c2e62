import { keysOf } from '@/core/keys-of';
import type { FollowedStep } from '@/core/method/follow-method';
import { TOOL_MIX } from '@/core/pan/pan';
import { capital } from '@/formats/capital';
import type { FormulaFile } from '@/formats/formula-file';
import type { RecipeInstructions } from '@/formats/recipe-json-ld';
import type { LarderComposition } from '@/formats/resolve-formula';
import { wordsOfStep } from '../words/fitting-words';
import { TOOL_WORDS } from '../words/method-words';
import { workFile } from './work-method';

/** A time in words that any reader of the file understands. */
const about = (seconds: number) =>
  seconds < 90
    ? `${Math.round(seconds / 5) * 5} seconds`
    : seconds < 5400
      ? `${Math.round(seconds / 60)} minutes`
      : `${Math.round(seconds / 360) / 10} hours`;

/** A step in a sentence or two: what goes in, how it looks at its end, how long it takes. */
export function stepText(
  followed: FollowedStep,
  file: Pick<FormulaFile, 'lines'>,
  nameOf: (ingredient: string) => string,
): { readonly name: string; readonly text: string } {
  const { step, additions, end, seconds } = followed;
  const { name, looks } = wordsOfStep(followed);
  const goesIn = additions.map(
    ({ key, grams }) => `${Math.round(grams * 10) / 10} g ${nameOf(file.lines[Number(key)]?.ingredient ?? key)}`,
  );
  const ends = step.where === 'aside' ? '' : ` (${Math.round(end.temperatureC)} °C)`;
  return {
    name,
    text: `${goesIn.length > 0 ? `${goesIn.join(', ')}. ` : ''}${looks}${ends}, about ${about(seconds)}.`,
  };
}

/**
 * The method of a formula as a recipe tells it, by weight and in degrees Celsius; nothing where no way suits it.
 *
 * @throws {FormulaFileError} a row nobody knows
 */
export function methodInstructions(
  file: FormulaFile,
  larder: LarderComposition,
  nameOf: (ingredient: string) => string,
): RecipeInstructions | undefined {
  const worked = workFile(file, larder, 'standard');
  if (!worked) return undefined;
  const used = new Set(worked.followed.flatMap(({ step }) => (step.tool ? [step.tool] : [])));
  return {
    totalSeconds: worked.seconds,
    tools: keysOf(TOOL_MIX)
      .filter((tool) => used.has(tool))
      .map((tool) => capital(TOOL_WORDS[tool])),
    steps: worked.followed.filter(({ seconds }) => seconds > 0).map((each) => stepText(each, file, nameOf)),
  };
}
