import { type BatchState, foldBatch } from '@/formats/batch-state';
import type { DeviceOrder, DevicesReading } from '@/formats/device';
import { type CookedBatch, cookedBatch } from '@/kitchen/cook/cook-batch';
import { panTemperature } from '@/kitchen/cook/pan-temperature';
import type { Database } from '../db/query-builder';
import { eventsAfter, findBatch } from '../repositories/batch-rows';
import { type SimulatedProbe, simulatedProbe } from './simulated-probe';
import { type SimulatedScale, simulatedScale } from './simulated-scale';

/** The scale and probe that ship with the app, beside one batch. Real devices stand behind the same interface. */
export interface PracticeSet {
  readonly read: () => DevicesReading;
  readonly order: (order: DeviceOrder) => void;
  /** the log of the batch has grown */
  readonly refresh: () => Promise<void>;
}

/** A clock that can be made faster, and never jumps. */
function practiceClock() {
  let [speed, sinceMs, passed] = [1, performance.now(), 0];
  const now = () => passed + (speed * (performance.now() - sinceMs)) / 1000;
  return {
    now,
    setSpeed: (times: number) => {
      passed = now();
      sinceMs = performance.now();
      speed = times;
    },
  };
}

function setFor(db: Database, id: string, cooked: CookedBatch, batchMs: number): PracticeSet {
  const clock = practiceClock();
  let state = foldBatch(cooked.method.followed.length, batchMs, []);
  /** s of the practice clock at which the clock of the step that is worked on was started */
  let started = clock.now();
  const startedMs = (of: BatchState) => of.steps[of.now ?? -1]?.startedMs;
  const sinceStart = () => (startedMs(state) === undefined ? 0 : clock.now() - started);
  const scale: SimulatedScale = simulatedScale(clock.now, 5);
  const probe: SimulatedProbe = simulatedProbe(() => panTemperature(cooked, state, sinceStart()), clock.now, 6);
  return {
    read: () => ({ scale: scale.read(), probe: probe.read() }),
    order: (order) => {
      if (order.order === 'tare') scale.tare();
      if (order.order === 'pour') scale.pour(order.grams);
      if (order.order === 'clear') scale.clear();
      if (order.order === 'resolution') scale.setResolution(order.grams);
      if (order.order === 'speed') clock.setSpeed(order.times);
      if (order.order === 'lose') (order.what === 'scale' ? scale : probe).lose(order.isLost);
    },
    refresh: async () => {
      const next = foldBatch(cooked.method.followed.length, batchMs, await eventsAfter(db, id, 0));
      if (next.now !== state.now || startedMs(next) !== startedMs(state)) started = clock.now();
      state = next;
    },
  };
}

const held = globalThis as { darkPourPractice?: Map<string, PracticeSet> };
/** Most batches that have a practice set at once; the oldest lets go. */
const MOST_SETS = 20;

/** The practice set beside a batch: one for all its tablets; nothing where the batch is not here. */
export async function practiceSet(db: Database, id: string): Promise<PracticeSet | undefined> {
  held.darkPourPractice ??= new Map();
  const sets = held.darkPourPractice;
  const known = sets.get(id);
  if (known) return known;
  const found = await findBatch(db, id);
  if (!found) return undefined;
  const set = setFor(db, id, cookedBatch(found.frozen), found.head.startedMs);
  await set.refresh();
  const [oldest] = sets.keys();
  if (sets.size >= MOST_SETS && oldest !== undefined) sets.delete(oldest);
  sets.set(id, set);
  return set;
}
