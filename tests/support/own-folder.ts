import { ownDataFolder } from '../../src/server/db/owner';

/** Owns the folder given and says so; for tests that end it. */
await ownDataFolder(process.argv[2] as string);
process.stdout.write('owned\n');
setInterval(() => undefined, 1000);
