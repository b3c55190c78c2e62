/** `npm run build`: builds the app when its sources changed. */
import { ensureBuilt } from './run/ensure-built.mjs';
import { ensureInstalled } from './run/ensure-installed.mjs';

ensureInstalled();
await ensureBuilt();
