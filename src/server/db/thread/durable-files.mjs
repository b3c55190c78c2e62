// @ts-check
import { closeSync, fdatasyncSync, fstatSync, fsyncSync, openSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** What the database understands as: the disk did not take it. */
const EIO = 29;

/** @param {string} folder */
function flushFolder(folder) {
  const fd = openSync(folder, 'r');
  try {
    fsyncSync(fd);
  } finally {
    closeSync(fd);
  }
}

/**
 * Files that reach the disk when the database asks for it. Its own file layer answers such a request without doing anything: what is written
 * then waits in the system's memory for up to half a minute, and a power cut takes it along.
 *
 * A flush that fails, or goes into a file that has been deleted, is told to the database: it ends rather than go on with what it does not have.
 */
export class DurableFiles extends NodeFS {
  /**
   * @override
   * @param {Parameters<NodeFS['init']>} args
   */
  async init(...args) {
    const { emscriptenOpts } = await super.init(...args);
    /** @param {any} running the database with its file layer */
    const flushing = ({ NODEFS, FS }) => {
      /** @param {{ nfd?: number, node: object }} stream an open file; a folder has no descriptor of its own */
      NODEFS.stream_ops.fsync = ({ nfd, node }) => {
        try {
          if (nfd === undefined) flushFolder(NODEFS.realPath(node));
          else fdatasyncSync(nfd);
        } catch {
          throw new FS.ErrnoError(EIO);
        }
        if (nfd !== undefined && fstatSync(nfd).nlink === 0) throw new FS.ErrnoError(EIO);
        return 0;
      };
    };
    return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), flushing] } };
  }
}

/**
 * What the database is started with: as the embedded one usually is, but with flushing left on, by the one call that its build passes on to the
 * file layer; and with a short write-ahead log.
 */
export const DURABLE_START = [
  ...PGlite.defaultStartParams.filter((parameter) => parameter !== '-F'),
  ...['wal_sync_method=fsync', 'min_wal_size=32MB', 'max_wal_size=64MB'].flatMap((setting) => ['-c', setting]),
];
