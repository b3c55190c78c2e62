import { readFileSync } from 'node:fs';
import { Bench } from 'tinybench';
import { balance } from '../src/core/balance/balance';
import { mapField } from '../src/core/balance/field-map';
import { balanceFor } from '../src/core/balance/goal';
import type { Formula } from '../src/core/formula/formula';
import type { Gate } from '../src/core/formula/gates';
import { compositionVector } from '../src/core/matter/components';
import { mix } from '../src/core/matter/mixing';
import { DEFAULT_PROCESS } from '../src/core/matter/process';
import { curveClimates, resistanceCurve } from '../src/core/predict/curve';
import { linearDoubt } from '../src/core/predict/linear-doubt';
import { monteCarlo } from '../src/core/predict/monte-carlo';
import { predictFormula } from '../src/core/predict/predict-formula';
import { prepareBatch, stateAt } from '../src/core/predict/state';
import { type Substitute, swap } from '../src/core/swap/swap';
import { EVERYTHING, filterRows, rowOf } from '../src/features/larder/larder-rows';
import { readFormula } from '../src/formats/formula-file';
import type { StoredIngredient } from '../src/formats/ingredient';
import { parseLarderCsv, readLarderRows } from '../src/formats/larder-csv';
import { writeLarderCsv } from '../src/formats/larder-csv-writing';
import { planImport } from '../src/formats/larder-import';
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

const FOUR_GATES: readonly Gate[] = [
  { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.8, high: 3 },
  { moment: 'pour', quantity: 'shine', low: 60 },
  { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 2500 },
  { moment: 'pour', quantity: 'waterActivity', high: 0.9 },
];
const EIGHT_GATES: readonly Gate[] = [
  ...FOUR_GATES,
  { moment: 'pour', quantity: 'sweetness', low: 18, high: 28 },
  { moment: 'pour', quantity: 'cocoaPercent', low: 22, high: 32 },
  { moment: 'pour', quantity: 'alcoholPercentVol', high: 1 },
  { moment: 'fridge', quantity: 'grainyRisk', high: 0.2 },
];

/** A ganache too stiff from the fridge, as far down the list as asked. */
function ganache(lines: number, gates = FOUR_GATES): Formula {
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
      gates: [...gates],
    }),
    larder,
    'standard',
  );
}

const ten = ganache(10);
const twenty = ganache(20);
const twelve = ganache(12, EIGHT_GATES);
const components = mix(ten.lines);
const MAP_AXES = [
  { kind: 'grams', line: 0 },
  { kind: 'grams', line: 1 },
] as const;
const lighterCream: Substitute = {
  ingredient: 'cream-25',
  perGram: compositionVector(larder.get('cream-25')?.components ?? {}),
};
const many = Array.from({ length: 5000 }, (_, i): StoredIngredient => {
  const [ingredient] = [...larder.values()].slice(i % larder.size);
  return { ...(ingredient as StoredIngredient), id: `row-${i}`, name: `${ingredient?.name} ${i}`, revision: 1 };
});
const rows = many.map(rowOf);
const csv = writeLarderCsv(many);

/** What is measured, and the time it should stay below, µs. */
const CASES: { name: string; aimUs: number; run: () => unknown }[] = [
  {
    name: 'one prediction at one temperature',
    aimUs: 15,
    run: () => stateAt(prepareBatch(components, DEFAULT_PROCESS), 36, [[0.3, 36]]),
  },
  {
    name: 'a curve of 64 temperatures',
    aimUs: 150,
    run: () => resistanceCurve(prepareBatch(components, DEFAULT_PROCESS), curveClimates(24)),
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

CASES.push(
  { name: 'everything of a formula at four moments', aimUs: 80, run: () => predictFormula(ten) },
  {
    name: `balance, ${twelve.lines.length} ingredients, ${twelve.gates.length} gates`,
    aimUs: 40_000,
    run: () => balance(twelve),
  },
  {
    name: 'doubt, 2,000 draws along the curve',
    aimUs: 300_000,
    run: () => monteCarlo(ten, { restedHours: 24, seed: 1, draws: 2000 }),
  },
  { name: 'doubt to first order, 20 ingredients', aimUs: 5000, run: () => linearDoubt(twenty, 24) },
  {
    name: 'map of 84 x 63 cells',
    aimUs: 500_000,
    run: () => {
      const drawing = mapField(ten, MAP_AXES, { columns: 84, rows: 63 });
      while (!drawing.next().done);
    },
  },
  {
    name: 'map, first rough picture',
    aimUs: 80_000,
    run: () => {
      const drawing = mapField(ten, MAP_AXES, { columns: 24, rows: 18 });
      while (!drawing.next().done);
    },
  },
  { name: 'balance with a margin, 10 ingredients', aimUs: 60_000, run: () => balanceFor(ten, 'close') },
  { name: 'balance with a goal: cheapest', aimUs: 300_000, run: () => balanceFor(ten, 'cheapest') },
  { name: 'swap, 10 ingredients', aimUs: 150_000, run: () => swap(ten, new Map([[1, lighterCream]])) },
  {
    name: 'larder of 5,000 filtered',
    aimUs: 16_000,
    run: () => filterRows(rows, { ...EVERYTHING, query: 'cream 4', without: 'soya' }),
  },
  {
    name: 'CSV of 5,000 rows read and planned',
    aimUs: 5_000_000,
    run: () => {
      const reading = readLarderRows(csv);
      let step = reading.next();
      while (!step.done) step = reading.next();
      return planImport(step.value, many);
    },
  },
);

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
