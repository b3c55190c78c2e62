import { nth } from '../nth';
import type { MethodFault } from './fault';
import type { MethodKitchen } from './kitchen';
import { OFF_POUR_C } from './pan-checks';
import type { MethodRows } from './rows';
import type { WayId } from './step';
import { groupsOf } from './ways/groups';
import { compareTrials, inThePan, methodInKitchen, offPour, type TriedMethod } from './ways/in-kitchen';
import { suitingWays } from './ways/ways';

/** Why a way is the usual one for what is in the pan, or is taken all the same. */
export type WayReason =
  | 'gelatinMustMelt'
  | 'starchMustBoil'
  | 'glazeIsWarmed'
  | 'noChocolate'
  | 'notedSo'
  | 'whippedUse'
  | 'fineEmulsion'
  | 'condensedScorches'
  | 'eggMustNotBoil'
  | 'culturedKeptCool'
  | 'muchLiquid'
  | 'enoughHeat'
  /** the usual ways leave something wrong, this one does not */
  | 'cleanest'
  /** every way that was tried leaves something wrong, this one least */
  | 'leastWrong';

/** A way that is proposed for a formula, with the reason, read off the run. */
export interface ProposedWay {
  readonly way: WayId;
  readonly why: WayReason;
  readonly tried: TriedMethod;
  /** °C all parts come to where pieces meet the hot liquid */
  readonly togetherC: number | undefined;
  /** the usual way, and what it would leave wrong, where another is proposed */
  readonly instead: { readonly way: WayId; readonly fault: MethodFault['kind'] | 'abovePour' } | undefined;
}

/** From this quality of the emulsion a blender is meant (J). */
const BLENDED = 0.85;
/** From this much liquid to chocolate a simmer melts the chocolate by itself (J). */
const MUCH_LIQUID = 1.4;
/** Liquid to chocolate from which it is worth boiling beside condensed milk (J). */
const HOT_ENOUGH = 0.5;
/** s of pans that are followed for a proposal: huge batches take hours to cool in each way, and the first ways tell enough. */
const MOST_FOLLOWED_S = 12 * 3600;
/** Ways that are never proposed for a making: what is made already, and what is asked for by its use alone. */
const NEVER: ReadonlySet<WayId> = new Set(['reheated', 'whipped']);

/** What a formula is meant to be, beside its rows. */
export interface MeantToBe {
  /** how fine the emulsion is meant to be, 0-1 */
  readonly mix: number;
  readonly isWhipped: boolean;
}

/** A formula worked in one way; nothing where the way does not suit it. */
export type TryOne = (way: WayId) => TriedMethod | undefined;

/** The ways that suit, in the order practitioners would take them for this family, each with its reason; what is made already and warmed again is none. */
export function usualOrder(
  rows: MethodRows,
  pourC: number,
  about: MeantToBe,
): readonly (readonly [WayId, WayReason])[] {
  const groups = groupsOf(rows);
  const suits = suitingWays(rows, pourC);
  const liquidG = rows.gramsOf(groups.liquids);
  const chocolateG = rows.gramsOf(groups.chocolate);
  const hotG = rows.gramsOf(groups.liquids.filter((row) => !groups.condensed.includes(row)));
  const noted =
    groups.chocolate.some((row) => nth(rows.hints, row).stage === 'overChocolate') ||
    groups.liquids.some((row) => nth(rows.hints, row).poured === true);
  const candidates: readonly (readonly [WayId, WayReason, boolean])[] = [
    ['custard', 'eggMustNotBoil', true],
    ['keptCool', 'culturedKeptCool', liquidG < rows.gramsOf(groups.cultured)],
    ['gelatinMirror', 'gelatinMustMelt', true],
    ['starchSauce', 'starchMustBoil', true],
    ['neutralGlaze', 'glazeIsWarmed', true],
    ['cocoaSyrup', 'noChocolate', true],
    ['whipped', 'whippedUse', about.isWhipped],
    ['stickBlender', 'fineEmulsion', about.mix >= BLENDED],
    ['overCondensed', 'condensedScorches', hotG >= HOT_ENOUGH * chocolateG],
    ['condensedWarmed', 'condensedScorches', true],
    ['pouredOver', 'notedSo', noted],
    ['simmered', 'muchLiquid', liquidG > MUCH_LIQUID * chocolateG],
    ['pouredOver', 'enoughHeat', true],
    ['simmered', 'cleanest', true],
    ['waterBath', 'cleanest', true],
    ['microwave', 'cleanest', true],
  ];
  const usual = candidates.flatMap(([way, why, holds]) => (holds && suits.includes(way) ? [[way, why] as const] : []));
  const named = new Set(usual.map(([way]) => way));
  const rest = suits.flatMap((way) => (named.has(way) || NEVER.has(way) ? [] : [[way, 'cleanest'] as const]));
  return [...usual, ...rest].filter(([way], i, all) => all.findIndex((each) => each[0] === way) === i);
}

/**
 * Proposes the way that suits a formula by following it: of the ways that suit, in the order practitioners would take them, the first that leaves
 * nothing wrong and ends at its pour; else the one that leaves least.
 *
 * A generator, so that a worker can tell how far it is and leave off: it yields the share of the ways it has tried.
 *
 * @param about how fine the emulsion is meant to be, and whether it is to be whipped
 * @param tryOne follows one way; who compares ways keeps what was followed
 * @returns nothing where no way suits it
 */
export function* tryWays(
  rows: MethodRows,
  pourC: number,
  about: MeantToBe,
  kitchen: MethodKitchen,
  tryOne: TryOne = (way) => methodInKitchen(way, rows, pourC, kitchen),
): Generator<number, ProposedWay | undefined> {
  const order = usualOrder(rows, pourC, about);
  let followedS = 0;
  let best: { way: WayId; why: WayReason; tried: TriedMethod } | undefined;
  let usual: { way: WayId; tried: TriedMethod } | undefined;
  for (const [i, [way, why]] of order.entries()) {
    const tried = tryOne(way);
    if (!tried) continue;
    usual ??= { way, tried };
    if (!best || compareTrials(tried, best.tried, pourC) < 0) best = { way, why, tried };
    if (tried.faults.length === 0 && offPour(tried, pourC) <= OFF_POUR_C) break;
    followedS += inThePan(tried);
    if (followedS > MOST_FOLLOWED_S) break;
    yield (i + 1) / order.length;
  }
  if (!best || !usual) return undefined;
  const { way, tried } = best;
  const isUsual = way === usual.way;
  // What ends below its pour is a fault by itself.
  const fault = usual.tried.faults[0]?.kind ?? 'abovePour';
  const why = tried.faults.length > 0 ? 'leastWrong' : isUsual ? best.why : 'cleanest';
  const pieces = tried.followed.find(({ together }) => together)?.together;
  return {
    way,
    why,
    tried,
    togetherC: pieces && pieces.unmelted === 0 ? pieces.temperatureC : undefined,
    instead: isUsual ? undefined : { way: usual.way, fault },
  };
}

/** {@link tryWays} to its end at once. */
export function proposeWay(
  rows: MethodRows,
  pourC: number,
  about: MeantToBe,
  kitchen: MethodKitchen,
): ProposedWay | undefined {
  const trying = tryWays(rows, pourC, about, kitchen);
  for (;;) {
    const step = trying.next();
    if (step.done) return step.value;
  }
}
