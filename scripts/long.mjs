/**
 * `npm run test:long`: what takes too long for every change. Thirty power cuts, a hundred kills, twenty while a kitchen is brought up to date, and ten thousand hostile requests from a seed that was never tried.
 */
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureChromium } from './run/ensure-chromium.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject, program, runNode, stop } from './run/project.mjs';

ensureInstalled();
await ensureBuilt();
const chromium = ensureChromium();
if (!chromium) stop('The browser tests need Chromium: install it (apt-get install chromium) or name it in CHROMIUM.');
const seed = Math.floor(Math.random() * 2 ** 31);
process.stdout.write(`Hostile requests from seed ${seed}\n`);
const results = [
  runNode([inProject('scripts', 'crash.mjs'), '--cuts', '30', '--kills', '100', '--migrations', '20']),
  runNode([program.playwright, 'test', 'hostile'], {
    env: { ...process.env, CHROMIUM: chromium, HOSTILE_REQUESTS: '10000', HOSTILE_SEED: String(seed) },
  }),
];
process.exitCode = results.every((status) => status === 0) ? 0 : 1;
