import type { Stage } from '@/formats/stages';

/** When a row goes in, as a heading over its rows. */
export const STAGE_WORDS: Record<Stage, string> = {
  pan: 'in the pan',
  overChocolate: 'over the chocolate',
  offHeat: 'off the heat',
  coldAtEnd: 'cold, at the end',
};
