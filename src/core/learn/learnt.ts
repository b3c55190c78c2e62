/** What a kitchen test tells of: how it flows warm, how firm it sets, how it shines, how long it takes to set. */
export const LEARNT = ['warm', 'cold', 'shine', 'time'] as const;
export type Learnt = (typeof LEARNT)[number];
