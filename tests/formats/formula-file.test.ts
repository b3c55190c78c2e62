import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchCard } from '@/features/card/bench-card';
import { answerBalance, answerPredict } from '@/formats/answers';
import { formerly } from '@/formats/former-names';
import { parseFormulaText, readFormula } from '@/formats/formula-file';
import { FormulaFileError } from '@/formats/formula-file-error';
import { idFromName } from '@/formats/ingredient-id';
import { jsonSchemas } from '@/formats/json-schemas';
import { resolveFormula } from '@/formats/resolve-formula';
import { verdictOfUse } from '@/kitchen/words/use-verdicts';
import { momentTitle } from '@/ui/moment-words';
import { GRAMS, parseAmount } from '@/ui/parse-amount';
import { fileOf, larder } from '../support/kitchen';

const PLAIN = fileOf(
  [
    ['dark-couverture-66', 210, { form: 'chopped', locked: true, minGrams: 150, maxGrams: 300 }],
    ['cream-35', 236],
  ],
  [{ moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 7 }],
);
const refusal = (change: object) => {
  try {
    readFormula({ ...PLAIN, ...change });
  } catch (error) {
    expect(error).toBeInstanceOf(FormulaFileError);
    return (error as Error).message;
  }
  throw new Error('it was read');
};

describe('reading a formula file', () => {
  it('fills in what is left out: process, histories, locks', () => {
    const file = readFormula({
      format: 'dark-pour/formula',
      version: 1,
      name: 'Bare',
      lines: [{ ingredient: 'water', grams: 1 }],
    });
    expect(file.process).toMatchObject({ mix: 0.6, mixTemperatureC: 38, covered: 1, bloomG: 200 });
    expect(file).toMatchObject({ moments: [], gates: [], ingredients: {} });
    expect(file.lines[0]?.locked).toBe(false);
    expect(readFormula(PLAIN).moments[0]?.history).toEqual([[0.3, 60]]);
    expect(readFormula(PLAIN).moments[2]?.history).toEqual([[24, 20]]);
  });

  it('reads back what it wrote', () => {
    const once = readFormula(PLAIN);
    expect(readFormula(JSON.parse(JSON.stringify(once)))).toEqual(once);
  });

  it.each([
    ['another format', { format: 'something-else' }, 'format: must be "dark-pour/formula"'],
    ['another version', { version: 2 }, 'version: only version 1'],
    ['no name', { name: '  ' }, 'name: must not be empty'],
    ['negative grams', { lines: [{ ingredient: 'water', grams: -1 }] }, 'lines[0].grams: must be 0 g or more'],
    ['a billion grams', { lines: [{ ingredient: 'water', grams: 1e9 }] }, 'lines[0].grams: must be at most 100 000 g'],
    ['grams as text', { lines: [{ ingredient: 'water', grams: '12,5' }] }, 'lines[0].grams: must be a number of grams'],
    ['grams missing', { lines: [{ ingredient: 'water' }] }, 'lines[0].grams'],
    ['least above most', { lines: [{ ingredient: 'water', grams: 5, minGrams: 9, maxGrams: 3 }] }, 'lines[0].minGrams'],
    [
      'an unknown component',
      { ingredients: { x: { name: 'X', components: { watre: 5 } } } },
      'ingredients.x.components',
    ],
    [
      'parts over 100 g',
      { ingredients: { x: { name: 'X', components: { water: 60, sucrose: 60 } } } },
      'more than 100 g',
    ],
    ['a share over 1', { process: { mix: 2 } }, 'process.mix: must be 0 to 1'],
    [
      'an impossible temperature',
      { moments: [{ name: 'pour', temperatureC: 400 }], gates: [] },
      'moments[0].temperatureC',
    ],
    [
      'the same moment twice',
      {
        moments: [
          { name: 'a', temperatureC: 5 },
          { name: 'a', temperatureC: 9 },
        ],
        gates: [],
      },
      '"a" is there twice',
    ],
    ['a gate at no moment', { gates: [{ moment: 'dawn', quantity: 'shine', low: 5 }] }, 'no moment is called "dawn"'],
    [
      'an unknown quantity',
      { gates: [{ moment: 'pour', quantity: 'lustre', low: 5 }] },
      'gates[0].quantity: must be one of',
    ],
    ['a gate upside down', { gates: [{ moment: 'pour', quantity: 'shine', low: 50, high: 5 }] }, 'gates[0].low'],
    ['a gate without edges', { gates: [{ moment: 'pour', quantity: 'shine' }] }, 'must have a low or a high edge'],
    ['lines that are none', { lines: 'cream' }, 'lines: must be a list'],
  ])('refuses %s and says where', (_, change, words) => {
    expect(refusal(change)).toContain(words);
  });

  it.each([['null'], ['[]'], ['"text"'], ['12']])('refuses %s as a formula', (text) => {
    expect(() => readFormula(JSON.parse(text))).toThrow(/must be a JSON object/);
  });

  it('refuses what is not JSON, and 50 MB', () => {
    expect(() => parseFormulaText('{ "name": ')).toThrow(/not JSON/);
    expect(() => parseFormulaText(`"${'x'.repeat(50_000_000)}"`)).toThrow(/over 5 MB/);
  });

  it('never throws anything but its own words, whatever JSON comes', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        try {
          readFormula({ ...PLAIN, lines: value, ingredients: value });
        } catch (error) {
          expect(error).toBeInstanceOf(FormulaFileError);
        }
      }),
    );
  });
});

