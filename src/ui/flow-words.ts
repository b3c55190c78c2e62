import { SLOW_STIR } from '@/core/flow/casson';
import { yieldForCoat } from '@/core/flow/film';
import { HAND_LIMIT_PA, standingHeight } from '@/core/flow/piping';
import type { GateQuantity } from '@/core/formula/gate-quantities';
import type { Gate } from '@/core/formula/gates';
import type { MomentReading } from '@/core/predict/predict-formula';
import { centimetres, millimetres } from './format';
import { behaviour, nearestLandmark } from './landmarks';
import { POUR_ABOVE_C } from './quantity-words';

/** Below this nothing stays on a side, mm. */
const LEAST_FILM_MM = 0.2;
/** A film thicker than this is no coat any more: it stays where it is put, mm. */
const MOST_FILM_MM = 30;
/** From here it is no film that hangs, but something set, mm. */
const SET_FILM_MM = 12;
/** A swirl as high as one pipes them, mm. */
const SWIRL_MM = [5, 120] as const;

/** What clings to a side. */
function clingWords(yieldStressPa: number, densityKgM3: number): string {
  const film = yieldStressPa / yieldForCoat(1, densityKgM3);
  if (film < LEAST_FILM_MM) return 'runs off a side';
  return film > MOST_FILM_MM ? 'stays where it is put' : `holds ${millimetres(film, 2)} on a side`;
}

/** What it does once set; how high it is piped, while a hand can pipe it. */
function setWords(yieldStressPa: number, resistancePa: number, densityKgM3: number): string {
  const height = standingHeight(yieldStressPa, densityKgM3);
  const isPiped = yieldStressPa <= HAND_LIMIT_PA && height >= SWIRL_MM[0] && height <= SWIRL_MM[1];
  return `${behaviour(resistancePa)}${isPiped ? `, holds a swirl of ${centimetres(Number((height / 10).toPrecision(2)))}` : ''}`;
}

/**
 * A flow, a cling or a set in words; nothing for the other quantities. Flow is likened by the same resistance as on the curve.
 *
 * @param reading the moment it is read at
 * @param densityKgM3 of what is poured
 */
export function flowWords(
  quantity: GateQuantity,
  { moment, state: { flow } }: MomentReading,
  densityKgM3: number,
): string | undefined {
  if (quantity === 'apparentViscosityPaS') return `like ${nearestLandmark(flow.resistancePa)}`;
  if (quantity !== 'yieldStressPa') return undefined;
  return moment.temperatureC >= POUR_ABOVE_C
    ? clingWords(flow.yieldStressPa, densityKgM3)
    : setWords(flow.yieldStressPa, flow.resistancePa, densityKgM3);
}

/** What a gate asks of the flow, the cling or the set, by the name for it at its temperature. */
export function flowName(quantity: GateQuantity, temperatureC: number): string | undefined {
  if (quantity === 'apparentViscosityPaS') return 'flow';
  if (quantity !== 'yieldStressPa') return undefined;
  return temperatureC >= POUR_ABOVE_C ? 'cling' : 'set';
}

/** `a to b`, `at least a`, `at most b`; one word where both are the same. */
function between(low: string | undefined, high: string | undefined): string {
  if (low !== undefined && high !== undefined) return low === high ? low : `${low} to ${high}`;
  return low === undefined ? `at most ${high}` : `at least ${low}`;
}

/**
 * A gate on flow, cling or set in words: `like pouring cream to runny honey`; nothing for the other quantities.
 *
 * @param temperatureC of its moment
 * @param densityKgM3 of what is poured
 */
export function flowGateWords(
  { quantity, low, high }: Pick<Gate, 'quantity' | 'low' | 'high'>,
  temperatureC: number,
  densityKgM3: number,
): string | undefined {
  const edges = (word: (value: number) => string) =>
    between(low === undefined ? undefined : word(low), high === undefined ? undefined : word(high));
  switch (flowName(quantity, temperatureC)) {
    case 'flow':
      return edges((paS) => nearestLandmark(SLOW_STIR * paS)).replace(/^(at least |at most |)/, '$1like ');
    case 'cling': {
      const film = (pa: number) => pa / yieldForCoat(1, densityKgM3);
      // What holds more than a coat on its side, and what stands by itself, is set: millimetres say nothing there.
      if (film(low ?? high ?? 0) > SET_FILM_MM || film(high ?? low ?? 0) > MOST_FILM_MM) return edges(behaviour);
      return `holds ${edges((pa) => millimetres(film(pa), 2))} on a side`;
    }
    case 'set':
      return edges(behaviour);
    default:
      return undefined;
  }
}
