import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, unlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { DataFolderInUseError, ownDataFolder } from '@/server/db/owner';

const newFolder = () => mkdtempSync(path.join(tmpdir(), 'dark-pour-data-'));
const children: ChildProcess[] = [];

/** A process that owns a folder until it is ended. */
function startOwner(folder: string): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['node_modules/tsx/dist/cli.mjs', 'tests/support/own-folder.ts', folder], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  return new Promise((resolve) => child.stdout?.once('data', () => resolve(child)));
}

afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL');
});

describe('one owner for a data folder', () => {
  it('gives it to one, refuses the next, and harms nothing', async () => {
    const folder = newFolder();
    const giveBack = await ownDataFolder(folder);
    const before = readFileSync(path.join(folder, 'owner.json'), 'utf8');
    await expect(ownDataFolder(folder)).rejects.toThrow(DataFolderInUseError);
    await expect(ownDataFolder(folder)).rejects.toThrow(/process \d+ on .*Nothing was changed/);
    expect(readFileSync(path.join(folder, 'owner.json'), 'utf8')).toBe(before);
    giveBack();
    expect(existsSync(path.join(folder, 'owner.json'))).toBe(false);
    (await ownDataFolder(folder))();
  });

  it('lets only one of many starters in', async () => {
    const folder = newFolder();
    const tries = await Promise.allSettled(Array.from({ length: 6 }, () => ownDataFolder(folder)));
    const winners = tries.filter((tried) => tried.status === 'fulfilled');
    expect(winners).toHaveLength(1);
    for (const winner of winners) winner.value();
  });

  it('refuses while another process lives, and goes on at once after that one is killed', async () => {
    const folder = newFolder();
    const owner = await startOwner(folder);
    await expect(ownDataFolder(folder)).rejects.toThrow(DataFolderInUseError);
    const ended = new Promise((resolve) => owner.once('exit', resolve));
    const pid = JSON.parse(readFileSync(path.join(folder, 'owner.json'), 'utf8')).pid as number;
    process.kill(pid, 'SIGKILL');
    await ended;
    const giveBack = await ownDataFolder(folder);
    expect(JSON.parse(readFileSync(path.join(folder, 'owner.json'), 'utf8')).pid).toBe(process.pid);
    giveBack();
  });

  it('refuses while another process lives, though its note was deleted or torn', async () => {
    const folder = newFolder();
    await startOwner(folder);
    const pid = JSON.parse(readFileSync(path.join(folder, 'owner.json'), 'utf8')).pid as number;
    for (const harm of [
      () => unlinkSync(path.join(folder, 'owner.json')),
      () => writeFileSync(path.join(folder, 'owner.json'), '{"pid":'),
    ]) {
      harm();
      await expect(ownDataFolder(folder)).rejects.toThrow(/already open in another Dark Pour/);
    }
    process.kill(pid, 'SIGKILL');
  });

  it('is not fooled by a note whose process number was given to another process, nor by a torn note', async () => {
    const folder = newFolder();
    writeFileSync(
      path.join(folder, 'owner.json'),
      JSON.stringify({
        pid: process.pid,
        processStarted: 'another time',
        host: (await import('node:os')).hostname(),
        since: 'then',
      }),
    );
    (await ownDataFolder(folder))();
    writeFileSync(path.join(folder, 'owner.json'), '{"pid": 12');
    (await ownDataFolder(folder))();
  });
});
