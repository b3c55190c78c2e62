// @ts-check

/**
 * Reads a body that has to be small and has to come soon.
 *
 * @param {import('node:http').IncomingMessage} request
 * @param {{ maxBytes: number, maxMs: number }} limits
 * @returns {Promise<string | undefined>} nothing where it is longer or later
 */
export function smallBody(request, { maxBytes, maxMs }) {
  return new Promise((resolve) => {
    /** @type {Buffer[]} */
    const parts = [];
    let bytes = 0;
    const end = (/** @type {string | undefined} */ text) => {
      clearTimeout(timer);
      request.off('data', take);
      resolve(text);
    };
    const timer = setTimeout(() => end(undefined), maxMs);
    const take = (/** @type {Buffer} */ part) => {
      bytes += part.length;
      if (bytes > maxBytes) end(undefined);
      else parts.push(part);
    };
    request.on('data', take);
    request.once('end', () => end(Buffer.concat(parts).toString('utf8')));
    request.once('error', () => end(undefined));
    request.once('close', () => end(undefined));
  });
}
