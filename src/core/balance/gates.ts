import type { Moment } from '../predict/moments';
import type { State } from '../predict/state';

/** What a gate can be set on. */
export const GATE_QUANTITIES = [
  'apparentViscosityPaS',
  'yieldStressPa',
  'resistancePa',
  'shine',
  'waterActivity',
] as const;

export type GateQuantity = (typeof GATE_QUANTITIES)[number];

/** A band a quantity must fall in at one moment. A `low` of 0 or none means no lower edge, no `high` no upper one. */
export interface Gate {
  /** name of the moment it is read at */
  readonly moment: string;
  readonly quantity: GateQuantity;
  readonly low?: number | undefined;
  readonly high?: number | undefined;
}

/** A gate and how the batch stands to it. */
export interface GateReading extends Gate {
  readonly value: number;
  readonly lands: boolean;
  /** -1 below the band, 0 inside, 1 above */
  readonly side: -1 | 0 | 1;
}

/**
 * How much a step in the logarithm of a quantity counts beside one in a flow property: water activity and shine live in narrow
 * ranges (J).
 */
export const GATE_WEIGHT: Record<GateQuantity, number> = {
  apparentViscosityPaS: 1,
  yieldStressPa: 1,
  resistancePa: 1,
  shine: 5,
  waterActivity: 20,
};

/** The value of a gate's quantity in a state. */
export function quantityIn(state: State, quantity: GateQuantity): number {
  return quantity === 'shine' || quantity === 'waterActivity' ? state[quantity] : state.flow[quantity];
}

/**
 * Reads one gate.
 *
 * @example readGate({ moment: 'pour', quantity: 'resistancePa', low: 10, high: 30 }, 40).side // 1
 */
export function readGate(gate: Gate, value: number): GateReading {
  const side = value < (gate.low ?? 0) ? -1 : value > (gate.high ?? Number.POSITIVE_INFINITY) ? 1 : 0;
  const { moment, quantity, low, high } = gate;
  return { moment, quantity, low, high, value, lands: side === 0, side };
}

/** Finds the moment a gate is read at. */
export function momentOf(gate: Gate, moments: readonly Moment[]): Moment {
  const moment = moments.find((candidate) => candidate.name === gate.moment);
  if (!moment) throw new RangeError(`no moment is called "${gate.moment}"`);
  return moment;
}
