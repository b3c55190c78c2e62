/** When a row goes in, in the order of the work. */
export const STAGES = ['pan', 'overChocolate', 'offHeat', 'coldAtEnd'] as const;

export type Stage = (typeof STAGES)[number];
