import jsqrModule from 'jsqr';
import { describe, expect, it } from 'vitest';
import { codeOf } from '@/features/label/code';
import { labelBlocks, labelMissing } from '@/features/label/label-blocks';
import { labelPdf } from '@/features/label/label-pdf';
import { type Face, layOut, layOutBest, TooMuchError } from '@/features/label/layout';
import { measureText } from '@/features/label/measure-text';
import type { BatchEvent, Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { readFormula } from '@/formats/formula-file';
import { LABEL_SIZES, type LabelQuery, labelQuerySchema } from '@/formats/label';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { labelContent } from '@/kitchen/label/label-content';
import { reheatAdvice } from '@/kitchen/label/reheat-advice';
import { allergenRuns, asksForPercent } from '@/kitchen/label/statement';
import { asMade } from '@/kitchen/record/as-made';
import { fileOf, larder } from '../support/kitchen';
import { readPdf } from '../support/read-pdf';

// The package is CommonJS with its function as `default`, whichever way it is loaded.
const jsqr = 'default' in jsqrModule ? (jsqrModule.default as typeof jsqrModule) : jsqrModule;

const STOVE = {
  stove: { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 },
  kitchenC: 20,
} as const;

const file = readFormula({
  ...fileOf([
    ['cream-35', 240],
    ['dark-couverture-60', 200],
    ['rum-40', 60],
    ['glucose-syrup-de42', 30],
  ]),
  name: 'Weir rum and chocolate sauce',
});

/** A log of what happened, as the server keeps it. */
const happened = (whats: readonly Happening[]): BatchEvent[] =>
  whats.map((what, i) => ({ seq: i + 1, key: `event-${i + 1}`, tablet: 'a', tabletMs: 0, serverMs: 1000 * i, what }));

const MAKER = { makerName: 'Lantern Mill', makerAddress: '1 Mill Lane', makerCountry: 'Riverland' };

/** The label of that sauce. */
function contentOf(asked: Partial<LabelQuery> = {}, named = file, events: readonly Happening[] = []) {
  const query = labelQuerySchema.parse(asked);
  const frozen = freezeBatch(named, larder, 'standard', { times: 1, ...STOVE });
  if (!frozen) throw new Error('it can be frozen');
  const head = { name: named.name, number: 7 };
  const cooked = cookedBatch(frozen);
  const state = foldBatch(cooked.method.followed.length, 0, happened(events));
  const made = asMade(cooked, state, frozen.file, (name) => larder.get(name));
  const content = labelContent(head, made, cooked.method, '2026-11-24', query, MAKER);
  if (!content) throw new Error('something is in it');
  return { query, content };
}

function contentAndQuery(asked: Partial<LabelQuery>, named: typeof file) {
  const { content, query } = contentOf(asked, named);
  return [content, query] as const;
}

function facesOf(asked: Partial<LabelQuery> = {}, named = file): readonly Face[] {
  const { query, content } = contentOf(asked, named);
  const size = query.size === 'best' ? 'jar' : query.size;
  return layOut(content.name, labelBlocks(content, query), LABEL_SIZES[size], query.code === 'yes', measureText);
}
const textOf = (face: Face) => face.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join(' ');
const runsText = (runs: readonly { text: string }[]) => runs.map(({ text }) => text).join('');

describe('what is listed', () => {
  it('by weight, compounds in brackets, allergens in bold, shares where the name asks for them', () => {
    const { content } = contentOf();
    const text = runsText(content.ingredients);
    expect(text).toMatch(
      /^whipping cream, dark couverture \[cocoa mass, sugar, cocoa butter, emulsifier: lecithins \(soya\)\]/,
    );
    // 60 g of rum in 530 g that nothing boiled off of.
    expect(text).toMatch(/rum \d+ %/);
    const bold = content.ingredients.filter(({ isBold }) => isBold).map(({ text: word }) => word);
    expect(bold).toEqual(['cream', 'soya']);
    expect(content.alcoholPercentVol).toBeGreaterThan(1.2);
  });

  it('what was weighed decides, not what was planned; a rescue is on it with its allergens', () => {
    const { content: planned } = contentOf();
    expect(runsText(planned.ingredients)).toMatch(/^whipping cream, dark couverture/);
    const all: Happening[] =
      planned.ingredients.length > 0 ? [0, 1, 2, 3, 4, 5].map((step) => ({ kind: 'done', step })) : [];
    const hazelnut = larder.get('hazelnut-paste');
    if (!hazelnut) throw new Error('not in the larder');
    const added: Happening = { kind: 'add', name: 'hazelnut-paste', components: hazelnut.components, grams: 300 };
    const { content } = contentOf({}, file, [...all, added]);
    expect(runsText(content.ingredients)).toMatch(/^hazelnut/);
    expect(content.contains).toContain('nuts (hazelnut)');
    // What the larder does not have under that name may hold anything, and the label says so.
    const { content: strange } = contentOf({}, file, [...all, { ...added, name: 'from a jar' }]);
    expect(strange.unknown).toEqual(['from a jar']);
  });

  it('figures are those of the finished sauce, water that boiled off left out', () => {
    const all: Happening[] = [0, 1, 2, 3, 4, 5].map((step) => ({ kind: 'done', step }));
    const boiled = contentOf({}, file, [...all, { kind: 'lost', grams: 120 }]).content;
    const { content: plain } = contentOf({}, file, [...all, { kind: 'lost', grams: 0 }]);
    const fat = (content: typeof plain) =>
      Number.parseFloat(content.panel.find(({ name }) => name === 'Fat')?.per100 ?? '');
    // 240 g of cream with 35 %, 200 g of couverture with 38 %: 160 g in 530, and in 410.
    expect(fat(plain)).toBeCloseTo(30, -0.5);
    expect(fat(boiled)).toBeCloseTo(39, -0.5);
    expect(fat(boiled) / fat(plain)).toBeCloseTo(530 / 410, 1);
    // The order is by what was used: water that boils off takes nothing from the cream.
    expect(runsText(boiled.ingredients)).toMatch(/^whipping cream/);
  });

  it('packs that are listed in the same words are one ingredient', () => {
    const two = readFormula({
      ...file,
      name: 'Weir cream sauce',
      lines: [
        { ingredient: 'cream-35', grams: 120 },
        { ingredient: 'dark-couverture-60', grams: 200 },
        { ingredient: 'cream-38', grams: 110 },
      ],
    });
    // 230 g of the 430 g that went in and stayed.
    const all: Happening[] = [0, 1, 2, 3, 4, 5].map((step) => ({ kind: 'done', step }));
    const text = runsText(contentOf({}, two, [...all, { kind: 'lost', grams: 0 }]).content.ingredients);
    expect(text.match(/whipping cream/g)).toHaveLength(1);
    expect(text).toMatch(/^whipping cream 53 %, dark couverture/);
  });

  it('says how allulose was counted', () => {
    const sweet = readFormula({
      ...file,
      lines: [...file.lines, { ingredient: 'allulose', grams: 20 }],
    });
    const words = (school: 'eu' | 'us') => JSON.stringify(labelBlocks(...contentAndQuery({ school }, sweet)));
    expect(words('eu')).toMatch(/4 kcal\/g/);
    expect(words('us')).toMatch(/not among the sugars/);
    expect(JSON.stringify(labelBlocks(...contentAndQuery({}, file)))).not.toMatch(/llulose/);
  });

  it.each([
    [9, false],
    [12, true],
  ])('%i %% of maltitol: its effect is named or not', (grams, isNamed) => {
    const sweet = readFormula({
      ...file,
      name: 'Weir sweet',
      ingredients: { own: { name: 'Maltitol', components: { maltitol: 100 }, allergens: [] } },
      lines: [
        { ingredient: 'cream-35', grams: 50 },
        { ingredient: 'dark-couverture-60', grams: 50 - grams },
        { ingredient: 'own', grams },
      ],
    });
    expect(contentOf({}, sweet).content.hasPolyols).toBe(isNamed);
  });

  it('a weight that was read puts the row where it belongs', () => {
    const weigh = (row: number, grams: number): Happening[] =>
      [0, 1, 2, 3, 4, 5].map((step) => ({ kind: 'weigh', step, row, grams, by: 'scale' }));
    const all: Happening[] = [0, 1, 2, 3, 4, 5].map((step) => ({ kind: 'done', step }));
    const { content } = contentOf({}, file, [...weigh(3, 900), ...all]);
    expect(runsText(content.ingredients)).toMatch(/^glucose syrup/);
  });

  it('cocoa butter is no butter, soya milk no milk', () => {
    const bold = (madeOf: string, allergens: Parameters<typeof allergenRuns>[0]['allergens']) =>
      allergenRuns({ name: 'Filling', madeOf, allergens })
        .madeOf.filter(({ isBold }) => isBold)
        .map(({ text }) => text);
    expect(bold('sugar, cocoa butter, whole milk powder', ['milk'])).toEqual(['milk']);
    expect(bold('soya milk, coconut cream, sugar', ['soya', 'milk'])).toEqual(['soya']);
    // Milk that no word names is put in brackets, though cocoa butter stands there.
    expect(runsText(allergenRuns({ name: 'Filling', madeOf: 'cocoa butter', allergens: ['milk'] }).name)).toBe(
      'filling (milk)',
    );
  });

  it('an allergen that no word names stands in brackets', () => {
    const runs = allergenRuns({ name: 'Praline 50 %', madeOf: '', allergens: ['nuts (hazelnut)', 'milk'] });
    expect(runsText(runs.name)).toBe('praline (hazelnut, milk)');
    const named = allergenRuns({ name: 'Hazelnuts, roasted', madeOf: '', allergens: ['nuts (hazelnut)'] });
    expect([runsText(named.name), named.name.some(({ isBold }) => isBold)]).toEqual(['hazelnuts', true]);
  });

  it.each([
    ['Rum sauce', 'Rum 40 %', true],
    ['Hazelnut truffle', 'Hazelnuts, roasted', true],
    ['Fudge sauce, no added sugar', 'Sugar', false],
    ['Sauce without milk', 'Milk, whole', false],
    ['Dark sauce', 'Dark couverture 60 %', false],
  ])('%s and %s', (product, name, asks) => {
    expect(asksForPercent(product, { name })).toBe(asks);
  });
});

describe('warmed again from where it stands', () => {
  const frozen = freezeBatch(file, larder, 'standard', { times: 1, ...STOVE });
  if (!frozen) throw new Error('it can be frozen');
  const cooked = cookedBatch(frozen);
  const seconds = (grams: number, place: 'fridge' | 'kitchen' | 'freezer') =>
    (reheatAdvice(cooked, grams, place)?.bursts ?? []).reduce((sum, each) => sum + each, 0);

  it('takes longer for more and from colder, about as long as its heat needs', () => {
    expect(seconds(400, 'fridge')).toBeGreaterThan(1.5 * seconds(150, 'fridge'));
    expect(seconds(300, 'fridge')).toBeGreaterThan(seconds(300, 'kitchen'));
    // 300 g from 4 °C to the pour at 3 J/g/K and half of 800 W: the order of a minute and a half.
    const joules = 300 * 3 * (cooked.method.pourC - 4);
    expect(seconds(300, 'fridge')).toBeGreaterThan((0.5 * joules) / 800);
    expect(seconds(300, 'fridge')).toBeLessThan((4 * joules) / 800);
    expect(reheatAdvice(cooked, 300, 'freezer')?.isThawed).toBe(true);
  });

  it('asks for a splash in proportion, and none is asked for what boiled off while it was made', () => {
    const gated = {
      ...cooked,
      formula: {
        ...cooked.formula,
        moments: [{ name: 'pour', temperatureC: 36, history: [[0.3, 36]] as const }],
        gates: [{ moment: 'pour', quantity: 'resistancePa' as const, low: 0.5, high: 3 }],
      },
    };
    const [one, two] = [150, 300].map((grams) => reheatAdvice(gated, grams, 'fridge')?.splashG ?? 0);
    expect(one).toBeGreaterThan(1);
    expect((two ?? 0) / (one ?? 1)).toBeGreaterThan(1.9);
    expect((two ?? 0) / (one ?? 1)).toBeLessThan(2.1);
    // The pan's own account of what boiled off plays no part: it is out of the formula.
    const followed = gated.method.followed.map((each) => ({ ...each, end: { ...each.end, lostWaterG: 80 } }));
    const again = reheatAdvice({ ...gated, method: { ...gated.method, followed } }, 300, 'fridge')?.splashG;
    expect(again).toBeCloseTo(two ?? 0, 9);
  });
});

describe('the label laid out', () => {
  it('keeps every mark inside its size, title on each, code on the first', () => {
    for (const size of ['jar', 'tub', 'shelf'] as const) {
      const { widthMm, heightMm } = LABEL_SIZES[size];
      const faces = facesOf({ size, netG: 200 });
      for (const [i, face] of faces.entries()) {
        expect(textOf(face)).toContain('Weir rum and chocolate sauce');
        expect(face.filter(({ kind }) => kind === 'code')).toHaveLength(i === 0 ? 1 : 0);
        for (const mark of face) {
          const right = mark.x + (mark.kind === 'code' ? mark.sideMm : mark.widthMm);
          expect(right).toBeLessThanOrEqual(widthMm - 2);
          expect(mark.y).toBeLessThanOrEqual(heightMm - 2);
          expect(Math.min(mark.x, mark.y)).toBeGreaterThan(2);
        }
      }
    }
  });

  it('never writes over itself or its code', () => {
    for (const face of facesOf({ size: 'jar' })) {
      const boxes = face.flatMap((mark) => {
        if (mark.kind === 'rule') return [];
        if (mark.kind === 'code')
          return [{ left: mark.x, right: mark.x + mark.sideMm, top: mark.y, low: mark.y + mark.sideMm }];
        return [{ left: mark.x, right: mark.x + mark.widthMm, top: mark.y - 0.7 * mark.letterMm, low: mark.y }];
      });
      for (const [i, a] of boxes.entries()) {
        for (const b of boxes.slice(i + 1)) {
          const apart = a.right <= b.left + 0.05 || b.right <= a.left + 0.05 || a.low <= b.top || b.low <= a.top;
          expect(apart, JSON.stringify([a, b])).toBe(true);
        }
      }
    }
  });

  it('says all of it, whatever it takes: eighty names flow on, more than three labels are refused', () => {
    const own = Object.fromEntries(
      Array.from({ length: 56 }, (_, i) => [
        `own-${i}`,
        { name: `Berry of valley ${i}`, components: { water: 80, sucrose: 20 }, allergens: [], madeOf: `juice ${i}` },
      ]),
    );
    const many = readFormula({
      ...file,
      ingredients: own,
      lines: [...file.lines, ...Object.keys(own).map((ingredient) => ({ ingredient, grams: 5 }))],
    });
    const faces = facesOf({ size: 'tub' }, many);
    expect(faces.length).toBeGreaterThan(1);
    const all = faces.map(textOf).join(' ');
    for (let i = 0; i < 56; i++) expect(all).toContain(`valley ${i}`);
    expect(() => facesOf({ size: 'jar' }, many)).toThrow(TooMuchError);
  });

  it('chooses the smallest size that holds all of it, in letters no smaller than the law asks for', () => {
    const sizes = (['jar', 'shelf', 'tub'] as const).map((name) => ({ name, ...LABEL_SIZES[name] }));
    const laid = (asked: Partial<LabelQuery>) => {
      const { query, content } = contentOf(asked);
      return layOutBest(content.name, labelBlocks(content, query), sizes, false, measureText);
    };
    const [small, full] = [laid({ nutrition: 'no' }), laid({ netG: 200, useBy: '2026-12-24' })];
    const area = (size: keyof typeof LABEL_SIZES) => LABEL_SIZES[size].widthMm * LABEL_SIZES[size].heightMm;
    expect(area(small.size)).toBeLessThanOrEqual(area(full.size));
    expect(full.faces.length).toBe(1);
    for (const mark of [...small.faces, ...full.faces].flat()) {
      if (mark.kind === 'text') expect(0.547 * mark.letterMm).toBeGreaterThanOrEqual(1.2);
    }
  });

  it('never breaks a sentence over two labels where one can hold it', () => {
    const faces = facesOf({ size: 'jar' });
    const sentence = faces.map(textOf).filter((text) => text.includes('Ingredients:'));
    expect(sentence).toHaveLength(1);
    expect(sentence[0]).toMatch(/Ingredients:.*\./);
  });

  it('names its maker, and says what is missing before it prints, by school', () => {
    const { query, content } = contentOf({ netG: 200, useBy: '2026-12-24' });
    expect(JSON.stringify(labelBlocks(content, query))).toContain('Made by Lantern Mill, 1 Mill Lane, Riverland.');
    expect(labelMissing(content, query)).toEqual([]);
    const nobody = { ...content, maker: { makerName: '', makerAddress: '', makerCountry: '' } };
    expect(labelMissing(nobody, { ...query, useBy: undefined })).toEqual([
      'no maker',
      'no address of the maker',
      'no country',
      'no use-by date',
    ]);
    expect(labelMissing(content, { ...query, school: 'us' })).toEqual(['no added sugars']);
  });

  it('US-style: facts of a portion in spoons, with per cent of daily values; what nobody knows is not known', () => {
    const us = contentOf({ school: 'us', portionG: 30, cholesterolMg: 21 }).content;
    const of = (name: string) => us.facts.find((line) => line.name === name);
    expect(us.spoons).toBe('2 tbsp');
    expect(of('Added Sugars')?.amount).toBe('not known');
    expect(of('Cholesterol')).toMatchObject({ amount: '20 mg', daily: '7%' });
    const fat = Number.parseFloat(of('Total Fat')?.amount ?? '');
    // To whole grams, of 78 g a day.
    expect(Number.parseFloat(of('Total Fat')?.daily ?? '')).toBeCloseTo((100 * fat) / 78, -0.3);
    const words = JSON.stringify(labelBlocks(us, labelQuerySchema.parse({ school: 'us' })));
    expect(words).toContain('Serving size 2 tbsp (30 g)');
    expect(us.panel).toEqual([]);
  });

  it('US-style: trans fat and cholesterol by the larder, spread over what is left of the rows; what is typed wins', () => {
    const { content, query } = contentOf({ school: 'us', portionG: 100 });
    const rows = content.byLarder;
    const cream = larder.get('cream-35');
    const grams = file.lines.find(({ ingredient }) => ingredient === 'cream-35')?.grams ?? 0;
    const finishedG = file.lines.reduce((sum, line) => sum + line.grams, 0) - (file.yield?.evaporationGrams ?? 0);
    // Of its rows only cream holds any of the two.
    expect(cream?.cholesterolMg).toBeGreaterThan(80);
    expect(rows.cholesterolMg).toMatchObject({
      amount: expect.closeTo((grams * (cream?.cholesterolMg ?? 0)) / finishedG, -0.3),
    });
    expect(rows.transG).toMatchObject({ amount: expect.closeTo((grams * (cream?.transFatG ?? 0)) / finishedG, 1) });
    const typed = contentOf({ school: 'us', portionG: 100, transG: 3 }).content;
    expect(typed.facts.find(({ name }) => name === 'Trans Fat')?.amount).toBe('3 g');
    const line = file.lines[0];
    if (!line) throw new Error('it has rows');
    const margarine = { ...file, lines: [...file.lines, { ...line, ingredient: 'margarine-80', grams: 20 }] };
    const unsaid = contentOf({ school: 'us' }, margarine);
    expect(unsaid.content.facts.find(({ name }) => name === 'Trans Fat')?.amount).toBe('not known');
    expect(labelMissing(unsaid.content, { ...query, addedSugarsG: 9 })).toContain(
      `no trans fat: not known of ${larder.get('margarine-80')?.name}`,
    );
  });

  it('US-style: the head of the facts stands on the label of its figures', () => {
    const faces = facesOf({ size: 'jar', school: 'us' });
    const heads = faces.filter((face) => textOf(face).includes('Nutrition Facts'));
    expect(heads).toHaveLength(1);
    expect(textOf(heads[0] ?? [])).toContain('Calories');
  });

  it('takes a name of two hundred letters without a blank', () => {
    const long = readFormula({ ...file, name: 'Ö'.repeat(60) });
    const faces = facesOf({ size: 'tub', nutrition: 'no' }, long);
    const letters = (faces[0] ?? []).flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])).join('');
    expect(letters.match(/Ö/g)).toHaveLength(60);
  });
});

