import type { End } from '../pan/follow';
import type { GrainSize, PieceSize } from '../pan/lump';
import type { Tool } from '../pan/pan';

/** What is done in a step; what it is called stands in the words. */
export const STEP_KINDS = [
  'soak',
  'warm',
  'boil',
  'simmer',
  'custard',
  'melt',
  'pourOver',
  'wait',
  'stir',
  'bursts',
  'slurry',
  'cookOut',
  'butter',
  'spirit',
  'gelatin',
  'blend',
  'strain',
  'cool',
  'chill',
  'whip',
] as const;

export type StepKind = (typeof STEP_KINDS)[number];

/** Heat as households say it: three flames, and a bowl over simmering water. */
export const HEAT_WORDS = ['low', 'medium', 'high', 'bath'] as const;
export type HeatWord = (typeof HEAT_WORDS)[number];

/** How far a hob is turned up at each word (J); a bath has no flame under what is made. */
export const HEAT_LEVELS: Readonly<Record<Exclude<HeatWord, 'bath'>, number>> = { low: 0.15, medium: 0.4, high: 0.8 };

/** What goes in at the beginning of a step: a row of the formula, or a part of it. */
export interface StepAddition {
  /** place of the row in the formula */
  readonly row: number;
  /** part of the row, above 0 to 1 */
  readonly share: number;
  /** how small its pieces or grains are; left out, as noted beside the row or as usual */
  readonly size?: PieceSize | GrainSize | undefined;
}

/** When a step is over: as the pan's own ends, or bursts until melted, or a stand in a place. */
export type StepEnd =
  | End
  /** bursts of a microwave until all is melted and so warm */
  | { readonly kind: 'bursts'; readonly toC: number }
  | { readonly kind: 'stand'; readonly hours: number };

/** Where a step happens: `aside` is beside the pan, what is made there goes in with a later step; a `jar` holds the finished batch, cold. */
export const STEP_PLACES = ['pan', 'bowl', 'jar', 'aside'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

/** One step of a method. */
export interface MethodStep {
  readonly kind: StepKind;
  readonly where: StepPlace;
  readonly adds: readonly StepAddition[];
  readonly heat?: HeatWord | undefined;
  /** 0 left alone, 0.3 now and then, 0.6 whisked, 1 hard */
  readonly stir: number;
  readonly tool?: Tool | undefined;
  readonly cover: number;
  readonly end: StepEnd;
  /** s it takes at least, even when its end has come */
  readonly leastSeconds?: number | undefined;
  /** what the cook noted beside it */
  readonly note?: string | undefined;
}

/** A method: the way of working, and its steps in order. */
export interface Method {
  readonly way: WayId;
  readonly steps: readonly MethodStep[];
}

export const WAY_IDS = [
  'pouredOver',
  'simmered',
  'microwave',
  'waterBath',
  'creamInMicrowave',
  'starchSauce',
  'starchLast',
  'cocoaSyrup',
  'overCondensed',
  'condensedWarmed',
  'custard',
  'keptCool',
  'fatFirst',
  'gelatinMirror',
  'neutralGlaze',
  'stickBlender',
  'whipped',
  'reheated',
] as const;

export type WayId = (typeof WAY_IDS)[number];
