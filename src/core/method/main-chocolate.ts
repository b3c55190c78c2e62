import type { ComponentVector } from '../matter/components';
import { roleOfRow } from './row-role';

/**
 * The chocolate most of which goes in.
 *
 * @returns its place among the lines; nothing where there is none
 */
export function mainChocolate(
  lines: readonly { readonly perGram: ComponentVector; readonly grams: number }[],
): number | undefined {
  let most: number | undefined;
  for (const [place, { perGram, grams }] of lines.entries()) {
    if (roleOfRow(perGram) === 'chocolate' && grams > (most === undefined ? 0 : (lines[most]?.grams ?? 0)))
      most = place;
  }
  return most;
}