describe('the label as a PDF', () => {
  it('says in real millimetres what the page shows', async () => {
    const faces = facesOf({ size: 'tub', netG: 200, useBy: '2026-12-24' });
    const pdf = await readPdf(
      await labelPdf({
        name: file.name,
        size: 'tub',
        faces,
        count: 1,
        code: codeOf('http://127.0.0.1:4300/batches/x/record'),
      }),
    );
    expect(pdf.pages).toBe(1);
    const text = pdf.texts.map((each) => each.text).join(' ');
    for (const word of [
      'Ingredients:',
      'whipping',
      'soya',
      '200 g',
      'use by 24 Dec 2026',
      'batch 0007',
      'Energy',
      'Alcohol',
    ]) {
      expect(text).toContain(word);
    }
    // Two columns of 99 mm in the middle of 210 mm: the first label begins at 6 mm, its letters at its margin.
    const first = faces[0]?.find(({ kind }) => kind === 'text');
    const drawn = pdf.texts[0];
    expect(drawn?.x).toBeCloseTo(6 + (first?.x ?? 0), 0);
    expect(drawn?.y).toBeCloseTo((297 - 4 * 67.7) / 2 + (first?.y ?? 0), 0);
    if (first?.kind === 'text') expect(drawn?.widthMm).toBeCloseTo(first.widthMm, 0);
    // No line is broken a second time: letters stand on the lines they were laid on, and on no other.
    const lines = (ys: readonly number[]) => new Set(ys.map((y) => Math.round(2 * y) / 2)).size;
    const laid = faces.flat().flatMap((mark) => (mark.kind === 'text' ? [mark.y] : []));
    expect(lines(pdf.texts.map(({ y }) => y - (297 - 4 * 67.7) / 2))).toBeLessThanOrEqual(lines(laid) + 1);
  });

  it('its code leads to the batch', () => {
    const address = 'http://192.168.1.20:4300/batches/b6f01943-c65a-4b7a-88b7-2a2770a1a7fc/record';
    const { side, path } = codeOf(address);
    const scale = 4;
    const clear = 4;
    const pixels = (side + 2 * clear) * scale;
    const picture = new Uint8ClampedArray(pixels * pixels * 4).fill(255);
    for (const [, column, row] of path.matchAll(/M(\d+) (\d+)h1v1h-1z/g)) {
      for (let y = 0; y < scale; y++) {
        for (let x = 0; x < scale; x++) {
          const at = 4 * (((Number(row) + clear) * scale + y) * pixels + (Number(column) + clear) * scale + x);
          picture.fill(0, at, at + 3);
        }
      }
    }
    expect(jsqr(picture, pixels, pixels)?.data).toBe(address);
  });
});
