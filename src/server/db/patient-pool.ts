import pg from 'pg';
import { serverTrouble } from './server-trouble';

/** Longest a cook waits for a connection, and for an answer on it, ms: a server that stands still says nothing at all. */
const CONNECTING_MS = 5_000;
const ANSWER_MS = 5_000;
const CONNECTIONS = 10;

type Query = (...asked: unknown[]) => Promise<unknown> | undefined;

const textOf = (asked: unknown) =>
  typeof asked === 'string' ? asked : String((asked as { text?: unknown } | undefined)?.text ?? '');
const isLook = (asked: unknown) => /^\s*select\b/i.test(textOf(asked));
const isLate = (error: unknown) => error instanceof Error && /^Query read timeout/.test(error.message);

/** Ends a connection on which an answer was late: what it may still say would be taken for the answer of the next question. */
function endWhenLate(client: pg.PoolClient): void {
  const ask = client.query.bind(client) as Query;
  const { stream } = (client as unknown as { connection: { stream: { destroy(error: Error): void } } }).connection;
  client.query = ((...asked: unknown[]) => {
    const answer = ask(...asked);
    answer?.catch((error: Error) => isLate(error) && stream.destroy(error));
    return answer;
  }) as typeof client.query;
}

/** Connections to a PostgreSQL server that wait a bounded time; what only looks is asked a second time, on another one. */
export class PatientPool extends pg.Pool {
  constructor(connectionString: string) {
    super({
      connectionString,
      max: CONNECTIONS,
      connectionTimeoutMillis: CONNECTING_MS,
      query_timeout: ANSWER_MS,
      // The server gives up, too: nobody waits for it any more.
      statement_timeout: ANSWER_MS,
      application_name: 'Dark Pour',
    });
    // A connection that breaks while nobody uses it is made anew when it is needed.
    this.on('error', () => undefined);
    this.on('connect', endWhenLate);
    const ask = super.query.bind(this) as unknown as Query;
    this.query = (async (...asked: unknown[]) => {
      try {
        return await ask(...asked);
      } catch (error) {
        if (!isLook(asked[0]) || !serverTrouble(error)) throw error;
        return ask(...asked);
      }
    }) as unknown as typeof this.query;
  }
}
