import { partOf } from '../matter/component-vector';
import { advance, type Doing, heatIn, readPan } from './advance';
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

/** Why a step was left before its end: it boils dry, it moves no more, or the time given is over. */
export type Stopped = 'dry' | 'standing' | 'time';

/** A step that was followed to its end, or left before it. */
export interface Followed {
  readonly pan: PanState;
  /** s it took */
  readonly seconds: number;
  readonly reached: boolean;
  /** why it did not come to its end */
  readonly stopped?: Stopped | undefined;
  /** °C of the hottest place after a burst */
  readonly hottestC?: number | undefined;
}

/** How near to the boiling point it counts as boiling, °C. */
const AT_THE_BOIL_C = 0.3;
/** Below this nothing is left to wait for: g of pieces, share of grains. */
const LEFT_G = 0.01;
const DISSOLVED_SHARE = 0.005;
/** s after which a step is left though something still moves: eight kilograms take hours to cool. */
const USUAL_LIMIT_S = 48 * 3600;
/** A pan is dry when no more than this of its water is left, or when it is so much hotter than it boils, °C. */
const DRY = { waterShare: 0.04, aboveBoilC: 30 };

/** A pan that moved less than this in so many seconds stands: its end never comes. Without heat it may come slowly. */
const STANDING = { seconds: 300, heatedC: 0.05, coolingC: 0.005, grams: 0.01 };
/** Ends that come nearer though the pan stands. */
const COMES_ANYWAY: ReadonlySet<End['kind']> = new Set(['seconds', 'lost', 'cooked']);

/** Whether a pan moved since it was looked at; one that only cools comes no nearer to having melted or dissolved. */
function hasMoved(end: End, was: PanState, now: PanState, isHeated: boolean): boolean {
  const left = (pan: PanState) => unmeltedG(pan) + undissolvedG(pan);
  if (Math.abs(left(now) - left(was)) > STANDING.grams) return true;
  const cools = !isHeated && now.temperatureC < was.temperatureC;
  if (cools && (end.kind === 'melted' || end.kind === 'dissolved')) return false;
  return Math.abs(now.temperatureC - was.temperatureC) > (isHeated ? STANDING.heatedC : STANDING.coolingC);
}

/** s of a step while nothing is left to melt and a pan off the heat cools by less than so many °C a second; else it is one second. */
const LONG_STEP_S = 5;
const SLOW_C = 0.02;

/** A reading of the liquid stands for five seconds whatever happens, and for a minute while the pan hardly changes. */
const STANDS_S = 5;
const STANDS_STILL = { seconds: 60, temperatureC: 0.5, massShare: 0.002, share: 0.01 };

interface Read {
  readonly reading: LiquidReading;
  readonly of: PanState;
  readonly massG: number;
}

const readNow = (pan: PanState): Read => ({ reading: readPan(pan), of: pan, massG: liquidG(pan) });

function stillStands({ of, massG: was }: Read, pan: PanState): boolean {
  const passed = pan.seconds - of.seconds;
  if (passed < STANDS_S) return true;
  return (
    passed < STANDS_STILL.seconds &&
    Math.abs(pan.temperatureC - of.temperatureC) < STANDS_STILL.temperatureC &&
    Math.abs(liquidG(pan) - was) < STANDS_STILL.massShare * was &&
    Math.abs(pan.cook - of.cook) < STANDS_STILL.share &&
    Math.abs(pan.mix - of.mix) < STANDS_STILL.share
  );
}

/** Whether a pan on the heat has boiled dry: hardly any of its water is left, or it is far hotter than it boils. */
function isBoiledDry(pan: PanState, boilsAtC: number): boolean {
  const waterG = partOf(pan.liquid, 'water');
  return (
    (pan.lostWaterG > 0 && waterG < DRY.waterShare * (waterG + pan.lostWaterG)) ||
    pan.temperatureC > boilsAtC + DRY.aboveBoilC
  );
}

/** A pan as the laws of a liquid can still tell of it. */
const noHotterThan = (pan: PanState, mostC: number): PanState => ({
  ...pan,
  temperatureC: Math.min(pan.temperatureC, mostC),
  hottestC: Math.min(pan.hottestC, mostC),
});

/** Whether at most 0.5 % of any grains is left: nobody waits for the last crystal. */
export const isDissolved = ({ lumps }: PanState) =>
  lumps.every(({ kind, grams, startG }) => kind !== 'grain' || grams <= DISSOLVED_SHARE * startG);

/** Why a step is left before its end, if it is. */
const whyStopped = (isDry: boolean, isLate: boolean, isStanding: boolean): Stopped | undefined =>
  isDry ? 'dry' : isLate ? 'time' : isStanding ? 'standing' : undefined;

