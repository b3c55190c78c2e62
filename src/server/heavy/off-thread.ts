import { existsSync } from 'node:fs';
import path from 'node:path';
import { Worker } from 'node:worker_threads';

/** How long a thread without work stays, ms. */
const IDLE_MS = 60_000;

/** What a thread tells. */
export interface HeavyAnswer {
  readonly id: number;
  readonly progress?: number;
  readonly result?: unknown;
  readonly error?: { readonly name: string; readonly message: string; readonly stack?: string | undefined };
}

interface Job {
  readonly id: number;
  readonly task: string;
  readonly input: unknown;
  readonly done: (result: unknown) => void;
  readonly failed: (error: Error) => void;
  readonly onProgress: (share: number) => void;
}

interface Held {
  thread: Worker | undefined;
  idle: NodeJS.Timeout | undefined;
  running: Job | undefined;
  readonly waiting: Job[];
  last: number;
}
const shared = globalThis as { darkPourHeavy?: Held };

/** One thread of the process, whichever bundle asks. */
function heldThread(): Held {
  shared.darkPourHeavy ??= { thread: undefined, idle: undefined, running: undefined, waiting: [], last: 0 };
  return shared.darkPourHeavy;
}

/** Where the build puts the thread; tests and commands have none and do the work themselves. */
const threadFile = () => path.join(/* turbopackIgnore: true */ process.cwd(), '.next', 'heavy-thread.mjs');

function endThread(held: Held): void {
  void held.thread?.terminate();
  held.thread = undefined;
}

function finish(held: Held): Job | undefined {
  const job = held.running;
  held.running = undefined;
  goOn(held);
  return job;
}

function hear(held: Held, { id, progress, result, error }: HeavyAnswer): void {
  if (held.running?.id !== id) return;
  if (progress !== undefined) {
    held.running.onProgress(progress);
    return;
  }
  const job = finish(held);
  if (error) job?.failed(Object.assign(new Error(error.message), { name: error.name, stack: error.stack }));
  else job?.done(result);
}

function openThread(held: Held): Worker {
  const thread = new Worker(threadFile());
  thread.unref();
  thread.on('message', (answer: HeavyAnswer) => hear(held, answer));
  const broken = (error: Error) => {
    if (held.thread !== thread) return;
    held.thread = undefined;
    finish(held)?.failed(error);
  };
  thread.on('error', broken);
  thread.on('exit', () => broken(new Error('The thread for heavy work ended.')));
  return thread;
}

function goOn(held: Held): void {
  clearTimeout(held.idle);
  if (held.running) return;
  held.running = held.waiting.shift();
  if (held.running) {
    held.thread ??= openThread(held);
    const { id, task, input } = held.running;
    held.thread.postMessage({ id, task, input });
  } else {
    held.idle = setTimeout(() => endThread(held), IDLE_MS);
    held.idle.unref();
  }
}

/** How heavy work is watched and stopped. */
export interface Watching {
  /** stops it: the thread that does it is ended */
  readonly signal?: AbortSignal | undefined;
  /** told how much of it is done, 0-1 */
  readonly onProgress?: ((share: number) => void) | undefined;
}

/**
 * Does work that would keep the server from answering on a thread of its own, one thing after the other.
 *
 * @param task its name among those the thread knows
 * @param input plain data
 * @param inline the same work, where there is no thread
 * @throws what the signal was stopped with
 */
export async function offThread<Output>(
  task: string,
  input: unknown,
  inline: () => Output | Promise<Output>,
  { signal, onProgress = () => undefined }: Watching = {},
): Promise<Output> {
  signal?.throwIfAborted();
  if (!existsSync(threadFile())) return inline();
  const held = heldThread();
  return new Promise<Output>((resolve, reject) => {
    held.last += 1;
    const job: Job = {
      id: held.last,
      task,
      input,
      done: (result) => resolve(result as Output),
      failed: reject,
      onProgress,
    };
    signal?.addEventListener('abort', () => {
      const place = held.waiting.indexOf(job);
      if (place >= 0) held.waiting.splice(place, 1);
      else if (held.running === job) {
        endThread(held);
        finish(held);
      }
      reject(signal.reason as Error);
    });
    held.waiting.push(job);
    goOn(held);
  });
}
