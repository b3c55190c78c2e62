import { describe, expect, it } from 'vitest';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { normalNumbers, seededNumbers } from '@/core/random';
import { lnOf, panWith, type RescuePan } from '@/core/rescue/addition-curve';
import { EYE_SD, SEEN, type Seen, seenEdges } from '@/core/rescue/belief';
import { FormulaFileError } from '@/formats/formula-file-error';
import { readRescue } from '@/formats/rescue-file';
import { answerRescue } from '@/kitchen/cook/rescue-answers';
import { fileOf, larder } from '../support/kitchen';
import { perGram } from '../support/pan';

const GANACHE = [
  ['cream-35', 240],
  ['dark-couverture-60', 200],
] as const;

/** A rescue file of a ganache that is to pour at a temperature. */
function rescueOf(more: Record<string, unknown> = {}, lines: readonly (readonly [string, number])[] = GANACHE) {
  const formula = fileOf(
    lines.map(([id, grams]) => [id, grams]),
    [{ moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 1.2 }],
  );
  return { format: 'dark-pour/rescue', version: 1, formula, sign: 'bitThick', ...more };
}
/** What went in and was seen since. */
// biome-ignore lint/suspicious/noThenProperty: the name of the open format; nothing awaits a file
const since = (...looks: readonly Record<string, unknown>[]) => ({ then: looks });
const answer = (more: Record<string, unknown> = {}, lines = GANACHE as readonly (readonly [string, number])[]) =>
  answerRescue(readRescue(rescueOf(more, lines)), larder);

describe('a rescue from a shell', () => {
  it('gives causes, a portion of what is in the pan, and how likely it is right', () => {
    const { causes, portion, done, chance, becomes } = answer({ sign: 'farTooThick' });
    expect(causes.reduce((sum, each) => sum + each.chance, 0)).toBeCloseTo(1, 6);
    expect(portion?.ingredient).toBe('cream-35');
    expect(portion?.grams).toBe(Math.round(portion?.grams ?? 0.5));
    expect(portion?.how).toContain('Stir in');
    expect(done).toBe(false);
    expect(chance).toBeLessThan(0.88);
    expect(Array.isArray(becomes)).toBe(true);
  });

  it('goes on from what went in and was seen; "right" ends it or asks once more', () => {
    const seenAfter = (seen: Seen, times: number) =>
      answer({
        sign: 'bitThick',
        ...since(
          { added: [{ ingredient: 'cream-35', grams: 40 }], seen },
          ...Array.from({ length: times - 1 }, () => ({ seen })),
        ),
      });
    expect(seenAfter('bitThick', 1).portion).not.toBeNull();
    const looks = [1, 2, 3].map((times) => seenAfter('right', times).done);
    expect(looks.at(-1)).toBe(true);
    expect(seenAfter('right', 1).portion).toBeNull();
    expect(seenAfter('bitThin', 1).portion?.ingredient).toBe('dark-couverture-60');
  });

  it('a ring counts as a look', () => {
    const thin = answer({ temperatureC: 36, ...since({ seen: { ring: { diameterMm: 150 } } }) });
    const thick = answer({ temperatureC: 36, ...since({ seen: { ring: { diameterMm: 70 } } }) });
    expect(thin.portion?.ingredient).not.toBe(thick.portion?.ingredient);
  });

  it('a fault is asked about, then fixed; answered right it is done', () => {
    const first = answer({ sign: 'seized' });
    expect(first.asks.length).toBe(1);
    expect(first.portion).toBeNull();
    const sugar = answer({ sign: 'seized', answers: [{ question: 'rubbed', answer: 'crunchy' }] });
    expect(sugar.causes[0]?.cause).toBe('sugarGrains');
    expect(answer({ sign: 'oily', ...since({ seen: 'right' }) }).done).toBe(true);
    expect(answer({ sign: 'oily' }).portion?.ingredient).toBe('cream-35');
    expect(answer({ sign: 'catching' }).becomes).toEqual([]);
  });

  it('too bitter takes sugar', () => {
    expect(answer({ sign: 'tooBitter' }).portion?.ingredient).toContain('sugar');
  });

  it.each([
    [{ sign: 'aBitThick' }, 'sign: must be one of farTooThick'],
    [since({ seen: 'fine' }), 'must be one of farTooThin'],
    [since({ added: [{ ingredient: 'cream-35', grams: -4 }], seen: 'right' }), 'must be 0 to 100000 grams'],
    [{ answers: [{ question: 'rubbed', answer: 'soft' }] }, 'is no answer'],
    [{ version: 2 }, 'only version 1'],
  ])('%j is refused with its place', (more, words) => {
    expect(() => answer(more)).toThrow(words);
    expect(() => answer(more)).toThrow(FormulaFileError);
  });

  it('what is not in the larder, and an empty pan, are refused in words', () => {
    expect(() => answer(since({ added: [{ ingredient: 'moondust', grams: 5 }], seen: 'right' }))).toThrow(
      'then[0].added[0]: "moondust"',
    );
    expect(() => answer({}, [['moondust', 5]])).toThrow('formula.lines[0].ingredient');
    expect(() => answer({}, [['cream-35', 0]])).toThrow('nothing is in the pan');
  });
});

