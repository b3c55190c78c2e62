import { troubleOf } from '../src/server/db/trouble-of';
import { prepareData } from '../src/server/prepare-data';

// What a kitchen keeps is for its own user alone.
process.umask(0o077);

const [place, kind] = process.argv.slice(2);
if (!place) throw new Error('usage: prepare-data FOLDER-OR-URL [demo]');
try {
  await prepareData(place, { demo: kind === 'demo' });
} catch (error) {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  process.stderr.write(`${trouble.message}\n`);
  process.exitCode = 1;
}
