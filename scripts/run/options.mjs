import { parseArgs } from 'node:util';
import { stop } from './project.mjs';

const DEFAULT_PORT = 4280;

/**
 * Reads `--port`, `--host`, `--allow-host`, `--cert`, `--key` and the given switches from the command line.
 *
 * @param {string[]} switches names of options without a value
 */
export function serverOptions(switches = []) {
  let values;
  try {
    ({ values } = parseArgs({
      options: {
        port: { type: 'string', default: process.env.PORT ?? String(DEFAULT_PORT) },
        host: { type: 'string', default: '127.0.0.1' },
        cert: { type: 'string' },
        key: { type: 'string' },
        'allow-host': { type: 'string', multiple: true, default: [] },
        ...Object.fromEntries(switches.map((name) => [name, { type: 'boolean', default: false }])),
      },
    }));
  } catch (error) {
    stop(
      `${error.message}\nOptions: --port 4280  --host 127.0.0.1  --allow-host NAME  --cert FILE --key FILE${switches.map((name) => `  --${name}`).join('')}`,
    );
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    stop(`--port must be a number from 1 to 65535, not "${values.port}".`);
  if ((values.cert === undefined) !== (values.key === undefined)) stop('--cert and --key go together.');
  return { ...values, port, allowed: values['allow-host'] };
}