/** A hidden pan mended through the shell: whether it ends in its gate. */
function mends(seed: number, temperatureC: number): boolean {
  const uniform = seededNumbers(seed);
  const gauss = normalNumbers(seededNumbers(seed + 1000));
  const cream = Math.round(120 + 180 * uniform());
  let there: RescuePan = {
    components: perGram('cream-35').map((share, i) => cream * share + 200 * (perGram('dark-couverture-60')[i] ?? 0)),
    process: DEFAULT_PROCESS,
    temperatureC,
    history: usualHistory(temperatureC),
    read: ({ flow }) => flow.resistancePa,
  };
  const offset = 0.5 * gauss();
  const middle = lnOf(there) + offset + 2.4 * (uniform() - 0.5);
  const [low, high] = [Math.exp(middle) / 1.5, Math.exp(middle) * 1.5];
  const look = (): Seen => {
    const seen = lnOf(there) + offset + EYE_SD * gauss();
    return SEEN[seenEdges({ low, high }).filter((edge) => seen > edge).length] ?? 'right';
  };
  const formula = {
    ...fileOf(
      [
        ['cream-35', cream],
        ['dark-couverture-60', 200],
      ],
      [],
    ),
    moments: [{ name: 'here', temperatureC, history: [...usualHistory(temperatureC)] }],
    gates: [{ moment: 'here', quantity: 'resistancePa', low, high }],
    evaporationG: 0,
  };
  const first = look();
  if (first === 'right') return true;
  const looks: { added: { ingredient: string; grams: number }[]; seen: Seen }[] = [];
  for (let i = 0; i < 12; i++) {
    const file = { format: 'dark-pour/rescue', version: 1, formula, temperatureC, sign: first, ...since(...looks) };
    const { done, portion } = answerRescue(readRescue(file), larder);
    if (done) break;
    if (portion) there = panWith(there, perGram(portion.ingredient), portion.grams);
    looks.push({ added: portion ? [{ ingredient: portion.ingredient, grams: portion.grams }] : [], seen: look() });
  }
  const end = Math.exp(lnOf(there) + offset);
  return end >= low && end <= high;
}

describe('hidden pans through the shell', () => {
  it.each([25, 60])('at %i °C most end in their gate, whatever the moment is called', (temperatureC) => {
    const seeds = Array.from({ length: 30 }, (_, i) => 1 + i);
    const ended = seeds.filter((seed) => mends(seed, temperatureC)).length;
    expect(ended / seeds.length).toBeGreaterThanOrEqual(0.8);
  });
});
