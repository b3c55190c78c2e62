import type { PanKind } from './pan-kind';
import type { Sign } from './signs';

/** Signs that are mended by other means than grams of something that thins, thickens, firms or sweetens. */
export const FAULT_SIGNS = [
  'seized',
  'oily',
  'lumps',
  'sandy',
  'floury',
  'skin',
  'catching',
  'dull',
  'noWhip',
  'weeping',
] as const satisfies readonly Sign[];
export type FaultSign = (typeof FAULT_SIGNS)[number];

export const isFaultSign = (sign: Sign): sign is FaultSign => FAULT_SIGNS.some((each) => each === sign);

/** Why a pan shows a sign of those. */
export const FAULT_CAUSES = [
  /** a little water got into melted chocolate */
  'waterIn',
  /** it was too hot and tastes so */
  'scorched',
  /** the fat has left the emulsion: too little liquid for it, or too cold */
  'split',
  /** chocolate or fat that has not melted through, or set again */
  'unmelted',
  /** sugar that is not dissolved, or has come out again */
  'sugarGrains',
  /** whipped too far */
  'overwhipped',
  /** gelatin that was not melted, or set in strings */
  'gelStrings',
  /** starch that met heat dry */
  'starchLumps',
  /** cocoa that is still dry inside */
  'cocoaClumps',
  /** starch that has not boiled long enough */
  'rawStarch',
  /** the surface dried in the open */
  'dried',
  /** the base was hotter than the sauce bears */
  'caught',
  /** its fat set in coarse crystals */
  'coarseFat',
  /** chocolate that has lost its temper */
  'outOfTemper',
  /** air in it, or damp on it */
  'bubbles',
  /** too warm to whip */
  'notCold',
  /** too little fat to whip */
  'littleFat',
  /** a gel that gives its water off */
  'weepingGel',
] as const;
export type FaultCause = (typeof FAULT_CAUSES)[number];

/** What is asked before anything is told; each is drawn. */
export const QUESTIONS = ['fatAtRim', 'rubbed', 'lumpIs', 'burntSmell', 'whileWhipping', 'coldEnough'] as const;
export type Question = (typeof QUESTIONS)[number];

/** What each answer to a question speaks for. */
export const ANSWERS = {
  fatAtRim: { yes: ['split', 'overwhipped'], no: [] },
  rubbed: {
    crunchy: ['sugarGrains'],
    melts: ['unmelted', 'coarseFat'],
    rubbery: ['gelStrings'],
    powdery: ['cocoaClumps', 'starchLumps', 'rawStarch', 'waterIn'],
  },
  lumpIs: {
    paleSoft: ['starchLumps'],
    darkHard: ['unmelted'],
    dryInside: ['cocoaClumps'],
    clearRubbery: ['gelStrings'],
  },
  burntSmell: { yes: ['scorched', 'caught'], no: [] },
  whileWhipping: { yes: ['overwhipped'], no: [] },
  coldEnough: { yes: ['littleFat'], no: ['notCold'] },
} as const satisfies Readonly<Record<Question, Readonly<Record<string, readonly FaultCause[]>>>>;

/** What is known of a pan besides its kind. */
export interface FaultyPan {
  readonly kind: PanKind;
  readonly hasStarch: boolean;
  readonly hasGelatin: boolean;
  readonly hasCocoa: boolean;
  /** it lies in the window in which a little water glues its sugar */
  readonly isSeized: boolean;
}

/** An answer to a question. */
export interface Answered {
  readonly question: Question;
  readonly answer: string;
}

/** A cause with how likely it is, 0-1. */
export interface CauseChance {
  readonly cause: FaultCause;
  readonly chance: number;
}

type Weights = Partial<Record<FaultCause, number>>;

/** How often each is the cause of a sign, by the kind of pan (J). A cause that needs something in the pan counts only where that is in it. */
const CAUSES: Readonly<Record<FaultSign, Readonly<Record<PanKind, Weights>>>> = {
  seized: {
    plain: { waterIn: 7, scorched: 3 },
    ganache: { split: 5, unmelted: 3, sugarGrains: 2, waterIn: 6 },
    waterSauce: { sugarGrains: 5, unmelted: 3, waterIn: 6 },
    whipped: { overwhipped: 8, unmelted: 2 },
    gelatinGlaze: { gelStrings: 5, sugarGrains: 4, split: 2 },
  },
  oily: {
    plain: { scorched: 5, outOfTemper: 5 },
    ganache: { split: 1 },
    waterSauce: { split: 1 },
    whipped: { overwhipped: 7, split: 3 },
    gelatinGlaze: { split: 1 },
  },
  lumps: {
    plain: { unmelted: 8, waterIn: 2 },
    ganache: { unmelted: 5, cocoaClumps: 4, starchLumps: 6, gelStrings: 4 },
    waterSauce: { unmelted: 3, cocoaClumps: 5, starchLumps: 6, gelStrings: 4 },
    whipped: { unmelted: 6, overwhipped: 4, gelStrings: 3 },
    gelatinGlaze: { gelStrings: 6, cocoaClumps: 4, unmelted: 3, starchLumps: 3 },
  },
  sandy: {
    plain: { outOfTemper: 5, waterIn: 5 },
    ganache: { sugarGrains: 7, coarseFat: 3 },
    waterSauce: { sugarGrains: 1 },
    whipped: { sugarGrains: 5, overwhipped: 5 },
    gelatinGlaze: { sugarGrains: 7, gelStrings: 3 },
  },
  floury: {
    plain: { cocoaClumps: 1 },
    ganache: { rawStarch: 7, cocoaClumps: 3 },
    waterSauce: { rawStarch: 7, cocoaClumps: 3 },
    whipped: { rawStarch: 5, cocoaClumps: 5 },
    gelatinGlaze: { rawStarch: 3, cocoaClumps: 7 },
  },
  skin: {
    plain: { unmelted: 1 },
    ganache: { dried: 1 },
    waterSauce: { dried: 1 },
    whipped: { dried: 1 },
    gelatinGlaze: { dried: 7, gelStrings: 3 },
  },
  catching: {
    plain: { scorched: 1 },
    ganache: { caught: 1 },
    waterSauce: { caught: 1 },
    whipped: { caught: 1 },
    gelatinGlaze: { caught: 1 },
  },
  dull: {
    plain: { outOfTemper: 1 },
    ganache: { coarseFat: 7, bubbles: 3 },
    waterSauce: { bubbles: 5, dried: 5 },
    whipped: { overwhipped: 6, coarseFat: 4 },
    gelatinGlaze: { bubbles: 6, dried: 4 },
  },
  noWhip: {
    plain: { littleFat: 1 },
    ganache: { notCold: 6, littleFat: 4 },
    waterSauce: { littleFat: 1 },
    whipped: { notCold: 6, littleFat: 4 },
    gelatinGlaze: { notCold: 6, littleFat: 4 },
  },
  weeping: {
    plain: { bubbles: 1 },
    ganache: { weepingGel: 5, split: 5 },
    waterSauce: { weepingGel: 1 },
    whipped: { overwhipped: 5, weepingGel: 5 },
    gelatinGlaze: { weepingGel: 1 },
  },
};

