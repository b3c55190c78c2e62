import { expose } from 'comlink';
import { afterEach, describe, expect, it } from 'vitest';
import { StoppedError, threadOf } from '@/workers/thread';

interface Door {
  double(value: number): number;
  fail(): never;
}

const ports: MessagePort[] = [];
afterEach(() => {
  for (const port of ports.splice(0)) port.close();
});

/** A worker's near end, with a door behind it that answers, or none that ever does. */
function workerLike({ answers }: { answers: boolean }): Worker {
  const { port1, port2 } = new MessageChannel();
  ports.push(port1, port2);
  const door: Door = {
    double: (value) => 2 * value,
    fail: () => {
      throw new RangeError('no such row');
    },
  };
  if (answers) expose(door, port2);
  return Object.assign(port1, { terminate: () => port1.close() }) as unknown as Worker;
}

describe('a thread', () => {
  it('starts with the first question, answers, and hands on what its work throws', async () => {
    let started = 0;
    const thread = threadOf<Door>(() => {
      started++;
      return workerLike({ answers: true });
    });
    expect(started).toBe(0);
    await expect(thread.ask((door) => door.double(21))).resolves.toBe(42);
    await expect(thread.ask((door) => door.fail())).rejects.toThrow('no such row');
    await expect(thread.ask((door) => door.double(1))).resolves.toBe(2);
    expect(started).toBe(1);
    thread.close();
    await expect(thread.ask((door) => door.double(3))).resolves.toBe(6);
    expect(started).toBe(2);
  });

  it('fails a question whose worker could not be loaded, and starts another for the next', async () => {
    const workers: Worker[] = [];
    const opened: number[] = [];
    const thread = threadOf<Door>(
      () => {
        const worker = workerLike({ answers: workers.length > 0 });
        workers.push(worker);
        return worker;
      },
      () => opened.push(workers.length),
    );
    const lost = thread.ask((door) => door.double(1));
    workers[0]?.dispatchEvent(new Event('error', { cancelable: true }));
    await expect(lost).rejects.toThrow('the server cannot be reached');
    await expect(thread.ask((door) => door.double(4))).resolves.toBe(8);
    expect(opened).toEqual([1, 2]);
  });

  it('leaves off with a word what it works on when it is closed', async () => {
    const thread = threadOf<Door>(() => workerLike({ answers: false }));
    const asked = [thread.ask((door) => door.double(1)), thread.ask((door) => door.double(2))];
    thread.close();
    for (const each of asked) await expect(each).rejects.toBeInstanceOf(StoppedError);
  });

  it('is ready before it is asked, and only once', async () => {
    let started = 0;
    const thread = threadOf<Door>(() => {
      started++;
      return workerLike({ answers: true });
    });
    thread.ready();
    thread.ready();
    await thread.ask((door) => door.double(1));
    expect(started).toBe(1);
  });
});
