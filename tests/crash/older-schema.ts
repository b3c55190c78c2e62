import { sql } from 'drizzle-orm';
import { openDatabase } from '../../src/server/db/database';

/** Takes the newest changes of the database's form back out of a data folder, as if an earlier version had left it: the next start makes them again. */
const [folder = ''] = process.argv.slice(2);
const { db, close, schemaName } = await openDatabase(folder);
/** The newest change that is taken back below: a newer one has to be taken back here, too. */
const NEWEST = '0022_trans_fat_and_cholesterol';
if (schemaName !== NEWEST) throw new Error(`${schemaName} is not taken back by this`);
await db.execute(sql`alter table ingredients drop column trans_fat_g, drop column cholesterol_mg`);
await db.execute(sql`alter table formula_versions drop column automatic`);
await db.execute(sql`alter table day_tasks drop column served_minutes`);
await db.execute(sql`alter table kitchen_tests drop column evidence`);
await db.execute(sql`alter table kitchen_tests drop column made_ms`);
await db.execute(sql`drop table answered_writes`);
await db.execute(sql`alter table batch_events drop column heard_ms`);
await db.execute(
  sql`delete from drizzle.__drizzle_migrations where id in (select id from drizzle.__drizzle_migrations order by created_at desc limit 6)`,
);
await close();
