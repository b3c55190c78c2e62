import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { heatFaults } from './heat-checks';
import { asideFaults, helperFaults } from './helper-checks';
import { acidFaults, cocoaFaults, starchFallsDry } from './ingredient-checks';
import { lumpFaults } from './lump-checks';
import { panFaults, pourFaults, settingFaults } from './pan-checks';
import type { MethodRows } from './rows';

/** Part of a row that counts. */
const PART = 1e-4;

/** Rows that no step takes whole, or that are taken more than once. */
function rowFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const taken = rows.lines.map(() => 0);
  for (const { step } of followed) for (const { row, share } of step.adds) taken[row] = (taken[row] ?? 0) + share;
  return taken.flatMap((share, row): MethodFault[] => {
    const grams = rows.lines[row]?.grams ?? 0;
    if (grams <= 0) return [];
    if (share < 1 - PART) return [{ kind: 'rowInNoStep', row, grams: (1 - share) * grams }];
    return share > 1 + PART ? [{ kind: 'rowTooOften', row, share }] : [];
  });
}

/**
 * What is wrong with a method's order and amounts, for this batch in this kitchen.
 *
 * @param followed from `followMethod`
 * @param pourC °C it is poured at, where that is known
 * @returns nothing where it works
 */
export function methodFaults(rows: MethodRows, followed: readonly FollowedStep[], pourC?: number): MethodFault[] {
  return [
    ...(pourC === undefined ? [] : pourFaults(followed, pourC)),
    ...rowFaults(rows, followed),
    ...acidFaults(rows, followed),
    ...cocoaFaults(rows, followed),
    ...starchFallsDry(rows, followed),
    ...heatFaults(rows, followed),
    ...followed.flatMap((each, i) =>
      each.step.where === 'aside'
        ? asideFaults(each, i)
        : [
            ...panFaults(each, i),
            ...lumpFaults(each, i, i === followed.length - 1),
            ...helperFaults(each, i),
            ...settingFaults(each, i),
          ],
    ),
  ];
}
