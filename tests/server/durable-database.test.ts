import { spawn } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  unlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { backupsFolder, keepDaily } from '@/server/backup/kept-backups';
import { takeBackup } from '@/server/backup/kitchen-rows';
import { lookForDamage, newestWhole } from '@/server/backup/look-for-damage';
import { readParts } from '@/server/backup/pack';
import { readableRows } from '@/server/backup/readable-rows';
import { restoreKitchen } from '@/server/backup/restore';
import { knownDamage } from '@/server/db/damage';
import { openDatabase } from '@/server/db/database';
import { DataTroubleError, diskTrouble } from '@/server/db/disk';
import { forTheLog, troubleOf } from '@/server/db/trouble-of';
import { listIngredients, stockEmptyLarder } from '@/server/repositories/larder';
import { changeSettings, readSettings } from '@/server/repositories/settings';
import { startingLarder } from '@/server/repositories/starting-larder';

const home = mkdtempSync(path.join(tmpdir(), 'dark-pour-durable-'));
const newFolder = (name: string) => path.join(home, name);
/** A folder with a kitchen of its own: a copy of one, since making a database takes seconds. */
function kitchenFolder(name: string): string {
  cpSync(newFolder('first'), newFolder(name), { recursive: true });
  return newFolder(name);
}
beforeAll(async () => {
  const { close } = await openDatabase(newFolder('first'));
  await close();
});
afterAll(() => rmSync(home, { recursive: true, force: true }));

