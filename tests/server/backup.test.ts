import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Backup } from '@/formats/backup-file';
import type { FormulaFile } from '@/formats/formula-file';
import { backUpToday, forgetLongDeleted } from '@/server/backup/daily';
import { backupsFolder, keepDaily, listKept, outdated, readBackup } from '@/server/backup/kept-backups';
import { compareBackup, restoreBackup, takeBackup } from '@/server/backup/kitchen-rows';
import { BackupError, packParts, readParts, unpackBackup } from '@/server/backup/pack';
import { readableRows } from '@/server/backup/readable-rows';
import { restoreKitchen } from '@/server/backup/restore';
import type { OpenDatabase } from '@/server/db/database';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { runningBatches } from '@/server/repositories/batches';
import { listFormulas, listLibrary } from '@/server/repositories/formula-list';
import { createFormula, createFormulas, deleteFormula, restoreFormula } from '@/server/repositories/formulas';
import { listIngredients, stockEmptyLarder } from '@/server/repositories/larder';
import { changeSettings, readSettings } from '@/server/repositories/settings';
import { listShelf } from '@/server/repositories/shelf';
import { startingLarder } from '@/server/repositories/starting-larder';
import { addVersion, listVersions } from '@/server/repositories/versions';
import { packJson, partsOf } from '../support/backups';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
let other: OpenDatabase;
let backup: Backup;
const home = mkdtempSync(path.join(tmpdir(), 'dark-pour-backup-'));
const now = new Date('2026-11-26T08:00:00Z');

beforeAll(async () => {
  kitchen = await openTestKitchen();
  await stockEmptyLarder(kitchen.db, startingLarder());
  await createFormulas(kitchen.db, lanternMillFormulas(), now);
  const [base] = await listFormulas(kitchen.db);
  if (!base) throw new Error('no formula');
  await createFormula(kitchen.db, { ...base.file, name: 'A variant' }, now, base.id);
  await addVersion(kitchen.db, base.id, { name: 'before the fair', note: 'ünïcödé “quoted”', file: base.file }, now);
  await changeSettings(kitchen.db, { temperature: 'F' });
  backup = readParts(await takeBackup(kitchen.db, kitchen.schemaName, now));
  other = await openTestKitchen();
});
afterAll(async () => {
  await kitchen.close();
  await other.close();
  rmSync(home, { recursive: true, force: true });
});

/** All that can be seen of a kitchen. */
async function everything({ db }: OpenDatabase) {
  const formulas = await listFormulas(db);
  return {
    formulas,
    versions: await Promise.all(formulas.map(({ id }) => listVersions(db, id))),
    ingredients: await listIngredients(db),
    // Written out: the order of measures says which is usual.
    measures: JSON.stringify((await listIngredients(db)).map(({ measures }) => measures)),
    settings: await readSettings(db),
  };
}

describe('a backup', () => {
  it('put into an empty kitchen gives the very same one, through the file too', async () => {
    const read = await unpackBackup((await packParts(partsOf(backup))).bytes, [kitchen.schemaName]);
    expect(read).toEqual(backup);
    expect((await compareBackup(other.db, read)).find(({ table }) => table === 'formulas')).toMatchObject({
      added: backup.tables.formulas.length,
      removed: 0,
    });
    await restoreBackup(other.db, read);
    expect(await everything(other)).toEqual(await everything(kitchen));
    for (const change of await compareBackup(other.db, read)) {
      expect(change).toMatchObject({ added: 0, changed: 0, removed: 0 });
    }
  });

  it('over another kitchen says before what it changes, and leaves nothing of that one', async () => {
    await changeSettings(other.db, { temperature: 'C', weight: 'oz' });
    const [formula] = await listFormulas(other.db);
    if (!formula) throw new Error('no formula');
    await createFormula(other.db, { ...formula.file, name: 'Made since' }, now);
    const changes = await compareBackup(other.db, backup);
    expect(changes.find(({ table }) => table === 'formulas')).toMatchObject({ added: 0, changed: 0, removed: 1 });
    expect(changes.find(({ table }) => table === 'settings')).toMatchObject({ changed: 1, removed: 1 });
    await restoreBackup(other.db, backup);
    expect(await everything(other)).toEqual(await everything(kitchen));
  });

  it('that cannot be put back whole changes nothing', async () => {
    const before = await everything(other);
    const [first] = backup.tables.formula_lines;
    const broken = { ...backup, tables: { ...backup.tables, formula_lines: [{ ...first, formula_id: 'of nobody' }] } };
    await expect(restoreBackup(other.db, broken)).rejects.toThrow();
    expect(await everything(other)).toEqual(before);
  });

  it('takes columns it does not have at their usual value, and leaves out those it should not have', async () => {
    const without = backup.tables.ingredients.map(({ may_contain: _, ...row }) => ({
      ...row,
      'x"; drop table formulas; --': 1,
    }));
    await restoreBackup(other.db, { ...backup, tables: { ...backup.tables, ingredients: without } });
    expect((await listIngredients(other.db))[0]?.mayContain).toEqual([]);
    expect((await listFormulas(other.db)).length).toBeGreaterThan(3);
  });

  it('that is cut off, changed, foreign, newer or hostile is refused with a word', async () => {
    const bytes = Buffer.from((await packParts(partsOf(backup))).bytes);
    const packed = (value: unknown) => gzipSync(`${'0'.repeat(64)}\n${JSON.stringify(value)}`);
    for (const [wrong, words] of [
      [bytes.subarray(0, bytes.length / 2), 'cannot be unpacked'],
      [Buffer.from('not a backup at all'), 'cannot be unpacked'],
      [gzipSync('hello'), 'checksum differs'],
      [packed(backup), 'checksum differs'],
      [packJson({ ...backup, schema: '9999_from_tomorrow' }), 'made by a newer Dark Pour'],
      [packJson({ ...backup, version: 2 }), 'only version 1'],
      [packJson({ tables: {} }), 'format'],
      [packJson({ ...backup, tables: { ...backup.tables, formulas: 7 } }), 'tables.formulas'],
    ] as const) {
      const refused = await unpackBackup(wrong, [kitchen.schemaName]).catch((error: unknown) => error);
      expect(refused).toBeInstanceOf(BackupError);
      expect((refused as Error).message).toContain(words);
    }
  });
});

