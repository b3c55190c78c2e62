import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { migrationsFolder } from './data-folder';
import { assertTakesSaves } from './disk';
import { expectSizes, noteSizes } from './file-sizes';
import { databaseFolder, expectKitchen, isMarked, markKitchen } from './kitchen-mark';
import { ownDataFolder } from './owner';
import { isOnServer, kitchenPlace } from './place';
import type { Database } from './query-builder';
import * as schema from './schema';
import { openOnServer } from './server-database';
import { ThreadedClient } from './threaded-client';

/** An open database and how to leave it. */
export interface OpenDatabase {
  readonly db: Database;
  /** name of the newest migration applied */
  readonly schemaName: string;
  /** it was closed cleanly before, or is new: nothing of it can be missing */
  readonly wasClosed: boolean;
  close(): Promise<void>;
}

/** Changes of the database's form this version knows, the oldest first. */
export function knownSchemas(): string[] {
  const journal = JSON.parse(readFileSync(path.join(migrationsFolder(), 'meta', '_journal.json'), 'utf8')) as {
    entries: { tag: string }[];
  };
  return journal.entries.map(({ tag }) => tag);
}

const newestMigration = () => knownSchemas().at(-1) ?? 'none';

/** The query builder over a client that asks as the embedded database does, its schema brought up to date. */
async function over(client: PGlite | ThreadedClient): Promise<Database> {
  const db = drizzle(client as PGlite, { schema, casing: 'snake_case' });
  await migrate(db, { migrationsFolder: migrationsFolder() });
  return db;
}

/** Opens a database in memory, empty but for its schema. */
export async function openMemoryDatabase(): Promise<OpenDatabase> {
  const client = await PGlite.create();
  return { db: await over(client), schemaName: newestMigration(), wasClosed: true, close: () => client.close() };
}

/**
 * Opens the kitchen of a data folder, or of a PostgreSQL server.
 *
 * @param onEnd the database cannot go on; one on a server is reached again by itself
 */
export async function openKitchen(place: string, onEnd: () => void = () => undefined): Promise<OpenDatabase> {
  if (!isOnServer(place)) return openDatabase(place, onEnd);
  const { db, pool } = await openOnServer(place);
  return { db, schemaName: newestMigration(), wasClosed: true, close: () => pool.end() };
}

/**
 * Opens the database of a data folder as its only owner and brings its schema up to date. The kitchen is marked once all of it is on the disk.
 *
 * @param onEnd the database cannot go on and has given the folder back
 * @throws {DataFolderInUseError} another living process owns the folder
 * @throws {DataTroubleError} its disk takes nothing, or it holds a kitchen whose database is gone or does not open
 */
export async function openDatabase(folder: string, onEnd: () => void = () => undefined): Promise<OpenDatabase> {
  if (existsSync(folder)) assertTakesSaves(folder);
  const giveBack = await ownDataFolder(folder);
  try {
    expectKitchen(folder);
    const wasClosed = expectSizes(folder) || !isMarked(folder);
    const client = await ThreadedClient.open(databaseFolder(folder), () => {
      giveBack();
      onEnd();
    });
    const db = await over(client);
    markKitchen(folder);
    return {
      db,
      schemaName: newestMigration(),
      wasClosed,
      async close() {
        try {
          await client.close();
          noteSizes(folder);
        } finally {
          giveBack();
        }
      },
    };
  } catch (error) {
    giveBack();
    throw error;
  }
}

const held = globalThis as { darkPourDatabase?: Promise<OpenDatabase> };

/** The one database of this process, opened on first use and again after it had to stop; survives hot reload. */
export function sharedDatabase(): Promise<OpenDatabase> {
  const forget = () => {
    held.darkPourDatabase = undefined;
  };
  if (!held.darkPourDatabase) {
    held.darkPourDatabase = openKitchen(kitchenPlace(), forget);
    held.darkPourDatabase.catch(forget);
  }
  return held.darkPourDatabase;
}
