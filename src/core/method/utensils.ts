import type { FollowedStep } from './follow-method';

/** What a method is worked with, in the order it is taken from the shelf. */
export const UTENSILS = [
  'pan',
  'bowl',
  'bathPan',
  'smallBowl',
  'fridgeDish',
  'microwave',
  'knife',
  'spoon',
  'spatula',
  'whisk',
  'stickBlender',
  'sieve',
  'probe',
] as const;

export type Utensil = (typeof UTENSILS)[number];

/** Those that hold what is made, and are washed after it. */
export const VESSELS: ReadonlySet<Utensil> = new Set(['pan', 'bowl', 'bathPan', 'smallBowl', 'fridgeDish']);

const TOOLS = { careless: 'spoon', spatula: 'spatula', whisk: 'whisk', stickBlender: 'stickBlender' } as const;

/** What one step is worked with. */
function utensilsOfStep({ step }: FollowedStep): Utensil[] {
  const { where, heat, tool, kind, end } = step;
  const used: Utensil[] = [];
  if (end.kind === 'stand') used.push('fridgeDish');
  else if (where !== 'jar') used.push(where === 'aside' ? 'smallBowl' : where);
  if (heat === 'bath') used.push('bathPan');
  if (end.kind === 'bursts') used.push('microwave');
  if (tool) used.push(TOOLS[tool]);
  if (kind === 'strain') used.push('sieve');
  if (end.kind === 'temperature' || end.kind === 'cooled') used.push('probe');
  return used;
}

/**
 * What a method is worked with: pans, bowls and tools, each once.
 *
 * @param cuts whether something is chopped or cut before
 */
export function utensilsOf(followed: readonly FollowedStep[], cuts: boolean): Utensil[] {
  const used = new Set(followed.flatMap(utensilsOfStep));
  if (cuts) used.add('knife');
  return UTENSILS.filter((each) => used.has(each));
}
