import { DataFolderInUseError } from '../src/server/db/owner';
import { prepareData } from '../src/server/prepare-data';

const [folder, kind] = process.argv.slice(2);
if (!folder) throw new Error('usage: prepare-data FOLDER [demo]');
try {
  await prepareData(folder, { demo: kind === 'demo' });
} catch (error) {
  if (!(error instanceof DataFolderInUseError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
}
