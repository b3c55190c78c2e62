import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import type { Ingredient } from '@/formats/ingredient';
import { idFromName } from '@/formats/ingredient-id';
import { decodeCsv, LARGEST_CSV_BYTES, LarderCsvError, parseLarderCsv, readLarderRows } from '@/formats/larder-csv';
import { writeLarderCsv } from '@/formats/larder-csv-writing';
import { planImport } from '@/formats/larder-import';
import { larder } from '../support/kitchen';

const all = [...larder.values()];
const rowsOf = (text: string) => {
  const reading = readLarderRows(text);
  let step = reading.next();
  while (!step.done) step = reading.next();
  return step.value;
};
const bytes = (text: string) => new TextEncoder().encode(text);
const own = (name: string, change: Partial<Ingredient> = {}): Ingredient => ({
  ...(larder.get('dark-couverture-60') as Ingredient),
  id: idFromName(name),
  name,
  origin: 'own',
  ...change,
});

describe('the starting larder', () => {
  it('holds 162 ingredients', () => {
    expect(larder.size).toBe(162);
  });

  it('reads measures in their order, allergens and prices', () => {
    const dark = larder.get('dark-couverture-54');
    expect(Object.entries(dark?.measures ?? {})).toEqual([
      ['callets', 0.7],
      ['chopped', 0.67],
      ['grated', 0.4],
      ['melted', 1.25],
    ]);
    expect(dark).toMatchObject({ allergens: ['soya'], vegan: true, pricePerKg: 9.5, cocoaPercent: 54 });
  });

  it('names the row and field it cannot read', () => {
    expect(() => parseLarderCsv('id,name,group,water\nx,X,rocks,100\n')).toThrow(/row 2, group/);
  });
});

