import { methodFaults } from '../checks';
import type { MethodFault } from '../fault';
import { type FollowedStep, followMethod } from '../follow-method';
import type { MethodKitchen } from '../kitchen';
import type { MethodRows } from '../rows';
import type { Method, WayId } from '../step';
import { variantsOf } from './ways';

/** A method that was followed in a kitchen, with what is wrong with it. */
export interface TriedMethod {
  readonly method: Method;
  readonly followed: readonly FollowedStep[];
  readonly faults: readonly MethodFault[];
}

/** Follows a method in a kitchen and judges it. */
export function tried(rows: MethodRows, method: Method, kitchen: MethodKitchen, pourC: number): TriedMethod {
  const followed = followMethod(rows, method, kitchen);
  return { method, followed, faults: methodFaults(rows, followed, pourC) };
}

/**
 * A formula worked in one way in this kitchen: of the orders the way leaves free (butter cold at the end, or in the liquid from the start) the first
 * with the fewest faults.
 *
 * @param pourC °C it is poured, dipped or spread at
 * @returns nothing where the way does not suit the formula
 */
export function methodInKitchen(
  way: WayId,
  rows: MethodRows,
  pourC: number,
  kitchen: MethodKitchen,
): TriedMethod | undefined {
  let best: TriedMethod | undefined;
  for (const method of variantsOf(way, rows, pourC)) {
    const now = tried(rows, method, kitchen, pourC);
    if (!best || now.faults.length < best.faults.length) best = now;
    if (best.faults.length === 0) break;
  }
  return best;
}
