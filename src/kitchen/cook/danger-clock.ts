/** A temperature of the batch at a time, ms. */
export interface WarmthAt {
  readonly ms: number;
  readonly temperatureC: number;
}

/** Between these things grow, °C, in the common rules. */
const GROWS = { from: 5, to: 60 };
const FIRST_STOP_C = 21;
/** Common guidance: in two stages, 60 to 21 °C in 2 h, then to 5 °C in 4 h more; and added up, 2 h and 4 h. */
export const COOLING_RULES = { firstH: 2, allH: 6, useH: 2, awayH: 4 } as const;

/** How long a batch has been where things grow. */
export interface DangerClock {
  /** h between 5 and 60 °C, added up since it was last hot */
  readonly growsH: number;
  /** h it took from 60 to 21 °C, and to 5 °C; nothing while it is not there yet */
  readonly toFirstStopH: number | undefined;
  readonly toColdH: number | undefined;
  /** it has been hot, and is on its way down */
  readonly isCooling: boolean;
}

const HOUR_MS = 3_600_000;

/** Part of the way between two readings at which a temperature is passed. */
function passedAt(a: WarmthAt, b: WarmthAt, temperatureC: number): number {
  const share = (temperatureC - a.temperatureC) / (b.temperatureC - a.temperatureC);
  return a.ms + Math.min(Math.max(share, 0), 1) * (b.ms - a.ms);
}

/** ms between two readings that lie between 5 and 60 °C, the way between them taken as straight. */
function growingMs(a: WarmthAt, b: WarmthAt): number {
  const at = (temperatureC: number) => passedAt(a, b, temperatureC);
  if (a.temperatureC === b.temperatureC) {
    return a.temperatureC > GROWS.from && a.temperatureC < GROWS.to ? b.ms - a.ms : 0;
  }
  return Math.abs(at(GROWS.to) - at(GROWS.from));
}

/**
 * The clock of cooling, from a batch's temperatures: what was read where it was read, else as reckoned. Heating it over 60 °C begins it anew.
 *
 * @param warmths in the order of their times
 */
export function dangerClock(warmths: readonly WarmthAt[]): DangerClock {
  let growsMs = 0;
  let fromMs: number | undefined;
  let firstMs: number | undefined;
  let coldMs: number | undefined;
  for (const [i, b] of warmths.entries()) {
    const a = warmths[i - 1];
    if (!a) continue;
    if (b.temperatureC >= GROWS.to) {
      growsMs = 0;
      fromMs = firstMs = coldMs = undefined;
      continue;
    }
    growsMs += growingMs(a, b);
    if (a.temperatureC >= GROWS.to) fromMs = passedAt(a, b, GROWS.to);
    if (fromMs === undefined) continue;
    if (firstMs === undefined && b.temperatureC <= FIRST_STOP_C) firstMs = passedAt(a, b, FIRST_STOP_C);
    if (coldMs === undefined && b.temperatureC <= GROWS.from) coldMs = passedAt(a, b, GROWS.from);
  }
  const hours = (ms: number | undefined) =>
    ms === undefined || fromMs === undefined ? undefined : (ms - fromMs) / HOUR_MS;
  return {
    growsH: growsMs / HOUR_MS,
    toFirstStopH: hours(firstMs),
    toColdH: hours(coldMs),
    isCooling: fromMs !== undefined && coldMs === undefined,
  };
}
