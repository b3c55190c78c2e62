import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { balance } from '../src/core/balance/balance';
import { mix } from '../src/core/matter/mixing';
import { DEFAULT_PROCESS } from '../src/core/matter/process';
import { resistanceCurve } from '../src/core/predict/curve';
import type { Formula } from '../src/core/predict/formula';
import { prepareBatch, stateAt } from '../src/core/predict/state';
import { readFormula } from '../src/formats/formula-file';
import { parseLarderCsv } from '../src/formats/larder-csv';
import { resolveFormula } from '../src/formats/resolve-formula';
import { type Row, report } from './report';

const larder = new Map(
  parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map((ingredient) => [ingredient.id, ingredient]),
);

const ROWS: readonly (readonly [string, number])[] = [
  ['dark-couverture-66', 210],
  ['cream-35', 236],
  ['glucose-syrup-de42', 58],
  ['butter-unsalted-82', 46],
  ['cocoa-alkalised-22', 18],
  ['invert-sugar-paste', 12],
  ['rum-40', 18],
  ['milk-whole', 20],
  ['sugar-granulated', 10],
  ['water', 10],
  ['milk-couverture-36', 40],
  ['cream-25', 60],
  ['honey', 10],
  ['cocoa-butter', 5],
  ['milk-powder-skim', 6],
  ['unsweetened-chocolate-100', 12],
  ['sorbitol-powder', 8],
  ['condensed-sweetened', 25],
  ['salt-fine', 1],
  ['coffee-instant', 2],
];

/** A ganache too stiff from the fridge, as far down the list as asked. */
function ganache(lines: number): Formula {
  return resolveFormula(
    readFormula({
      format: 'dark-pour/formula',
      version: 1,
      name: 'Bench ganache',
      lines: ROWS.slice(0, lines).map(([ingredient, grams]) => ({ ingredient, grams })),
      moments: [
        { name: 'pour', temperatureC: 36 },
        { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
      ],
      gates: [
        { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.8, high: 3 },
        { moment: 'pour', quantity: 'shine', low: 60 },
        { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 2500 },
        { moment: 'pour', quantity: 'waterActivity', high: 0.9 },
      ],
    }),
    larder,
  );
}

const ten = ganache(10);
const twenty = ganache(20);
const components = mix(ten.lines);

/** What is measured, and the time it should stay below, µs. */
const CASES: readonly { name: string; aimUs: number; run: () => unknown }[] = [
  {
    name: 'one prediction at one temperature',
    aimUs: 15,
    run: () => stateAt(prepareBatch(components, DEFAULT_PROCESS), 36, [[0.3, 36]]),
  },
  {
    name: 'a curve of 64 temperatures',
    aimUs: 150,
    run: () => resistanceCurve(prepareBatch(components, DEFAULT_PROCESS), 24),
  },
  {
    name: `balance, ${ten.lines.length} ingredients, ${ten.gates.length} gates`,
    aimUs: 15_000,
    run: () => balance(ten),
  },
  {
    name: `balance, ${twenty.lines.length} ingredients, ${twenty.gates.length} gates`,
    aimUs: 50_000,
    run: () => balance(twenty),
  },
];

const bench = new Bench({ time: 1000, warmupTime: 300 });
for (const { name, run } of CASES) bench.add(name, run);
await bench.run();

report(
  'Core',
  bench.tasks.map((task, i): Row => {
    const { result } = task;
    if (!('latency' in result)) throw new Error(`${task.name} did not finish`);
    return { name: task.name, ms: result.latency.p50, aimMs: (CASES[i]?.aimUs ?? 0) / 1000 };
  }),
);
