import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { messageOf } from '@/formats/message-of';
import { migrationsFolder } from './data-folder';
import { DataTroubleError } from './disk';
import type { Database } from './query-builder';
import * as schema from './schema';
import { serverTrouble } from './server-trouble';

/** Connections of one app process; longest it waits for one, and for a statement, ms. */
const CONNECTIONS = 10;
const CONNECTING_MS = 5_000;
const STATEMENT_MS = 30_000;
/** Lock under which one process at a time brings the schema up to date. */
const SCHEMA_LOCK = 0x6461726b;

/** Connections to the PostgreSQL server of a kitchen. */
function connectTo(url: string): pg.Pool {
  const pool = new pg.Pool({
    connectionString: url,
    max: CONNECTIONS,
    connectionTimeoutMillis: CONNECTING_MS,
    statement_timeout: STATEMENT_MS,
    application_name: 'Dark Pour',
  });
  // A connection that breaks while nobody uses it is made anew when it is needed.
  pool.on('error', () => undefined);
  return pool;
}

/**
 * The same database on a PostgreSQL server, 15 or later, its schema brought up to date.
 *
 * @throws {DataTroubleError} the server cannot be reached, or does not let us in
 */
export async function openOnServer(url: string): Promise<{ readonly db: Database; readonly pool: pg.Pool }> {
  const pool = connectTo(url);
  try {
    const one = await pool.connect();
    try {
      // Several processes may start at once.
      await one.query('select pg_advisory_lock($1)', [SCHEMA_LOCK]);
      await migrate(drizzle(one, { schema, casing: 'snake_case' }), { migrationsFolder: migrationsFolder() });
    } finally {
      await one.query('select pg_advisory_unlock($1)', [SCHEMA_LOCK]).catch(() => undefined);
      one.release();
    }
  } catch (error) {
    await pool.end();
    const trouble = serverTrouble(error) ?? `The database server does not let us in: ${messageOf(error)}.`;
    throw new DataTroubleError(trouble, { cause: error });
  }
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool };
}
