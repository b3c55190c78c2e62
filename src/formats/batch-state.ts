import { AFTERWARDS, type BatchEvent, type Happening } from './batch';

/** Where a step of a batch stands. */
export interface StepState {
  readonly status: 'todo' | 'now' | 'aside' | 'done';
  /** ms on the server's clock */
  readonly begunMs: number | undefined;
  /** when its clock was started: with the heat, or by a press; never by opening a page */
  readonly startedMs: number | undefined;
  readonly doneMs: number | undefined;
}

type Of<Kind extends Happening['kind']> = Extract<Happening, { kind: Kind }>;
/** What happened, with the server's time. */
export type At<Kind extends Happening['kind']> = Of<Kind> & { readonly ms: number };

/** Work that was done before the end and told after it, as by a tablet that was out of reach. */
export interface ToldLate {
  readonly what: Happening;
  /** ms when it happened, and when the server heard of it */
  readonly ms: number;
  readonly heardMs: number;
}

/** A batch as its log tells it. */
export interface BatchState {
  readonly steps: readonly StepState[];
  /** place of the step that is worked on; nothing when all are done */
  readonly now: number | undefined;
  /** g that went in of a row with a step, by `step:row`; the last weighing counts */
  readonly weighed: ReadonlyMap<string, number>;
  /** g of a row that were weighed before the stove, and are not in by that alone */
  readonly setOut: ReadonlyMap<number, number>;
  /** the list of what is weighed first is done with */
  readonly isWeighedOut: boolean;
  /** rows that go in later than planned, by `step:row` */
  readonly later: ReadonlySet<string>;
  /** g wanted of a row instead of what was planned */
  readonly replanned: ReadonlyMap<number, number>;
  readonly temperatures: readonly At<'temperature'>[];
  readonly rings: readonly At<'ring'>[];
  readonly checks: readonly At<'check'>[];
  readonly added: readonly At<'add'>[];
  /** what was done about signs, and whether it worked */
  readonly fixes: readonly At<'fix'>[];
  readonly poured: readonly At<'poured'>[];
  /** water that was gone by the scale, each time the pan was weighed */
  readonly lost: readonly At<'lost'>[];
  readonly notes: readonly At<'note'>[];
  /** but those taken away again */
  readonly photos: readonly At<'photo'>[];
  /** kitchen tests by their events' keys; those in doubt do not count */
  readonly tests: readonly (At<'test'> & { readonly key: string; readonly isDoubted: boolean })[];
  readonly used: readonly At<'used'>[];
  readonly leftovers: readonly At<'leftover'>[];
  /** what the cook said last of whether it did what it should */
  readonly hasLanded: boolean | undefined;
  readonly timers: readonly At<'timer'>[];
  readonly bursts: readonly At<'burst'>[];
  readonly over: 'finished' | 'abandoned' | undefined;
  /** ms when it was over */
  readonly overMs: number | undefined;
  /** what a second tablet said was in the bowl when it finished a batch that was over; it does not count */
  readonly finishedAgain: readonly At<'poured'>[];
  readonly toldLate: readonly ToldLate[];
  /** entries this version cannot read */
  readonly unclear: readonly { readonly ms: number; readonly reason: string }[];
  /** number of the last event that was read */
  readonly seq: number;
}

/** Which step and row a weighing is of. */
export const weighedKey = (step: number, row: number) => `${step}:${row}`;

/** What is kept as it was told, one after the other. */
type ListedKind =
  | 'temperature'
  | 'ring'
  | 'check'
  | 'add'
  | 'fix'
  | 'poured'
  | 'lost'
  | 'note'
  | 'photo'
  | 'used'
  | 'leftover'
  | 'timer'
  | 'burst';

interface Folding {
  steps: StepState[];
  now: number | undefined;
  weighed: Map<string, number>;
  setOut: Map<number, number>;
  isWeighedOut: boolean;
  later: Set<string>;
  replanned: Map<number, number>;
  lists: { [Kind in ListedKind]: At<Kind>[] };
  hasLanded: boolean | undefined;
  tests: (At<'test'> & { key: string })[];
  doubted: Set<string>;
  over: BatchState['over'];
}

