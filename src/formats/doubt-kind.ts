import type { Ingredient } from './ingredient';

/** Which way an ingredient's composition scatters. */
export function doubtKindOf({ group }: Pick<Ingredient, 'group'>): 'chocolate' | 'dairy' | 'other' {
  return group === 'chocolate' || group === 'dairy' ? group : 'other';
}
