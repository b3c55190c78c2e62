import { createRequire } from 'node:module';
import { startServer } from '../../src/server/start';

// Runs what a server starts with, until it is told to end; says its number once it stands.
await startServer();
// The bundled server has several copies of what watches signals, and some of them are loaded later than our own listener.
const load = createRequire(import.meta.url);
delete load.cache[load.resolve('signal-exit')];
load('signal-exit')(() => undefined);
process.stdout.write(`${process.pid}\n`);
setInterval(() => undefined, 1_000);
