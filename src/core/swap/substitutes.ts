import type { ComponentName, Composition } from '../matter/components';

/** What an ingredient brings to a pan, by the job its components do; g per 100 g, weighted by how much the pan feels them (J). */
const JOBS: readonly { readonly weight: number; readonly parts: readonly ComponentName[] }[] = [
  { weight: 1, parts: ['water', 'ethanol'] },
  { weight: 1, parts: ['cocoa_butter', 'milk_fat', 'hard_fat', 'lauric_fat', 'liquid_oil'] },
  { weight: 1, parts: ['cocoa_butter'] },
  { weight: 0.4, parts: ['milk_fat', 'hard_fat', 'lauric_fat'] },
  { weight: 2.5, parts: ['cocoa_solids'] },
  { weight: 2, parts: ['milk_protein', 'other_protein'] },
  {
    weight: 1,
    parts: [
      'sucrose',
      'lactose',
      'maltitol',
      'erythritol',
      'xylitol',
      'allulose',
      'trehalose',
      'isomaltulose',
      'sorbitol',
    ],
  },
  { weight: 1, parts: ['glucose', 'fructose', 'maltose', 'higher_saccharides', 'inulin', 'glycerol'] },
  { weight: 4, parts: ['starch'] },
  { weight: 20, parts: ['gelatin', 'pectin', 'agar', 'gums'] },
  { weight: 5, parts: ['salt'] },
  { weight: 2, parts: ['acids'] },
];

/**
 * How different the jobs of two ingredients are.
 *
 * @returns 0 for the same composition, about 30 for cream beside milk, 100 and more for things of another kind
 */
export function jobDistance(a: Composition, b: Composition): number {
  return Math.sqrt(
    JOBS.reduce((sum, { weight, parts }) => {
      const gap = parts.reduce((total, part) => total + (a[part] ?? 0) - (b[part] ?? 0), 0);
      return sum + (weight * gap) ** 2;
    }, 0),
  );
}

/**
 * Candidates in the order in which they can stand in for an ingredient, the nearest first.
 *
 * @param wanted composition of the one to replace
 * @param candidates anything with a composition
 */
export function nearestFirst<T extends { readonly components: Composition }>(
  wanted: Composition,
  candidates: readonly T[],
): T[] {
  return candidates
    .map((candidate) => ({ candidate, far: jobDistance(wanted, candidate.components) }))
    .sort((a, b) => a.far - b.far)
    .map(({ candidate }) => candidate);
}
