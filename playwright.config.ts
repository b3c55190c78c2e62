import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { defineConfig } from '@playwright/test';

/** Port and demo folder of the served app, made once and handed to the worker processes through the environment. */
process.env.E2E_PORT ??= '4391';
process.env.E2E_DATA ??= mkdtempSync(path.join(tmpdir(), 'dark-pour-e2e-'));
const address = `http://127.0.0.1:${process.env.E2E_PORT}`;

export default defineConfig({
  testDir: 'tests/e2e',
  testMatch: '*.spec.ts',
  fullyParallel: false,
  workers: 1,
  // A machine that is shared with others can be five times slower than its own.
  timeout: 180_000,
  expect: { timeout: 25_000 },
  reporter: process.env.E2E_REPORT ? [['list'], ['json', { outputFile: process.env.E2E_REPORT }]] : 'list',
  use: {
    baseURL: address,
    // What a test asks beside its page is asked as the page would.
    extraHTTPHeaders: { origin: address },
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: {
    command: `node scripts/demo.mjs --port ${process.env.E2E_PORT}`,
    env: { DARK_POUR_DEMO_DATA: process.env.E2E_DATA },
    url: `${address}/api/health`,
    timeout: 240_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5_000 },
    stdout: 'ignore',
    stderr: 'pipe',
  },
});
