import type { Job } from '@/core/brief/job';
import type { JobUse, UseId } from '@/core/uses/catalogue';

/** How a use is said: on its card, and what it is usually done to. */
export interface JobWords {
  readonly name: string;
  readonly things: readonly [one: string, many: string];
  /** the job as a whole sentence with its fields; what stands in brackets is said where its pieces ask for it */
  readonly sentence: string;
}

export const JOB_WORDS: Readonly<Record<JobUse, JobWords>> = {
  coat: {
    name: 'Coat pastry',
    things: ['éclair', 'éclairs'],
    sentence:
      'Coat {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  glaze: {
    name: 'Glaze a cake',
    things: ['cake', 'cakes'],
    sentence:
      'Glaze {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  nap: {
    name: 'Nap ice cream',
    things: ['scoop of ice cream', 'scoops of ice cream'],
    sentence: 'Nap {count} {what}[ {counted}][ {sizes}] with {mm}, poured at {work}[ in a {kitchen} kitchen].',
  },
  pool: {
    name: 'Pool a plate',
    things: ['plate', 'plates'],
    sentence: 'Sauce {count} {what}[ {counted}][ {sizes}], {mm} deep, poured at {work}[ in a {kitchen} kitchen].',
  },
  dip: {
    name: 'Dip and cling',
    things: ['wafer', 'wafers'],
    sentence:
      'Dip {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, dipped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}[; what runs off is {runOff}].',
  },
  drink: {
    name: 'Drink thick',
    things: ['cup', 'cups'],
    sentence: 'Pour out {count} {what}[ {counted}][ {sizes}], served at {work}[ in a {kitchen} kitchen].',
  },
  tart: {
    name: 'Fill a tart',
    things: ['tart', 'tarts'],
    sentence:
      'Fill {count} {what}[ {counted}][ {sizes}], {mm} deep, poured at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  shell: {
    name: 'Fill shells',
    things: ['moulded shell', 'moulded shells'],
    sentence:
      'Fill {count} {what}[ {counted}][ {sizes}], filled at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  layers: {
    name: 'Spread layers',
    things: ['cake', 'cakes'],
    sentence:
      'Layer {count} {what}[ {counted}][ {sizes}], {mm} deep, spread at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  sandwich: {
    name: 'Sandwich biscuits',
    things: ['biscuit', 'biscuits'],
    sentence:
      'Sandwich {count} {what}[ {counted}][ {sizes}], {mm} deep, piped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  pipe: {
    name: 'Pipe swirls',
    things: ['swirl', 'swirls'],
    sentence:
      'Pipe {count} {what}[ {counted}][ {sizes}], {mm} high, piped at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  cover: {
    name: 'Cover by knife',
    things: ['cake', 'cakes'],
    sentence:
      'Cover {count} {what}[ {counted}][ {sizes}] with {mm}[ over {sides}], hanging on {slope}, spread at {work}[ in a {kitchen} kitchen], kept in {place} for {hours} and eaten at {eat}.',
  },
  roll: {
    name: 'Roll truffles',
    things: ['truffle', 'truffles'],
    sentence: 'Roll {count} {what}[ {counted}][ {sizes}], rolled at {work}[ in a {kitchen} kitchen].',
  },
  cut: {
    name: 'Cut slabs',
    things: ['slab', 'slabs'],
    sentence: 'Set and cut {count} {what}[ {counted}][ {sizes}], {mm} deep, cut at {work}[ in a {kitchen} kitchen].',
  },
  spoon: {
    name: 'Spoon from a jar',
    things: ['jar', 'jars'],
    sentence: 'Fill {count} {what}[ {counted}][ {sizes}], filled at {work}[ in a {kitchen} kitchen].',
  },
  whip: {
    name: 'Whip',
    things: ['portion', 'portions'],
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

/** What is usually counted, one or many of it. */
export function usualThings(use: JobUse, count: number): string {
  return JOB_WORDS[use].things[count === 1 ? 0 : 1];
}

/** `48 buckwheat éclairs`. */
export function jobThings({ use, count, what }: Job): string {
  return `${count} ${what.trim() || usualThings(use, count)}`;
}
