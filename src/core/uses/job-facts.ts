import type { Gate } from '../formula/gates';
import type { PortionKey } from '../yields/portions';
import type { Place } from './places';

/** A band of a fitted set; 0 below is open. */
type FittedBand = readonly [moment: 'pour' | 'bench' | 'fridge', quantity: Gate['quantity'], low: number, high: number];

/** °C of its moments, and what must hold there. */
export interface FittedGates {
  readonly pour: number;
  readonly bench: number;
  readonly fridge: number;
  readonly bands: readonly FittedBand[];
}

/** What the millimetres of a job are. */
type Extent = 'coat' | 'depth' | 'height';

/** What is usual for a use, before the cook says otherwise. */
export interface JobFacts {
  /** what the moment of its work is called in a formula; the first warm one is the pour */
  readonly moment: string;
  /** what its millimetres are; nothing for what is only counted */
  readonly extent?: Extent;
  readonly mm: number;
  /** mm that make sense */
  readonly reach: readonly [number, number];
  readonly portions: readonly [PortionKey, ...PortionKey[]];
  readonly sides: boolean;
  /** °C; nothing for what is worked at the kitchen's own temperature */
  readonly workC?: number;
  readonly eatC: number;
  readonly hours: number;
  readonly place: Place;
  /** part of what is poured that runs off (J) */
  readonly runsOff: number;
  /** pieces to begin with */
  readonly count: number;
  /** sets of gates fitted for such a job as a whole, to start from without a brief; a brief speaks as the last of them */
  readonly fitted?: Readonly<Record<string, FittedGates>>;
}
