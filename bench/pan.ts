import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { compositionVector } from '../src/core/matter/components';
import { methodFaults } from '../src/core/method/checks';
import { type DayTask, dayOverlaps, SMALL_KITCHEN, spreadDay } from '../src/core/method/day-plan';
import { followMethod } from '../src/core/method/follow-method';
import { stretchesOf } from '../src/core/method/hands';
import { USUAL_METHOD_KITCHEN } from '../src/core/method/kitchen';
import { methodRows } from '../src/core/method/rows';
import type { Method } from '../src/core/method/step';
import { methodBy } from '../src/core/method/ways/ways';
import { parseLarderCsv } from '../src/formats/larder-csv';
import { type Row, report } from './report';

const larder = new Map(
  parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map(({ id, components }) => [
    id,
    compositionVector(components),
  ]),
);

/** Fifteen rows of a ganache, whipped: made, rested twelve hours, eaten. */
const ROWS: readonly (readonly [string, number])[] = [
  ['cream-35', 320],
  ['milk-whole', 40],
  ['glucose-syrup-de42', 40],
  ['invert-sugar-paste', 12],
  ['sugar-caster', 20],
  ['dark-couverture-66', 150],
  ['milk-couverture-36', 60],
  ['cocoa-alkalised-22', 12],
  ['butter-unsalted-82', 30],
  ['hazelnut-paste', 20],
  ['sunflower-oil', 8],
  ['vanilla-extract', 3],
  ['salt-fine', 1],
  ['rum-40', 12],
  ['honey', 10],
];
const rows = methodRows(ROWS.map(([id, grams]) => ({ perGram: larder.get(id) ?? new Float64Array(), grams })));
const methods = (['whipped', 'pouredOver', 'simmered', 'microwave'] as const).map(
  (way) => methodBy(way, rows, 32) as Method,
);

const bench = new Bench({ time: 1500, warmupTime: 800 });
for (const method of methods) {
  bench.add(method.way, () => {
    methodFaults(rows, followMethod(rows, method, USUAL_METHOD_KITCHEN));
  });
}
/** Twelve formulas that are all to be ready at once, backwards. */
const day = Array.from({ length: 12 }, (_, i): DayTask => {
  const followed = followMethod(rows, methods[i % methods.length] as Method, USUAL_METHOD_KITCHEN);
  const seconds = followed.reduce((sum, each) => sum + each.seconds, 0);
  return { id: String(i), ready: 1050, ...stretchesOf({ followed, seconds }) };
});
bench.add('day', () => {
  dayOverlaps(spreadDay(day, SMALL_KITCHEN), SMALL_KITCHEN);
});
await bench.run();
const results: Row[] = bench.tasks.map((task) => ({
  name:
    task.name === 'day' ? 'a day of 12 formulas, planned backwards' : `whole method with checks, 15 rows: ${task.name}`,
  ms: task.result && 'latency' in task.result ? task.result.latency.p50 : Number.NaN,
  aimMs: task.name === 'day' ? 50 : 20,
}));
report('Pan and method', results);
