import { type Remote, wrap } from 'comlink';

/** A worker that starts with the first question, and anew after it could not be started. */
export interface Thread<Door> {
  /** asks something of the worker; fails where it cannot be started or breaks down, instead of waiting for ever */
  readonly ask: <Answer>(question: (door: Remote<Door>) => Promise<Answer>) => Promise<Answer>;
  /** starts it before the first question */
  readonly ready: () => void;
  /** ends it with all it works on; the next question starts it again */
  readonly close: () => void;
}

const LOST = 'The part that works it out could not be loaded: the server cannot be reached. Try again.';

/**
 * @param start makes the worker
 * @param opened is told of each new worker before its first question
 */
export function threadOf<Door>(start: () => Worker, opened?: (door: Remote<Door>) => void): Thread<Door> {
  let open: { worker: Worker; door: Remote<Door>; lost: Promise<never> } | undefined;
  const close = () => {
    open?.worker.terminate();
    open = undefined;
  };
  const ready = () => {
    if (open) return open;
    const worker = start();
    const lost = new Promise<never>((_, reject) => {
      worker.addEventListener('error', (event) => {
        event.preventDefault();
        if (open?.worker === worker) close();
        reject(new Error(LOST));
      });
    });
    // Whoever asks hears of it; nobody has to.
    lost.catch(() => undefined);
    open = { worker, door: wrap<Door>(worker), lost };
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
