import { drawExercise, EXERCISE_KINDS } from '../src/core/practice/exercises';
import { lineLeft, runAfter, spreadAfter } from '../src/core/practice/levelling';
import { observe } from '../src/core/practice/observe';
import { practiceFamilies } from '../src/kitchen/practice/families';
import { practiceBase } from '../src/kitchen/practice/practice-base';
import { lanternMillFormulas } from '../src/server/demo/lantern-mill';
import { startingLarder } from '../src/server/repositories/starting-larder';
import { report } from './report';

const SEEDS = 40;
const larder = new Map(startingLarder().map((each) => [each.id, each]));
const bases = [...practiceFamilies(), ...lanternMillFormulas()].flatMap((file) => practiceBase(file, larder) ?? []);

/** The slowest of many draws of a kind, and the share that took longer than it may, ms. */
function slowest(kind: (typeof EXERCISE_KINDS)[number]): number {
  const taken: number[] = [];
  for (let seed = 0; seed < SEEDS; seed++) {
    for (const base of bases) {
      const begun = performance.now();
      drawExercise(kind, base, seed);
      taken.push(performance.now() - begun);
    }
  }
  // The garbage collector takes its turn in one of hundreds.
  return taken.toSorted((a, b) => a - b)[Math.floor(0.98 * taken.length)] ?? Number.NaN;
}

/** What one frame reckons while a pan cools and is tilted. */
function frame(): number {
  const drawn = bases[0] && drawExercise('when', bases[0], 1);
  if (drawn?.kind !== 'when') throw new Error('the first family cools');
  const rounds = 300;
  const begun = performance.now();
  for (let i = 0; i < rounds; i++) {
    const seen = observe(drawn.pan, 60 - i / 20);
    lineLeft(seen, i / 60);
    runAfter(seen, 14, i / 60);
    spreadAfter(seen, i / 60);
  }
  return (performance.now() - begun) / rounds;
}

report('Practice', [
  ...EXERCISE_KINDS.map((kind) => ({ name: `drawn until it is fair: ${kind}`, ms: slowest(kind), aimMs: 50 })),
  { name: 'what a frame reckons', ms: frame(), aimMs: 4 },
]);
