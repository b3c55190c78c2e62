import type { RowRole } from '@/core/method/row-role';
import type { Seen } from '@/core/rescue/belief';
import type { FlowCause } from '@/core/rescue/causes';
import type { ANSWERS, FaultCause, Question } from '@/core/rescue/diagnosis';
import type { FixStep, IfNot, WorkedSign } from '@/core/rescue/fixes';
import type { Sign } from '@/core/rescue/signs';

/** The name of the rescue on every screen. */
export const RESCUE_NAME = 'Fix a problem';

/** What a cook sees, as it is said. */
export const SIGN_WORDS: Readonly<Record<Sign, string>> = {
  farTooThick: 'Far too thick',
  bitThick: 'A bit thick',
  bitThin: 'A bit thin',
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

/** Why it flows as it does, as it is said. */
export const FLOW_CAUSE_WORDS: Readonly<Record<FlowCause, string>> = {
  cooler: 'It is only colder than its pour. Once it is warm it is right.',
  hotter: 'It is only warmer than its pour. Once it has cooled it is right.',
  formula: 'The formula is like that, at the pour as well.',
  weights: 'A weight was not as written: a splash more, or a cup for the scale.',
  boiledLong: 'It boiled longer than planned, and water is missing.',
  model: 'This chocolate or cream is not like typical ones.',
};

/** Signs that are mended in portions or by taste, where more is to be said than the sign itself. */
export const SIGN_NOTES: Partial<Record<Sign, string>> = {
  gluey: 'There is too much starch or gum for so little liquid. It can only be thinned.',
  chalky: 'There is more cocoa than the liquid can carry.',
};

/** Why, for signs that are not of thickness. */
export const FAULT_CAUSE_WORDS: Readonly<Record<FaultCause, string>> = {
  waterIn: 'A little water got into the melted chocolate. It glues the sugar together. Only much more liquid frees it.',
  scorched: 'The chocolate was too hot.',
  split: 'The fat has come out: too little liquid, too cold, or stirred too long.',
  unmelted: 'Something has not melted through, or has set again.',
  sugarGrains: 'The sugar found too little water, or water boiled away before the grains were gone.',
  overwhipped: 'It was whipped too far.',
  gelStrings: 'The gelatin did not melt through, or it set in strings.',
  starchLumps: 'The starch met heat while it was dry.',
  cocoaClumps: 'Some cocoa is still dry inside.',
  rawStarch: 'The starch has not boiled long enough.',
  dried: 'It stood open, and its surface dried.',
  caught: 'The base was hotter than this sauce can take.',
  coarseFat: 'It set too fast or too slowly, or was stirred as it set. Its fat grew in coarse crystals.',
  outOfTemper: 'The chocolate has lost its temper.',
  bubbles: 'There is air in it, or damp on it.',
  notCold: 'It is not cold enough yet. Its fat has to set before it holds air.',
  littleFat: 'There is too little fat in it to hold air.',
  weepingGel: 'Its gel has tightened and gives water off. Starch and thin gels do so in the cold.',
};

/** What is asked. */
export const QUESTION_WORDS: Readonly<Record<Question, string>> = {
  fatAtRim: 'Does fat shine at the rim?',
  rubbed: 'Rub a little between two fingers. What is it like?',
  lumpIs: 'Take a lump out. What is it like?',
  burntSmell: 'Does it smell burnt?',
  whileWhipping: 'Did it come while you whipped it?',
  coldEnough: 'Was it below 6 °C all through?',
};

/** What can be answered. */
export const ANSWER_WORDS: Readonly<{
  [Asked in Question]: Readonly<Record<keyof (typeof ANSWERS)[Asked], string>>;
}> = {
  fatAtRim: { yes: 'Yes, fat shines', no: 'No' },
  rubbed: {
    crunchy: 'Crunchy, like sugar',
    melts: 'Waxy, it melts',
    rubbery: 'Rubbery',
    powdery: 'Powdery or sticky',
  },
  lumpIs: {
    paleSoft: 'Pale and soft',
    darkHard: 'Dark and hard',
    dryInside: 'Dry inside',
    clearRubbery: 'Clear and rubbery',
  },
  burntSmell: { yes: 'Yes, burnt', no: 'No' },
  whileWhipping: { yes: 'Yes, while whipping', no: 'No, before' },
  coldEnough: { yes: 'Yes', no: 'No, or not sure' },
};

/** How it looks, said after a portion. */
export const SEEN_WORDS: Readonly<Record<Seen, string>> = {
  farTooThin: 'Far too thin',
  bitThin: 'A bit thin',
  right: 'Right',
  bitThick: 'A bit thick',
  farTooThick: 'Far too thick',
};

/** How a cook tells that a fix worked. */
export const WORKED_WORDS: Readonly<Record<WorkedSign, string>> = {
  smoothAndShiny: 'It is smooth and shines.',
  noFatAtRim: 'No fat shows at the rim, and it clings together.',
  noLumps: 'It runs smooth off the spoon, with no lump in it.',
  noGrains: 'No grain is felt between two fingers.',
  notFloury: 'It no longer tastes of flour.',
  noSkin: 'The surface is smooth.',
  tastesClean: 'A cooled spoonful tastes of chocolate, not of smoke.',
  shines: 'It shines evenly where it has set.',
  softPeaks: 'It stands in soft peaks.',
  noWater: 'No water stands on it.',
};

/** What is done where a fix did not work and nothing else is left to try. */
export const END_WORDS: Readonly<Record<Extract<IfNot, { end: string }>['end'], string>> = {
  strain: 'Pass it through a fine sieve and use what comes through.',
  meltAndStartAgain: 'Melt it at 35 °C, chill it 12 h, then whip it again and stop sooner.',
  giveUp: 'Nothing more saves it. Start again with fresh things.',
};

/** How figures are written. */
interface Figures {
  readonly weight: (grams: number) => string;
  readonly celsius: (temperatureC: number) => string;
  readonly minutes: (minutes: number) => string;
  readonly hours: (hours: number) => string;
}

/**
 * One thing to do.
 *
 * @param liquid the name of what it puts in, where it puts something in
 */
export function fixStepSentence(step: FixStep, liquid: string, n: Figures): string {
  switch (step.do) {
    case 'whiskIn':
      return `Whisk in ${n.weight(step.grams)} of ${liquid} at ${n.celsius(step.temperatureC)} from the middle, a spoon at a time.`;
    case 'addAtOnce':
      return `Add ${n.weight(step.grams)} of ${liquid} at ${n.celsius(step.temperatureC)}, all at once. A splash only stiffens it more.`;
    case 'foldIn':
      return `Fold in ${n.weight(step.grams)} of ${liquid}, a spoon at a time, by hand.`;
    case 'warm':
      return `Warm it gently to ${n.celsius(step.temperatureC)}, over steam or in short bursts, stirring.`;
    case 'cool':
      return `Let it cool to ${n.celsius(step.temperatureC)}.`;
    case 'boil':
      return `Boil it ${n.minutes(step.minutes)}, scraping the base.`;
    case 'chill':
      return `Chill it ${n.hours(step.hours)}, covered.`;
    case 'blend':
      return 'Blend it with a stick blender, its head under the surface, until it is even.';
    case 'sieve':
      return 'Pass it through a fine sieve.';
    case 'wait':
      return 'Leave it alone for two minutes, then stir.';
    case 'pourOff':
      return 'Take it off the heat. Do not scrape the base. Pour it into a clean pan.';
    case 'stirCool':
      return 'Stir it now and then while it cools.';
    case 'whiskSkinIn':
      return 'Whisk the skin in while it is warm, or strain it off.';
    case 'cover':
      return 'Lay film on the surface.';
    case 'tap':
      return 'Tap the bowl on the table so that bubbles rise.';
    case 'temperAgain':
      return 'Temper it again: cool it with callets, stirring, and test a knife tip.';
    case 'whipAgain':
      return 'Whip it cold, on a middle speed, and stop at soft peaks.';
    case 'useToday':
      return 'Use it today: it will give water off again.';
  }
}

/**
 * How a portion goes in, by what it is.
 *
 * @param amount grams and name, as in `12 g of cream`
 * @param isCold the pan has set and has to be warmed first
 */
export function putInSentences(role: RowRole, amount: string, isCold: boolean): readonly string[] {
  const warmFirst = isCold ? ['Warm the pan gently to 45 °C first.'] : [];
  switch (role) {
    case 'liquid':
      return [...warmFirst, `Stir in ${amount}, as warm as the pan, from the middle.`];
    case 'spirit':
      return [...warmFirst, `Off the heat, stir in ${amount} as it is.`];
    case 'gelatin':
      return [
        ...warmFirst,
        `Soak ${amount} in cold water, then press the water out.`,
        'Melt it in a little of the warm sauce and stir that in.',
      ];
    case 'starch':
      return [...warmFirst, `Mix ${amount} with a little cold water.`, 'Whisk it in and boil for a minute.'];
    case 'helper':
      return [...warmFirst, `Mix ${amount} with a spoon of sugar and blend it in.`];
    case 'chocolate':
      return [...warmFirst, `Chop ${amount} finely. Stir it in off the heat until it has melted.`];
    case 'cocoa':
      return [...warmFirst, `Stir ${amount} to a paste with a little of the sauce. Whisk that in.`];
    case 'sugar':
      return [...warmFirst, `Stir in ${amount} until no grain is felt.`];
    case 'butter':
      return [...warmFirst, `Stir in ${amount} in small pieces.`];
    case 'syrup':
    case 'oil':
    case 'paste':
    case 'flavour':
      return [...warmFirst, `Stir in ${amount} from the middle.`];
  }
}

/** How a cook looks after a portion. */
export const LOOK_WORDS: Readonly<Record<'warm' | 'cold', string>> = {
  warm: 'Stir it smooth, wait half a minute, draw the spoon out.',
  cold: 'Put a spoonful on a cold plate in the fridge for 20 minutes, then try it.',
};
