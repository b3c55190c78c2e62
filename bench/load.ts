import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { openKitchen } from '../src/server/db/database';
import { memoryMb } from './family';
import { type Row, report } from './report';
import { type Served, serve } from './served';

const FORMULAS = 5_000;
const INGREDIENTS = 5_000;
const BATCHES = 20_000;
const EVENTS = 5;
const TESTS = 5_000;
const AT_A_TIME = 500;
const READERS = 200;
const WRITERS = 10;
const CROWD_MS = 20_000;
const LOOKS = 7;
const MOST_HTML_KB = 300;

interface StoredFormula {
  readonly id: string;
  readonly revision: number;
  readonly file: { readonly name: string };
}

const middle = (values: readonly number[], at = 0.5) =>
  values.toSorted((a, b) => a - b)[Math.min(Math.floor(at * values.length), values.length - 1)] ?? Number.NaN;

/** A big kitchen: the demo's formulas again and again, and a larder of crates. */
async function fill({ ask }: Served): Promise<readonly StoredFormula[]> {
  const { formulas } = JSON.parse(await ask('/api/formulas')) as { formulas: StoredFormula[] };
  for (let from = 0; from < FORMULAS; from += AT_A_TIME) {
    const more = Array.from({ length: AT_A_TIME }, (_, i) => {
      const { file } = formulas[(from + i) % formulas.length] as StoredFormula;
      return { ...file, name: `${file.name} ${from + i}` };
    });
    await ask('/api/library', 'POST', { formulas: more });
  }
  const [model] = JSON.parse(await ask('/api/larder/rows')).ingredients;
  const add = Array.from({ length: INGREDIENTS }, (_, i) => ({
    ...model,
    id: `crate-${i}`,
    name: `Crate ${i}`,
    origin: 'own',
  }));
  await ask('/api/larder/import', 'POST', { add, change: [] });
  return formulas;
}

/** A batch that runs, and twenty thousand copies of the demo's that are over, with what happened to each. The server is stopped meanwhile: nobody cooks so much. */
async function fillBatches(served: Served, folder: string, formulaId: string): Promise<string> {
  const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 };
  const { id } = JSON.parse(await served.ask('/api/batches', 'POST', { formulaId, stove, kitchenC: 22 }));
  await served.stop();
  const { db, close } = await openKitchen(folder);
  try {
    await db.execute(sql`
      insert into batches (id, number, formula_id, name, frozen, state, started_at, summarised_seq, over_at, made_by, has_landed, is_rescued, weighed_g, yield_g, cost, words)
      select 'copy-' || n, 1000 + n, formula_id, name, frozen, state, started_at - n * interval '1 hour', summarised_seq, over_at, made_by, has_landed, is_rescued, weighed_g, yield_g, cost, words
      from generate_series(1, ${BATCHES}::int) as n
      join (select *, row_number() over (order by number) - 1 as place, count(*) over () as copied from batches where state = 'finished') as done on place = n % copied`);
    await db.execute(sql`
      insert into batch_events (batch_id, seq, key, tablet, tablet_ms, server_ms, what)
      select 'copy-' || n, e, 'event-' || e, 'bench', 0, 0, '{"kind":"temperature","temperatureC":40,"by":"probe"}'::jsonb
      from generate_series(1, ${BATCHES}::int) as n, generate_series(1, ${EVENTS}::int) as e`);
    // Tests of a quarter of them: what is learnt from them stands on every page.
    await db.execute(sql`
      insert into kitchen_tests (batch_id, key, about, residual, se, chocolate, is_doubted)
      select 'copy-' || n, 'test-' || n, case when n % 2 = 0 then 'warm' else 'cold' end, (n % 7) / 10.0 - 0.3, 0.3, 'chocolate-' || n % 5, false
      from generate_series(1, ${TESTS}::int) as n`);
  } finally {
    await close();
  }
  return id;
}

/** First and usual time of a page, and how heavy it is. */
async function look({ ask }: Served, name: string, to: string): Promise<Row[]> {
  const times: number[] = [];
  let bytes = 0;
  for (let i = 0; i <= LOOKS; i++) {
    const began = performance.now();
    bytes = Buffer.byteLength(await ask(to));
    times.push(performance.now() - began);
  }
  const kb = bytes / 1000;
  const heavy = kb <= MOST_HTML_KB ? '' : ' TOO HEAVY';
  return [
    {
      name: `${name}: ${kb.toFixed(0)} kB${heavy}, first ${(times[0] as number).toFixed(0)} ms, then`,
      ms: middle(times.slice(1)),
      aimMs: 500,
    },
  ];
}