describe('resolving ingredients', () => {
  it('takes the file’s own before the larder’s', () => {
    const own = { water: { name: 'Our water', components: { water: 90, sucrose: 10 } } };
    const formula = resolveFormula(
      readFormula({ ...PLAIN, lines: [{ ingredient: 'water', grams: 10 }], ingredients: own }),
      larder,
      'standard',
    );
    expect(formula.lines[0]?.perGram[0]).toBeCloseTo(0.9);
  });

  it('names an unknown ingredient and where it stands', () => {
    const file = readFormula({
      ...PLAIN,
      lines: [
        { ingredient: 'water', grams: 1 },
        { ingredient: 'moondust', grams: 1 },
      ],
    });
    expect(() => resolveFormula(file, larder, 'standard')).toThrow(/lines\[1\].ingredient: "moondust"/);
  });
});

describe('answers', () => {
  it('predict gives mass, components, gates and moments', () => {
    const answer = answerPredict(readFormula(PLAIN), larder);
    expect(answer).toMatchObject({ name: 'Test pour', massG: 446, lands: true });
    expect(Object.values(answer.components).reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(446, 6);
    expect(answer.gates[0]).toMatchObject({ moment: 'pour', quantity: 'apparentViscosityPaS', lands: true });
    expect(answer.moments.map(({ name }) => name)).toEqual(['pan', 'pour', 'bench', 'fridge']);
    for (const moment of answer.moments) {
      expect(moment.resistancePa).toBeCloseTo(10 * moment.apparentViscosityPaS, 9);
      expect(Object.keys(moment.risks)).toContain('broken');
    }
  });

  it('balance adds status, from and to', () => {
    const file = readFormula({
      ...PLAIN,
      gates: [{ moment: 'fridge', quantity: 'yieldStressPa', low: 150, high: 2500 }],
      lines: PLAIN.lines.map((line) => ({ ...line, locked: false, minGrams: undefined })),
    });
    const answer = answerBalance(file, larder);
    expect(answer.status).toBe('lands');
    expect(answer.lands).toBe(true);
    expect(answer.lines.map(({ ingredient, from }) => [ingredient, from])).toEqual([
      ['dark-couverture-66', 210],
      ['cream-35', 236],
    ]);
    expect(answer.massG).toBeCloseTo(446, 9);
  });

  it('say so when nothing is in the pan', () => {
    const empty = readFormula({ ...PLAIN, lines: [{ ingredient: 'water', grams: 0 }] });
    expect(() => answerPredict(empty, larder)).toThrow(/nothing is in the pan/);
    expect(() => answerBalance(empty, larder)).toThrow(/nothing is in the pan/);
  });
});

describe('names that a file had before', () => {
  it('are read as what they are called now', () => {
    const file = readFormula({
      ...PLAIN,
      gates: [{ moment: 'pour', quantity: 'costEurPerKg', high: 8 }],
      ingredients: { farm: { name: 'Farm cream', components: { water: 60, milk_fat: 40 }, priceEurPerKg: 5 } },
    });
    expect(file.gates[0]?.quantity).toBe('costPerKg');
    expect(file.ingredients.farm?.pricePerKg).toBe(5);
  });

  it('do not go before a name of today', () => {
    const rename = formerly('old', 'now');
    expect(rename({ old: 1, now: 2 })).toEqual({ old: 1, now: 2 });
    expect(rename({ old: 1, more: 3 })).toEqual({ now: 1, more: 3 });
    for (const none of [null, 3, 'old', undefined]) expect(rename(none)).toBe(none);
  });
});

describe('the published JSON Schemas', () => {
  it.each(Object.entries(jsonSchemas()))('%s is the one the app reads with', (name, schema) => {
    const kept = JSON.parse(readFileSync(`docs/schemas/${name}.schema.json`, 'utf8'));
    expect(kept, 'run npm run schema:generate').toEqual(JSON.parse(JSON.stringify(schema)));
  });
});

describe('names a plain object answers to by itself', () => {
  const TAKEN = [
    'constructor',
    'toString',
    'valueOf',
    'hasOwnProperty',
    '__proto__',
    '__defineGetter__',
    'isPrototypeOf',
  ];

  it('are no ingredient, in a row or as one of the formula’s own', () => {
    for (const id of TAKEN) {
      expect(refusal({ lines: [{ ingredient: id, grams: 1 }] }), id).toContain('is not a usable id');
      const ingredients = JSON.parse(`{"${id}": {"name": "x", "components": {"water": 100}}}`);
      // The one that sets an object's prototype is left out before anything sees it.
      if (id === '__proto__') expect(readFormula({ ...PLAIN, ingredients }).ingredients).toEqual({});
      else expect(() => readFormula({ ...PLAIN, ingredients }), id).toThrow();
    }
  });

  it('are words like any other for a use, a moment, a form, a unit', () => {
    for (const word of TAKEN) {
      const file = readFormula({
        ...PLAIN,
        use: word,
        lines: [{ ingredient: 'cream-35', grams: 1, form: word }],
        moments: [{ name: word, temperatureC: 30 }],
        gates: [],
      });
      const card = benchCard(file, larder, 'standard', 'cups');
      expect(card.moments[0]?.name.toLowerCase()).toBe(word.toLowerCase());
      expect(momentTitle(word)).toBe(word.charAt(0).toUpperCase() + word.slice(1));
      expect(verdictOfUse(word)).toEqual(verdictOfUse(undefined));
      expect(parseAmount(`5 ${word}`, GRAMS).ok).toBe(false);
      expect(parseAmount(`5 ${word}`, { least: 0, most: 9, unit: 'h', units: { h: 1 }, example: '2' }).ok).toBe(false);
      expect(idFromName(word)).not.toBe(word);
    }
  });
});
