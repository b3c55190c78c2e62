import type { Restriction } from '@/core/swap/restrictions';

/** What a pan is asked to do without, in a cook's words. */
export const RESTRICTION_WORDS: Readonly<Record<Restriction, string>> = {
  dairy: 'no dairy',
  alcohol: 'no alcohol',
  addedSugar: 'no added sugar',
  nuts: 'no nuts',
  soya: 'no soya',
  gelatin: 'no gelatin',
  animal: 'vegan',
};
