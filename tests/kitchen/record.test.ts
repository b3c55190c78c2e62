import { describe, expect, it } from 'vitest';
import { calibrationOf, learnKitchen } from '@/core/learn/kitchen';
import { massG } from '@/core/pan/pan';
import { predictFormula } from '@/core/predict/predict-formula';
import { AFTERWARDS, type BatchEvent, type Happening, toldSchema } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import type { BookRow } from '@/formats/book';
import { writeBookCsv } from '@/formats/book-csv';
import { readFormula } from '@/formats/formula-file';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { compared } from '@/kitchen/record/compared';
import { keepingOf } from '@/kitchen/record/keeping-of';
import { storyOf } from '@/kitchen/record/story';
import { summarise } from '@/kitchen/record/summary';
import { testsOf } from '@/kitchen/record/tests-of';
import { learntPhrase, missPhrase } from '@/kitchen/words/test-words';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { hiddenKitchen, MENU, testsIn } from '../support/hidden-kitchens';
import { fileOf, larder } from '../support/kitchen';

const file = lanternMillFormulas().at(-1);
const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
if (!file || !frozen) throw new Error('nothing to cook');
const cooked = cookedBatch(frozen);
const steps = cooked.method.followed.length;
const MINUTE = 60_000;
const logOf = (...whats: readonly Happening[]): BatchEvent[] =>
  whats.map((what, i) => ({
    ...{
      seq: i + 1,
      key: `event-${i}-key`,
      tablet: 'a',
      tabletMs: 0,
      serverMs: (i + 1) * MINUTE,
      by: i % 2 ? 'Ines' : undefined,
    },
    what,
  }));
const done = Array.from({ length: steps }, (_, step): Happening => ({ kind: 'done', step }));
const head = { id: 'b', number: 7, formulaId: 'f', name: file.name, startedMs: 0, state: 'finished' } as const;

describe('a batch summed up', () => {
  const events = logOf(
    ...done,
    { kind: 'poured', grams: 400 },
    { kind: 'finish' },
    { kind: 'poured', grams: 100 },
    { kind: 'used', what: '48 éclairs', grams: 450 },
    { kind: 'note', text: 'New crate' },
    { kind: 'verdict', hasLanded: false },
    { kind: 'verdict', hasLanded: true },
  );
  const summary = summarise(head, frozen, events);

  it('holds what came of it, and what is told after its end', () => {
    expect(summary).toMatchObject({ yieldG: 500, hasLanded: true, isRescued: false, madeBy: 'Ines' });
    expect(summary.overMs).toBe((steps + 2) * MINUTE);
    const planned = frozen.file.lines.reduce((sum, { grams }) => sum + grams, 0);
    expect(summary.weighedG).toBeCloseTo(planned, 6);
    const price = frozen.file.lines.reduce((sum, { ingredient, grams }) => {
      return sum + (grams / 1000) * (frozen.file.ingredients[ingredient]?.pricePerKg ?? 0);
    }, 0);
    expect(summary.cost).toBeCloseTo(price, 6);
    for (const word of ['0007', 'new crate', '48 eclairs', 'ines']) expect(summary.words).toContain(word);
  });

  it('says nothing that nobody said', () => {
    expect(summarise(head, frozen, logOf(...done, { kind: 'finish' }))).toMatchObject({
      yieldG: null,
      hasLanded: null,
    });
    expect(summarise(head, frozen, [])).toMatchObject({ weighedG: 0, cost: 0, overMs: 0 });
  });

  it('takes what is told afterwards and nothing else: no step is done after the end', () => {
    const late = logOf(
      { kind: 'finish' },
      { kind: 'done', step: 0 },
      { kind: 'weigh', step: 0, row: 0, grams: 9, by: 'hand' },
    );
    const state = foldBatch(steps, 0, late);
    expect(state.steps[0]?.status).not.toBe('done');
    expect(state.weighed.size).toBe(0);
    expect(AFTERWARDS.has('weigh')).toBe(false);
  });
});

