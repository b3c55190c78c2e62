import type { FaultCause, FaultyPan } from './diagnosis';

/** What a fix puts in: what is thin in this pan already, or what it says. */
export type FixLiquid = 'panLiquid' | 'coldCream' | 'water';

/** One thing to do. */
export type FixStep =
  /** whisked in from the middle, a spoon at a time */
  | { readonly do: 'whiskIn'; readonly what: FixLiquid; readonly grams: number; readonly temperatureC: number }
  /** all at once: a splash only stiffens it more */
  | { readonly do: 'addAtOnce'; readonly what: FixLiquid; readonly grams: number; readonly temperatureC: number }
  /** folded in by hand, no whisk */
  | { readonly do: 'foldIn'; readonly what: FixLiquid; readonly grams: number }
  | { readonly do: 'warm' | 'cool'; readonly temperatureC: number }
  | { readonly do: 'boil'; readonly minutes: number }
  | { readonly do: 'chill'; readonly hours: number }
  | {
      readonly do:
        | 'blend'
        | 'sieve'
        | 'wait'
        | 'pourOff'
        | 'stirCool'
        | 'whiskSkinIn'
        | 'cover'
        | 'tap'
        | 'temperAgain'
        | 'whipAgain'
        | 'useToday';
    };

/** How a cook tells that a fix worked. */
export const WORKED_SIGNS = [
  'smoothAndShiny',
  'noFatAtRim',
  'noLumps',
  'noGrains',
  'notFloury',
  'noSkin',
  'tastesClean',
  'shines',
  'softPeaks',
  'noWater',
] as const;
export type WorkedSign = (typeof WORKED_SIGNS)[number];

/** What is done where a fix did not work: try another cause, strain what can be used, or give it up. */
export type IfNot = { readonly next: FaultCause } | { readonly end: 'strain' | 'meltAndStartAgain' | 'giveUp' };

/** A fix: what to do, how to tell that it worked, what if not. */
export interface Fix {
  readonly steps: readonly FixStep[];
  readonly worked: WorkedSign;
  readonly ifNot: IfNot;
  /** it becomes again what it was to be */
  readonly isForGood: boolean;
  /** what comes of it may be used for something else */
  readonly hasOtherUses: boolean;
}

/** What a fix needs to know of a pan. */
export interface FixFacts extends FaultyPan {
  readonly massG: number;
  /** g of what is thin in it, else of water, that bring it past the window in which it is seized */
  readonly seizedNeedsG: number | undefined;
}

/** Shares of the pan and temperatures of the usual remedies (J). */
const CREAM_SHARE = 0.03;
const SPLASH_SHARE = 0.04;
const SEIZED_SHARE = 0.2;
const FROM_CENTRE_C = 35;
const MELTS_C = 45;
const GRAINS_C = 60;
const GEL_C = 50;
const COLD_C = 5;
const HOT_C = 60;
const SETS_C = 32;
const BOIL_MIN = 1.5;
const WHIP_H = 12;
const LEAST_G = 5;

const portion = (share: number, massG: number) => Math.max(Math.round(share * massG), LEAST_G);

const good = { isForGood: true, hasOtherUses: true } as const;
const saved = { isForGood: false, hasOtherUses: true } as const;
const lost = { isForGood: false, hasOtherUses: false } as const;

type Maker = (facts: FixFacts) => Fix;

