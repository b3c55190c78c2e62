import { asc, sql } from 'drizzle-orm';
import type { Database } from '../db/query-builder';
import { batchEvents } from '../db/schema';

/** Names of the photos that some batch shows. */
export async function shownPhotos(db: Database): Promise<ReadonlySet<string>> {
  const rows = await db
    .select({ batchId: batchEvents.batchId, what: batchEvents.what })
    .from(batchEvents)
    .where(sql`${batchEvents.what} ->> 'kind' in ('photo', 'photoOff')`)
    .orderBy(asc(batchEvents.batchId), asc(batchEvents.seq));
  const shown = new Map<string, string>();
  for (const { batchId, what } of rows) {
    if (what.kind === 'photo') shown.set(`${batchId} ${what.photo.hash}`, what.photo.hash);
    if (what.kind === 'photoOff') shown.delete(`${batchId} ${what.hash}`);
  }
  return new Set(shown.values());
}
