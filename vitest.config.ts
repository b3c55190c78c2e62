import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';
import { postgresPrograms } from './scripts/run/postgres.mjs';

/** What keeps a kitchen is tested on both databases. */
const REPOSITORIES = [
  'tests/server/*-repository.test.ts',
  'tests/server/stored-values.test.ts',
  'tests/server/backup.test.ts',
];
const ON_SERVER = [...REPOSITORIES, 'tests/server/postgres/*.test.ts'];

const server = {
  test: { name: 'postgres', include: ON_SERVER, globalSetup: ['tests/support/with-postgres.ts'] },
  extends: true as const,
};
const hasServer = postgresPrograms() !== undefined;
if (!hasServer) process.stderr.write('PostgreSQL is not here (apt-get install postgresql): its tests are left out.\n');

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    testTimeout: 60_000,
    hookTimeout: 60_000,
    // What the browser tests alone reach (screens, routes) is left out: it would read as untested.
    coverage: {
      provider: 'v8',
      include: ['src/{cli,core,formats,kitchen,server,workers}/**'],
      reporter: ['text-summary', 'html'],
      reportsDirectory: 'coverage',
    },
    projects: [
      {
        extends: true,
        test: { name: 'unit', include: ['tests/**/*.test.ts'], exclude: ['tests/server/postgres/**'] },
      },
      ...(hasServer ? [server] : []),
    ],
  },
});
