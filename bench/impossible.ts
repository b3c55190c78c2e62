/** How long it takes to tell that a request cannot be met, and why. */
import { readFileSync } from 'node:fs';
import { balance } from '../src/core/balance/balance';
import type { Formula } from '../src/core/formula/formula';
import type { Gate } from '../src/core/formula/gates';
import { seededNumbers } from '../src/core/random';
import { readFormula } from '../src/formats/formula-file';
import { parseLarderCsv } from '../src/formats/larder-csv';
import { resolveFormula } from '../src/formats/resolve-formula';
import { report } from './report';

const larder = new Map(parseLarderCsv(readFileSync('data/starting-larder.csv', 'utf8')).map((each) => [each.id, each]));
const ROWS = [
  ['dark-couverture-66', 210],
  ['cream-35', 236],
  ['glucose-syrup-de42', 58],
  ['butter-unsalted-82', 46],
  ['cocoa-alkalised-22', 18],
  ['invert-sugar-paste', 12],
  ['rum-40', 18],
  ['sugar-granulated', 30],
  ['milk-whole', 40],
  ['water', 20],
] as const;

/** A ganache with some locks and limits that is asked for what no grams give. @param count of its rows, five to ten when left out */
function impossible(seed: number, count?: number): Formula {
  const random = seededNumbers(seed);
  const some = 5 + Math.floor(6 * random());
  const rows = Array.from({ length: count ?? some }, (_, row) => ROWS[row % ROWS.length] as (typeof ROWS)[number]);
  const thick = 8 * Math.exp(1.5 * random());
  const gates: Gate[] = [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: thick, high: 2 * thick },
    { moment: 'fridge', quantity: 'yieldStressPa', low: 20, high: 60 * (1 + random()) },
    { moment: 'pour', quantity: 'shine', low: 60 + 30 * random() },
    { moment: 'fridge', quantity: 'waterActivity', high: 0.8 + 0.08 * random() },
  ];
  return resolveFormula(
    readFormula({
      format: 'dark-pour/formula',
      version: 1,
      name: 'Impossible',
      lines: rows.map(([ingredient, grams]) => ({
        ingredient,
        grams: grams * (0.6 + 0.8 * random()),
        locked: random() < 0.25,
        ...(random() < 0.25 ? { maxGrams: 1.5 * grams * (1 + random()) } : {}),
      })),
      moments: [
        { name: 'pour', temperatureC: 34 },
        { name: 'fridge', temperatureC: 4, history: [[12, 4]] },
      ],
      gates,
    }),
    larder,
    'standard',
  );
}

/** ms each request took that no grams give, the quickest first. */
function timesOf(count: number, rows?: number): number[] {
  const times: number[] = [];
  for (let seed = 1; seed <= count; seed++) {
    const formula = impossible(seed, rows);
    const start = performance.now();
    if (balance(formula).status === 'nearest') times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b);
}

const few = timesOf(40);
const many = timesOf(6, 60);
const at = (times: number[], share: number) => times[Math.min(Math.floor(share * times.length), times.length - 1)] ?? 0;

report(`Requests that cannot be met, with their reasons: ${few.length} of five to ten rows, ${many.length} of sixty`, [
  { name: 'median', ms: at(few, 0.5), aimMs: 250 },
  { name: '95 in 100', ms: at(few, 0.95), aimMs: 1200 },
  { name: 'sixty rows, slowest', ms: at(many, 1), aimMs: 1500 },
]);
