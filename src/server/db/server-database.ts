import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { messageOf } from '@/formats/message-of';
import { migrationsFolder } from './data-folder';
import { DataTroubleError } from './disk';
import { PatientPool } from './patient-pool';
import type { Database } from './query-builder';
import * as schema from './schema';
import { serverTrouble } from './server-trouble';

/** Longest a start waits for the server, ms. */
const CONNECTING_MS = 5_000;
/** Lock under which one process at a time brings the schema up to date. */
const SCHEMA_LOCK = 0x6461726b;

/** Brings the schema up to date on a connection of its own, which may take as long as that takes. */
async function migrateOn(url: string): Promise<void> {
  const one = new pg.Client({
    connectionString: url,
    application_name: 'Dark Pour',
    connectionTimeoutMillis: CONNECTING_MS,
  });
  one.on('error', () => undefined);
  await one.connect();
  try {
    // Several processes may start at once.
    await one.query('select pg_advisory_lock($1)', [SCHEMA_LOCK]);
    await migrate(drizzle(one, { schema, casing: 'snake_case' }), { migrationsFolder: migrationsFolder() });
  } finally {
    // With the connection its lock goes.
    await one.end();
  }
}

/**
 * The same database on a PostgreSQL server, 15 or later, its schema brought up to date.
 *
 * @throws {DataTroubleError} the server cannot be reached, or does not let us in
 */
export async function openOnServer(url: string): Promise<{ readonly db: Database; readonly pool: pg.Pool }> {
  try {
    await migrateOn(url);
  } catch (error) {
    const trouble = serverTrouble(error) ?? `The database server does not let us in: ${messageOf(error)}.`;
    throw new DataTroubleError(trouble, { cause: error });
  }
  const pool = new PatientPool(url);
  return { db: drizzle(pool, { schema, casing: 'snake_case' }), pool };
}