/** Looks now and then whether anything moves that the end waits for. */
function standing(end: End, start: PanState, isHeated: boolean): (pan: PanState) => boolean {
  let looked = start;
  return (pan) => {
    if (COMES_ANYWAY.has(end.kind) || pan.seconds - looked.seconds < STANDING.seconds) return false;
    const was = looked;
    looked = pan;
    return !hasMoved(end, was, pan, isHeated);
  };
}

/** Whether a step is over. */
function isOver(end: End, pan: PanState, start: PanState, boilsAtC: number): boolean {
  if (end.kind === 'boil') return partOf(pan.liquid, 'water') > 0 && pan.temperatureC >= boilsAtC - AT_THE_BOIL_C;
  if (end.kind === 'melted') return unmeltedG(pan) <= LEFT_G;
  if (end.kind === 'dissolved') return isDissolved(pan);
  if (end.kind === 'seconds') return pan.seconds - start.seconds >= end.seconds - 1e-9;
  if (end.kind === 'lost') return pan.lostWaterG - start.lostWaterG >= end.grams;
  if (end.kind === 'cooked') return pan.cook >= end.share;
  if (end.kind === 'cooled') return pan.temperatureC <= end.temperatureC;
  return start.temperatureC <= end.temperatureC
    ? pan.temperatureC >= end.temperatureC
    : pan.temperatureC <= end.temperatureC;
}

/**
 * Follows a pan second by second (more slowly where it only cools) until a step is over, or until it cannot come there: it boils dry, or nothing moves any more.
 *
 * @param start something in it
 * @param doing what is done meanwhile
 * @param end when it is over
 * @param onSecond is told of each second, for a curve
 * @param limitSeconds s after which it is left in any case
 */
export function follow(
  start: PanState,
  doing: Doing,
  end: End,
  onSecond?: (pan: PanState) => void,
  limitSeconds: number = USUAL_LIMIT_S,
): Followed {
  if (!(massG(start) > 0)) return { pan: start, seconds: 0, reached: end.kind === 'seconds' && end.seconds <= 0 };
  const isHeated = heatIn(start, doing) > 0;
  const isDry = () => liquidG(pan) < DRY_G;
  let pan = start;
  let read = isDry() ? undefined : readNow(pan);
  const boilsAtC = () => read?.reading.boilsAtC ?? Number.POSITIVE_INFINITY;
  const limit = start.seconds + limitSeconds;
  let reached = isOver(end, pan, start, boilsAtC());
  let stopped: Stopped | undefined;
  const stands = standing(end, start, isHeated);
  let isQuiet = false;
  while (!reached && !stopped) {
    const left = end.kind === 'seconds' ? start.seconds + end.seconds - pan.seconds : LONG_STEP_S;
    const seconds = Math.min(isQuiet ? LONG_STEP_S : 1, left, limit - pan.seconds);
    const wasC = pan.temperatureC;
    if (!read && !isDry()) read = readNow(pan);
    pan = advance(pan, doing, seconds, (read ?? DRY_READ).reading);
    if (read && !stillStands(read, pan)) read = readNow(pan);
    const boiledDry = isHeated && isBoiledDry(pan, boilsAtC());
    if (boiledDry) pan = noHotterThan(pan, boilsAtC() + DRY.aboveBoilC);
    isQuiet = !isHeated && pan.lumps.length === 0 && wasC - pan.temperatureC < SLOW_C * seconds;
    onSecond?.(pan);
    reached = !boiledDry && isOver(end, pan, start, boilsAtC());
    stopped = reached ? undefined : whyStopped(boiledDry, pan.seconds >= limit - 1e-9, stands(pan));
  }
  const seconds = pan.seconds - start.seconds;
  const told = { seconds, reached, ...(stopped && { stopped }) };
  if (!doing.microwaveW) return { pan, ...told };
  const hottestC = hottestAfterBurst(start, doing.microwaveW, seconds);
  return { pan: withHotSpot(pan, hottestC, seconds), ...told, hottestC };
}

/** Of a pan that is dry: nobody asks it anything. */
const DRY_READ: { readonly reading: LiquidReading } = {
  reading: {
    heatCapacity: 1,
    conductivity: 1,
    densityKgM3: 1,
    waterActivity: 0,
    boilsAtC: Number.POSITIVE_INFINITY,
    baseViscosityPaS: 1,
    serumViscosityPaS: 1,
    waterContinuous: 0,
    dissolvingWaterG: 0,
    sugar: 0,
  },
};
