import type { GateQuantity } from './gate-quantities';
import type { Moment } from './moments';

/** A band a quantity must fall in at one moment. A `low` of 0 or none means no lower edge, no `high` no upper one. */
export interface Gate {
  /** name of the moment it is read at */
  readonly moment: string;
  readonly quantity: GateQuantity;
  readonly low?: number | undefined;
  readonly high?: number | undefined;
  /** how much a miss counts beside the others when not all can be met, above 0; 1 when left out */
  readonly weight?: number | undefined;
}

/** Edges of a gate that is set by hand keep at least this factor apart. */
export const EDGES_APART = 1.02;

/** A gate and how the batch stands to it. */
export interface GateReading extends Gate {
  readonly value: number;
  readonly lands: boolean;
  /** -1 below the band, 0 inside, 1 above */
  readonly side: -1 | 0 | 1;
}

/**
 * Reads one gate.
 *
 * @example readGate({ moment: 'pour', quantity: 'resistancePa', low: 10, high: 30 }, 40).side // 1
 */
export function readGate(gate: Gate, value: number): GateReading {
  const side = value < (gate.low ?? 0) ? -1 : value > (gate.high ?? Number.POSITIVE_INFINITY) ? 1 : 0;
  return { ...gate, value, lands: side === 0, side };
}

/** Finds the moment a gate is read at. */
export function momentOf(gate: Gate, moments: readonly Moment[]): Moment {
  const moment = moments.find((candidate) => candidate.name === gate.moment);
  if (!moment) throw new RangeError(`no moment is called "${gate.moment}"`);
  return moment;
}
