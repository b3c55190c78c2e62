'use client';

import { keysOf } from '@/core/keys-of';
import { CUP_SYSTEMS, type CupSystem, type MeasureSystem } from '@/core/matter/measures';
import { choiceOf } from '@/ui/choice-of';
import { shownAs } from './settings/shown-as';
import { tabletSetting } from './tablet-setting';

/** What stands beside the weight, as a cook reads it. */
function measureWords(): Record<MeasureSystem, string> {
  const [own, other] = shownAs().weight === 'oz' ? ['oz', 'g'] : ['g', 'oz'];
  return { grams: own, ounces: `${own} + ${other}`, cups: `${own} + cups` };
}

const MEASURE_SYSTEMS: readonly MeasureSystem[] = ['grams', 'ounces', 'cups'];

/** Whose cups and spoons. */
export const CUP_WORDS: Record<CupSystem, string> = {
  metric: 'metric, 250 ml',
  us: 'US, 240 ml',
  imperial: 'imperial, 284 ml',
  australian: 'Australian, spoon 20 ml',
};

/** An earlier version kept US cups among the measures. */
const US_CUPS = 'usCups';
const keptMeasures = () => localStorage.getItem('dark-pour:measures');

/** The measures this tablet shows beside grams, and how to choose others. */
const useMeasureSystem = tabletSetting<MeasureSystem>(
  'measures',
  (text) => (text === US_CUPS ? 'cups' : MEASURE_SYSTEMS.find((each) => each === text)),
  'grams',
);

/** The cups and spoons of this kitchen: wherever a cup is written, typed or pasted. */
export const useCupSystem = tabletSetting<CupSystem>(
  'cups',
  (text) => choiceOf(keysOf(CUP_SYSTEMS), text),
  'metric',
  () => (keptMeasures() === US_CUPS ? 'us' : undefined),
);

/** Both choices as one list: `g`, `g + oz`, `g + cups (US, 240 ml)`. */
export function useMeasures() {
  const [system, setSystem] = useMeasureSystem();
  const [cups, setCups] = useCupSystem();
  const words = measureWords();
  const options: readonly (readonly [value: string, words: string])[] = [
    ['grams', words.grams],
    ['ounces', words.ounces],
    ...Object.entries(CUP_WORDS).map(([key, whose]) => [`cups ${key}`, `${words.cups} (${whose})`] as const),
  ];
  return {
    system,
    cups,
    value: system === 'cups' ? `cups ${cups}` : system,
    options,
    choose: (value: string) => {
      const [measure, which] = value.split(' ');
      const named = keysOf(CUP_WORDS).find((key) => key === which);
      if (named) setCups(named);
      setSystem(measure === 'cups' || measure === 'ounces' ? measure : 'grams');
    },
  };
}