/** How long others wait for a page while hundreds of labels are printed. */
async function labels({ ask }: Served): Promise<Row[]> {
  await ask('/settings');
  const printing = ask('/api/batches/copy-1/label?size=jar&count=240');
  let isDone = false;
  void printing.then(() => {
    isDone = true;
  });
  const waits: number[] = [];
  while (!isDone) {
    const began = performance.now();
    await ask('/api/health');
    waits.push(performance.now() - began);
  }
  await printing;
  return [{ name: 'while 240 labels are printed others wait at most', ms: Math.max(...waits), aimMs: 300 }];
}

/** Many who look and some who save, all at once. */
async function crowd({ ask }: Served, formulas: readonly StoredFormula[]): Promise<Row[]> {
  const until = performance.now() + CROWD_MS;
  const reads: number[] = [];
  const writes: number[] = [];
  const timed = async (times: number[], work: () => Promise<unknown>) => {
    const began = performance.now();
    const answer = await work();
    times.push(performance.now() - began);
    return answer;
  };
  const pages = formulas.map(({ id }) => `/formulas/${id}/balance`);
  const reader = async (n: number) => {
    for (let i = n; performance.now() < until; i++) {
      await timed(reads, () => ask(i % 3 === 0 ? '/formulas' : (pages[i % pages.length] as string)));
    }
  };
  const writer = async (n: number) => {
    const { id } = formulas[n % formulas.length] as StoredFormula;
    let { revision, file } = JSON.parse(await ask(`/api/formulas/${id}`)) as StoredFormula;
    while (performance.now() < until) {
      const formula = { ...file, note: `Saved in a crowd, ${revision}` };
      await timed(writes, () => ask(`/api/formulas/${id}`, 'PUT', { revision, formula }));
      revision += 1;
    }
  };
  await Promise.all([
    ...Array.from({ length: READERS }, (_, n) => reader(n)),
    ...Array.from({ length: Math.min(WRITERS, formulas.length) }, (_, n) => writer(n)),
  ]);
  const each = CROWD_MS / reads.length;
  return [
    { name: `crowd: ${reads.length} pages, ${(1000 / each).toFixed(0)} a second, each`, ms: each, aimMs: 1000 / 60 },
    {
      name: `crowd: a reader waits, p99 ${middle(reads, 0.99).toFixed(0)} ms, median`,
      ms: middle(reads),
      aimMs: 5_000,
    },
    {
      name: `crowd: ${writes.length} saves, median ${middle(writes).toFixed(0)} ms, p95`,
      ms: middle(writes, 0.95),
      aimMs: 300,
    },
  ];
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-load-'));
let served = await serve(folder);
try {
  const formulas = await fill(served);
  const id = formulas[0]?.id ?? '';
  const batch = await fillBatches(served, folder, id);
  served = await serve(folder);
  const before = memoryMb(served.pid);
  const rows = [
    ...(await look(served, 'list', '/formulas')),
    ...(await look(served, 'bench', `/formulas/${id}/balance`)),
    ...(await look(served, 'brief', '/brief')),
    ...(await look(served, 'larder', '/larder')),
    ...(await look(served, 'method', `/formulas/${id}/method`)),
    ...(await look(served, 'batches that run', '/batches')),
    ...(await look(served, 'a batch', `/batches/${batch}`)),
    ...(await look(served, 'today', '/')),
    ...(await look(served, 'the book', '/book')),
    ...(await look(served, 'the book, searched', '/api/book?search=gloss')),
    ...(await look(served, 'a batch in the book', '/batches/copy-1/record')),
    ...(await look(served, 'record', `/formulas/${id}/record`)),
    ...(await look(served, 'serve', `/formulas/${id}/serve`)),
    ...(await look(served, 'shelf', '/shelf')),
    ...(await look(served, 'practice', '/practice')),
    ...(await look(served, 'rescue, unchosen', '/rescue')),
    ...(await look(served, 'rescue', `/rescue?formula=${id}`)),
    ...(await look(served, 'labels', '/batches/copy-1/label')),
    ...(await look(served, 'a Saturday', '/day')),
    ...(await look(served, 'what the kitchen learnt', '/api/kitchen?batch=copy-1')),
    ...(await labels(served)),
  ];
  const looked = memoryMb(served.pid);
  rows.push(...(await crowd(served, formulas)));
  report(`${FORMULAS} formulas, ${INGREDIENTS} ingredients, ${BATCHES} batches more`, rows);
  const mb = [before, looked, memoryMb(served.pid)].map((each) => each.toFixed(0));
  process.stdout.write(`  memory, MB: filled ${mb[0]}, each page looked at ${mb[1]}, after the crowd ${mb[2]}\n`);
} finally {
  await served.stop();
  rmSync(folder, { recursive: true });
}
