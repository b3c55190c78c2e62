import type { Brief } from '@/core/brief/brief';

/** Cautions the brief itself asks for, one plain line each; the local food code and licensed practice decide. */
export function briefCautions({ jobs, wishes, making }: Brief): string[] {
  const notes: string[] = [];
  if (making.heat !== 'none') notes.push('Cream rises and scalds: fill the pan no more than half.');
  if (jobs.some(({ use }) => use === 'dip')) notes.push('Fried dough: keep hot oil away from wet sauce and hands.');
  if (jobs.some(({ use }) => use === 'drink')) notes.push('Hot drinks scald: serve children lukewarm.');
  if (wishes.keepDays !== undefined) {
    notes.push('How long it keeps is an index, not a use-by date: cool dairy fast, hold it at 5 °C or under.');
  }
  if (wishes.without.some((each) => each === 'nuts' || each === 'dairy' || each === 'soya')) {
    notes.push('Packs may hold traces: read each label, and clean tools between batches.');
  }
  if (jobs.some(({ place, hours, use }) => place === 'kitchen' && hours > 4 && use !== 'roll' && use !== 'cut')) {
    notes.push('Cream ganache left in a warm kitchen for hours is a dairy risk: your food code says how long.');
  }
  return notes;
}