describe('a batch told as a story', () => {
  const row = cooked.method.followed[0]?.step.adds[0]?.row ?? 0;
  const planned = cooked.formula.lines[row]?.grams ?? Number.NaN;

  it('is in its order, weighs once, and leaves out steps without a time of their own', () => {
    const events = logOf(
      { kind: 'weigh', step: 0, row, grams: 400, by: 'scale' },
      { kind: 'temperature', temperatureC: 99, by: 'probe' },
      { kind: 'done', step: 0 },
      { kind: 'ring', diameterMm: 92, temperatureC: 38 },
      { kind: 'finish' },
    );
    const story = storyOf(cooked, foldBatch(steps, 0, events), events);
    expect(story.map(({ kind }) => kind)).toEqual(['weighed', 'step', 'test', 'over']);
    expect(story[0]).toMatchObject({ grams: 400 });
    const [weighed] = story;
    const rows = weighed?.kind === 'weighed' ? weighed.rows : [];
    expect(rows.find((each) => each.row === row)).toEqual({ row, plannedG: planned, weighedG: 400 });
    // What nobody entered is not told as planned.
    expect(rows.filter(({ weighedG }) => weighedG === undefined).length).toBe(rows.length - 1);
    expect(story[1]).toMatchObject({ readC: 99, seconds: 180 });
    const written = logOf(...done).map((event) => ({ ...event, serverMs: 0 }));
    expect(storyOf(cooked, foldBatch(steps, 0, written), written)).toEqual([]);
    // Of a batch written down afterwards it tells what it was poured at, and what was done about a sign.
    const told = logOf(
      ...done,
      { kind: 'temperature', temperatureC: 34, by: 'hand' },
      { kind: 'fix', sign: 'oily', cause: 'split', hasWorked: true },
    ).map((event) => ({ ...event, serverMs: 0 }));
    expect(storyOf(cooked, foldBatch(steps, 0, told), told)).toEqual([
      { kind: 'read', ms: 0, temperatureC: 34, isPour: true },
      { kind: 'fix', ms: 0, sign: 'oily', cause: 'split', hasWorked: true },
    ]);
  });
});

describe('the tests of a batch', () => {
  const events = logOf(
    ...done,
    { kind: 'ring', diameterMm: 92, temperatureC: 38 },
    { kind: 'finish' },
    { kind: 'test', result: { test: 'spoonRest', depthMm: 6, temperatureC: 4, hours: 18 } },
  );

  it('are held against the book, with their chocolate; one in doubt is still there', () => {
    const { tests, chocolate } = testsOf(head, frozen, events);
    expect(tests.map(({ result: { test }, reading }) => [test, reading?.about])).toEqual([
      ['ring', 'warm'],
      ['spoonRest', 'cold'],
    ]);
    expect(chocolate).toBe('dark-couverture-66');
    const doubted = testsOf(head, frozen, [
      ...events,
      ...logOf({ kind: 'doubt', test: tests[0]?.key ?? '', isDoubted: true }).map((each) => ({ ...each, seq: 99 })),
    ]);
    expect(doubted.tests.map(({ isDoubted }) => isDoubted)).toEqual([true, false]);
  });

  it('say the same whether the batch was frozen by the book or as this kitchen pours', () => {
    const knowledge = learnKitchen(testsIn(hiddenKitchen(4), MENU, 3));
    const { warm, cold, gel, time } = knowledge.offsets;
    const own = { times: 1, stove, kitchenC: 22 };
    const here = freezeBatch(file, larder, calibrationOf(knowledge, undefined), own);
    if (!here) throw new Error('nothing to cook');
    expect(here.file.process.warmOffset).toBeCloseTo(warm.mean, 9);
    expect(here.file.process.coldOffset).toBeCloseTo(cold.mean, 9);
    expect(here.file.process.gelOffset).toBeCloseTo(gel.mean, 9);
    expect(here.file.process.timeOffset).toBeCloseTo(time.mean, 9);
    expect(Math.abs(cold.mean)).toBeGreaterThan(0.1);
    const [book, kitchen] = [testsOf(head, frozen, events), testsOf(head, here, events)];
    expect(kitchen.tests.map(({ reading }) => reading?.residual)).toEqual(
      book.tests.map(({ reading }) => reading?.residual),
    );
  });

  it('that make no sense are refused', () => {
    const told = (result: unknown) =>
      toldSchema.safeParse({ key: 'some-key-1', tablet: '', tabletMs: 0, what: { kind: 'test', result } }).success;
    expect(told({ test: 'ring', diameterMm: 92, temperatureC: 38, seconds: 30 })).toBe(true);
    expect(told({ test: 'ring', diameterMm: 3000, temperatureC: 38, seconds: 30 })).toBe(false);
    expect(told({ test: 'ring', diameterMm: 40, temperatureC: 38, seconds: 30 })).toBe(false);
    expect(told({ test: 'handle', depthMm: Number.NaN, temperatureC: 5, hours: 12 })).toBe(false);
    expect(told({ test: 'nobody' })).toBe(false);
  });
});

it('batches laid side by side have their readings over their own time', () => {
  const events = logOf({ kind: 'temperature', temperatureC: 80, by: 'probe' }, ...done, { kind: 'finish' });
  const side = compared({ head, frozen, events });
  expect(side.read).toEqual([{ minutes: 1, temperatureC: 80 }]);
  expect(side.minutes).toBe(steps + 2);
  expect(side.reckoned.length).toBeGreaterThan(5);
  const minutes = side.reckoned.map((point) => point.minutes);
  expect(minutes).toEqual(minutes.toSorted((a, b) => a - b));
});

