import { JOB_FACTS, type JobUse } from '../uses/catalogue';
import type { Place } from '../uses/places';
import { type PortionKey, type Sizes, usualSizes } from '../yields/portions';

/** How steep the side is that a coat must hold to. */
export const SLOPES = ['upright', 'sloping', 'shallow'] as const;

export type Slope = (typeof SLOPES)[number];

/** Degrees from the flat, by slope. */
const SLOPE_DEGREES: Readonly<Record<Slope, number>> = { upright: 90, sloping: 60, shallow: 30 };

/** Part of its weight that pulls a coat down a side: the sine of the slope, 0 to 1. */
export function pullDown(slope: Slope): number {
  return Math.sin((SLOPE_DEGREES[slope] * Math.PI) / 180);
}

/** Both edges as the cook says them over what physics gives: one that is left out is open, without either there is no gate. */
export interface Overruled {
  readonly low?: number | undefined;
  readonly high?: number | undefined;
  /** how much a miss counts, as in a gate */
  readonly weight?: number | undefined;
}

/** One job of a batch: the use, how much of it, and when and where it is worked and eaten. */
export interface Job {
  readonly use: JobUse;
  /** what it is for, in the cook's words; may be empty */
  readonly what: string;
  readonly count: number;
  readonly portion: PortionKey;
  readonly sizes: Sizes;
  /** mm of coat, depth or height, whichever the use has */
  readonly mm: number;
  /** the sides are done too, not the top alone */
  readonly sides: boolean;
  /** the steepest side a coat must hold to; other uses leave it be */
  readonly slope: Slope;
  /** °C it is worked at; the kitchen's when left out */
  readonly workC?: number | undefined;
  /** °C it is eaten at */
  readonly eatC: number;
  /** h between the work and the eating */
  readonly hours: number;
  readonly place: Place;
  /** what runs off is caught and used again */
  readonly caught: boolean;
  /** gates the cook set otherwise, by {@link JobGate.key} */
  readonly overruled: Readonly<Record<string, Overruled>>;
}

/** Uses whose run-off goes with the portion: down the scoop onto the plate, onto the hands. */
const LOST_ON_THE_WAY: ReadonlySet<JobUse> = new Set(['nap', 'roll']);

/** A job before anything else is said of it. */
export function usualJob(use: JobUse): Job {
  const { count, portions, mm, sides, eatC, hours, place, sizes } = JOB_FACTS[use];
  const [portion] = portions;
  return {
    use,
    what: '',
    count,
    portion,
    sizes: { ...usualSizes(portion), ...sizes },
    mm,
    sides,
    slope: 'upright',
    eatC,
    hours,
    place,
    caught: !LOST_ON_THE_WAY.has(use),
    overruled: {},
  };
}
