import { readFileSync } from 'node:fs';
import { USUAL_MAKING, USUAL_WISHES } from '../src/core/brief/brief';
import { usualJob } from '../src/core/brief/job';
import { planBrief } from '../src/core/brief/plan';
import { parseLarderCsv } from '../src/formats/larder-csv';
import { answersTo, type Shelf } from '../src/kitchen/brief/brief-answers';
import { lanternMillFormulas } from '../src/server/demo/lantern-mill';
import { report } from './report';

const demo = lanternMillFormulas();
/** Five hundred formulas: the demo's, each a little different from the last. */
const formulas = Array.from({ length: 500 }, (_, i) => {
  const file = demo[i % demo.length] as (typeof demo)[number];
  const lines = file.lines.map((line, n) => ({ ...line, grams: line.grams * (1 + 0.002 * ((i * (n + 3)) % 97)) }));
  return { id: `f${i}`, file: { ...file, name: `${file.name} ${i}`, lines } };
});
const shelf: Shelf = {
  formulas,
  ingredients: parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')),
  knowledge: undefined,
};

const twoUses = {
  jobs: [
    { ...usualJob('coat'), count: 48 },
    { ...usualJob('pipe'), workC: 18 },
  ],
  kitchenC: 22,
  wishes: USUAL_WISHES,
  making: USUAL_MAKING,
};
/** Wishes nothing fulfils: every candidate is tried in vain. */
const inVain = { ...twoUses, wishes: { ...USUAL_WISHES, shine: 'high', keepDays: 90, cocoaPercent: 60 } } as const;

/** The median of some runs, ms. */
function median(runs: number, run: () => number): number {
  const times = Array.from({ length: runs }, run).sort((a, b) => a - b);
  return times[Math.floor(runs / 2)] ?? 0;
}

function searching(brief: typeof twoUses | typeof inVain) {
  const first: number[] = [];
  const all = median(5, () => {
    const began = performance.now();
    let told: number | undefined;
    for (const step of answersTo({ brief }, shelf)) {
      if (step.answer.starts.length > 0) told ??= performance.now() - began;
    }
    first.push(told ?? performance.now() - began);
    return performance.now() - began;
  });
  return { first: first.sort((a, b) => a - b)[2] ?? 0, all };
}

planBrief(twoUses);
const search = searching(twoUses);
const vain = searching(inVain);

report('Brief', [
  {
    name: 'gates and amount of a brief with two uses',
    ms: median(101, () => {
      const began = performance.now();
      planBrief(twoUses);
      return performance.now() - began;
    }),
    aimMs: 5,
  },
  { name: 'proposals, 500 formulas and all families', ms: search.all, aimMs: 2000 },
  { name: 'the first of them', ms: search.first, aimMs: 300 },
  { name: 'proposals where nothing can land', ms: vain.all, aimMs: 2000 },
  { name: 'the first of them', ms: vain.first, aimMs: 300 },
]);