const NOT_BEGUN: StepState = { status: 'todo', begunMs: undefined, startedMs: undefined, doneMs: undefined };

/** Starts the clock of a step that is worked on, once. */
function start(state: Folding, at: number, ms: number): void {
  const step = state.steps[at];
  if (step && step.startedMs === undefined && (step.status === 'now' || step.status === 'aside'))
    state.steps[at] = { ...step, startedMs: ms };
}

/** Goes on to the first step that nobody has done. */
function goOn(state: Folding, ms: number): void {
  const next = state.steps.findIndex(({ status }) => status === 'todo');
  state.now = next < 0 ? undefined : next;
  const step = state.steps[next];
  if (step) state.steps[next] = { ...step, status: 'now', begunMs: ms, startedMs: undefined };
}

/** A cook goes to a step: what comes after it is to be done, unless it goes on aside. */
function begin(state: Folding, at: number, ms: number): void {
  if (!state.steps[at]) return;
  state.steps = state.steps.map((step, i): StepState => {
    if (i === at) return { ...NOT_BEGUN, status: 'now', begunMs: ms };
    if (i > at && step.status !== 'aside') return NOT_BEGUN;
    return step.status === 'now' ? { ...step, status: i < at ? 'done' : 'todo', doneMs: ms } : step;
  });
  state.now = at;
}

/** A step that is over, or goes on aside. Told of a step that is over already it changes nothing: two tablets may say the same. */
function leave(state: Folding, at: number, status: 'done' | 'aside', ms: number): void {
  const step = state.steps[at];
  const isThere = step && (step.status === 'now' || (step.status === 'aside' && status === 'done'));
  if (!isThere) return;
  state.steps[at] = { ...step, status, doneMs: status === 'done' ? ms : undefined };
  if (state.now === at) goOn(state, ms);
}

type Clear = BatchEvent & { readonly what: Happening };
const isClear = (event: BatchEvent): event is Clear => event.what.kind !== 'unclear';

type OfRows = Of<'setOut' | 'weighedOut' | 'later' | 'weigh' | 'replan'>;

/** What was said of a row: weighed beforehand, in, later, or another amount. */
function takeRow(state: Folding, what: OfRows): void {
  switch (what.kind) {
    case 'setOut':
      state.setOut.set(what.row, what.grams);
      return;
    case 'weighedOut':
      state.isWeighedOut = true;
      return;
    case 'later':
      state.later.add(weighedKey(what.step, what.row));
      return;
    case 'weigh':
      state.weighed.set(weighedKey(what.step, what.row), what.grams);
      return;
    case 'replan':
      state.replanned.set(what.row, what.grams);
  }
}

function take(state: Folding, { what, serverMs: ms, key }: Pick<Clear, 'what' | 'serverMs' | 'key'>): void {
  switch (what.kind) {
    case 'begin':
      begin(state, what.step, ms);
      return;
    case 'done':
      leave(state, what.step, 'done', ms);
      return;
    case 'aside':
      leave(state, what.step, 'aside', ms);
      return;
    case 'start':
      start(state, what.step, ms);
      return;
    case 'setOut':
    case 'weighedOut':
    case 'later':
    case 'weigh':
    case 'replan':
      takeRow(state, what);
      return;
    case 'burst':
      // The first burst is the heat.
      start(state, what.step, ms);
      state.lists.burst.push({ ...what, ms });
      return;
    case 'timerOff':
      state.lists.timer = state.lists.timer.filter(({ id }) => id !== what.id);
      return;
    case 'photoOff':
      state.lists.photo = state.lists.photo.filter(({ photo }) => photo.hash !== what.hash);
      return;
    case 'ring': {
      const { diameterMm, temperatureC } = what;
      const result = { test: 'ring', diameterMm, temperatureC, seconds: 30 } as const;
      state.lists.ring.push({ ...what, ms });
      state.tests.push({ kind: 'test', result, ms, key });
      return;
    }
    case 'test':
      state.tests.push({ ...what, ms, key });
      return;
    case 'doubt':
      if (what.isDoubted) state.doubted.add(what.test);
      else state.doubted.delete(what.test);
      return;
    case 'verdict':
      state.hasLanded = what.hasLanded;
      return;
    case 'finish':
    case 'abandon':
      state.over = what.kind === 'finish' ? 'finished' : 'abandoned';
      return;
    default:
      (state.lists[what.kind] as At<typeof what.kind>[]).push({ ...what, ms });
  }
}

