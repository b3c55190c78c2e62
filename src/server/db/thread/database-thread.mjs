// @ts-check
/**
 * The embedded database in a thread of its own: when a disk makes it stand still, the server goes on and can end it. Plain JavaScript, since it
 * runs as it stands beside the bundled server.
 *
 * In: `{ id, sql, params, rowMode }`, or `{ id, close: true }`. Out: `{ ready: true }`, `{ id, result }`, `{ id, error }`.
 */
import { parentPort, workerData } from 'node:worker_threads';
import { PGlite, types } from '@electric-sql/pglite';
import { DURABLE_START, DurableFiles } from './durable-files.mjs';
import { upkeep } from './upkeep.mjs';

if (!parentPort) throw new Error('This runs in a thread.');
const port = parentPort;

/** Dates go out as the database writes them: who asks reads them. @param {string} value */
const asWritten = (value) => value;
const parsers = Object.fromEntries(
  [types.TIMESTAMP, types.TIMESTAMPTZ, types.INTERVAL, types.DATE].map((type) => [type, asWritten]),
);

/** @param {unknown} error */
const told = (error) => {
  const { message, code, severity } = /** @type {{ message?: string, code?: string, severity?: string }} */ (error);
  return { message: message ?? String(error), code, severity };
};

const { folder } = /** @type {{ folder: string }} */ (workerData);
const database = await PGlite.create({ fs: new DurableFiles(folder), startParams: DURABLE_START });
const keepUp = upkeep(folder, (sql) => database.exec(sql));
let isInTransaction = false;
/** @type {Promise<unknown>} */
let turn = Promise.resolve();

/** @param {{ sql: string, params?: unknown[], rowMode?: 'array' | 'object' }} asked */
async function answer({ sql, params, rowMode }) {
  const { rows, fields, affectedRows } = await database.query(sql, params, { rowMode: rowMode ?? 'object', parsers });
  return { rows, fields, affectedRows };
}

port.on('message', ({ id, close, ...asked }) => {
  turn = turn.then(async () => {
    try {
      if (close) {
        await database.close();
        port.postMessage({ id, result: { rows: [], fields: [] } });
        port.close();
        return;
      }
      const result = await answer(asked);
      port.postMessage({ id, result });
      if (/^\s*begin/i.test(asked.sql)) isInTransaction = true;
      if (/^\s*(commit|rollback)/i.test(asked.sql)) isInTransaction = false;
      if (!isInTransaction && !/^\s*select/i.test(asked.sql)) await keepUp();
    } catch (error) {
      port.postMessage({ id, error: told(error) });
    }
  });
});
port.postMessage({ ready: true });
