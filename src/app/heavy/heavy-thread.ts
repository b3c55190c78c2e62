import { parentPort } from 'node:worker_threads';
import type { HeavyAnswer } from '@/server/heavy/off-thread';
import { isTask, TASKS } from './tasks';

/** The thread in which heavy work is done. In: `{ id, task, input }`. Out: `{ id, progress }`, then `{ id, result }` or `{ id, error }`. */
const port = parentPort;
if (!port) throw new Error('This runs in a thread.');
const tell = (answer: HeavyAnswer) => port.postMessage(answer);

port.on('message', async ({ id, task, input }: { id: number; task: string; input: never }) => {
  try {
    if (!isTask(task)) throw new Error(`There is no heavy work “${task}”.`);
    const result = await TASKS[task](input, (progress) => tell({ id, progress }));
    tell({ id, result });
  } catch (error) {
    const { name, message, stack } = error as Error;
    tell({ id, error: { name, message, stack } });
  }
});
