import { foldBatch } from '@/formats/batch-state';
import type { KitchenTimer } from '@/formats/timers';
import { type CookedBatch, cookedNow } from '@/kitchen/cook/cook-batch';
import { timersOf } from '@/kitchen/cook/timers-of';
import type { Database } from './db/query-builder';
import { clockEvents, findBatch } from './repositories/batch-rows';
import { runningBatches } from './repositories/batches';

/** Methods of batches that run, worked out once each for the amounts that are wanted. */
const known = new Map<string, CookedBatch>();
const MAX_KNOWN = 60;

/** The clocks of a batch that runs; none where it cannot be followed. */
async function timersOfBatch(
  db: Database,
  head: Awaited<ReturnType<typeof runningBatches>>[number],
): Promise<KitchenTimer[]> {
  const events = await clockEvents(db, head.id);
  const steps = events.reduce((most, { what }) => ('step' in what ? Math.max(most, what.step + 1) : most), 0);
  if (steps === 0 && !events.some(({ what }) => what.kind === 'timer')) return [];
  const replanned = new Map(events.flatMap(({ what }) => (what.kind === 'replan' ? [[what.row, what.grams]] : [])));
  const key = `${head.id} ${JSON.stringify([...replanned])}`;
  let cooked = known.get(key);
  if (!cooked) {
    const found = await findBatch(db, head.id);
    if (!found) return [];
    try {
      cooked = cookedNow(found.frozen, replanned);
    } catch {
      return [];
    }
    if (known.size >= MAX_KNOWN) known.clear();
    known.set(key, cooked);
  }
  const { followed } = cooked.method;
  return timersOf(head, followed, foldBatch(followed.length, head.startedMs, events));
}

/** Everything in the kitchen that ends at a time, the next first. */
export async function kitchenTimers(db: Database): Promise<KitchenTimer[]> {
  const all = await Promise.all((await runningBatches(db)).map((head) => timersOfBatch(db, head)));
  return all.flat().sort((a, b) => a.dueMs - b.dueMs);
}
