import type { Band, Seen } from './belief';
import { SEEN, seenEdges } from './belief';

/** Why a pan may be other than wanted. */
export type FlowCause = 'cooler' | 'hotter' | 'formula' | 'weights' | 'boiledLong' | 'model';

/** A cause with how much of what is seen it explains, 0-1. */
export interface CauseShare {
  readonly cause: FlowCause;
  readonly share: number;
}

/** ln by which each may move a pan (J): weights by spoon and splash, a boil that took longer. */
const WEIGHTS_SD = 0.3;
const BOILED_SD = 0.25;
/** Share given to what the figures themselves say. */
const SAID = 0.75;

/** How a pan of so much is called. */
export function seenAs(ln: number, band: Band): Seen {
  return SEEN[seenEdges(band).filter((edge) => ln > edge).length] ?? 'right';
}

/**
 * What happened, as far as figures tell: first whether the pan is as it should be at its temperature, or by its formula; else what may be off.
 *
 * @param lnNow ln of what is predicted at the temperature it has, and at that of its pour
 * @param modelSd ln, doubt of the model for this kind of batch
 */
export function causesOf(
  seen: Seen,
  { lnNow, lnAtPour }: { readonly lnNow: number; readonly lnAtPour: number },
  band: Band,
  modelSd: number,
): CauseShare[] {
  const isThick = seen === 'bitThick' || seen === 'farTooThick';
  const expected = SEEN.indexOf(seenAs(lnNow, band)) - SEEN.indexOf('right');
  const sight = SEEN.indexOf(seen) - SEEN.indexOf('right');
  const isExpected = expected * sight > 0;
  const isRightAtPour = seenAs(lnAtPour, band) === 'right';
  const said: CauseShare[] = isExpected
    ? [{ cause: isRightAtPour ? (isThick ? 'cooler' : 'hotter') : 'formula', share: SAID }]
    : [];
  const rest = 1 - said.reduce((sum, { share }) => sum + share, 0);
  const variances: readonly (readonly [FlowCause, number])[] = [
    ['weights', WEIGHTS_SD ** 2],
    ...(isThick ? [['boiledLong', BOILED_SD ** 2] as const] : []),
    ['model', modelSd ** 2],
  ];
  const all = variances.reduce((sum, [, variance]) => sum + variance, 0);
  return [...said, ...variances.map(([cause, variance]) => ({ cause, share: (rest * variance) / all }))].sort(
    (a, b) => b.share - a.share,
  );
}