it('batches laid side by side say how thick each poured, by its rings', () => {
  const poured = (diameterMm: number) =>
    compared({
      head,
      frozen,
      events: logOf(...done, { kind: 'ring', diameterMm, temperatureC: 34 }, { kind: 'finish' }),
    });
  expect(poured(60).thickness).toBeGreaterThan(poured(90).thickness ?? Number.NaN);
  expect(compared({ head, frozen, events: logOf(...done, { kind: 'finish' }) }).thickness).toBeUndefined();
  const end = cooked.method.followed.at(-1)?.end;
  expect(poured(70).reckonedG).toBeCloseTo(end ? massG(end) : Number.NaN, 6);
});

describe('what keeping is judged by', () => {
  const read = (...temperatures: readonly number[]) =>
    logOf(...temperatures.map((temperatureC) => ({ kind: 'temperature', temperatureC, by: 'hand' }) as const));
  const of = (events: readonly BatchEvent[]) => keepingOf(cooked, foldBatch(steps, 0, events), frozen);

  it('is its water, spirit and dairy, and its own clock between the readings', () => {
    const keeping = of(read(80, 60, 40, 20, 5, 3));
    // Three minutes, one a reading, between 60 and 5 °C.
    expect(keeping?.growsH).toBeCloseTo(3 / 60, 6);
    expect(keeping?.spoilers).toEqual(['dairy']);
    expect(keeping?.alcoholPercentVol).toBeGreaterThan(0.5);
    // What the method boils off is gone, though the formula itself plans none.
    const evaporationG = cooked.method.followed.at(-1)?.end.lostWaterG;
    const finished = predictFormula({ ...cooked.formula, evaporationG });
    expect(evaporationG).toBeGreaterThan(0);
    expect(keeping?.waterActivity).toBeCloseTo(finished?.asKept.waterActivity ?? Number.NaN, 12);
    expect(of(read(80))?.growsH).toBeNull();
  });

  it('goes by what a rescue put in and by what the scale lost', () => {
    const as = (...more: readonly Happening[]) => of(logOf(...done, ...more));
    const plain = as();
    const spirit: Happening = { kind: 'add', name: 'spirit', components: { water: 40, ethanol: 60 }, grams: 200 };
    expect(as(spirit)?.alcoholPercentVol).toBeGreaterThan((plain?.alcoholPercentVol ?? 0) + 5);
    expect(as({ kind: 'lost', grams: 120 })?.waterActivity).toBeLessThan(plain?.waterActivity ?? 0);
    const plant = freezeBatch(
      readFormula({
        ...fileOf([
          ['water', 120],
          ['dark-couverture-70', 200],
        ]),
        name: 'Weir water',
      }),
      larder,
      'standard',
      { times: 1, stove, kitchenC: 22 },
    );
    if (!plant) throw new Error('it can be frozen');
    const cookedPlant = cookedBatch(plant);
    const kept = (...whats: readonly Happening[]) =>
      keepingOf(cookedPlant, foldBatch(cookedPlant.method.followed.length, 0, logOf(...whats)), plant)?.spoilers;
    const all = cookedPlant.method.followed.map((_, step): Happening => ({ kind: 'done', step }));
    const cream: Happening = {
      kind: 'add',
      name: 'cream',
      components: { water: 60, milk_fat: 35, milk_protein: 2 },
      grams: 40,
    };
    expect([kept(...all), kept(...all, cream)]).toEqual([[], ['dairy']]);
  });
});

it('what is learnt is said on its side of the book, with its share', () => {
  const percent = (share: number) => `${Math.round(100 * share)} %`;
  expect(learntPhrase('warm', { mean: -0.2, sd: 0.0862 }, percent)).toBe(
    'pours 18 % thinner than the book (±\u00a09 %)',
  );
  expect(learntPhrase('cold', { mean: 0.26, sd: 0.1 }, percent)).toContain('30 % firmer');
  expect(learntPhrase('time', { mean: 0.01, sd: 0.1 }, percent)).toContain('takes as long to set as the book says');
  expect(missPhrase('time', -0.2, percent)).toBe('sets in 18 % less time than the book');
});

it('the book as CSV marks what a spreadsheet would run', () => {
  const row: BookRow = {
    ...head,
    overMs: MINUTE,
    madeBy: '=1+1',
    hasLanded: null,
    isRescued: true,
    weighedG: 500.04,
    yieldG: null,
    cost: 4.2,
  };
  const [, line] = writeBookCsv([row]).split('\r\n');
  expect(line).toContain("'=1+1");
  expect(line).toContain(',500,,4.2');
  expect(line).toContain('1970-01-01T00:01:00.000Z');
});
