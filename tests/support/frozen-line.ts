import { type AddressInfo, connect, createServer, type Socket } from 'node:net';

/** A line to a database server that can be frozen: it takes what is sent and answers nothing, as a server that stands still. */
export async function frozenLine(url: string) {
  const target = new URL(url);
  const [port, host] = [Number(target.port), target.hostname];
  const sockets = new Set<Socket>();
  let isFrozen = false;
  const server = createServer((near) => {
    const far = connect(port, host);
    for (const [from, to] of [
      [near, far],
      [far, near],
    ] as const) {
      sockets.add(from);
      from.on('data', (part) => isFrozen || to.write(part));
      from.on('close', () => to.destroy());
      from.on('error', () => to.destroy());
    }
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  target.port = String((server.address() as AddressInfo).port);
  target.hostname = '127.0.0.1';
  return {
    url: target.href,
    freeze: () => {
      isFrozen = true;
    },
    thaw: () => {
      isFrozen = false;
    },
    close: () => {
      for (const socket of sockets) socket.destroy();
      server.close();
    },
  };
}