describe('putting one back', () => {
  const names = async ({ db }: OpenDatabase) => (await listFormulas(db)).map(({ file }) => file.name).sort();
  const minutes = (n: number) => new Date(now.getTime() + n * 60_000);
  const kept = async (folder: string, name: string | undefined) => {
    const bytes = name && readBackup(folder, name);
    if (!bytes) throw new Error(`${name} is not kept`);
    return unpackBackup(bytes, [kitchen.schemaName]);
  };

  it('twice on a day keeps what was there before each, and a third puts the day’s work back', async () => {
    const folder = path.join(home, 'twice');
    await backUpToday(folder, other, now);
    const [template] = lanternMillFormulas();
    if (!template) throw new Error('no formula');
    await createFormula(other.db, { ...template, name: 'Work of the day' }, now);
    const work = await names(other);
    const [first, second] = [backup, { ...backup, tables: { ...backup.tables, formula_versions: [] } }];
    const restores = [
      await restoreKitchen(folder, other, readableRows(first), minutes(1)),
      await restoreKitchen(folder, other, readableRows(second), minutes(2)),
    ];
    expect(await names(other)).not.toContain('Work of the day');
    const listed = listKept(folder).filter(({ reason }) => reason === 'beforeRestore');
    expect(listed.map(({ name }) => name)).toEqual(restores.map(({ before }) => before).reverse());
    expect(listed.map(({ contents }) => contents?.formulas)).toEqual([backup.tables.formulas.length, work.length]);
    const [today] = restores;
    if (!today) throw new Error('nothing kept');
    await restoreKitchen(folder, other, readableRows(await kept(folder, today.before)), minutes(2));
    expect(await names(other)).toEqual(work);
    expect(listKept(folder)).toHaveLength(4);
  });

  it('what was there before is kept thirty days', async () => {
    const folder = path.join(home, 'thirty');
    const day = (n: number) => new Date(now.getTime() + n * 86_400_000);
    const { before } = await restoreKitchen(folder, other, readableRows(backup), day(0));
    await keepDaily(folder, partsOf(backup), day(29));
    expect(readBackup(folder, String(before))).toBeDefined();
    await keepDaily(folder, partsOf(backup), day(31));
    expect(readBackup(folder, String(before))).toBeUndefined();
    expect(readdirSync(backupsFolder(folder)).some((name) => name.startsWith(String(before)))).toBe(false);
  });

  it('reads each row as if it had been typed: what cannot be read is left out, told, and all else is put back', async () => {
    const { ingredients, formulas, formula_lines, formula_versions, settings } = backup.tables;
    const [ingredient, second] = ingredients;
    const [formula] = formulas;
    const batch = {
      id: 'b-1',
      number: 1,
      formula_id: 'f',
      name: 'Empty',
      frozen: {},
      state: 'running',
      started_at: '2026-11-26T08:00:00+00:00',
    };
    const shelf = {
      ...{ id: 's-1', batch_id: null, batch_number: null, name: 'Jar', container: 'jar', count: 1, grams: 100 },
      ...{ left_g: 100, thrown_g: 0, place: 'fridge', made_on: 'infinity', use_by: null, keeping: null },
      put_at: 'infinity',
    };
    const hostile: Backup = {
      ...backup,
      tables: {
        ...backup.tables,
        ingredients: [
          { ...ingredient, components: ['water'] },
          { ...second, name: 'lone \ud800' },
          ...ingredients.slice(2),
          { ...ingredients[5], position: 9 },
        ],
        formulas: [
          { ...formula, updated_at: 'infinity' },
          ...formulas.slice(1),
          { ...formula, id: 'twin', revision: 2 ** 40 },
        ],
        formula_versions: formula_versions.map((row) => ({ ...row, file: {} })),
        batches: [batch, { ...batch, id: 'b-2', number: '2' }],
        batch_events: [
          { batch_id: 'b-1', seq: 1, key: 'k', tablet: 'a', made_by: null, tablet_ms: 1, server_ms: 1, what: {} },
        ],
        shelf_items: [shelf, { ...shelf, id: 's-2', made_on: '2026-11-26' }],
        day_tasks: [{ id: 't', day: 'tomorrow', formula_id: String(formulas[1]?.id), ready_minutes: 5 }],
      },
    };
    const { leftOut } = await restoreKitchen(path.join(home, 'hostile'), other, readableRows(hostile), now);
    expect(leftOut.map(({ table, reason }) => `${table}: ${reason}`)).toEqual([
      expect.stringMatching(/^ingredients: components/),
      'ingredients: name',
      'ingredients: stands there twice',
      'formulas: updated_at',
      'formulas: revision',
      ...formula_versions
        .filter((row) => row.formula_id !== formula?.id)
        .map(() => expect.stringMatching(/^formula_versions: format/)),
      expect.stringMatching(/^day_tasks: must be a day/),
      expect.stringMatching(/^batches: file/),
      'batches: number',
      'shelf_items: put_at',
      'shelf_items: put_at',
    ]);
    expect(await listIngredients(other.db)).toHaveLength(ingredients.length - 2);
    const read = await listLibrary(other.db);
    expect(read.unreadable).toEqual([]);
    expect(read.formulas).toHaveLength(formulas.length - 1);
    expect(await listShelf(other.db)).toEqual([]);
    expect(await runningBatches(other.db)).toEqual([]);
    expect((await readSettings(other.db)).temperature).toBe('F');
    expect(settings.length + formula_lines.length).toBeGreaterThan(10);
  });

  it('an ordinary backup has nothing that is left out', () => {
    expect(readableRows(backup)).toEqual({ backup, leftOut: [] });
  });
});

