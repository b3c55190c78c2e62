import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { seededNumbers } from '../src/core/random';
import { memoryMb } from './family';
import { type Served, serve } from './served';

/** An hour of a busy kitchen: six tablets that look, save, cook and print, and leave pages and streams behind as tablets do. */
const MINUTES = 60;
const MINUTE_MS = 60_000;
const TABLETS = 6;
/** a tablet rests so long between two things it does, at most */
const REST_MS = 2_000;
const LISTEN_MS = 3_000;
/** events of a batch until it is finished and another begun */
const EVENTS = 40;
/** minutes whose mean is compared: those once everything was used for a while, and the last ones */
const SETTLED = [15, 25] as const;
const LAST = [50, 60] as const;
const MOST_GROWTH = 0.05;

const STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

/** Listens to a stream for a while and goes away without a word, as a tablet does. */
async function listen({ address, headers }: Served, to: string): Promise<void> {
  const stop = AbortSignal.timeout(LISTEN_MS);
  try {
    const answer = await fetch(`${address}${to}`, { headers, signal: stop });
    for await (const _ of answer.body ?? []);
  } catch (error) {
    if (!stop.aborted) throw error;
  }
}

/** What one tablet does, in turn, until the hour is over; how much it did. */
async function tablet(served: Served, id: string, until: number, number: () => number): Promise<number> {
  const { ask } = served;
  let { revision, file } = JSON.parse(await ask(`/api/formulas/${id}`)) as { revision: number; file: object };
  let batch = '';
  let told = 0;
  const looks = ['', '/formulas', '/brief', '/larder', '/batches', '/book', '/day', '/shelf', '/practice', '/rescue'];
  const begin = async () => {
    batch = JSON.parse(await ask('/api/batches', 'POST', { formulaId: id, stove: STOVE, kitchenC: 22 })).id;
    told = 0;
  };
  const cook = async () => {
    if (batch === '') await begin();
    const event = (what: object) => ({ key: `soak-${batch}-${told++}`, tablet: 'soak', tabletMs: Date.now(), what });
    const what = told < EVENTS ? { kind: 'temperature', temperatureC: 30 + told, by: 'hand' } : { kind: 'finish' };
    await ask(`/api/batches/${batch}/events`, 'POST', { after: 0, events: [event(what)] });
    if (what.kind === 'finish') batch = '';
  };
  const save = async () => {
    ({ revision } = JSON.parse(
      await ask(`/api/formulas/${id}`, 'PUT', { revision, formula: { ...file, note: `Saved at ${Date.now()}` } }),
    ) as { revision: number });
  };
  const own = ['balance', 'brief', 'method', 'serve', 'record', 'card'].map((step) => `/formulas/${id}/${step}`);
  const pages = [...looks, ...own];
  const doings: (() => Promise<unknown>)[] = [
    ...Array.from({ length: 8 }, () => () => ask(pages[Math.floor(number() * pages.length)] || '/')),
    save,
    save,
    cook,
    cook,
    cook,
    () => ask(`/api/formulas/${id}/card`),
    () => ask('/api/library'),
    () => ask(`/batches/${batch || 'none'}`).catch(() => begin()),
    () => listen(served, '/api/changes'),
    () => (batch ? listen(served, `/api/batches/${batch}/devices`) : begin()),
  ];
  let done = 0;
  for (; performance.now() < until; done++) {
    await (doings[Math.floor(number() * doings.length)] as (typeof doings)[number])();
    await wait(number() * REST_MS);
  }
  return done;
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-soak-'));
const served = await serve(folder);
const minutes: number[] = [];
const watch = setInterval(() => {
  minutes.push(memoryMb(served.pid));
  process.stdout.write(`  minute ${minutes.length}: ${minutes.at(-1)?.toFixed(0)} MB\n`);
}, MINUTE_MS);
try {
  const { formulas } = JSON.parse(await served.ask('/api/formulas')) as { formulas: { id: string }[] };
  const until = performance.now() + MINUTES * MINUTE_MS + 1_000;
  const done = await Promise.all(
    Array.from({ length: TABLETS }, (_, n) => tablet(served, formulas[n]?.id ?? '', until, seededNumbers(n + 1))),
  );
  const [settled, last] = [mean(minutes.slice(...SETTLED)), mean(minutes.slice(...LAST))];
  const growth = last / settled - 1;
  process.stdout.write(
    `\nAn hour of ${TABLETS} tablets, ${mean(done) * TABLETS} things done, each answered well\n` +
      `  memory, minutes ${SETTLED.join(' to ')}: ${settled.toFixed(0)} MB; minutes ${LAST.join(' to ')}: ${last.toFixed(0)} MB` +
      ` (${(100 * growth).toFixed(1)} %, aim ${100 * MOST_GROWTH} % at most: ${growth <= MOST_GROWTH ? 'kept' : 'MISSED'})\n`,
  );
} finally {
  clearInterval(watch);
  await served.stop();
  rmSync(folder, { recursive: true });
}
