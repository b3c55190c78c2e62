import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { BatchHead, FrozenBatch, Happening } from '@/formats/batch';
import type { Database } from '../db/query-builder';
import { batchEvents, batches } from '../db/schema';
import { writeSummary } from './batch-summaries';
import { beginBatch } from './batches';
import { writeTests } from './kitchen-tests';

/** Something that happened at a moment that is past. */
export interface PastHappening {
  /** ms since 1970 */
  readonly ms: number;
  readonly what: Happening;
}

/** A batch that is over, with all that happened in its order. */
export interface PastBatch {
  readonly formulaId: string;
  readonly frozen: FrozenBatch;
  readonly madeAt: Date;
  readonly by: string | undefined;
  readonly log: readonly PastHappening[];
}

/** Writes a batch of another day into the book, with its log; all of it or nothing. */
export async function writePastBatch(
  db: Database,
  { formulaId, frozen, madeAt, by, log }: PastBatch,
): Promise<Pick<BatchHead, 'id' | 'number'>> {
  return db.transaction(async (tx) => {
    const begun = await beginBatch(tx, formulaId, frozen, madeAt);
    const { id } = begun;
    const state = log.some(({ what: { kind } }) => kind === 'abandon') ? 'abandoned' : 'finished';
    await tx.insert(batchEvents).values(
      log.map(({ ms, what }, i) => ({
        batchId: id,
        seq: i + 1,
        key: randomUUID(),
        tablet: 'book',
        madeBy: by ?? null,
        tabletMs: ms,
        serverMs: ms,
        what,
      })),
    );
    await tx.update(batches).set({ state }).where(eq(batches.id, id));
    await writeSummary(tx, id);
    await writeTests(tx, id);
    return begun;
  });
}

/** A batch of which only some things are remembered: all its steps done, without times of their own. */
export function rememberedLog(frozen: FrozenBatch, madeAt: Date, happened: readonly Happening[]): PastHappening[] {
  const steps = frozen.file.method?.steps?.length ?? 0;
  const whats: Happening[] = [
    ...Array.from({ length: steps }, (_, step): Happening => ({ kind: 'done', step })),
    ...happened,
    { kind: 'finish' },
  ];
  return whats.map((what) => ({ ms: madeAt.getTime(), what }));
}