/** Fixes by their cause (common practice; judgement in the figures). */
const FIXES: Readonly<Record<FaultCause, Maker>> = {
  waterIn: ({ massG, seizedNeedsG }) => ({
    steps: [
      {
        do: 'addAtOnce',
        what: 'panLiquid',
        grams: Math.max(Math.ceil(seizedNeedsG ?? SEIZED_SHARE * massG), LEAST_G),
        temperatureC: HOT_C,
      },
      { do: 'blend' },
    ],
    worked: 'smoothAndShiny',
    ifNot: { end: 'giveUp' },
    ...lost,
  }),
  scorched: () => ({
    steps: [{ do: 'pourOff' }, { do: 'cool', temperatureC: MELTS_C }, { do: 'sieve' }],
    worked: 'tastesClean',
    ifNot: { end: 'giveUp' },
    ...lost,
  }),
  split: ({ massG }) => {
    const some = {
      do: 'whiskIn',
      what: 'panLiquid',
      grams: portion(CREAM_SHARE, massG),
      temperatureC: COLD_C,
    } as const;
    return {
      steps: [{ do: 'cool', temperatureC: FROM_CENTRE_C }, some, some, { do: 'blend' }],
      worked: 'noFatAtRim',
      ifNot: { end: 'giveUp' },
      ...good,
    };
  },
  unmelted: ({ kind }) => ({
    steps: [
      { do: 'warm', temperatureC: MELTS_C },
      { do: 'wait' },
      ...(kind === 'plain' ? [] : [{ do: 'blend' } as const]),
    ],
    worked: 'noLumps',
    ifNot: { end: 'strain' },
    ...good,
  }),
  sugarGrains: ({ massG }) => ({
    steps: [
      { do: 'whiskIn', what: 'panLiquid', grams: portion(SPLASH_SHARE, massG), temperatureC: HOT_C },
      { do: 'warm', temperatureC: GRAINS_C },
      { do: 'stirCool' },
    ],
    worked: 'noGrains',
    ifNot: { end: 'strain' },
    ...good,
  }),
  overwhipped: ({ massG }) => ({
    steps: [{ do: 'foldIn', what: 'coldCream', grams: portion(SPLASH_SHARE, massG) }],
    worked: 'softPeaks',
    ifNot: { end: 'meltAndStartAgain' },
    ...good,
  }),
  gelStrings: () => ({
    steps: [{ do: 'warm', temperatureC: GEL_C }, { do: 'wait' }, { do: 'sieve' }],
    worked: 'noLumps',
    ifNot: { end: 'strain' },
    ...good,
  }),
  starchLumps: () => ({
    steps: [{ do: 'sieve' }, { do: 'blend' }, { do: 'boil', minutes: BOIL_MIN }],
    worked: 'noLumps',
    ifNot: { end: 'strain' },
    ...good,
  }),
  cocoaClumps: () => ({
    steps: [{ do: 'warm', temperatureC: MELTS_C }, { do: 'blend' }, { do: 'sieve' }],
    worked: 'noLumps',
    ifNot: { end: 'strain' },
    ...good,
  }),
  rawStarch: () => ({
    steps: [{ do: 'boil', minutes: BOIL_MIN }],
    worked: 'notFloury',
    ifNot: { next: 'cocoaClumps' },
    ...good,
  }),
  dried: () => ({
    steps: [{ do: 'warm', temperatureC: MELTS_C }, { do: 'whiskSkinIn' }, { do: 'cover' }],
    worked: 'noSkin',
    ifNot: { end: 'strain' },
    ...good,
  }),
  caught: () => ({
    steps: [{ do: 'pourOff' }, { do: 'sieve' }],
    worked: 'tastesClean',
    ifNot: { end: 'giveUp' },
    ...lost,
  }),
  coarseFat: () => ({
    steps: [
      { do: 'warm', temperatureC: MELTS_C },
      { do: 'blend' },
      { do: 'stirCool' },
      { do: 'cool', temperatureC: SETS_C },
    ],
    worked: 'shines',
    ifNot: { next: 'bubbles' },
    ...good,
  }),
  outOfTemper: () => ({
    steps: [{ do: 'warm', temperatureC: MELTS_C }, { do: 'temperAgain' }],
    worked: 'shines',
    ifNot: { next: 'scorched' },
    ...good,
  }),
  bubbles: () => ({
    steps: [
      { do: 'warm', temperatureC: MELTS_C },
      { do: 'sieve' },
      { do: 'tap' },
      { do: 'cool', temperatureC: SETS_C },
    ],
    worked: 'shines',
    ifNot: { next: 'dried' },
    ...good,
  }),
  notCold: () => ({
    steps: [{ do: 'chill', hours: WHIP_H }, { do: 'whipAgain' }],
    worked: 'softPeaks',
    ifNot: { next: 'littleFat' },
    ...good,
  }),
  littleFat: ({ massG }) => ({
    steps: [
      { do: 'foldIn', what: 'coldCream', grams: portion(0.1, massG) },
      { do: 'chill', hours: WHIP_H },
      { do: 'whipAgain' },
    ],
    worked: 'softPeaks',
    ifNot: { end: 'giveUp' },
    ...saved,
  }),
  weepingGel: () => ({
    steps: [{ do: 'warm', temperatureC: MELTS_C }, { do: 'blend' }, { do: 'useToday' }],
    worked: 'noWater',
    ifNot: { end: 'strain' },
    ...saved,
  }),
};

/**
 * What is done about a cause.
 *
 * @param facts of the pan as it is
 */
export const fixFor = (cause: FaultCause, facts: FixFacts): Fix => FIXES[cause](facts);
