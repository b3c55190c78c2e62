/**
 * `npm test`: types, lint, layers, dead code, unit tests, crash trials and browser tests on the built app, counted together in one closing line.
 * `npm run test:unit` leaves out crash trials and browser.
 */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureChromium } from './run/ensure-chromium.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { ensurePostgres } from './run/postgres.mjs';
import { inProject, program, runNode } from './run/project.mjs';

ensureInstalled();
ensurePostgres();
const reports = mkdtempSync(path.join(tmpdir(), 'dark-pour-reports-'));
const total = { passed: 0, failed: 0 };
/** Names of what failed, told once more at the end: the output is long. */
const failures = [];

/** Adds to the counts; a suite that ended badly without a failed test counts as one failure. */
function count(suite, { passed, failed }, status) {
  const counted = status !== 0 && failed === 0 ? 1 : failed;
  total.passed += passed;
  total.failed += counted;
  if (counted > 0) failures.push(`${suite}: ${counted}`);
  process.stdout.write(`${suite}: ${passed} passed, ${counted} failed\n`);
}

function readReport(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

/** Power cuts and kills, a few of each; the long run is `npm run test:crash`. */
function crashTrials() {
  const status = runNode([inProject('scripts', 'crash.mjs'), '--cuts', '7', '--kills', '7', '--migrations', '3']);
  count('crash trials', { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 }, status);
}

/** A check that only passes or fails. */
function check(suite, args) {
  const status = runNode(args);
  count(suite, { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 }, status);
}

function unitTests() {
  const file = path.join(reports, 'unit.json');
  const status = runNode([
    program.vitest,
    'run',
    '--coverage',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ]);
  const report = readReport(file);
  for (const { name, message, assertionResults } of report?.testResults ?? []) {
    const failed = assertionResults.filter((test) => test.status === 'failed');
    failures.push(...failed.map((test) => `  ${name}: ${test.fullName}`));
    if (failed.length === 0 && message) failures.push(`  ${name}: ${message}`);
  }
  count('unit tests', { passed: report?.numPassedTests ?? 0, failed: report?.numFailedTests ?? 0 }, status);
}

/** Titles of the browser tests that did not pass at the first try. */
const failedSpecs = (suites) =>
  suites.flatMap(({ specs = [], suites: inner = [], file }) => [
    ...specs
      .filter(({ ok, tests }) => !ok || tests.some(({ status }) => status === 'flaky'))
      .map(({ title }) => `${file}: ${title}`),
    ...failedSpecs(inner),
  ]);

async function browserTests() {
  const chromium = ensureChromium();
  if (!chromium) {
    process.stderr.write(
      'The browser tests need Chromium: install it (apt-get install chromium) or name it in CHROMIUM.\n',
    );
    count('browser tests', { passed: 0, failed: 1 }, 1);
    return;
  }
  await ensureBuilt();
  const file = path.join(reports, 'browser.json');
  const status = runNode([program.playwright, 'test'], {
    env: { ...process.env, CHROMIUM: chromium, E2E_REPORT: file },
  });
  const report = readReport(file);
  const stats = report?.stats;
  failures.push(...failedSpecs(report?.suites ?? []).map((title) => `  ${title}`));
  count(
    'browser tests',
    { passed: stats?.expected ?? 0, failed: (stats?.unexpected ?? 0) + (stats?.flaky ?? 0) },
    status,
  );
}

const only = process.argv.includes('--unit');
runNode([program.next, 'typegen'], { stdio: ['ignore', 'ignore', 2] });
check('types', [program.tsc, '--noEmit']);
check('lint', [program.biome, 'check', '.']);
check('layers', [program.depcruise, 'src', '--config', '.dependency-cruiser.cjs']);
check('dead code', [program.knip, '--no-config-hints']);
unitTests();
if (!only) {
  crashTrials();
  await browserTests();
}
rmSync(reports, { recursive: true });
for (const failure of failures) process.stdout.write(`failed: ${failure}\n`);
process.stdout.write(`${total.passed} passed, ${total.failed} failed\n`);
process.exitCode = total.failed === 0 ? 0 : 1;
