import { type Job, pieceOf } from '@/core/brief/job';
import type { JobUse, UseId } from '@/core/uses/catalogue';
import type { PieceKey } from '@/core/uses/pieces';
import type { PortionKey } from '@/core/yields/portions';

/** How a use is said: on its card, and as a sentence. */
export interface JobWords {
  readonly name: string;
  /** the job as a whole sentence with its fields; what stands in brackets is said where its pieces ask for it */
  readonly sentence: string;
}

export const JOB_WORDS: Readonly<Record<JobUse, JobWords>> = {
  coat: {
    name: 'Coat pastry',
    sentence:
      'Coat {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  glaze: {
    name: 'Glaze a cake',
    sentence:
      'Glaze {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  nap: {
    name: 'Nap ice cream',
    sentence:
      'Nap {count} {what}[ {counted}][ {sizes}] with {mm}, poured at {work}[ in a {kitchen} kitchen][; what runs off is {runOff}].',
  },
  pool: {
    name: 'Pool a plate',
    sentence: 'Sauce {count} {what}[ {counted}][ {sizes}], {mm} deep, poured at {work}[ in a {kitchen} kitchen].',
  },
  dip: {
    name: 'Dip and cling',
    sentence:
      'Dip {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, dipped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  fondue: {
    name: 'Fondue pot',
    sentence:
      'Serve {count} {what}[ {counted}][ {sizes}], kept warm at {work} for {hours}[ in a {kitchen} kitchen], {mm} on what is dipped.',
  },
  drink: {
    name: 'Drink thick',
    sentence: 'Pour out {count} {what}[ {counted}][ {sizes}], served at {work}[ in a {kitchen} kitchen].',
  },
  tart: {
    name: 'Fill a tart',
    sentence:
      'Fill {count} {what}[ {counted}][ {sizes}], {mm} deep, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  shell: {
    name: 'Fill shells',
    sentence:
      'Fill {count} {what}[ {counted}][ {sizes}], filled at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  layers: {
    name: 'Spread layers',
    sentence:
      'Layer {count} {what}[ {counted}][ {sizes}], {mm} deep, spread at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  sandwich: {
    name: 'Sandwich biscuits',
    sentence:
      'Sandwich {count} {what}[ {counted}][ {sizes}], {mm} deep, piped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  pipe: {
    name: 'Pipe swirls',
    sentence:
      'Pipe {count} {what}[ {counted}][ {sizes}], {mm} high, piped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  cover: {
    name: 'Cover by knife',
    sentence:
      'Cover {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, spread at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  roll: {
    name: 'Roll truffles',
    sentence: 'Roll {count} {what}[ {counted}][ {sizes}], rolled at {work}[ in a {kitchen} kitchen].',
  },
  cut: {
    name: 'Cut slabs',
    sentence: 'Set and cut {count} {what}[ {counted}][ {sizes}], {mm} deep, cut at {work}[ in a {kitchen} kitchen].',
  },
  spoon: {
    name: 'Spoon from a jar',
    sentence: 'Fill {count} {what}[ {counted}][ {sizes}], filled at {work}[ in a {kitchen} kitchen].',
  },
  whip: {
    name: 'Whip',
    sentence:
      'Whip {count} {what}[ {counted}][ {sizes}], whipped at {work}[ in a {kitchen} kitchen] after {hours} in the fridge.',
  },
};

/** What each fitted set of gates is called, as a cook says it. */
export const USE_NAMES: Readonly<Record<UseId, string>> = {
  coat_eclair: 'Coat éclairs',
  mirror_glaze: 'Glaze a cake over the side',
  nappe_sauce: 'Nap a dessert',
  pour_icecream: 'Pour over ice cream',
  pool_plate: 'Pool a plate',
  dip_stick: 'Dip and cling',
  spread_fill: 'Spread between layers',
  pipe_rosette: 'Pipe rosettes',
  roll_truffle: 'Roll truffles',
  cut_squares: 'Cut slabs',
  spoon_cold: 'Spoon from the jar',
};

/** What is sauced, filled or eaten: one of it, and many. */
export const PIECE_NAMES: Readonly<Record<PieceKey, readonly [one: string, many: string]>> = {
  eclair: ['éclair', 'éclairs'],
  glazedPuff: ['cream puff', 'cream puffs'],
  doughnut: ['doughnut', 'doughnuts'],
  smallCake: ['small cake', 'small cakes'],
  cake: ['cake', 'cakes'],
  domeCake: ['dome', 'domes'],
  logCake: ['log cake', 'log cakes'],
  scoop: ['scoop of ice cream', 'scoops of ice cream'],
  profiterole: ['profiterole', 'profiteroles'],
  pancake: ['pancake', 'pancakes'],
  waffle: ['waffle', 'waffles'],
  plate: ['plate', 'plates'],
  wafer: ['wafer', 'wafers'],
  strawberry: ['strawberry', 'strawberries'],
  fonduePot: ['fondue pot', 'fondue pots'],
  cup: ['cup', 'cups'],
  smallTart: ['small tart', 'small tarts'],
  tart: ['tart', 'tarts'],
  shell: ['moulded shell', 'moulded shells'],
  layerCake: ['cake', 'cakes'],
  biscuit: ['biscuit', 'biscuits'],
  swirl: ['swirl', 'swirls'],
  borderedCake: ['cake border', 'cake borders'],
  coveredCake: ['cake', 'cakes'],
  truffle: ['truffle', 'truffles'],
  slab: ['slab', 'slabs'],
  jar: ['jar', 'jars'],
  whipped: ['portion', 'portions'],
};

/** Pieces that are the portion itself. */
const PORTION_PIECES: Readonly<Partial<Record<PortionKey, readonly [one: string, many: string]>>> = {
  jar: ['jar', 'jars'],
  tub: ['tub', 'tubs'],
  board: ['board', 'boards'],
};

/** What is usually counted, one or many of it. */
export function usualThings(job: Pick<Job, 'use' | 'piece' | 'portion'>, count: number): string {
  const own = job.use === 'fondue' ? undefined : PORTION_PIECES[job.portion];
  return (own ?? PIECE_NAMES[pieceOf(job)])[count === 1 ? 0 : 1];
}

/** What is counted, one or many of it, in the cook's words where there are any. */
export const thingsOf = (job: Job, count = job.count) => job.what.trim() || usualThings(job, count);

/** `48 buckwheat éclairs`. */
export function jobThings(job: Job): string {
  return `${job.count} ${thingsOf(job)}`;
}
