import { partOf } from '@/core/matter/component-vector';
import type { ComponentName } from '@/core/matter/components';
import type { FollowedStep } from '@/core/method/follow-method';
import { liquidG } from '@/core/pan/pan';
import { STEP_WORDS, type StepWords } from './method-words';

/** What a step is made of, as far as its words depend on it. */
type Fitted = Pick<FollowedStep, 'step' | 'additions' | 'before' | 'end'>;

/** g of a component from which words speak of it. */
const SPOKEN_OF_G = 0.2;

const GELATIN_SOAKED: Partial<StepWords> = {
  name: 'Soak the gelatin',
  looks: 'Soft all through, no dry core',
  why: 'Gelatin must swell in cold water before it melts. Dry, it makes strings.',
  wrong: 'A hard core: longer, in cold water.',
};
const STARCH_MIXED: Partial<StepWords> = {
  name: 'Mix the starch with cold liquid',
  looks: 'Smooth, no dry lump at the bottom',
  why: 'Starch must be wet before it meets heat. Otherwise it makes lumps.',
};
const WARMED: StepWords = {
  name: 'Warm it gently',
  looks: 'Even, no bubble at the rim',
  why: 'Warm enough for what comes next, and no more.',
  wrong: 'Too hot: off the heat, and stir until it has come down.',
};
const MELTED_OVER_STEAM: Partial<StepWords> = {
  name: 'Melt the chocolate over the steam',
  why: 'Steam warms it evenly; a flame would scorch it at the base.',
  wrong: 'Pieces left: leave the bowl on, and stir now and then.',
};
const MELTED_ON_HEAT: Partial<StepWords> = {
  name: 'Melt it on a low flame',
  why: 'The pan does not hold heat enough. A bigger flame would scorch it.',
  wrong: 'It smells toasted: off the heat at once, into a cool bowl.',
};
const KEPT_BOILING: StepWords = {
  name: 'Keep it boiling',
  looks: 'Bubbles all over, the whole time',
  why: 'Cocoa swells at the boil and thickens it.',
  wrong: 'It catches: lower, and scrape the base.',
};
const SETS_BY_BOILING = 'Agar and pectin set only once they have boiled all through.';
const COOLED_HOT: Partial<StepWords> = {
  looks: 'It no longer steams',
  why: 'Hotter than this, what goes in next would suffer.',
};
/** °C from which what has cooled is still too hot to coat anything. */
const STILL_HOT_C = 60;
const STIRRED_COLD: Partial<StepWords> = { name: 'Stir until no grain is felt' };
/** °C below which nobody would call it warmed. */
const WARMED_C = 30;
const STIRRED_IN: Partial<StepWords> = {
  name: 'Stir it in',
  looks: 'One colour, no streak',
  why: 'Stirred slowly, it takes no air.',
  wrong: 'Streaks: a few more turns from the middle.',
};

/** How the words of its kind change with what is in a step, and on which heat. */
function otherwise({ step, additions, before, end }: Fitted): Partial<StepWords> {
  const holds = (name: ComponentName) =>
    additions.reduce((sum, { perGram, grams }) => sum + grams * partOf(perGram, name), 0) > SPOKEN_OF_G;
  switch (step.kind) {
    case 'soak':
      return holds('gelatin') ? GELATIN_SOAKED : holds('starch') ? STARCH_MIXED : {};
    case 'warm':
      if (step.end.kind !== 'dissolved') return WARMED;
      return end.temperatureC < WARMED_C ? STIRRED_COLD : {};
    case 'melt':
      return step.heat === 'bath' ? MELTED_OVER_STEAM : step.heat ? MELTED_ON_HEAT : {};
    case 'simmer': {
      if (step.heat !== 'medium' && step.heat !== 'high') return {};
      const gels = partOf(before.liquid, 'agar') + partOf(before.liquid, 'pectin');
      return gels > SPOKEN_OF_G ? { ...KEPT_BOILING, why: SETS_BY_BOILING } : KEPT_BOILING;
    }
    case 'cool':
      return end.temperatureC > STILL_HOT_C ? COOLED_HOT : {};
    case 'stir':
      return additions.length > 0 && liquidG(before) > 1 ? STIRRED_IN : {};
    default:
      return {};
  }
}

/** The words of a step as they fit what goes into it: no gelatin is spoken of where starch is mixed. */
export const wordsOfStep = (followed: Fitted): StepWords => ({
  ...STEP_WORDS[followed.step.kind],
  ...otherwise(followed),
});
