import { randomBytes } from 'node:crypto';
import pg from 'pg';
import { inject } from 'vitest';
import { type OpenDatabase, openKitchen, openMemoryDatabase } from '@/server/db/database';

/** The PostgreSQL server these tests run against; nothing where they run on the embedded database. */
export const postgres = (): string | undefined => inject('postgres' as never) as string | undefined;

/** The address of a new database on the server. */
export async function newDatabase(server: string): Promise<string> {
  const name = `kitchen_${randomBytes(6).toString('hex')}`;
  const client = new pg.Client({ connectionString: `${server}/postgres` });
  await client.connect();
  await client.query(`create database ${name}`);
  await client.end();
  return `${server}/${name}`;
}

/** An empty kitchen: embedded and in memory, or on the PostgreSQL server of this run. */
export async function openTestKitchen(): Promise<OpenDatabase> {
  const server = postgres();
  return server ? openKitchen(await newDatabase(server)) : openMemoryDatabase();
}
