import type { Utensil } from '@/core/method/utensils';
import type { WayRisk } from '@/core/method/way-summary';

/** Pans, bowls and tools, as a list names them. */
export const UTENSIL_WORDS: Readonly<Record<Utensil, string>> = {
  pan: 'pan',
  bowl: 'bowl',
  bathPan: 'pan of water under the bowl',
  smallBowl: 'small bowl',
  fridgeDish: 'dish for the fridge',
  microwave: 'microwave',
  knife: 'knife and board',
  spoon: 'spoon',
  spatula: 'spatula',
  whisk: 'whisk',
  stickBlender: 'stick blender',
  sieve: 'sieve',
  probe: 'thermometer',
};

/** What asks for care in a way. */
export const RISK_WORDS: Readonly<Record<WayRisk, string>> = {
  catches: 'It may catch: stir to the base.',
  eggScrambles: 'Egg can scramble: stay below its limit.',
  hotSpot: 'Hot spots: stir each time.',
  boilsOver: 'It can boil over: stay with it.',
  waterDrop: 'No drop of water in it.',
  air: 'Keep air out.',
};
