import { keysOf } from '../../keys-of';
import type { MethodRows } from '../rows';
import type { Method, MethodStep, WayId } from '../step';
import {
  condensedWarmed,
  creamInMicrowave,
  custard,
  fatFirst,
  keptCool,
  microwave,
  overCondensed,
  pouredOver,
  simmered,
  stickBlender,
  waterBath,
  whipped,
} from './chocolate-ways';
import { groupsOf, type RowGroups } from './groups';
import { butterMelted, butterWarm, cocoaWithChocolate } from './parts';
import { cocoaSyrup, gelatinMirror, neutralGlaze, reheated, starchLast, starchSauce } from './sauce-ways';

/** A way of working: the steps for a formula it suits; nothing where it does not. */
type Way = (rows: MethodRows, groups: RowGroups, pourC: number) => MethodStep[] | undefined;

const WAYS: Readonly<Record<WayId, Way>> = {
  pouredOver,
  simmered,
  microwave,
  waterBath,
  creamInMicrowave,
  starchSauce,
  starchLast,
  cocoaSyrup,
  overCondensed,
  condensedWarmed,
  custard,
  keptCool,
  fatFirst,
  gelatinMirror,
  neutralGlaze,
  stickBlender,
  whipped,
  reheated,
};

/**
 * A formula worked in one way.
 *
 * @param pourC °C it is poured, dipped or spread at
 * @returns nothing where the way does not suit the formula
 */
export function methodBy(way: WayId, rows: MethodRows, pourC: number): Method | undefined {
  return variantsOf(way, rows, pourC)[0];
}

/** A formula worked in one way, in each of the orders the way leaves free, each once: the usual one first. */
export function variantsOf(way: WayId, rows: MethodRows, pourC: number): Method[] {
  const groups = groupsOf(rows);
  if (!WAYS[way](rows, groups, pourC)) return [];
  const byButter = groups.butter.length > 0 ? [groups, butterWarm(groups), butterMelted(groups)] : [groups];
  const orders = groups.cocoa.length > 0 ? [...byButter, ...byButter.map(cocoaWithChocolate)] : byButter;
  const told = new Set<string>();
  return orders.flatMap((order) => {
    const steps = WAYS[way](rows, order, pourC);
    const text = JSON.stringify(steps);
    if (!steps || told.has(text)) return [];
    told.add(text);
    return [{ way, steps }];
  });
}

/** The ways that suit a formula. */
export const suitingWays = (rows: MethodRows, pourC: number): WayId[] =>
  keysOf(WAYS).filter((way) => methodBy(way, rows, pourC) !== undefined);
