import { JOB_FACTS, type JobUse } from '../uses/catalogue';
import { PIECES, type PieceKey, piecesForGuests, piecesOfUse } from '../uses/pieces';
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
  /** what it is usually called; the first of its use when left out */
  readonly piece?: PieceKey | undefined;
  /** guests it is for, where the count follows from them */
  readonly guests?: number | undefined;
  /** pieces a guest takes, above 0; below 1 for what is shared */
  readonly each?: number | undefined;
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

/** What a job's pieces are called. */
export const pieceOf = (job: Pick<Job, 'use' | 'piece'>): PieceKey =>
  job.piece !== undefined && PIECES[job.piece].use === job.use ? job.piece : piecesOfUse(job.use)[0];

/** A job with other pieces of its use: counted, sized and coated as they are, for as many guests as before. */
export function withPiece(job: Job, key: PieceKey): Job {
  const { portion, sizes, mm, each } = PIECES[key];
  const other: Job = {
    ...job,
    piece: key,
    what: '',
    portion,
    sizes: { ...usualSizes(portion), ...sizes },
    mm: mm ?? JOB_FACTS[job.use].mm,
  };
  return job.guests === undefined ? other : forGuests(other, job.guests, each);
}

/**
 * A job for so many guests.
 *
 * @param guests 1 or more; nothing leaves the count as it is
 * @param each pieces a guest takes, above 0
 */
export function forGuests(job: Job, guests: number | undefined, each = job.each ?? PIECES[pieceOf(job)].each): Job {
  if (guests === undefined) return { ...job, guests, each: undefined };
  // A pot and a board know their guests themselves.
  const sizes = job.portion === 'board' ? { ...job.sizes, guests } : job.sizes;
  return { ...job, guests, each, sizes, count: job.portion === 'board' ? 1 : piecesForGuests(guests, each) };
}

/** Guests a job is for; nothing where its count was said by itself since. */
export function guestsOf(job: Job): number | undefined {
  const { guests, each, count, portion } = job;
  if (guests === undefined || each === undefined) return undefined;
  const fits = portion === 'board' ? job.sizes.guests === guests : count === piecesForGuests(guests, each);
  return fits ? guests : undefined;
}

/** A job before anything else is said of it. */
export function usualJob(use: JobUse): Job {
  const { count, portions, mm, sides, eatC, hours, place } = JOB_FACTS[use];
  const [portion] = portions;
  return {
    use,
    what: '',
    count,
    portion,
    sizes: { ...usualSizes(portion), ...PIECES[piecesOfUse(use)[0]].sizes },
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
