/** What a kitchen has only so much of. */
export const DAY_RESOURCES = ['hands', 'hob', 'fridge'] as const;
export type DayResource = (typeof DAY_RESOURCES)[number];

/** How much of each there is: pairs of hands, rings, shelves. */
export type DayCapacity = Readonly<Record<DayResource, number>>;

/** A small kitchen: one cook, two rings, four shelves (J). */
export const SMALL_KITCHEN: DayCapacity = { hands: 1, hob: 2, fridge: 4 };

/** A stretch of a piece of work that takes one of something, min from its start. */
export interface Stretch {
  readonly what: DayResource;
  readonly from: number;
  readonly to: number;
}

/** A piece of work on a day: how long it lasts, what it takes when, and when it is to be ready. */
export interface DayTask {
  readonly id: string;
  /** min */
  readonly lasts: number;
  readonly stretches: readonly Stretch[];
  /** min of the day; it begins that much earlier, on the day before if it must */
  readonly ready: number;
}

/** A time at which more is wanted of something than there is. */
export interface Overlap {
  readonly what: DayResource;
  readonly from: number;
  readonly to: number;
  /** the pieces of work that want it */
  readonly ids: readonly string[];
}

/** Most minutes a piece of work is put forward. */
const MOST_EARLIER = 1440;

interface Placed {
  readonly id: string;
  readonly what: DayResource;
  /** min of the day */
  readonly from: number;
  readonly to: number;
}

/** Stretches of a piece of work on the day's own clock. */
export function placedStretches({ id, ready, lasts, stretches }: DayTask): Placed[] {
  const start = ready - lasts;
  return stretches.map(({ what, from, to }) => ({ id, what, from: start + from, to: start + to }));
}

/** Where more of one thing is wanted than there is: between two edges the same ones want it. */
function overlapsOf(what: DayResource, placed: readonly Placed[], capacity: number): Overlap[] {
  const own = placed.filter((each) => each.what === what);
  const edges = [...new Set(own.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const found: Overlap[] = [];
  for (const [i, from] of edges.entries()) {
    const to = edges[i + 1];
    if (to === undefined) break;
    const ids = [...new Set(own.filter((each) => each.from < to && each.to > from).map(({ id }) => id))];
    if (ids.length <= capacity) continue;
    const last = found.at(-1);
    const isSame = last && last.to === from && last.ids.join() === ids.join();
    if (isSame) found[found.length - 1] = { ...last, to };
    else found.push({ what, from, to, ids });
  }
  return found;
}

/**
 * Where a day asks for more hands, rings or shelves than there are. What one piece of work wants twice at once counts once.
 *
 * @returns in order of resource, then of time; min of the day
 */
export function dayOverlaps(tasks: readonly DayTask[], capacity: DayCapacity): Overlap[] {
  const placed = tasks.flatMap(placedStretches);
  return DAY_RESOURCES.flatMap((what) => overlapsOf(what, placed, capacity[what]));
}

/** Least minutes a piece of work must be put forward to leave all that conflicts with it behind; 0 where nothing does. */
function wantedShift(own: readonly Placed[], placed: readonly Placed[], capacity: DayCapacity): number {
  let shift = 0;
  for (const each of own) {
    const others = placed.filter(({ what, from, to }) => what === each.what && from < each.to && to > each.from);
    if (new Set(others.map(({ id }) => id)).size < capacity[each.what]) continue;
    // To the beginning of the one that began last: nothing nearer makes room.
    shift = Math.max(shift, each.to - Math.max(...others.map(({ from }) => from)));
  }
  return shift;
}

/**
 * Puts work forward until hands, rings and shelves suffice: what is ready last keeps its time, nothing is ever put back.
 *
 * @returns the same pieces in the same order; one that finds no room within a day keeps its time
 */
export function spreadDay(tasks: readonly DayTask[], capacity: DayCapacity): DayTask[] {
  const placed: Placed[] = [];
  const ready = new Map<string, number>();
  for (const task of tasks.toSorted((a, b) => b.ready - a.ready || (a.id < b.id ? -1 : 1))) {
    let at = task.ready;
    for (;;) {
      const shift = wantedShift(placedStretches({ ...task, ready: at }), placed, capacity);
      if (shift <= 0) break;
      at = Math.floor(at - shift);
      if (task.ready - at > MOST_EARLIER) {
        at = task.ready;
        break;
      }
    }
    ready.set(task.id, at);
    placed.push(...placedStretches({ ...task, ready: at }));
  }
  return tasks.map((task) => ({ ...task, ready: ready.get(task.id) ?? task.ready }));
}
