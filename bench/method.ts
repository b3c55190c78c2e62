/** How long it takes to propose a way by trial and to follow one, and what the proposals leave wrong. */
import { USUAL_METHOD_KITCHEN } from '../src/core/method/kitchen';
import { proposeWay } from '../src/core/method/propose';
import { methodRows } from '../src/core/method/rows';
import { methodInKitchen } from '../src/core/method/ways/in-kitchen';
import { suitingWays } from '../src/core/method/ways/ways';
import { nth } from '../src/core/nth';
import { sensibleFormulas } from '../tests/support/sensible-formulas';
import { report } from './report';

const ABOUT = { mix: 0.6, isWhipped: false };
const FORMULAS = sensibleFormulas(300, 2027);

function timed<T>(work: () => T): { readonly ms: number; readonly result: T } {
  const start = performance.now();
  const result = work();
  return { ms: performance.now() - start, result };
}

const proposals = FORMULAS.map(({ rows, pourC }) => timed(() => proposeWay(rows, pourC, ABOUT, USUAL_METHOD_KITCHEN)));
const ways = FORMULAS.slice(0, 60).flatMap(({ rows, pourC }) =>
  suitingWays(rows, pourC).map((way) => timed(() => methodInKitchen(way, rows, pourC, USUAL_METHOD_KITCHEN)).ms),
);
/** The same pans written in twelve rows: what there is, split up. */
const ROWS = 12;
const longer = FORMULAS.filter(({ rows }) => rows.lines.length >= 4)
  .slice(0, 40)
  .map(({ rows, pourC }) => {
    const lines = Array.from({ length: ROWS }, (_, i) => {
      const place = i % rows.lines.length;
      const line = nth(rows.lines, place);
      const parts = Math.ceil((ROWS - place) / rows.lines.length);
      return { ...line, grams: line.grams / parts };
    });
    return { rows: methodRows(lines), pourC };
  });
const longerTimes = longer.map(
  ({ rows, pourC }) => timed(() => proposeWay(rows, pourC, ABOUT, USUAL_METHOD_KITCHEN)).ms,
);
const at = (values: readonly number[], share: number) =>
  values.toSorted((a, b) => a - b)[Math.min(Math.floor(share * values.length), values.length - 1)] ?? Number.NaN;
const times = proposals.map(({ ms }) => ms);

report('A way proposed by trial', [
  { name: 'proposal, median of 300', ms: at(times, 0.5), aimMs: 100 },
  { name: 'proposal, slowest of 300', ms: at(times, 1), aimMs: 600 },
  { name: 'proposal for twelve rows, slowest of 40', ms: at(longerTimes, 1), aimMs: 600 },
  { name: 'one way followed with its variants, 95 in 100', ms: at(ways, 0.95), aimMs: 80 },
]);
const faulty = proposals.filter(({ result }) => !result || result.tried.faults.length > 0);
process.stdout.write(
  `  ${faulty.length} of 300 sensible formulas are proposed a way that leaves something wrong (aim 0)\n`,
);
