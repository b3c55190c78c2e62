/** `npm start`: installs, builds and serves the cook's own data. */
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureData } from './run/ensure-data.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { serverOptions } from './run/options.mjs';
import { inProject } from './run/project.mjs';
import { refuseTakenPort, serve } from './run/serve.mjs';

const options = serverOptions();
const folder = path.resolve(process.env.DARK_POUR_DATA || inProject('.data'));

await refuseTakenPort('npm start', options);
ensureInstalled();
ensureData(folder, 'own');
await ensureBuilt();
await serve({
  ...options,
  folder,
  welcome: `Dark Pour, with your own formulas ${process.env.DATABASE_URL?.trim() ? 'on the PostgreSQL server' : `in ${folder}`}:`,
});
