import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import { asideFaults, helperFaults } from './helper-checks';
import { lumpFaults } from './lump-checks';
import { panFaults, settingFaults } from './pan-checks';
import type { MethodRows } from './rows';

/** Rows that no step takes, or that are taken more than once. */
function rowFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const taken = rows.lines.map(() => 0);
  for (const { step } of followed) for (const { row, share } of step.adds) taken[row] = (taken[row] ?? 0) + share;
  return taken.flatMap((share, row): MethodFault[] => {
    if ((rows.lines[row]?.grams ?? 0) <= 0) return [];
    if (share <= 1e-6) return [{ kind: 'rowInNoStep', row }];
    return share > 1 + 1e-6 ? [{ kind: 'rowTooOften', row, share }] : [];
  });
}

/**
 * What is wrong with a method's order and amounts, for this batch in this kitchen.
 *
 * @param followed from `followMethod`
 * @returns nothing where it works
 */
export function methodFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  return [
    ...rowFaults(rows, followed),
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
