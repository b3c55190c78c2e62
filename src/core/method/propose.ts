import { nth } from '../nth';
import type { MethodRows } from './rows';
import type { WayId } from './step';
import { groupsOf } from './ways/groups';
import { suitingWays } from './ways/ways';

/** Why a way is proposed. */
export type WayReason =
  | 'gelatinMustMelt'
  | 'starchMustBoil'
  | 'glazeIsWarmed'
  | 'noChocolate'
  | 'notedSo'
  | 'whippedUse'
  | 'fineEmulsion'
  | 'condensedScorches'
  | 'muchLiquid'
  | 'enoughHeat';

/** A way that is proposed for a formula, with the reason. */
export interface ProposedWay {
  readonly way: WayId;
  readonly why: WayReason;
}

/** From this quality of the emulsion a blender is meant (J). */
const BLENDED = 0.85;
/** From this much liquid to chocolate a simmer melts the chocolate by itself (J). */
const MUCH_LIQUID = 1.4;

/**
 * Proposes the way that suits a formula: what it must undergo first, then what is noted beside its rows, then its balance.
 *
 * @param about how fine the emulsion is meant to be (`mix` 0-1), and whether it is to be whipped
 * @returns nothing where no way suits it
 */
export function proposeWay(
  rows: MethodRows,
  pourC: number,
  about: { readonly mix: number; readonly isWhipped: boolean },
): ProposedWay | undefined {
  const suits = suitingWays(rows, pourC);
  const groups = groupsOf(rows);
  const liquidG = rows.gramsOf(groups.liquids);
  const chocolateG = rows.gramsOf(groups.chocolate);
  const noted =
    groups.chocolate.some((row) => nth(rows.hints, row).stage === 'overChocolate') ||
    groups.liquids.some((row) => nth(rows.hints, row).poured === true);
  const candidates: readonly (readonly [WayId, WayReason, boolean])[] = [
    ['gelatinMirror', 'gelatinMustMelt', true],
    ['starchSauce', 'starchMustBoil', true],
    ['neutralGlaze', 'glazeIsWarmed', true],
    ['cocoaSyrup', 'noChocolate', true],
    ['whipped', 'whippedUse', about.isWhipped],
    ['stickBlender', 'fineEmulsion', about.mix >= BLENDED],
    ['overCondensed', 'condensedScorches', true],
    ['pouredOver', 'notedSo', noted],
    ['simmered', 'muchLiquid', liquidG > MUCH_LIQUID * chocolateG],
    ['pouredOver', 'enoughHeat', true],
  ];
  const found = candidates.find(([way, , holds]) => holds && suits.includes(way));
  return found && { way: found[0], why: found[1] };
}
