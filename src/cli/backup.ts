import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { stdin, stdout } from 'node:process';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import type { LeftOut, TableChange } from '@/formats/backup-file';
import { COMMAND_TOKEN_FILE } from '@/server/auth/tokens.mjs';
import { backupsFolder } from '@/server/backup/kept-backups';
import { compareBackup, takeBackup } from '@/server/backup/kitchen-rows';
import { BackupError, packParts, unpackBackup, unpackReadable } from '@/server/backup/pack';
import { type Restored, restoreKitchen } from '@/server/backup/restore';
import { dataFolder } from '@/server/db/data-folder';
import { knownSchemas, openKitchen } from '@/server/db/database';
import { DataFolderInUseError } from '@/server/db/owner';
import { isOnServer, kitchenPlace, shownPlace } from '@/server/db/place';
import { troubleOf } from '@/server/db/trouble-of';
import { TOKEN_COOKIE } from '@/server/guard.mjs';

process.umask(0o077);

const USAGE = `npm run backup  [-- FILE]          everything of the kitchen into one file
npm run restore -- FILE [--yes]    puts it in the place of all there is, after a look
--data FOLDER, or a postgres:// address, names another kitchen than DATABASE_URL, DARK_POUR_DATA or .data.
`;

/** What a restore would do. */
interface Look {
  readonly changes: readonly TableChange[];
  readonly leftOut: readonly LeftOut[];
}

/** A kitchen, open here or in a server that runs. */
interface Kitchen {
  take(): Promise<Uint8Array>;
  compare(file: Buffer): Promise<Look>;
  restore(file: Buffer): Promise<Restored>;
  close(): Promise<void>;
}

async function openHere(place: string): Promise<Kitchen> {
  const open = await openKitchen(place);
  const { db, schemaName, close } = open;
  const folder = isOnServer(place) ? dataFolder() : place;
  const read = (file: Buffer) => unpackReadable(file, knownSchemas());
  return {
    take: async () =>
      (await packParts({ ...(await takeBackup(db, schemaName, new Date())), photosFrom: folder })).bytes,
    compare: async (file) => {
      const { backup, leftOut } = await read(file);
      return { changes: await compareBackup(db, backup), leftOut };
    },
    restore: async (file) => restoreKitchen(folder, open, await read(file), new Date()),
    close,
  };
}

/** A kitchen whose server runs is asked as one of its own pages would. */
function askServer(folder: string): Kitchen {
  const text = (name: string) => readFileSync(path.join(folder, name), 'utf8');
  const { address } = JSON.parse(text('server.json')) as { address: string };
  const headers = {
    origin: address,
    cookie: `${TOKEN_COOKIE}=${text('token').trim()}`,
    authorization: `Bearer ${text(COMMAND_TOKEN_FILE).trim()}`,
    'content-type': 'application/json',
  };
  const ask = async (init?: RequestInit) => {
    const answer = await fetch(`${address}/api/backup`, { ...init, headers });
    if (!answer.ok) throw new BackupError(((await answer.json()) as { message: string }).message);
    return answer;
  };
  const send = (file: Buffer, preview: boolean) =>
    ask({ method: 'POST', body: JSON.stringify({ from: { file: file.toString('base64') }, preview }) });
  return {
    take: async () => Buffer.from(await (await ask()).arrayBuffer()),
    compare: async (file) => (await (await send(file, true)).json()) as Look,
    restore: async (file) => (await (await send(file, false)).json()) as Restored,
    close: async () => undefined,
  };
}

async function open(place: string): Promise<Kitchen> {
  try {
    return await openHere(place);
  } catch (error) {
    if ((error as Error).name === DataFolderInUseError.name) return askServer(place);
    throw error;
  }
}

function tellLeftOut(leftOut: readonly LeftOut[]): void {
  for (const { table, name, reason } of leftOut) stdout.write(`not readable, left out: ${table} ${name} (${reason})\n`);
}

async function isWanted({ changes, leftOut }: Look): Promise<boolean> {
  tellLeftOut(leftOut);
  for (const { table, added, changed, removed } of changes) {
    if (added + changed + removed > 0) stdout.write(`${table}: ${added} new, ${changed} changed, ${removed} gone\n`);
  }
  if (!stdin.isTTY) {
    stdout.write('Nothing was changed: add --yes to put it back.\n');
    return false;
  }
  const asking = createInterface({ input: stdin, output: stdout });
  const answer = await asking.question('Put it back? All of it or nothing. [y/N] ');
  asking.close();
  return /^y(es)?$/i.test(answer.trim());
}

const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: { data: { type: 'string' }, yes: { type: 'boolean', default: false } },
});
const [command, file] = positionals;
const named = values.data && !isOnServer(values.data) ? path.resolve(values.data) : values.data;
const place = named ?? kitchenPlace();
try {
  if (command === 'backup') {
    const target = path.resolve(file ?? `dark-pour-${new Date().toISOString().slice(0, 10)}.backup`);
    const kitchen = await open(place);
    writeFileSync(target, await kitchen.take(), { mode: 0o600 });
    await kitchen.close();
    stdout.write(`${target}\n`);
  } else if (command === 'restore' && file) {
    const bytes = readFileSync(file);
    await unpackBackup(bytes, knownSchemas());
    const kitchen = await open(place);
    if (values.yes || (await isWanted(await kitchen.compare(bytes)))) {
      const { before, leftOut } = await kitchen.restore(bytes);
      if (values.yes) tellLeftOut(leftOut);
      const kept = before && path.join(backupsFolder(isOnServer(place) ? dataFolder() : place), before);
      const was = kept ? `What was there before: ${kept}` : 'What was there before was damaged and is not kept.';
      stdout.write(`${shownPlace(place)} is what the backup was. ${was}\n`);
    }
    await kitchen.close();
  } else {
    process.stderr.write(USAGE);
    process.exitCode = 2;
  }
} catch (error) {
  process.stderr.write(`${(troubleOf(error) ?? (error as Error)).message}\n`);
  process.exitCode = 1;
}
