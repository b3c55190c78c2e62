import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import type * as schema from './schema';

/** The query builder over the embedded database, a PostgreSQL server, or a transaction of either. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;
