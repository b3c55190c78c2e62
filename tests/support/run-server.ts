import { startServer } from '../../src/server/start';

// Runs what a server starts with, until it is told to end; says its number once it stands.
await startServer();
process.stdout.write(`${process.pid}\n`);
setInterval(() => undefined, 1_000);
