import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { compositionVector } from '../src/core/matter/components';
import { DEFAULT_PROCESS } from '../src/core/matter/process';
import { lnOf, type RescuePan } from '../src/core/rescue/addition-curve';
import { priorBelief } from '../src/core/rescue/belief';
import { compareAdditives } from '../src/core/rescue/compare';
import { nextPortion } from '../src/core/rescue/portion';
import type { BatchEvent, Happening } from '../src/formats/batch';
import { foldBatch } from '../src/formats/batch-state';
import { parseLarderCsv } from '../src/formats/larder-csv';
import { resolveFormula } from '../src/formats/resolve-formula';
import { lanternMillFormulas } from '../src/server/demo/lantern-mill';
import { simulateRescues } from '../tests/support/rescues';
import { type Row, report } from './report';

const larder = new Map(parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map((each) => [each.id, each]));
const gloss = lanternMillFormulas().at(-1);
if (!gloss) throw new Error('no formula');
const formula = resolveFormula(gloss, larder, 'standard');
const vectorOf = (id: string) => compositionVector(larder.get(id)?.components ?? {});
const pan: RescuePan = {
  components: formula.lines.reduce(
    (sum, { perGram, grams }) => sum.map((each, i) => each + grams * (perGram[i] ?? 0)),
    compositionVector({}),
  ),
  process: DEFAULT_PROCESS,
  temperatureC: 35,
  history: [[0.3, 35]],
  read: ({ flow }) => flow.resistancePa,
};
const now = Math.exp(lnOf(pan));
const band = { low: now / 4, high: now / 2 };
const belief = priorBelief(0, 0.58);
const additives = [
  'water',
  'milk-whole',
  'cream-35',
  'glucose-syrup-de42',
  'rum-40',
  'dark-couverture-60',
  'sugar-caster',
  'butter-unsalted-82',
].map((id) => ({ id, perGram: vectorOf(id), pricePerKg: 1 }));

/** A log of 5,000 events: temperatures for the most part, as a probe writes them. */
const log: BatchEvent[] = Array.from({ length: 5000 }, (_, i) => {
  const what: Happening =
    i % 500 === 499
      ? { kind: 'done', step: Math.floor(i / 500) }
      : { kind: 'temperature', temperatureC: 40 + (i % 30), by: 'probe' };
  return { seq: i + 1, key: `event-${i}`, tablet: 'a', tabletMs: i, serverMs: i, what };
});

const bench = new Bench({ time: 1500, warmupTime: 500 });
bench
  .add('next portion', () => void nextPortion(pan, vectorOf('milk-whole'), belief, band))
  .add(
    'comparison of 8 additives',
    () =>
      void compareAdditives(formula, { pan, kind: 'ganache', band, belief, additives, costPerKg: 5, about: 'warm' }),
  )
  .add('a log of 5000 events folded', () => void foldBatch(12, 0, log));
await bench.run();
const AIMS = [50, 100, 20];
const results: Row[] = bench.tasks.map((task, i) => ({
  name: task.name,
  ms: task.result && 'latency' in task.result ? task.result.latency.p50 : Number.NaN,
  aimMs: AIMS[i] ?? 0,
}));
report('Cook and rescue', results);
for (const temperatureC of [25, 36, 60]) {
  for (const bandTimes of [1.5, 1.25]) {
    const { inBand, medianPortions, overshot } = simulateRescues(300, 4, { temperatureC, bandTimes });
    process.stdout.write(
      `  300 hidden pans at ${temperatureC} °C, limits ×/÷ ${bandTimes}: ${(100 * inBand).toFixed(1)} % end in them (aim 88), ${medianPortions} portions on the median (aim 3), ${(100 * overshot).toFixed(1)} % overshot (aim below 3)\n`,
    );
  }
}
