import { foldBatch } from '@/formats/batch-state';
import { dayOf } from '@/formats/day';
import type { PutAway } from '@/formats/shelf';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { keepingOf } from '@/kitchen/record/keeping-of';
import type { PastBatch } from '../repositories/past-batches';

const DAY_MS = 86_400_000;
/** What is older than this has been eaten. */
const STILL_THERE_DAYS = 13;
/** The mill's own habit for its jars, days. */
const OWN_DAYS = 8;

/** What is left of one of the mill's batches, as it stands on its shelf; nothing of those that are long gone. */
export function leftOnShelf(batch: PastBatch, batchId: string, now: Date): PutAway | undefined {
  const { frozen, madeAt, log } = batch;
  const left =
    log.flatMap(({ what }) => (what.kind === 'leftover' && what.fate === 'putAway' ? [what.grams] : []))[0] ?? 0;
  const ageDays = (now.getTime() - madeAt.getTime()) / DAY_MS;
  if (left < 20 || ageDays > STILL_THERE_DAYS) return undefined;
  const cooked = cookedBatch(frozen);
  const events = log.map(({ ms, what }, i) => ({
    ...{ seq: i + 1, key: `event-${i}`, tablet: 'book', tabletMs: ms, serverMs: ms },
    what,
  }));
  const state = foldBatch(cooked.method.followed.length, madeAt.getTime(), events);
  return {
    name: frozen.file.name,
    batchId,
    container: left > 150 ? 'tub' : 'jar',
    count: 1,
    grams: left,
    place: 'fridge',
    madeOn: dayOf(madeAt.getTime()),
    useBy: dayOf(madeAt.getTime() + OWN_DAYS * DAY_MS),
    keeping: keepingOf(cooked, state, frozen) ?? null,
  };
}
