/**
 * `npm run test:crash`: power cuts and kill -9 while saves go on, while a kitchen is made and while its form is brought up to date. Counts acknowledged
 * saves that are lost and folders that do not open; any of either fails it. `--cuts 50 --kills 200 --migrations 20` is a long run.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { makeDisk } from '../tests/crash/power.mjs';
import { killWhileMigrating, lostOf, openAgain, saveUntil } from '../tests/crash/trial.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';

const { values } = parseArgs({
  options: {
    cuts: { type: 'string', default: '50' },
    kills: { type: 'string', default: '200' },
    migrations: { type: 'string', default: '20' },
  },
});

/** Spread over creation (some seconds) and saving. Every fifth trial begins with an empty folder. */
const EVERY_NEW = 5;
const AT_MS = [600, 1500, 2500, 4000, 6000, 9000, 12_000];

/**
 * @param {string} what
 * @param {number} times
 * @param {string} folder
 * @param {{ end: () => void, back: () => void }} power
 */
async function trials(what, times, folder, { end, back }) {
  const total = { saves: 0, lost: 0, closed: 0 };
  /** All that was acknowledged in the folder as it is. */
  let all = new Map();
  for (let i = 0; i < times; i++) {
    if (i % EVERY_NEW === 0) {
      rmSync(folder, { recursive: true, force: true });
      all = new Map();
    }
    const acknowledged = await saveUntil(folder, AT_MS[i % AT_MS.length] + Math.round(Math.random() * 400), end);
    back();
    for (const [id, revision] of acknowledged) {
      all.set(id, revision);
      total.saves += revision;
    }
    const found = openAgain(folder);
    if (found) total.lost += lostOf(all, found);
    else {
      total.closed += 1;
      rmSync(folder, { recursive: true, force: true });
      all = new Map();
    }
  }
  process.stdout.write(
    `${times} ${what}: ${total.saves} acknowledged saves, ${total.lost} lost, ${total.closed} folders that do not open\n`,
  );
  /** Trials in which nothing was saved show nothing. */
  const showsSomething = total.saves > 0 || times < AT_MS.length;
  return showsSomething && total.lost === 0 && total.closed === 0;
}

/** Ends starts that bring a kitchen up to date, at moments spread over that. @param {number} times @param {string} folder */
async function migrations(times, folder) {
  const acknowledged = await saveUntil(folder, 20_000, () => undefined);
  const total = { lost: 0, closed: 0 };
  for (let i = 0; i < times; i++) {
    if (!openAgain(folder)) total.closed += 1;
    await killWhileMigrating(folder, 700 + ((i * 137) % 1_300));
    const found = openAgain(folder);
    if (found) total.lost += lostOf(acknowledged, found);
    else total.closed += 1;
  }
  process.stdout.write(
    `${times} kills while migrating: ${total.lost} acknowledged saves lost, ${total.closed} folders that do not open\n`,
  );
  return acknowledged.size > 0 && total.lost === 0 && total.closed === 0;
}

ensureInstalled();

let failed = 0;
const count = (good) => {
  if (!good) failed += 1;
};

const { disk, why } = makeDisk();
if (disk) {
  try {
    count(await trials('power cuts', Number(values.cuts), disk.folder, { end: disk.cut, back: disk.back }));
  } finally {
    disk.throwAway();
  }
} else process.stdout.write(`Power cuts are not tried: ${why}.\n`);

const home = mkdtempSync(path.join(tmpdir(), 'dark-pour-kill-'));
try {
  const nothing = () => undefined;
  count(await trials('kill -9', Number(values.kills), path.join(home, 'data'), { end: nothing, back: nothing }));
  count(await migrations(Number(values.migrations), path.join(home, 'older')));
} finally {
  rmSync(home, { recursive: true, force: true });
}
process.exitCode = failed === 0 ? 0 : 1;
