/** `npm run demo`: installs, builds, seeds the demo world in a folder of its own, and serves it. */
import { existsSync, rmSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureData } from './run/ensure-data.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { serverOptions } from './run/options.mjs';
import { isOwned } from './run/owned.mjs';
import { inProject, stop } from './run/project.mjs';
import { refuseTakenPort, serve } from './run/serve.mjs';

const options = serverOptions(['fresh']);
const folder = path.resolve(process.env.DARK_POUR_DEMO_DATA || inProject('.demo-data'));

await refuseTakenPort('npm run demo', options);
ensureInstalled();
if (options.fresh && existsSync(folder)) {
  if (!existsSync(path.join(folder, 'demo'))) stop(`${folder} was not made by the demo; it is left alone.`);
  if (isOwned(folder)) stop(`The demo in ${folder} is running; stop it before making it anew.`);
  rmSync(folder, { recursive: true });
}
ensureData(folder, 'demo');
await ensureBuilt();
await serve({ ...options, folder, welcome: 'Dark Pour, with the demo formulas of Lantern Mill:' });
