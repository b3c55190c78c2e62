import { DEFAULT_PROCESS } from '../src/core/matter/process';
import { codeOf } from '../src/features/label/code';
import { labelBlocks } from '../src/features/label/label-blocks';
import { labelPdf } from '../src/features/label/label-pdf';
import { layOut } from '../src/features/label/layout';
import { measureText } from '../src/features/label/measure-text';
import { foldBatch } from '../src/formats/batch-state';
import { LABEL_SIZES, labelQuerySchema } from '../src/formats/label';
import { resolveFormula } from '../src/formats/resolve-formula';
import { USUAL_SETTINGS } from '../src/formats/settings';
import { cookedBatch } from '../src/kitchen/cook/cook-batch';
import { freezeBatch } from '../src/kitchen/cook/freeze';
import { labelContent } from '../src/kitchen/label/label-content';
import { asMade } from '../src/kitchen/record/as-made';
import { drawWith } from '../src/kitchen/serve/draw-with';
import { lanternMillFormulas } from '../src/server/demo/lantern-mill';
import { startingLarder } from '../src/server/repositories/starting-larder';
import { report } from './report';

const RUNS = 7;
const STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const larder = new Map(startingLarder().map((each) => [each.id, each]));
const files = lanternMillFormulas();

/** Median of some runs after a first, ms. */
async function time(run: () => unknown): Promise<number> {
  await run();
  const taken: number[] = [];
  for (let i = 0; i < RUNS; i++) {
    const begun = performance.now();
    await run();
    taken.push(performance.now() - begun);
  }
  return taken.toSorted((a, b) => a - b)[Math.floor(RUNS / 2)] ?? Number.NaN;
}

/** Sheets of labels, from the batch to the PDF. */
async function sheetsOf(count: number) {
  const [file] = files;
  const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove: STOVE, kitchenC: 20 });
  if (!file || !frozen) throw new Error('the first demo formula can be cooked');
  const query = labelQuerySchema.parse({ size: 'jar', count, netG: 200, nutrition: 'no' });
  const cooked = cookedBatch(frozen);
  const made = asMade(cooked, foldBatch(cooked.method.followed.length, 0, []), frozen.file);
  const content = labelContent(
    { name: file.name, number: 1 },
    made,
    cooked.method,
    '2026-11-26',
    query,
    USUAL_SETTINGS,
  );
  if (!content) throw new Error('something is in it');
  const faces = layOut(content.name, labelBlocks(content, query), LABEL_SIZES.jar, true, measureText);
  await labelPdf({
    name: file.name,
    size: 'jar',
    faces,
    count,
    code: codeOf('https://lantern-mill.example/sauces'),
  });
}

const formulas = files.map((file) => ({ ...resolveFormula(file, larder, 'standard'), process: DEFAULT_PROCESS }));
const [first] = formulas;
const slowest = async () => {
  let most = 0;
  for (const second of formulas.slice(1)) {
    const begun = performance.now();
    if (first) drawWith(first, second);
    most = Math.max(most, performance.now() - begun);
  }
  return most;
};

report('Serving', [
  { name: 'a sheet of 24 labels as a PDF', ms: await time(() => sheetsOf(24)), aimMs: 2000 },
  { name: 'sheets of 240 labels as a PDF', ms: await time(() => sheetsOf(240)), aimMs: 3000 },
  { name: 'a second sauce balanced, the slowest of the demo', ms: await slowest(), aimMs: 300 },
]);
