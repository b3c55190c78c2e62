import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { assertTakesSaves, DataTroubleError } from './disk';

/** Longest a statement may take before the database counts as standing still, ms; opening one, making one. */
const STATEMENT_MS = 30_000;
const OPENING_MS = 180_000;

/** Statements that go before a transaction that waits. */
const STATEMENTS_IN_A_ROW = 8;

/** What a statement answers. */
export interface Answer {
  readonly rows: unknown[];
  readonly fields: unknown[];
  readonly affectedRows?: number;
}

/** How a statement is asked, as the query builder says it. */
interface Asking {
  readonly rowMode?: 'array' | 'object';
}

interface Waiting {
  readonly done: (answer: Answer) => void;
  readonly failed: (error: Error) => void;
  readonly timer: NodeJS.Timeout;
}

interface Told {
  readonly ready?: boolean;
  readonly id?: number;
  readonly result?: Answer;
  readonly error?: { readonly message: string; readonly code?: string; readonly severity?: string };
}

/** After these the database cannot go on. */
const ENDING: ReadonlySet<string | undefined> = new Set(['PANIC', 'FATAL']);

const STOPPED =
  'The database stopped: the disk did not take a save. What is typed stays on the tablet, earlier saves are untouched; saving goes on when the disk does.';

const threadFile = () =>
  path.join(/* turbopackIgnore: true */ process.cwd(), 'src', 'server', 'db', 'thread', 'database-thread.mjs');

/**
 * The embedded database in its thread, as the query builder asks one: a statement, or a transaction that nobody else gets between. Both have their turn:
 * neither many readers nor many saves keep the others waiting.
 */
export class ThreadedClient {
  private readonly waiting = new Map<number, Waiting>();
  private readonly transactions: (() => Promise<void>)[] = [];
  private readonly statements: (() => Promise<void>)[] = [];
  private isBusy = false;
  /** statements since the last transaction */
  private inARow = 0;
  private next = 0;
  private end: Error | undefined;

  private constructor(
    private readonly thread: Worker,
    private readonly folder: string,
    private readonly onEnd: () => void,
  ) {
    thread.on('message', ({ id, result, error }: Told) => {
      const asked = id === undefined ? undefined : this.waiting.get(id);
      if (!asked || id === undefined) return;
      this.waiting.delete(id);
      clearTimeout(asked.timer);
      if (result) asked.done(result);
      else if (ENDING.has(error?.severity)) this.stop(new DataTroubleError(STOPPED), asked);
      else asked.failed(Object.assign(new Error(error?.message), { code: error?.code }));
    });
    thread.on('error', () => this.stop(new DataTroubleError(STOPPED)));
    thread.on('exit', () => this.stop(new DataTroubleError(STOPPED)));
    thread.unref();
  }

  /**
   * @param folder of the database
   * @param onEnd the database cannot go on: another one has to be opened
   */
  static async open(folder: string, onEnd: () => void): Promise<ThreadedClient> {
    const thread = new Worker(threadFile(), { workerData: { folder } });
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => {
        void thread.terminate();
        reject(new DataTroubleError(`The database in ${folder} does not open: it stands still.`));
      }, OPENING_MS);
      thread.once('error', reject);
      thread.once('message', () => {
        clearTimeout(timer);
        thread.off('error', reject);
        resolve();
      });
    });
    return new ThreadedClient(thread, folder, onEnd);
  }

  /** One statement. */
  query(sql: string, params?: unknown[], asking?: Asking): Promise<Answer> {
    return this.inTurn(this.statements, () => this.ask(sql, params, asking));
  }

  /** Everything in it or nothing. */
  transaction<T>(work: (client: Pick<ThreadedClient, 'query'>) => Promise<T>): Promise<T> {
    return this.inTurn(this.transactions, async () => {
      assertTakesSaves(this.folder);
      await this.ask('BEGIN');
      try {
        const result = await work({ query: (sql, params, asking) => this.ask(sql, params, asking) });
        await this.ask('COMMIT');
        return result;
      } catch (error) {
        if (!this.end) await this.ask('ROLLBACK');
        throw error;
      }
    });
  }

  async close(): Promise<void> {
    if (this.end) return;
    await this.inTurn(this.statements, () => this.post({ close: true }));
    this.end = new DataTroubleError('The database is closed.');
  }

  private inTurn<T>(queue: (() => Promise<void>)[], work: () => Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      queue.push(() => work().then(resolve, reject));
      this.goOn();
    });
  }

  private goOn(): void {
    if (this.isBusy) return;
    const work = this.nextWork();
    if (!work) return;
    this.isBusy = true;
    void work().finally(() => {
      this.isBusy = false;
      this.goOn();
    });
  }

  /** After each transaction some statements have their turn: neither many who look nor many who save keep the others waiting. */
  private nextWork(): (() => Promise<void>) | undefined {
    const isStatement =
      this.statements.length > 0 && (this.transactions.length === 0 || this.inARow < STATEMENTS_IN_A_ROW);
    this.inARow = isStatement ? this.inARow + 1 : 0;
    return isStatement ? this.statements.shift() : this.transactions.shift();
  }

  private async ask(sql: string, params?: unknown[], asking?: Asking): Promise<Answer> {
    if (!/^\s*(select|begin|commit|rollback)/i.test(sql)) assertTakesSaves(this.folder);
    return this.post({ sql, params, rowMode: asking?.rowMode });
  }

  private async post(message: object): Promise<Answer> {
    if (this.end) throw this.end;
    this.next += 1;
    const id = this.next;
    return new Promise((done, failed) => {
      const timer = setTimeout(() => this.stop(new DataTroubleError(STOPPED)), STATEMENT_MS);
      this.waiting.set(id, { done, failed, timer });
      this.thread.postMessage({ id, ...message });
    });
  }

  /** Ends the thread and fails all that waits. */
  private stop(error: Error, also?: Waiting): void {
    also?.failed(error);
    if (this.end) return;
    this.end = error;
    for (const { failed, timer } of this.waiting.values()) {
      clearTimeout(timer);
      failed(error);
    }
    this.waiting.clear();
    void this.thread.terminate();
    this.onEnd();
  }
}
