import type { Seen } from '@/core/rescue/belief';
import type { Cause } from '@/core/rescue/causes';
import type { RescueStep, Sign } from '@/core/rescue/signs';

/** What a cook sees, as it is said. */
export const SIGN_WORDS: Readonly<Record<Sign, string>> = {
  farTooThick: 'Far too thick',
  aBitThick: 'A bit thick',
  aBitThin: 'A bit thin',
  farTooThin: 'Far too thin',
  seized: 'Grainy and stiff',
  oily: 'Oily or curdled',
  lumps: 'Lumps',
  sandy: 'Sandy with sugar',
  floury: 'Floury',
  gluey: 'Gluey',
  chalky: 'Chalky',
  skin: 'A skin',
  catching: 'It catches',
  dull: 'Dull or streaked',
  tooSweet: 'Too sweet',
  tooBitter: 'Too bitter',
  softAfterNight: 'Too soft after the night',
  hardAfterNight: 'Too hard after the night',
  noWhip: 'It will not whip',
  weeping: 'It weeps',
};

/** Why, as it is said. */
export const CAUSE_WORDS: Readonly<Record<Cause, string>> = {
  cooler: 'It is only colder than its pour: by its figures it is right once it is warm.',
  hotter: 'It is only warmer than its pour: by its figures it is right once it has cooled.',
  formula: 'The formula is so: by its figures it is that at the pour as well.',
  weights: 'A weight was other than written: a splash more or less, a cup instead of the scale.',
  boiledLong: 'It boiled longer than reckoned, and water is missing.',
  model: 'This chocolate or cream is other than typical ones.',
};

/** What happened, for signs that are not of thickness. */
export const HAPPENED: Partial<Record<Sign, string>> = {
  seized: 'A little water got into melted chocolate: it glues its sugar. Only much more of it lets go again.',
  oily: 'The fat is too crowded, too cold or was stirred too long: it has given up the water between its drops.',
  lumps: 'Something did not melt through, or starch met heat dry.',
  sandy: 'Sugar found too little water, or it boiled away before the grains were gone; or it crystallised in the cold.',
  floury: 'The starch never boiled long enough.',
  gluey: 'Too much starch or gum for so little liquid. That cannot be undone, only thinned.',
  chalky: 'More cocoa than the liquid carries.',
  skin: 'It stood open and its surface dried.',
  catching: 'The base was hotter than the milk bears.',
  dull: 'It set too fast or too slowly, or was stirred as it set: its fat grew in coarse crystals.',
  noWhip: 'The fat is not cold and set enough, or there is too little of it.',
  weeping: 'Its gel has tightened and gives water off: starch and thin gels do so in the cold.',
};

/** How it looks, said after a portion. */
export const SEEN_WORDS: Readonly<Record<Seen, string>> = {
  farTooThin: 'Far too thin',
  aBitThin: 'A bit thin',
  right: 'Right',
  aBitThick: 'A bit thick',
  farTooThick: 'Far too thick',
};

/** How figures are written. */
interface Figures {
  readonly weight: (grams: number) => string;
  readonly celsius: (temperatureC: number) => string;
  readonly minutes: (minutes: number) => string;
  readonly hours: (hours: number) => string;
}

/** One thing to do. */
export function rescueStepSentence(step: RescueStep, n: Figures): string {
  switch (step.do) {
    case 'whiskIn':
      return `Whisk in ${n.weight(step.grams)} of cold cream or milk from the middle, a spoon at a time, until it shines again.`;
    case 'addAtOnce':
      return `Add ${n.weight(step.grams)} of liquid at ${n.celsius(step.temperatureC)}, all at once: a splash only stiffens it more.`;
    case 'warm':
      return `Warm it gently to ${n.celsius(step.temperatureC)}, over steam or in short bursts, stirring.`;
    case 'cool':
      return `Let it come to ${n.celsius(step.temperatureC)}.`;
    case 'boil':
      return `Boil it ${n.minutes(step.minutes)} more, scraping the base.`;
    case 'chill':
      return `Chill it ${n.hours(step.hours)}, covered; whisk it cold and stop at soft peaks.`;
    case 'blend':
      return 'Stick blender, its head kept under, until it is even.';
    case 'sieve':
      return 'Whisk the skin in while it is warm, or strain it off.';
    case 'wait':
      return 'Leave it alone for two minutes, then stir.';
    case 'pourOff':
      return 'Off the heat. Do not scrape the base: pour off into a clean pan.';
    case 'taste':
      return 'Taste it: is it right now?';
    case 'stirCool':
      return 'Stir it now and then while it cools.';
    case 'eatSoon':
      return 'Use it today: it will give water off again.';
  }
}