/** What a cause needs in the pan to be one. */
const NEEDS: Partial<Record<FaultCause, (pan: FaultyPan) => boolean>> = {
  starchLumps: ({ hasStarch }) => hasStarch,
  rawStarch: ({ hasStarch }) => hasStarch,
  gelStrings: ({ hasGelatin }) => hasGelatin,
  cocoaClumps: ({ hasCocoa }) => hasCocoa,
  // A pan with enough water cannot have seized: then it is short of liquid for its fat, or grainy of something else.
  waterIn: ({ kind, isSeized }) => kind === 'plain' || isSeized,
};

/** How much more an answer speaks for what it names than for anything else (J). */
const SPEAKS_FOR = 12;
/** From this chance on nothing more is asked; and at most so many questions are. */
const SURE = 0.8;
const MOST_QUESTIONS = 2;

/** Causes an answer speaks for; none where it is not an answer to the question. */
function speaksFor({ question, answer }: Answered): readonly FaultCause[] {
  const answers: Readonly<Record<string, readonly FaultCause[]>> = ANSWERS[question];
  return Object.hasOwn(answers, answer) ? (answers[answer] ?? []) : [];
}

/** What an answer makes of a chance: a "no" speaks against what its "yes" would have spoken for. */
function factor(cause: FaultCause, { question, answer }: Answered): number {
  const named = speaksFor({ question, answer });
  if (named.length > 0) return named.includes(cause) ? 1 : 1 / SPEAKS_FOR;
  const others = Object.values<readonly FaultCause[]>(ANSWERS[question]).flat();
  return others.includes(cause) ? 1 / SPEAKS_FOR : 1;
}

/**
 * Why a pan shows a sign, by its kind, by what is in it, and by what the cook answered.
 *
 * @returns the likeliest first; the chances sum to 1, of one cause at least
 */
export function causesOfFault(sign: FaultSign, pan: FaultyPan, answers: readonly Answered[]): CauseChance[] {
  const usual = Object.entries(CAUSES[sign][pan.kind]) as [FaultCause, number][];
  const possible = usual.filter(([cause]) => NEEDS[cause]?.(pan) ?? true);
  const weighed = (possible.length > 0 ? possible : usual).map(([cause, weight]) => ({
    cause,
    chance: answers.reduce((chance, each) => chance * factor(cause, each), weight),
  }));
  const sum = weighed.reduce((all, { chance }) => all + chance, 0);
  return weighed.map(({ cause, chance }) => ({ cause, chance: chance / sum })).sort((a, b) => b.chance - a.chance);
}

/** Chance left, on the mean over the answers, of being wrong about the cause: what a good question makes small. */
function leftOpen(causes: readonly CauseChance[], question: Question): number {
  const answers = Object.keys(ANSWERS[question]);
  const told = answers.map((answer) => causes.map(({ cause, chance }) => chance * factor(cause, { question, answer })));
  const column = causes.map((_, i) => told.reduce((sum, row) => sum + (row[i] ?? 0), 0));
  // How likely each answer is of each cause; then what the best guess after it leaves.
  return (
    1 -
    told.reduce(
      (sum, row) => sum + Math.max(...row.map((each, i) => (each / (column[i] || 1)) * (causes[i]?.chance ?? 0))),
      0,
    )
  );
}

/** A question that settles less than this of what is open is not asked. */
const WORTH_ASKING = 0.05;

/**
 * The next question that tells most about the cause.
 *
 * @returns nothing once the cause is plain, or two were asked, or none would tell anything
 */
export function nextQuestion(causes: readonly CauseChance[], answers: readonly Answered[]): Question | undefined {
  const sure = causes[0]?.chance ?? 1;
  if (sure >= SURE || answers.length >= MOST_QUESTIONS) return undefined;
  const open = QUESTIONS.filter((question) => answers.every((each) => each.question !== question))
    .map((question) => ({ question, left: leftOpen(causes, question) }))
    .sort((a, b) => a.left - b.left);
  const [best] = open;
  return best && 1 - sure - best.left > WORTH_ASKING ? best.question : undefined;
}