describe('daily backups', () => {
  it('are made once a day, outside the data folder, and can be read again', async () => {
    const folder = path.join(home, 'data');
    expect(await backUpToday(folder, kitchen, now)).toBe(true);
    expect(await backUpToday(folder, kitchen, new Date(now.getTime() + 3_600_000))).toBe(false);
    expect(backupsFolder(folder)).not.toContain(`${folder}/`);
    expect(listKept(folder)).toMatchObject([
      { day: '2026-11-26', reason: 'daily', contents: { formulas: backup.tables.formulas.length, batches: 0 } },
    ]);
    const bytes = readBackup(folder, 'dark-pour-2026-11-26.backup');
    expect(bytes && (await unpackBackup(bytes, [kitchen.schemaName]))).toEqual(backup);
    expect(readBackup(folder, '../../etc/passwd')).toBeUndefined();
  });

  it('never replace the one of the same day', async () => {
    const folder = path.join(home, 'fuller');
    expect(await keepDaily(folder, partsOf(backup), now)).toBe(true);
    const emptier = { ...backup, tables: { ...backup.tables, formulas: [], formula_lines: [], formula_versions: [] } };
    expect(await keepDaily(folder, partsOf(emptier), new Date(now.getTime() + 3_600_000))).toBe(false);
    const bytes = readBackup(folder, 'dark-pour-2026-11-26.backup');
    expect(bytes && (await unpackBackup(bytes, [kitchen.schemaName]))).toEqual(backup);
  });

  it('what was deleted long ago is forgotten once so many days have passed, not when a clock jumps ahead', async () => {
    const folder = path.join(home, 'jumping');
    const day = (n: number) => new Date(now.getTime() + n * 86_400_000);
    const { id } = await createFormula(other.db, lanternMillFormulas()[0] as FormulaFile, now);
    await deleteFormula(other.db, id, now);
    const look = async (n: number) => {
      await backUpToday(folder, other, day(n));
      await forgetLongDeleted(folder, other, day(n));
    };
    const isThere = async () => {
      const there = await restoreFormula(other.db, id);
      if (there) await deleteFormula(other.db, id, now);
      return there;
    };
    await look(0);
    await look(40);
    expect(await isThere(), 'a day forty days ahead').toBe(true);
    for (let n = 1; n < 31; n++) await look(n);
    expect(await isThere(), 'a month of days').toBe(true);
    await look(41);
    expect(await isThere(), 'more than a month').toBe(false);
  });

  it('stay fourteen days, and the first of each month for a year', () => {
    const days = Array.from({ length: 800 }, (_, i) => new Date(Date.UTC(2025, 0, 1 + i)).toISOString().slice(0, 10));
    let kept: string[] = [];
    for (const day of days) {
      kept.push(day);
      const gone = new Set(outdated(kept));
      kept = kept.filter((each) => !gone.has(each));
    }
    const newest = days.slice(-14);
    expect(kept.slice(-14)).toEqual(newest);
    const months = kept.filter((day) => day.endsWith('-01'));
    expect(months.length).toBe(12);
    expect(kept.length).toBeLessThanOrEqual(14 + 12);
  });
});