const isEnd = ({ what: { kind } }: BatchEvent) => kind === 'finish' || kind === 'abandon';

/** The end of a batch: the one the server heard of first. What a second tablet says of it later ends nothing. */
function endOf(events: readonly Clear[]): Clear | undefined {
  return events
    .filter(isEnd)
    .reduce<Clear | undefined>((first, each) => (first && first.seq <= each.seq ? first : each), undefined);
}

/** The end that what was poured into the bowl was told together with, by the same tablet. */
function finishAfter(events: readonly Clear[], i: number): Clear | undefined {
  const next = events.slice(i + 1).find(({ tablet }) => tablet === events[i]?.tablet);
  return next?.what.kind === 'finish' ? next : undefined;
}

/** Events as they happened: one told late stands where it belongs; at the same moment the first told comes first. */
export const inTime = (events: readonly BatchEvent[]): readonly BatchEvent[] =>
  events.toSorted((a, b) => a.serverMs - b.serverMs || a.seq - b.seq);

/** When the server heard of an event. */
const heardAt = ({ heardMs, serverMs }: BatchEvent) => heardMs ?? serverMs;

function nothingYet(steps: number): Folding {
  return {
    steps: Array.from({ length: steps }, () => NOT_BEGUN),
    now: undefined,
    weighed: new Map(),
    setOut: new Map(),
    isWeighedOut: false,
    later: new Set(),
    replanned: new Map(),
    lists: {
      temperature: [],
      ring: [],
      check: [],
      add: [],
      fix: [],
      poured: [],
      lost: [],
      note: [],
      photo: [],
      used: [],
      leftover: [],
      timer: [],
      burst: [],
    },
    hasLanded: undefined,
    tests: [],
    doubted: new Set(),
    over: undefined,
  };
}

/**
 * What a batch's log comes to. The log is the truth; whatever is shown of a batch is read from this.
 *
 * @param steps of its method
 * @param startedMs when it was begun, ms on the server's clock
 * @param log its events in any order: they are taken as they happened. What happened after the end is kept in the log, and changes nothing
 */
export function foldBatch(steps: number, startedMs: number, log: readonly BatchEvent[]): BatchState {
  const all = inTime(log);
  const events = all.filter(isClear);
  const state = nothingYet(steps);
  goOn(state, startedMs);
  const finishedAgain: At<'poured'>[] = [];
  const end = endOf(events);
  for (const [i, event] of events.entries()) {
    if (isEnd(event) && event !== end) continue;
    if (state.over && !AFTERWARDS.has(event.what.kind)) continue;
    if (end && event.what.kind === 'poured' && (finishAfter(events, i) ?? end) !== end) {
      finishedAgain.push({ ...event.what, ms: event.serverMs });
      continue;
    }
    take(state, event);
  }
  const late = end ? events.slice(0, events.indexOf(end)).filter(({ seq }) => seq > end.seq) : [];
  const { lists, doubted, tests, ...rest } = state;
  return {
    ...rest,
    overMs: end?.serverMs,
    finishedAgain,
    toldLate: late.map((event) => ({ what: event.what, ms: event.serverMs, heardMs: heardAt(event) })),
    unclear: all.flatMap(({ what, serverMs: ms }) => (what.kind === 'unclear' ? [{ ms, reason: what.reason }] : [])),
    tests: tests.map((test) => ({ ...test, isDoubted: doubted.has(test.key) })),
    temperatures: lists.temperature,
    rings: lists.ring,
    checks: lists.check,
    added: lists.add,
    fixes: lists.fix,
    poured: lists.poured,
    lost: lists.lost,
    notes: lists.note,
    photos: lists.photo,
    used: lists.used,
    leftovers: lists.leftover,
    timers: lists.timer,
    bursts: lists.burst,
    seq: log.reduce((last, { seq }) => Math.max(last, seq), 0),
  };
}
