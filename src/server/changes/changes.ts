import { EventEmitter } from 'node:events';
import pg from 'pg';
import { type Change, changeSchema } from '@/formats/change';
import { isOnServer, kitchenPlace } from '../db/place';
import { forTheLog } from '../db/trouble-of';

/** What this kitchen's app processes tell each other on a PostgreSQL server. */
const CHANNEL = 'dark_pour_changes';
const AGAIN_MS = 2_000;

/** Tells changes to whoever listens, in this process or in any other of the same kitchen. */
export interface Changes {
  readonly announce: (change: Change) => Promise<void>;
  /** @returns how to stop listening */
  readonly listen: (told: (change: Change) => void) => () => void;
  readonly close: () => Promise<void>;
}

const held = globalThis as { darkPourChanges?: Changes; darkPourSaved?: (change: Change) => void };

/** Changes of a kitchen that one process alone has open. */
function changesHere(): Changes {
  const listeners = new EventEmitter();
  listeners.setMaxListeners(0);
  return {
    announce: async (change) => void listeners.emit('change', change),
    listen: (told) => {
      listeners.on('change', told);
      return () => void listeners.off('change', told);
    },
    close: async () => void listeners.removeAllListeners(),
  };
}

/** Changes of a kitchen on a PostgreSQL server, by LISTEN and NOTIFY. A connection that breaks is made anew. */
export function changesOnServer(url: string): Changes {
  const here = changesHere();
  let client: pg.Client | undefined;
  let isClosed = false;
  let retry: NodeJS.Timeout | undefined;

  const connect = async (): Promise<pg.Client> => {
    const next = new pg.Client({ connectionString: url, application_name: 'Dark Pour changes' });
    next.on('error', () => undefined);
    next.on('end', () => {
      if (client === next) client = undefined;
      if (!isClosed) again();
    });
    next.on('notification', ({ payload }) => {
      const change = changeSchema.safeParse(JSON.parse(payload ?? 'null'));
      if (!change.success) return;
      // Told by another process: pages that are kept here show what was.
      held.darkPourSaved?.(change.data);
      void here.announce(change.data);
    });
    await next.connect();
    await next.query(`listen ${CHANNEL}`);
    client = next;
    return next;
  };
  let connecting: Promise<pg.Client> | undefined;
  const connected = () => {
    connecting ??= connect().finally(() => {
      connecting = undefined;
    });
    return client ? Promise.resolve(client) : connecting;
  };
  const again = () => {
    clearTimeout(retry);
    retry = setTimeout(() => void connected().catch(() => !isClosed && again()), AGAIN_MS);
    retry.unref();
  };
  void connected().catch(again);

  return {
    announce: async (change) => {
      await (await connected()).query('select pg_notify($1, $2)', [CHANNEL, JSON.stringify(change)]);
    },
    listen: here.listen,
    close: async () => {
      isClosed = true;
      clearTimeout(retry);
      await here.close();
      await client?.end();
    },
  };
}

/** The changes of this process's kitchen. */
export function sharedChanges(): Changes {
  const place = kitchenPlace();
  held.darkPourChanges ??= isOnServer(place) ? changesOnServer(place) : changesHere();
  return held.darkPourChanges;
}

/** Tells a change that is kept already: whoever is not told sees it a little later by itself. Pages that are kept are told first. */
export function announce(change: Change): void {
  held.darkPourSaved?.(change);
  void sharedChanges()
    .announce(change)
    .catch((error) => process.stderr.write(`A change was not told: ${forTheLog(error)}\n`));
}
