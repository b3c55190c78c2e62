import { partOf } from '../matter/component-vector';
import { advance, type Doing, readPan } from './advance';
import { hottestAfterBurst, withHotSpot } from './burst';
import { DRY_G } from './dry';
import type { LiquidReading } from './liquid-reading';
import { liquidG, massG, type PanState, undissolvedG, unmeltedG } from './pan';

/** When a step is over. */
export type End =
  | { readonly kind: 'boil' }
  | { readonly kind: 'melted' }
  | { readonly kind: 'dissolved' }
  /** it has come there, from below or from above */
  | { readonly kind: 'temperature'; readonly temperatureC: number }
  /** it is no warmer than that */
  | { readonly kind: 'cooled'; readonly temperatureC: number }
  | { readonly kind: 'seconds'; readonly seconds: number }
  /** so much water is gone since the step began, g */
  | { readonly kind: 'lost'; readonly grams: number }
  /** so much of the starch has gelatinised, 0-1 */
  | { readonly kind: 'cooked'; readonly share: number };

/** A step that was followed to its end, or given up. */
export interface Followed {
  readonly pan: PanState;
  /** s it took */
  readonly seconds: number;
  readonly reached: boolean;
  /** °C of the hottest place after a burst */
  readonly hottestC?: number | undefined;
}

/** How near to the boiling point it counts as boiling, °C. */
const AT_THE_BOIL_C = 0.3;
/** Below this nothing is left to wait for, g. */
const LEFT_G = 0.01;
/** s after which a step is given up. */
const USUAL_LIMIT_S = 7200;

/** A pan that moved less than this in so many seconds stands: its end never comes. */
const STANDING = { seconds: 300, temperatureC: 0.05, grams: 0.01 };
/** Ends that come nearer though the pan stands. */
const COMES_ANYWAY: ReadonlySet<End['kind']> = new Set(['seconds', 'lost', 'cooked']);

/** When a step is given up: after so many seconds, or sooner where nothing moves any more. */
export interface GivingUp {
  readonly limitSeconds?: number | undefined;
  readonly whenStanding?: boolean | undefined;
}

/** Whether a pan moved since it was looked at. */
function hasMoved(was: PanState, now: PanState): boolean {
  const left = (pan: PanState) => unmeltedG(pan) + undissolvedG(pan);
  return (
    Math.abs(now.temperatureC - was.temperatureC) > STANDING.temperatureC ||
    Math.abs(left(now) - left(was)) > STANDING.grams
  );
}

/** A reading of the liquid stands until the pan has moved this far. */
const STANDS = { seconds: 6, temperatureC: 1.5, share: 0.008 };

interface Read {
  readonly reading: LiquidReading;
  readonly of: PanState;
  readonly massG: number;
}

const readNow = (pan: PanState): Read => ({ reading: readPan(pan), of: pan, massG: liquidG(pan) });

function stillStands({ of, massG: was }: Read, pan: PanState): boolean {
  const now = liquidG(pan);
  return (
    pan.seconds - of.seconds < STANDS.seconds &&
    Math.abs(pan.temperatureC - of.temperatureC) < STANDS.temperatureC &&
    Math.abs(now - was) < STANDS.share * was
  );
}

/** Whether a step is over. */
function isOver(end: End, pan: PanState, start: PanState, boilsAtC: number): boolean {
  if (end.kind === 'boil') return partOf(pan.liquid, 'water') > 0 && pan.temperatureC >= boilsAtC - AT_THE_BOIL_C;
  if (end.kind === 'melted') return unmeltedG(pan) <= LEFT_G;
  if (end.kind === 'dissolved') return undissolvedG(pan) <= LEFT_G;
  if (end.kind === 'seconds') return pan.seconds - start.seconds >= end.seconds - 1e-9;
  if (end.kind === 'lost') return pan.lostWaterG - start.lostWaterG >= end.grams;
  if (end.kind === 'cooked') return pan.cook >= end.share;
  if (end.kind === 'cooled') return pan.temperatureC <= end.temperatureC;
  return start.temperatureC <= end.temperatureC
    ? pan.temperatureC >= end.temperatureC
    : pan.temperatureC <= end.temperatureC;
}

/**
 * Follows a pan second by second until a step is over.
 *
 * @param start something in it
 * @param doing what is done meanwhile
 * @param end when it is over
 * @param givingUp when it is given up: the end is not reached
 * @param onSecond is told of each second, for a curve
 */
export function follow(
  start: PanState,
  doing: Doing,
  end: End,
  { limitSeconds = USUAL_LIMIT_S, whenStanding = false }: GivingUp = {},
  onSecond?: (pan: PanState) => void,
): Followed {
  if (!(massG(start) > 0)) return { pan: start, seconds: 0, reached: end.kind === 'seconds' && end.seconds <= 0 };
  const isDry = () => liquidG(pan) < DRY_G;
  let pan = start;
  let read = isDry() ? undefined : readNow(pan);
  const boilsAtC = () => read?.reading.boilsAtC ?? Number.POSITIVE_INFINITY;
  const limit = start.seconds + limitSeconds;
  let reached = isOver(end, pan, start, boilsAtC());
  let looked = pan;
  let stands = false;
  while (!reached && !stands && pan.seconds < limit - 1e-9) {
    const left = end.kind === 'seconds' ? start.seconds + end.seconds - pan.seconds : 1;
    const seconds = Math.min(1, left, limit - pan.seconds);
    if (!read && !isDry()) read = readNow(pan);
    pan = read ? advance(pan, doing, seconds, read.reading) : advance(pan, doing, seconds, NO_LIQUID);
    if (read && !stillStands(read, pan)) read = readNow(pan);
    onSecond?.(pan);
    reached = isOver(end, pan, start, boilsAtC());
    if (whenStanding && pan.seconds - looked.seconds >= STANDING.seconds) {
      stands = !COMES_ANYWAY.has(end.kind) && !hasMoved(looked, pan);
      looked = pan;
    }
  }
  const seconds = pan.seconds - start.seconds;
  if (!doing.microwaveW) return { pan, seconds, reached };
  const hottestC = hottestAfterBurst(start, doing.microwaveW, seconds);
  return { pan: withHotSpot(pan, hottestC, seconds), seconds, reached, hottestC };
}

/** Of a pan that is dry: nobody asks it anything. */
const NO_LIQUID: LiquidReading = {
  heatCapacity: 1,
  conductivity: 1,
  waterActivity: 0,
  boilsAtC: Number.POSITIVE_INFINITY,
  baseViscosityPaS: 1,
  serumViscosityPaS: 1,
  waterContinuous: 0,
  dissolvingWaterG: 0,
  sugar: 0,
};
