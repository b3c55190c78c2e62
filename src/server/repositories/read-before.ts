import { setImmediate as nextTurn } from 'node:timers/promises';
import { type SQL, sql } from 'drizzle-orm';
import type { Database } from '../db/query-builder';

/** Rows that are read at a time: others who ask have their turn in between. */
const BATCH = 200;

/** The stamp PostgreSQL gives each writing of a row: another row under the same id has another one. */
export const rowStamp: SQL<string> = sql<string>`xmin::text`;

/** A row, as much of it as tells whether it has changed. */
export interface Head {
  readonly id: string;
  readonly stamp: string;
}

/**
 * A table whose rows are read and understood once: what has not been written since is taken from memory.
 *
 * @param read rows by their ids, in any order
 * @returns reads values in the order of the heads; rows that have gone meanwhile are left out. What is known of rows that are not asked for stays
 * known, unless all there are were asked for.
 */
export function readOnce<Value>(read: (db: Database, ids: string[]) => Promise<ReadonlyMap<string, Value>>) {
  const byDatabase = new WeakMap<Database, ReadonlyMap<string, { stamp: string; value: Value }>>();
  return async (db: Database, heads: readonly Head[], areAll: boolean): Promise<Value[]> => {
    const before = byDatabase.get(db);
    const fresh = new Map<string, Value>();
    const unknown = heads.filter(({ id, stamp }) => before?.get(id)?.stamp !== stamp).map(({ id }) => id);
    for (let from = 0; from < unknown.length; from += BATCH) {
      for (const [id, value] of await read(db, unknown.slice(from, from + BATCH))) fresh.set(id, value);
      await nextTurn();
    }
    const now = new Map<string, { stamp: string; value: Value }>();
    for (const { id, stamp } of heads) {
      const known = before?.get(id);
      const value = known?.stamp === stamp ? known.value : fresh.get(id);
      if (value !== undefined) now.set(id, { stamp, value });
    }
    byDatabase.set(db, areAll ? now : new Map([...(byDatabase.get(db) ?? []), ...now]));
    return [...now.values()].map(({ value }) => value);
  };
}
