import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, statfsSync } from 'node:fs';
import path from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openDatabase } from '@/server/db/database';
import { DataTroubleError } from '@/server/db/disk';
import { troubleOf } from '@/server/db/trouble-of';
import { changeSettings, readSettings } from '@/server/repositories/settings';
import { makeDisk } from '../crash/power.mjs';

const { disk, why } = makeDisk();
if (!disk) process.stderr.write(`Full and broken disks are not tried here: ${why}.\n`);
const home = disk ? path.dirname(disk.folder) : '';
const sh = (command: string) => expect(spawnSync('sh', ['-c', command]).status, command).toBe(0);

afterAll(() => disk?.throwAway());

/** All but so many bytes of the disk are taken. */
function fill(but: number): void {
  const { bavail, bsize } = statfsSync(home);
  sh(`fallocate -l ${bavail * bsize - but} ${path.join(home, 'filler')}`);
}

describe.skipIf(!disk)('a disk', () => {
  it('that is full refuses a save with a word, keeps what was saved, and takes the next one once there is room', async () => {
    const folder = path.join(home, 'full');
    mkdirSync(folder);
    const { db, close } = await openDatabase(folder);
    await changeSettings(db, { temperature: 'F' });
    fill(20 * 2 ** 20);
    const refused = await changeSettings(db, { temperature: 'C' }).catch((error: unknown) => error);
    expect(troubleOf(refused)?.message).toMatch(/The disk is full: nothing can be saved until there is room again/);
    expect((await readSettings(db)).temperature).toBe('F');
    rmSync(path.join(home, 'filler'));
    await changeSettings(db, { temperature: 'C' });
    expect((await readSettings(db)).temperature).toBe('C');
    await close();
  });

  it('that can only be read refuses a save with a word, lets the server end, and has what was saved', async () => {
    const folder = path.join(home, 'read');
    mkdirSync(folder);
    const { db, close } = await openDatabase(folder);
    await changeSettings(db, { temperature: 'F' });
    sh(`mount -o remount,ro,abort ${home} || mount -o remount,abort ${home}`);
    const refused = await changeSettings(db, { temperature: 'C' }).catch((error: unknown) => error);
    expect(troubleOf(refused)).toBeInstanceOf(DataTroubleError);
    expect(troubleOf(refused)?.message).toMatch(/nothing can be saved|does not take|did not take/);
    await Promise.race([close().catch(() => undefined), new Promise((resolve) => setTimeout(resolve, 10_000))]);
    disk?.back();
    const again = await openDatabase(folder);
    expect((await readSettings(again.db)).temperature).toBe('F');
    await changeSettings(again.db, { temperature: 'C' });
    await again.close();
  }, 120_000);
});
