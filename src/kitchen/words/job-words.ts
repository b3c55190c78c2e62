import type { Job, JobUse } from '@/core/brief/job';

/** How a use is said: on its card, as the verb of its sentence, and what it is usually done to. */
export interface JobWords {
  readonly name: string;
  readonly verb: string;
  readonly things: readonly [one: string, many: string];
  /** completes "… at 32 °C" */
  readonly worked: string;
}

export const JOB_WORDS: Readonly<Record<JobUse, JobWords>> = {
  coat: { name: 'Coat pastry', verb: 'Coat', things: ['éclair', 'éclairs'], worked: 'poured' },
  glaze: { name: 'Glaze a cake', verb: 'Glaze', things: ['cake', 'cakes'], worked: 'poured' },
  nap: { name: 'Nap ice cream', verb: 'Nap', things: ['scoop of ice cream', 'scoops of ice cream'], worked: 'poured' },
  pool: { name: 'Pool a plate', verb: 'Sauce', things: ['plate', 'plates'], worked: 'poured' },
  dip: { name: 'Dip and cling', verb: 'Dip', things: ['wafer', 'wafers'], worked: 'dipped' },
  drink: { name: 'Drink thick', verb: 'Pour out', things: ['cup', 'cups'], worked: 'served' },
  tart: { name: 'Fill a tart', verb: 'Fill', things: ['tart', 'tarts'], worked: 'poured' },
  shell: { name: 'Fill shells', verb: 'Fill', things: ['moulded shell', 'moulded shells'], worked: 'filled' },
  layers: { name: 'Spread layers', verb: 'Layer', things: ['cake', 'cakes'], worked: 'spread' },
  sandwich: { name: 'Sandwich biscuits', verb: 'Sandwich', things: ['biscuit', 'biscuits'], worked: 'piped' },
  pipe: { name: 'Pipe swirls', verb: 'Pipe', things: ['swirl', 'swirls'], worked: 'piped' },
  cover: { name: 'Cover by knife', verb: 'Cover', things: ['cake', 'cakes'], worked: 'spread' },
  roll: { name: 'Roll truffles', verb: 'Roll', things: ['truffle', 'truffles'], worked: 'rolled' },
  cut: { name: 'Cut slabs', verb: 'Set and cut', things: ['slab', 'slabs'], worked: 'cut' },
  spoon: { name: 'Spoon from a jar', verb: 'Fill', things: ['jar', 'jars'], worked: 'filled' },
  whip: { name: 'Whip', verb: 'Whip', things: ['portion', 'portions'], worked: 'whipped' },
};

/** What is usually counted, one or many of it. */
export function usualThings(use: JobUse, count: number): string {
  return JOB_WORDS[use].things[count === 1 ? 0 : 1];
}

/** `48 buckwheat éclairs`. */
export function jobThings({ use, count, what }: Job): string {
  return `${count} ${what.trim() || usualThings(use, count)}`;
}
