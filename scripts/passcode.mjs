/** `npm run passcode`: sets what other machines are asked for when the kitchen is open to its network. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { stdin, stdout } from 'node:process';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { setPasscode } from '../src/server/auth/passcode.mjs';
import { inProject, stop } from './run/project.mjs';

const { values } = parseArgs({ options: { data: { type: 'string' } } });
const folder = path.resolve(values.data ?? process.env.DARK_POUR_DATA ?? inProject('.data'));
const asking = createInterface({ input: stdin, output: stdout });
const passcode = (await asking.question('Passcode of this kitchen: ')).trim();
asking.close();
mkdirSync(folder, { recursive: true, mode: 0o700 });
const refused = await setPasscode(folder, passcode);
if (refused) stop(refused);
stdout.write('Set. Every tablet logs in again; a running server takes it at once.\n');
