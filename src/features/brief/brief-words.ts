import type { Brief } from '@/core/brief/brief';
import type { Exclusion } from '@/core/brief/exclusion';
import type { Job, Slope } from '@/core/brief/job';
import { type JobGate, nozzleMm } from '@/core/brief/job-gates';
import { piecesFrom } from '@/core/brief/plan';
import type { Role } from '@/core/brief/stock';
import { handLimit } from '@/core/flow/piping';
import type { PortionKey } from '@/core/yields/portions';
import { jobThings } from '@/kitchen/words/job-words';
import { celsius, listed, millimetres, stress } from '@/ui/format';
import { momentPhrase } from '@/ui/moment-words';

/** How a way of saying how much is named in the sentence. */
export const PORTION_WORDS: Readonly<Record<PortionKey, string>> = {
  finger: 'as fingers',
  round: 'as rounds',
  dome: 'as domes',
  log: 'as logs',
  block: 'as squares',
  scoop: 'by the scoop',
  pool: 'with a pool',
  dots: 'with dots',
  line: 'with a line',
  swirl: 'as rosettes',
  border: 'as borders',
  tart: 'round',
  roundLayer: 'round',
  slab: 'in frames',
  ball: 'by the scoop',
  biscuit: 'round',
  jar: 'in jars',
  tub: 'in tubs',
  scoopful: 'by the scoopful',
  board: 'for boards',
  millilitres: 'by volume',
  grams: 'by weight',
};

/** The side a coat hangs on. */
export const SLOPE_WORDS: Readonly<Record<Slope, string>> = {
  upright: 'an upright side',
  sloping: 'a side of 60°',
  shallow: 'a slope of 30°',
};

/** How each size is said. */
export const SIZE_SENTENCES: Readonly<Record<string, string>> = {
  length: '{size} long',
  width: '{size} wide',
  diameter: '{size} across',
  height: '{size} high',
  dots: '{size} a plate',
  layers: '{size} layers',
  each: '{size} each',
  nozzle: 'through a {size} tip',
  headspace: '{size} left free',
  guests: '{size} guests',
};

export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  dark: 'dark chocolate',
  milkChocolate: 'milk chocolate',
  white: 'white chocolate',
  gianduja: 'gianduja',
  cream: 'cream or a plant cream',
  milk: 'milk or a plant drink',
  butter: 'butter',
  syrup: 'a syrup',
  sugar: 'sugar',
  cocoa: 'cocoa powder',
  starch: 'starch',
  gelatin: 'gelatin',
  condensed: 'condensed milk',
  neutralGlaze: 'neutral glaze',
  water: 'water',
};

const shown = (pa: number) => {
  const { number, unit } = stress(pa);
  return `${number}\u202f${unit}`;
};

/** `at the pour, nap and served`. */
export function momentList(moments: readonly string[]): string {
  return listed(moments.map(momentPhrase));
}

/** `misses at the pour and served`. */
export function missesWords(moments: readonly string[]): string {
  return `misses ${momentList(moments)}`;
}

/** How many pieces so many grams make: `41 éclairs and 12 plates`. */
export function makesWords(brief: Brief, finishedG: number, densityKgM3?: number): string {
  const counts = piecesFrom(brief, finishedG, densityKgM3);
  return listed(brief.jobs.map((job, i) => jobThings({ ...job, count: counts[i] ?? 0 })));
}

/** Why a gate is where it is, in a cook's words with the figure behind it. */
export function reasonOf({ why, needsPa }: JobGate, job: Job): string {
  const mm = millimetres(job.mm);
  switch (why) {
    case 'film':
      return `It drains until it stops: this leaves about ${mm}.`;
    case 'hangs':
      return `${mm} hanging on ${SLOPE_WORDS[job.slope]} for good would need ${shown(needsPa ?? 0)}; what drains makes up the rest.`;
    case 'stays':
      return `Once set, ${mm} must not slip (it pulls with ${shown(needsPa ?? 0)}) and still bite softly.`;
    case 'levels':
      return `It must find its level by itself, to ${millimetres(2)} at the rim.`;
    case 'pours':
      return 'It must run out of the jug in one go.';
    case 'pools':
      return `A pool ${mm} deep must run out to its size and stop there.`;
    case 'drinks':
      return 'Thick in the mouth, and the cup still empties.';
    case 'stands':
      return `${mm} high, it stands from ${shown(needsPa ?? 0)}; past ${shown(handLimit(nozzleMm(job)))} a hand tires at the bag with a tip of ${millimetres(nozzleMm(job))}.`;
    case 'knife':
      return 'One pass of a palette knife: soft enough to move, firm enough to stay.';
    case 'slices':
      return `A slice ${mm} high must keep a clean side and give to the fork.`;
    case 'palm':
      return 'Palms press 30 to 150\u202fkPa: it must roll, not smear.';
    case 'cuts':
      return 'It must part under the knife and keep its edge.';
    case 'bites':
      return 'It must hold its shape and still bite softly.';
    case 'spoons':
      return 'From the jar a spoon must go in and come out with some on it.';
    case 'loosens':
      return 'Cold, it must take air: loose enough for the whisk, thick enough to hold it. How much air is not predicted.';
  }
}

/** What cannot both be had, and what would help. */
export function exclusionWords({ kind, warmer, colder, leastPa, mostPa }: Exclusion): string {
  const [a, b] = [momentPhrase(warmer), momentPhrase(colder)];
  switch (kind) {
    case 'sameMoment':
      return `Two jobs ask opposite things of one moment (${a}): at least ${shown(leastPa)} and at most ${shown(mostPa)}. Work one of them warmer or colder, or make two batches.`;
    case 'colderThinner':
      return `Warm (${a}) it would have to be at least ${shown(leastPa)}, and colder (${b}) at most ${shown(mostPa)}: nothing gets thinner on cooling. Make two batches, or warm the second job up.`;
    case 'tooSteep':
      return `Between ${a} and ${b} it would have to stiffen from at most ${shown(mostPa)} to at least ${shown(leastPa)}: no fat sets that fast. Let them lie further apart, or make two batches.`;
  }
}

/** What a temperature of the kitchen does, when it is worth a word. */
export function kitchenWord(kitchenC: number): string | undefined {
  if (kitchenC >= 27)
    return `At ${celsius(kitchenC)} cocoa butter hardly sets: what stands in this kitchen stays soft.`;
  if (kitchenC >= 24)
    return `At ${celsius(kitchenC)} what is worked at room temperature is far softer than at ${celsius(20)}.`;
  if (kitchenC <= 15) return `At ${celsius(kitchenC)} it sets fast: work quickly, or keep it warm.`;
  return undefined;
}
