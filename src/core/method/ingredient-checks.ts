import { partOf } from '../matter/component-vector';
import { nth } from '../nth';
import type { MethodFault } from './fault';
import type { FollowedStep } from './follow-method';
import type { RowRole } from './row-role';
import type { MethodRows } from './rows';
import { CURDLES_C, mayCurdle, phOf } from './sourness';

/** °C by which a stop at the limit is still at the limit. */
const NEAR_C = 0.5;

/** °C from which dry cocoa makes lumps on a liquid. */
const SCALDING_C = 80;
/** What takes cocoa up between its grains. */
const SEPARATES: ReadonlySet<RowRole> = new Set(['sugar', 'chocolate', 'butter', 'oil', 'paste']);

/** Sour fruit or syrup together with hot milk: told at the step where it comes to that. */
export function acidFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  const grams = rows.lines.map(() => 0);
  for (const [
    step,
    {
      step: { adds, where },
      start,
      end,
    },
  ] of followed.entries()) {
    for (const { row, share } of adds) grams[row] = nth(grams, row) + share * nth(rows.lines, row).grams;
    if (where === 'aside' || grams.every((each) => each === 0)) continue;
    const temperatureC = Math.max(start.temperatureC, end.temperatureC);
    const there = rows.lines.map((line, row) => ({ ...line, grams: nth(grams, row) }));
    if (temperatureC > CURDLES_C + NEAR_C && mayCurdle(there)) {
      return [{ kind: 'mayCurdle', step, ph: phOf(there), temperatureC }];
    }
  }
  return [];
}

/** °C from which starch that falls in dry swells outside and stays raw inside. */
const SWELLS_C = 55;

/** Starch that falls dry into something hot. */
export function starchFallsDry(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  return followed.flatMap(({ step: { adds, where }, before: { temperatureC, liquid } }, step): MethodFault[] => {
    const isDry = where !== 'aside' && adds.some(({ row }) => nth(rows.roles, row) === 'starch');
    const isHot = partOf(liquid, 'water') > 0 && temperatureC > SWELLS_C;
    return isDry && isHot ? [{ kind: 'starchLumps', step, temperatureC }] : [];
  });
}

/** Cocoa that falls dry onto hot liquid, with nothing to part its grains. */
export function cocoaFaults(rows: MethodRows, followed: readonly FollowedStep[]): MethodFault[] {
  return followed.flatMap(({ step: { adds, where }, before }, step): MethodFault[] => {
    const roles = adds.map(({ row }) => nth(rows.roles, row));
    const isDry = roles.includes('cocoa') && !roles.some((role) => SEPARATES.has(role));
    const { temperatureC } = before;
    const isOnLiquid = where !== 'aside' && partOf(before.liquid, 'water') > 0;
    return isDry && isOnLiquid && temperatureC > SCALDING_C ? [{ kind: 'cocoaLumps', step, temperatureC }] : [];
  });
}
