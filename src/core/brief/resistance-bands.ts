import { SLOW_STIR } from '../flow/casson';
import type { Moment } from '../formula/moments';
import type { BriefTargets } from './targets';

/** A band of resistance at a moment, Pa. */
export interface ResistanceBand {
  readonly moment: Moment;
  readonly low: number;
  readonly high: number;
}

/** Yield stress of what is set is nearly all of its resistance; this much may come on top (J). */
const VISCOUS_PART = 4;
/** The bands of resistance that the flow gates of each moment leave, Pa; an open upper end is infinite. */
export function resistanceBands({ moments, gates }: BriefTargets): ResistanceBand[] {
  return moments.flatMap((moment) => {
    const own = gates.map(({ gate }) => gate).filter((gate) => gate.moment === moment.name);
    const lows = own.flatMap(({ quantity, low }) => {
      if (low === undefined) return [];
      return quantity === 'apparentViscosityPaS' ? [SLOW_STIR * low] : quantity === 'yieldStressPa' ? [low] : [];
    });
    const highs = own.flatMap(({ quantity, high }) => {
      if (high === undefined) return [];
      if (quantity === 'apparentViscosityPaS') return [SLOW_STIR * high];
      return quantity === 'yieldStressPa' && !own.some((gate) => gate.quantity === 'apparentViscosityPaS')
        ? [VISCOUS_PART * high]
        : [];
    });
    if (lows.length === 0 && highs.length === 0) return [];
    return [{ moment, low: Math.max(0, ...lows), high: Math.min(Number.POSITIVE_INFINITY, ...highs) }];
  });
}
