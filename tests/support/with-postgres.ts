import type { TestProject } from 'vitest/node';
import { postgresPrograms } from '../../scripts/run/postgres.mjs';
import { startPostgres } from './postgres-server';

declare module 'vitest' {
  interface ProvidedContext {
    /** the PostgreSQL server of this run; empty where the embedded database is meant */
    readonly postgres: string;
  }
}

/** Starts a PostgreSQL server for all tests of a project, and ends it after them. */
export async function setup(project: TestProject): Promise<() => Promise<void>> {
  const programs = postgresPrograms();
  if (!programs) throw new Error('there is no PostgreSQL here');
  const { url, stop } = await startPostgres(programs);
  project.provide('postgres', url);
  return stop;
}
