/** `npm run dev`: serves the sources with hot reload on the cook's own data. */
import path from 'node:path';
import { buildHeavyThread } from './run/ensure-built.mjs';
import { ensureData } from './run/ensure-data.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { serverOptions } from './run/options.mjs';
import { inProject } from './run/project.mjs';
import { refuseTakenPort, serve } from './run/serve.mjs';

const options = serverOptions();
const folder = path.resolve(process.env.DARK_POUR_DATA || inProject('.data'));

await refuseTakenPort('npm run dev', options);
ensureInstalled();
ensureData(folder, 'own');
await buildHeavyThread();
await serve({ ...options, folder, mode: 'dev', welcome: `Dark Pour from its sources, data in ${folder}:` });
