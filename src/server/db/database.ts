import { readFileSync } from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { dataFolder, migrationsFolder } from './data-folder';
import { ownDataFolder } from './owner';
import * as schema from './schema';

export type Database = PgliteDatabase<typeof schema>;

/** An open database and how to leave it. */
export interface OpenDatabase {
  readonly db: Database;
  /** name of the newest migration applied */
  readonly schemaName: string;
  close(): Promise<void>;
}

function newestMigration(): string {
  const journal = JSON.parse(readFileSync(path.join(migrationsFolder(), 'meta', '_journal.json'), 'utf8')) as {
    entries: { tag: string }[];
  };
  return journal.entries.at(-1)?.tag ?? 'none';
}

/** Connects and brings the schema up to date. Without a folder the database lives in memory (tests). */
async function connect(folder: string | undefined) {
  const client = await PGlite.create(folder ? { dataDir: folder } : {});
  const db = drizzle(client, { schema, casing: 'snake_case' });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  return { client, db, schemaName: newestMigration() };
}

/** Opens a database in memory, empty but for its schema. */
export async function openMemoryDatabase(): Promise<OpenDatabase> {
  const { client, db, schemaName } = await connect(undefined);
  return { db, schemaName, close: () => client.close() };
}

/**
 * Opens the database of a data folder as its only owner and brings its schema up to date.
 *
 * @throws {DataFolderInUseError} another living process owns the folder
 */
export async function openDatabase(folder: string): Promise<OpenDatabase> {
  const giveBack = await ownDataFolder(folder);
  try {
    const { client, db, schemaName } = await connect(path.join(folder, 'db'));
    return {
      db,
      schemaName,
      async close() {
        await client.close();
        giveBack();
      },
    };
  } catch (error) {
    giveBack();
    throw error;
  }
}

const held = globalThis as { darkPourDatabase?: Promise<OpenDatabase> };

/** The one database of this process, opened on first use; survives hot reload. */
export function sharedDatabase(): Promise<OpenDatabase> {
  held.darkPourDatabase ??= openDatabase(dataFolder());
  return held.darkPourDatabase;
}
