import { type Remote, wrap } from 'comlink';

/** A question that was left off because its thread was closed: nobody waits for its answer any more. */
export class StoppedError extends Error {
  override name = 'StoppedError';
}

/** A worker that starts with the first question, and anew after it could not be started. */
export interface Thread<Door> {
  /** asks something of the worker; fails where it cannot be started or breaks down, instead of waiting for ever */
  readonly ask: <Answer>(question: (door: Remote<Door>) => Promise<Answer>) => Promise<Answer>;
  /** starts it before the first question */
  readonly ready: () => void;
  /** ends it with all it works on, which fails as stopped; the next question starts it again */
  readonly close: () => void;
}

const LOST = 'The part that works it out could not be loaded: the server cannot be reached. Try again.';

/**
 * @param start makes the worker
 * @param opened is told of each new worker before its first question
 */
export function threadOf<Door>(start: () => Worker, opened?: (door: Remote<Door>) => void): Thread<Door> {
  interface Open {
    worker: Worker;
    door: Remote<Door>;
    lost: Promise<never>;
    stop: (why: Error) => void;
  }
  let open: Open | undefined;
  const close = () => {
    open?.worker.terminate();
    open?.stop(new StoppedError('Stopped.'));
    open = undefined;
  };
  const ready = () => {
    if (open) return open;
    const worker = start();
    let stop: (why: Error) => void = () => undefined;
    const lost = new Promise<never>((_, reject) => {
      stop = reject;
      worker.addEventListener('error', (event) => {
        event.preventDefault();
        reject(new Error(LOST));
        if (open?.worker === worker) close();
      });
    });
    // Whoever asks hears of it; nobody has to.
    lost.catch(() => undefined);
    open = { worker, door: wrap<Door>(worker), lost, stop };
    opened?.(open.door);
    return open;
  };
  return {
    ask: (question) => {
      const { door, lost } = ready();
      return Promise.race([question(door), lost]);
    },
    ready: () => void ready(),
    close,
  };
}
