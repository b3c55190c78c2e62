import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { type KitchenReading, learnKitchen } from '../src/core/learn/kitchen';
import { normalNumbers, seededNumbers } from '../src/core/random';
import type { BatchEvent, Happening } from '../src/formats/batch';
import { foldBatch } from '../src/formats/batch-state';
import { cookedBatch } from '../src/kitchen/cook/cook-batch';
import { storyOf } from '../src/kitchen/record/story';
import { summarise } from '../src/kitchen/record/summary';
import { testsOf } from '../src/kitchen/record/tests-of';
import { openKitchen } from '../src/server/db/database';
import { prepareData } from '../src/server/prepare-data';
import { findBatch } from '../src/server/repositories/batch-rows';
import { lookUpBook } from '../src/server/repositories/book';
import { report } from './report';

const BATCHES = 20_000;
const TESTS = 2_000;
const EVENTS = 5_000;
const LOOKS = 9;

const middle = (values: readonly number[]) =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** Median of some runs, ms. */
async function time(run: () => unknown): Promise<number> {
  const taken: number[] = [];
  for (let i = 0; i < LOOKS; i++) {
    const begun = performance.now();
    await run();
    taken.push(performance.now() - begun);
  }
  return middle(taken);
}

/** How well five tests find a hidden kitchen: median error, and how often the 90 % band holds it. */
function hidden(about: 'warm' | 'cold', prior: number, se: number): string {
  const normal = normalNumbers(seededNumbers(11));
  const errors: number[] = [];
  let held = 0;
  const kitchens = 4000;
  for (let i = 0; i < kitchens; i++) {
    const truth = prior * normal();
    const { mean, sd } = learnKitchen(Array.from({ length: 5 }, () => ({ about, se, residual: truth + se * normal() })))
      .offsets[about];
    errors.push(Math.abs(Math.exp(mean - truth) - 1));
    if (Math.abs(mean - truth) <= 1.645 * sd) held += 1;
  }
  return `${about}: median error ${(100 * middle(errors)).toFixed(1)} %, the 90 % band holds ${((100 * held) / kitchens).toFixed(1)} %`;
}

const folder = mkdtempSync(path.join(tmpdir(), 'dark-pour-bench-'));
const place = path.join(folder, 'data');
await prepareData(place, { demo: true });
const { db, close } = await openKitchen(place);
try {
  await db.execute(sql`
    insert into batches (id, number, formula_id, name, frozen, state, started_at, summarised_seq, over_at, made_by, has_landed, is_rescued, weighed_g, yield_g, cost, words)
    select 'copy-' || n || '-' || b.number, 1000 + n * 100 + b.number, formula_id, name, frozen, state, started_at - n * interval '1 day', summarised_seq, over_at, made_by, has_landed, is_rescued, weighed_g, yield_g, cost, words
    from batches b, generate_series(1, ${Math.ceil(BATCHES / 34)}::int) as n`);
  const [one] = (await lookUpBook(db, { skip: 0 })).rows;
  const found = one && (await findBatch(db, one.id));
  if (!found) throw new Error('no batch');
  const cooked = cookedBatch(found.frozen);
  const steps = cooked.method.followed.length;
  const whats: Happening[] = [
    ...Array.from(
      { length: EVENTS - 1 },
      (_, i): Happening => ({ kind: 'temperature', temperatureC: 30 + (i % 60), by: 'probe' }),
    ),
    { kind: 'finish' },
  ];
  const events = whats.map(
    (what, i): BatchEvent => ({
      seq: i + 1,
      key: `event-${i}-key`,
      tablet: '',
      tabletMs: i,
      serverMs: found.head.startedMs + i,
      what,
    }),
  );
  const normal = normalNumbers(seededNumbers(3));
  const readings = Array.from(
    { length: TESTS },
    (_, i): KitchenReading => ({
      about: i % 3 === 0 ? 'cold' : 'warm',
      se: 0.25,
      residual: 0.3 * normal(),
      chocolate: `dark-${i % 9}`,
    }),
  );
  report(`The book of ${BATCHES} batches`, [
    { name: 'a page of it', ms: await time(() => lookUpBook(db, { skip: 0 })), aimMs: 50 },
    { name: 'searched by a word', ms: await time(() => lookUpBook(db, { skip: 0, search: 'gloss' })), aimMs: 50 },
    {
      name: 'narrowed by how it went and by whom',
      ms: await time(() => lookUpBook(db, { skip: 0, landed: 'no', by: 'Ines' })),
      aimMs: 50,
    },
    {
      name: `a batch of ${EVENTS} events: folded, told, summed up, tests read`,
      ms: await time(() => {
        storyOf(cooked, foldBatch(steps, found.head.startedMs, events), events);
        summarise(found.head, found.frozen, events);
        testsOf(found.head, found.frozen, events);
      }),
      aimMs: 300,
    },
    { name: `learning anew from ${TESTS} tests`, ms: await time(() => learnKitchen(readings)), aimMs: 200 },
  ]);
  process.stdout.write(
    `  hidden kitchens after five tests: ${hidden('warm', 0.45, 0.25)}; ${hidden('cold', 0.65, 0.35)}\n`,
  );
} finally {
  await close();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