describe('a kitchen on the disk', () => {
  it('is marked once it is whole, opens again, and is never made anew where its database is gone', async () => {
    const folder = kitchenFolder('marked');
    const first = await openDatabase(folder);
    await changeSettings(first.db, { temperature: 'F' });
    await first.close();
    expect(JSON.parse(readFileSync(path.join(folder, 'kitchen.json'), 'utf8'))).toHaveProperty('since');
    expect(existsSync(path.join(folder, 'making'))).toBe(false);

    const again = await openDatabase(folder);
    expect((await readSettings(again.db)).temperature).toBe('F');
    await again.close();

    rmSync(path.join(folder, 'db'), { recursive: true });
    await expect(openDatabase(folder)).rejects.toThrow(/its database is gone. Nothing was changed/);
    expect(existsSync(path.join(folder, 'db'))).toBe(false);
  });

  it('whose file has been cut short does not open with rows missing, and says which file', async () => {
    const folder = kitchenFolder('cut');
    const whole = await openDatabase(folder);
    await stockEmptyLarder(whole.db, startingLarder());
    const found = await whole.db.execute(sql`select pg_relation_filepath('ingredients') as place`);
    const [{ place }] = (found as unknown as { rows: [{ place: string }] }).rows;
    await whole.close();
    const file = path.join(folder, 'db', place);
    truncateSync(file, 8192);
    await expect(openDatabase(folder)).rejects.toThrow(`${file} has become shorter than it was`);
    await expect(openDatabase(folder), 'and lets the folder go').rejects.toThrow('part of what is kept is missing');
    rmSync(path.join(folder, 'sizes.json'));
    const rest = await openDatabase(folder);
    expect((await listIngredients(rest.db)).length).toBeLessThan(startingLarder().length);
    await rest.close();
  });

  it('that was not closed cleanly is looked through: what a broken disk lost is told, and a whole backup mends it', async () => {
    const folder = kitchenFolder('torn');
    const whole = await openDatabase(folder);
    await stockEmptyLarder(whole.db, startingLarder());
    expect(await lookForDamage(whole.db)).toBeUndefined();
    const backup = await takeBackup(whole.db, whole.schemaName, new Date());
    await keepDaily(folder, backup, new Date());
    const found = await whole.db.execute(sql`select pg_relation_filepath('ingredients') as place`);
    const [{ place }] = (found as unknown as { rows: [{ place: string }] }).rows;
    await whole.close();
    // As after a kill: no sizes were written down.
    rmSync(path.join(folder, 'sizes.json'));
    truncateSync(path.join(folder, 'db', place), 8192);
    const torn = await openDatabase(folder);
    expect(torn.wasClosed).toBe(false);
    expect(await lookForDamage(torn.db)).toContain(`damaged (ingredients, file ${place})`);
    expect(knownDamage()).toBeDefined();
    const newest = await newestWhole(folder, [torn.schemaName]);
    expect(newest).toMatch(/^dark-pour-.*\.backup$/);
    writeFileSync(path.join(backupsFolder(folder), 'dark-pour-2099-01-01.backup'), 'torn');
    expect(await newestWhole(folder, [torn.schemaName])).toBe(newest);
    await restoreKitchen(folder, torn, readableRows(readParts(backup)), new Date());
    expect(await lookForDamage(torn.db)).toBeUndefined();
    expect(knownDamage()).toBeUndefined();
    expect(await listIngredients(torn.db)).toHaveLength(startingLarder().length);
    await torn.close();
  });

  it.each(['SIGTERM', 'SIGINT', 'SIGHUP'] as const)('is closed cleanly on %s within five seconds', async (signal) => {
    const folder = kitchenFolder(`ended-${signal}`);
    rmSync(path.join(folder, 'sizes.json'), { force: true });
    const child = spawn(process.execPath, ['--import', 'tsx', 'tests/support/run-server.ts'], {
      stdio: ['ignore', 'pipe', 'inherit'],
      env: { ...process.env, DARK_POUR_DATA: folder },
    });
    const pid = await new Promise<number>((resolve) => child.stdout.once('data', (text) => resolve(Number(text))));
    const ended = new Promise((resolve) => child.once('exit', resolve));
    const began = performance.now();
    process.kill(pid, signal);
    await ended;
    expect(performance.now() - began).toBeLessThan(5_000);
    expect(existsSync(path.join(folder, 'sizes.json'))).toBe(true);
    expect(existsSync(path.join(folder, 'owner.json'))).toBe(false);
    const again = await openDatabase(folder);
    expect(again.wasClosed).toBe(true);
    await again.close();
  });

  it('that was being made when the power went is put aside and made anew', async () => {
    const folder = newFolder('unfinished');
    mkdirSync(path.join(folder, 'db'), { recursive: true });
    writeFileSync(path.join(folder, 'making'), '');
    writeFileSync(path.join(folder, 'db', 'PG_VERSION'), '');
    const { db, close } = await openDatabase(folder);
    expect((await readSettings(db)).weight).toBe('g');
    await close();
    expect(readdirSync(folder).filter((name) => name.startsWith('db-unfinished-'))).toHaveLength(1);
  });

  it('whose log has been deleted acknowledges nothing more, says so, and lets the folder go', async () => {
    const folder = kitchenFolder('deleted-log');
    const onEnd = vi.fn();
    const { db } = await openDatabase(folder, onEnd);
    await changeSettings(db, { temperature: 'F' });
    for (const name of readdirSync(path.join(folder, 'db', 'pg_wal'), { withFileTypes: true })) {
      if (name.isFile()) unlinkSync(path.join(folder, 'db', 'pg_wal', name.name));
    }
    for (let i = 0; i < 2; i++) {
      const error = await changeSettings(db, { temperature: 'C' }).then(
        () => undefined,
        (refused: unknown) => refused,
      );
      expect(troubleOf(error)?.message).toContain('the disk did not take a save');
    }
    expect(onEnd).toHaveBeenCalledOnce();
    expect(existsSync(path.join(folder, 'owner.json'))).toBe(false);
  });

  it('whose folder has been deleted refuses a save before it is tried', async () => {
    const folder = kitchenFolder('deleted');
    const { db, close } = await openDatabase(folder);
    expect(diskTrouble(folder)).toBeUndefined();
    rmSync(folder, { recursive: true });
    expect(diskTrouble(folder)).toContain('is gone: nothing can be saved');
    const error: unknown = await changeSettings(db, { weight: 'oz' }).catch((refused: unknown) => refused);
    expect(troubleOf(error)).toBeInstanceOf(DataTroubleError);
    await close().catch(() => undefined);
  });

  it('lets a save wait for a few of many statements, and nothing between the parts of one', async () => {
    const { db, close } = await openDatabase(kitchenFolder('turns'));
    const order: string[] = [];
    const reading = Array.from({ length: 20 }, (_, i) => db.execute('select 1').then(() => order.push(`read ${i}`)));
    const writing = db
      .transaction(async (tx) => {
        await tx.execute('select 1');
        order.push('write begins');
        await tx.execute('select 1');
        order.push('write ends');
      })
      .then(() => order.push('written'));
    await Promise.all([...reading, writing]);
    expect(order.indexOf('write begins')).toBeLessThan(10);
    expect(order.indexOf('write ends')).toBe(order.indexOf('write begins') + 1);
    await close();
  });

  it('lets a statement wait for one of many saves at most', async () => {
    const { db, close } = await openDatabase(kitchenFolder('turns-of-saves'));
    const order: string[] = [];
    const save = (i: number) =>
      db.transaction(async (tx) => void (await tx.execute('select 1'))).then(() => order.push(`save ${i}`));
    const saving = Array.from({ length: 20 }, (_, i) => save(i));
    const reading = db.execute('select 1').then(() => order.push('read'));
    await Promise.all([...saving, reading]);
    expect(order.indexOf('read')).toBeLessThan(3);
    await close();
  });

  it('undoes a transaction that fails, and goes on', async () => {
    const { db, close } = await openDatabase(kitchenFolder('undone'));
    await expect(
      db.transaction(async (tx) => {
        await changeSettings(tx as unknown as typeof db, { length: 'in' });
        throw new Error('changed my mind');
      }),
    ).rejects.toThrow('changed my mind');
    expect((await readSettings(db)).length).toBe('cm');
    await close();
  });
});

describe('an error for the log', () => {
  it('is its cause, without the statement and what was to be kept', async () => {
    const { db, close } = await openDatabase(kitchenFolder('log'));
    const secret = 'a secret recipe';
    const error: unknown = await db.execute(`select '${secret}' from nowhere`).catch((refused: unknown) => refused);
    expect(String(error)).toContain(secret);
    expect(forTheLog(error)).toContain('nowhere');
    expect(forTheLog(error)).not.toContain(secret);
    await close();
  });
});

describe('what is wrong with the disk', () => {
  it('is told in words by the name of its error: each bundle of the server has a class of its own', () => {
    const ofAnotherBundle = Object.assign(new Error('The disk is full.'), { name: 'DataTroubleError' });
    expect(ofAnotherBundle).not.toBeInstanceOf(DataTroubleError);
    expect(troubleOf(new Error('wrapped', { cause: ofAnotherBundle }))?.message).toBe('The disk is full.');
    expect(troubleOf(Object.assign(new Error('write'), { code: 'ENOSPC' }))?.message).toContain('The disk is full');
    expect(troubleOf(Object.assign(new Error('anything'), { code: 'E2BIG' }))).toBeUndefined();
  });
});