describe('CSV out and in', () => {
  it('is a round trip for the whole larder', () => {
    expect(parseLarderCsv(writeLarderCsv(all))).toEqual(all);
  });

  it('is a round trip for any name and note, however nasty, and nothing in it runs as a formula', () => {
    const nasty = fc.oneof(
      fc.constantFrom('=1+1', '+cmd', '-2+3', '@SUM(A1)', '"quoted"', 'semi;colon', 'comma, name', "it's", 'tab\there'),
      fc.string({ minLength: 1, maxLength: 20 }),
    );
    fc.assert(
      fc.property(nasty, nasty, (name, note) => {
        const trimmed = name.trim().replace(/^'(?=[=+\-@])/, '');
        fc.pre(trimmed !== '' && !trimmed.includes('\0'));
        const written = writeLarderCsv([own(trimmed, { note: note.trim().replace(/^'(?=[=+\-@])/, '') })]);
        const cells = Papa.parse<string[]>(written.replace('\uFEFF', ''), { delimiter: ',' }).data.flat();
        for (const cell of cells) expect(cell).not.toMatch(/^[=+@\t\r]/);
        const [back] = rowsOf(written);
        expect(back?.ingredient?.name).toBe(trimmed);
      }),
    );
  });

  it('reads semicolons with decimal commas, and Windows text', () => {
    const text = 'name;group;water;sucrose;price_eur_per_kg;measures\nCrème légère;dairy;60,5;39,5;4,20;cup=1,02\n';
    const windows = Uint8Array.from([...text].map((letter) => letter.codePointAt(0) ?? 0));
    for (const file of [bytes(text), windows, bytes(`\uFEFF${text}`)]) {
      const [row] = rowsOf(decodeCsv(file));
      expect(row?.faults).toEqual([]);
      expect(row?.ingredient).toMatchObject({
        name: 'Crème légère',
        components: { water: 60.5, sucrose: 39.5 },
        pricePerKg: 4.2,
        measures: { cup: 1.02 },
      });
    }
    const utf16 = new Uint8Array([
      0xff,
      0xfe,
      ...[...text].flatMap((l) => [(l.codePointAt(0) ?? 0) & 255, (l.codePointAt(0) ?? 0) >> 8]),
    ]);
    expect(rowsOf(decodeCsv(utf16))[0]?.name).toBe('Crème légère');
  });

  it('tells every fault at its row and column, and lets the good rows through', () => {
    const rows = rowsOf(
      [
        'name,group,water,sucrose,density_g_per_ml,measures,allergens',
        'Good,sugars,20,80,1.3,cup=1.3,',
        'Too much,sugars,60,80,1.3,,',
        'Negative,sugars,-5,80,1.3,,',
        'No number,sugars,x,80,abc,,',
        'Wrong group,rocks,20,80,1,,',
        'good,sugars,20,80,1.3,,',
        ',sugars,20,80,1.3,,',
        'Bad measure,sugars,20,80,1.3,cup,',
        'Empty,sugars,,,1.3,,',
      ].join('\n'),
    );
    const faults = (row: number) => rows.find((each) => each.row === row)?.faults.map(({ field }) => field);
    expect(rows[0]?.ingredient?.name).toBe('Good');
    expect(faults(3)).toEqual(['components']);
    expect(faults(4)).toEqual(['water']);
    expect(faults(5)).toEqual(['water', 'density_g_per_ml']);
    expect(faults(6)).toEqual(['group']);
    expect(rows[5]?.faults[0]?.message).toContain('row 2');
    expect(faults(8)).toEqual(['name']);
    expect(faults(9)).toEqual(['measures']);
    expect(faults(10)).toEqual(['water']);
    expect(rows.filter(({ ingredient }) => ingredient)).toHaveLength(1);
  });

  it('refuses what is no table of ingredients', () => {
    expect(() => decodeCsv(new Uint8Array(LARGEST_CSV_BYTES + 1))).toThrow(/over 10 MB/);
    expect(() => decodeCsv(new Uint8Array([80, 75, 3, 4, 0, 0]))).toThrow(/no text/);
    expect(() => rowsOf('dear diary')).toThrow(LarderCsvError);
    expect(() => rowsOf('name,colour\nX,brown\n')).toThrow(/component/);
  });
});

describe('the plan of an import', () => {
  const larderNow = [...all, own('House dark 62')];
  const plan = (ingredients: readonly Ingredient[]) => planImport(rowsOf(writeLarderCsv(ingredients)), larderNow);

  it('leaves alone what is the same: the whole larder changes nothing', () => {
    expect(new Set(plan(larderNow).map(({ what }) => what))).toEqual(new Set(['same']));
  });

  it('adds new ones as the kitchen’s own, changes own ones and says in what', () => {
    const [fresh, changed] = plan([own('Mill dark 71'), own('House dark 62', { pricePerKg: 9, note: 'new sack' })]);
    expect(fresh).toMatchObject({ what: 'add', ingredient: { origin: 'own', id: 'mill-dark-71' } });
    expect(changed).toMatchObject({ what: 'change', words: 'price, note', ingredient: { id: 'house-dark-62' } });
  });

  it('keeps typical compositions and changes only their price, stock and note', () => {
    const cream = larder.get('cream-35') as Ingredient;
    const [priced, richer] = plan([
      { ...cream, pricePerKg: 6 },
      { ...(larder.get('cream-40') as Ingredient), components: { water: 50, milk_fat: 45 } },
    ]);
    expect(priced).toMatchObject({ what: 'change', words: 'price' });
    expect(richer).toMatchObject({ what: 'add', name: 'Cream 40 %, own' });
    expect(richer?.what === 'add' && richer.ingredient.id).not.toBe('cream-40');
  });

  it('refuses faulty rows and two rows for one ingredient', () => {
    const rows = rowsOf('id,name,group,water\ncream-35,A,dairy,100\ncream-35,B,dairy,100\nz,,dairy,1\n');
    const [first, second, third] = planImport(rows, larderNow);
    expect(first?.what).toBe('add');
    expect(second?.what).toBe('refuse');
    expect(third?.what).toBe('refuse');
  });
});
