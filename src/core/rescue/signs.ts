/** What a cook sees is wrong. */
export const SIGNS = [
  'farTooThick',
  'bitThick',
  'bitThin',
  'farTooThin',
  'seized',
  'oily',
  'lumps',
  'sandy',
  'floury',
  'gluey',
  'chalky',
  'skin',
  'catching',
  'dull',
  'tooSweet',
  'tooBitter',
  'softAfterNight',
  'hardAfterNight',
  'noWhip',
  'weeping',
] as const;

export type Sign = (typeof SIGNS)[number];

/** How a sign is met. */
export type RescuePlan =
  /** in portions of something, by what is seen or measured after each; warm, or as it was after the night */
  | { readonly kind: 'portions'; readonly when: 'warm' | 'cold'; readonly isForGood: boolean }
  /** grams of something that change the taste; the flow is to be looked at afterwards */
  | { readonly kind: 'taste'; readonly wants: 'lessSweet' | 'lessBitter' }
  /** its cause first, then a few things to do */
  | { readonly kind: 'fault' };

const warm = { kind: 'portions', when: 'warm', isForGood: true } as const;
const cold = { kind: 'portions', when: 'cold', isForGood: true } as const;
const fault = { kind: 'fault' } as const;

/** How each sign is met (common practice). */
export const PLANS: Readonly<Record<Sign, RescuePlan>> = {
  farTooThick: warm,
  bitThick: warm,
  bitThin: warm,
  farTooThin: warm,
  chalky: warm,
  gluey: { kind: 'portions', when: 'warm', isForGood: false },
  softAfterNight: cold,
  hardAfterNight: cold,
  tooSweet: { kind: 'taste', wants: 'lessSweet' },
  tooBitter: { kind: 'taste', wants: 'lessBitter' },
  seized: fault,
  oily: fault,
  lumps: fault,
  sandy: fault,
  floury: fault,
  skin: fault,
  catching: fault,
  dull: fault,
  noWhip: fault,
  weeping: fault,
};
