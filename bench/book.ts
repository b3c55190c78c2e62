import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { learnKitchen } from '../src/core/learn/kitchen';
import { KITCHEN_PRIOR } from '../src/core/learn/learnt';
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
import {
  certainStands,
  coldDent,
  coverage,
  fridgeMoves,
  GANACHE,
  glazeDents,
  MENU,
  manyTests,
  medianColdError,
  missedDrift,
  syrupRings,
} from '../tests/support/hidden-kitchens';
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

/** How well hidden kitchens are found. */
function learningFigures(): string[] {
  const kitchens = 300;
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  const errors = [1, 5, 10, 30].map((each) => medianColdError(each, kitchens).toFixed(3)).join(', ');
  const aNew = { ...GANACHE, name: 'a new one' };
  const held = [
    coverage(MENU, 8, GANACHE, kitchens),
    coverage(MENU, 8, aNew, kitchens),
    coverage([GANACHE], 8, GANACHE, kitchens),
    coverage([GANACHE], 8, aNew, kitchens),
  ];
  const stands = learnKitchen(certainStands()).offsets.cold.sd / KITCHEN_PRIOR.cold.sd;
  return [
    `median error of the cold set after 1, 5, 10, 30 tests of each kind: ${errors} in ln`,
    `the 80 % band holds: a tested formula ${percent(held[0] ?? 0)}, a new one ${percent(held[1] ?? 0)}; one formula only: itself ${percent(held[2] ?? 0)}, a new one ${percent(held[3] ?? 0)}`,
    `a ganache's fridge yield moves by ${percent(fridgeMoves(syrupRings()) - 1)} with three rings of a syrup, ${percent(fridgeMoves(glazeDents()) - 1)} with ten tests of a gelatin glaze`,
    `ten certain "stands" leave ${percent(stands)} of the doubt; one slip of +2.3 among four moves ${fridgeMoves([0, 0, 0, 2.3].map((ln) => coldDent(ln))).toFixed(2)} times, three at +0.5 ${fridgeMoves([0.5, 0.5, 0.5].map((ln) => coldDent(ln))).toFixed(2)} times`,
    `a drift of 0.6 in a year is missed by ${missedDrift(40).toFixed(2)}`,
  ];
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
  const readings = manyTests(TESTS);
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
    `${learningFigures()
      .map((line) => `  ${line}`)
      .join('\n')}\n`,
  );
} finally {
  await close();
  rmSync(folder, { recursive: true, force: true });
}
process.exit(0);
