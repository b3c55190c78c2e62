import type { Job, JobUse } from '@/core/brief/job';

/** How a use is said: on its card, as the verb of its sentence, and what it is usually done to. */
export interface JobWords {
  readonly name: string;
  readonly verb: string;
  readonly things: string;
  /** completes "… at 32 °C" */
  readonly worked: string;
}

export const JOB_WORDS: Readonly<Record<JobUse, JobWords>> = {
  coat: { name: 'Coat pastry', verb: 'Coat', things: 'éclairs', worked: 'poured' },
  glaze: { name: 'Glaze a cake', verb: 'Glaze', things: 'cakes', worked: 'poured' },
  nap: { name: 'Nap ice cream', verb: 'Nap', things: 'scoops of ice cream', worked: 'poured' },
  pool: { name: 'Pool a plate', verb: 'Sauce', things: 'plates', worked: 'poured' },
  dip: { name: 'Dip and cling', verb: 'Dip', things: 'wafers', worked: 'dipped' },
  drink: { name: 'Drink thick', verb: 'Pour out', things: 'cups', worked: 'served' },
  tart: { name: 'Fill a tart', verb: 'Fill', things: 'tarts', worked: 'poured' },
  shell: { name: 'Fill shells', verb: 'Fill', things: 'moulded shells', worked: 'filled' },
  layers: { name: 'Spread layers', verb: 'Layer', things: 'cakes', worked: 'spread' },
  sandwich: { name: 'Sandwich biscuits', verb: 'Sandwich', things: 'biscuits', worked: 'piped' },
  pipe: { name: 'Pipe swirls', verb: 'Pipe', things: 'swirls', worked: 'piped' },
  cover: { name: 'Cover by knife', verb: 'Cover', things: 'cakes', worked: 'spread' },
  roll: { name: 'Roll truffles', verb: 'Roll', things: 'truffles', worked: 'rolled' },
  cut: { name: 'Cut slabs', verb: 'Set and cut', things: 'slabs', worked: 'cut' },
  whip: { name: 'Whip', verb: 'Whip', things: 'portions', worked: 'whipped' },
};

/** `48 buckwheat éclairs`. */
export function jobThings({ use, count, what }: Job): string {
  return `${count} ${what.trim() || JOB_WORDS[use].things}`;
}
