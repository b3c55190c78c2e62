import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/*
 * Work that the server has not acknowledged, kept on the tablet until it has.
 *
 * - Each page that is open keeps its own: two tabs on one formula never write over each other's.
 * - It carries the revision it was made on, so that bringing it back never undoes what was saved since.
 * - It is written through to the disk at each edit: a tablet that goes dark a moment later still has it.
 */

/** Work on one formula that was never saved. */
export interface UnsavedWork {
  readonly formulaId: string;
  /** the page it was made on */
  readonly page: string;
  /** revision it was made on */
  readonly revision: number;
  /** ms since 1970 */
  readonly at: number;
  readonly formula: unknown;
}

interface Shelf extends DBSchema {
  unsaved: { key: [string, string]; value: UnsavedWork; indexes: { formula: string } };
}

/** This page, while it is open. */
const THIS_PAGE = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;

let opening: Promise<IDBPDatabase<Shelf>> | undefined;

function shelf(): Promise<IDBPDatabase<Shelf>> {
  opening ??= openDB<Shelf>('dark-pour', 1, {
    upgrade: (database) => {
      database.createObjectStore('unsaved', { keyPath: ['formulaId', 'page'] }).createIndex('formula', 'formulaId');
    },
  });
  opening.catch(() => {
    opening = undefined;
  });
  return opening;
}

/** @returns whether the tablet could keep it */
export async function keepUnsaved(work: Omit<UnsavedWork, 'page' | 'at'>): Promise<boolean> {
  try {
    const writing = (await shelf()).transaction('unsaved', 'readwrite', { durability: 'strict' });
    await writing.store.put({ ...work, page: THIS_PAGE, at: Date.now() });
    await writing.done;
    return true;
  } catch {
    // Storage is full or barred.
    return false;
  }
}

/** Lets go of what a page kept: it was saved, or is not wanted. */
export async function letGoOfUnsaved(formulaId: string, page = THIS_PAGE): Promise<void> {
  try {
    await (await shelf()).delete('unsaved', [formulaId, page]);
  } catch {
    // Nothing kept, nothing to let go.
  }
}

/** Where an earlier version kept it. */
const formerPlace = (formulaId: string) => `dark-pour:unsaved:${formulaId}`;

/** Takes over what an earlier version kept, once. */
async function takeFormer(formulaId: string): Promise<void> {
  try {
    const text = localStorage.getItem(formerPlace(formulaId));
    if (text === null) return;
    const { revision, formula } = JSON.parse(text) as UnsavedWork;
    await (await shelf()).put('unsaved', { formulaId, page: 'former', revision, at: Date.now(), formula });
    localStorage.removeItem(formerPlace(formulaId));
  } catch {
    // Not readable: it stays where it is.
  }
}

/** Work on a formula that pages left behind, the newest first; not that of pages that are still open. */
export async function findUnsaved(formulaId: string): Promise<UnsavedWork[]> {
  await takeFormer(formulaId);
  try {
    const kept = await (await shelf()).getAllFromIndex('unsaved', 'formula', formulaId);
    const others = kept.filter(({ page }) => page !== THIS_PAGE);
    if (others.length === 0) return [];
    const open = await openPages();
    return others.filter(({ page }) => !open.has(page)).sort((a, b) => b.at - a.at);
  } catch {
    return [];
  }
}

const CHANNEL = 'dark-pour:pages';
const ANSWER_MS = 250;

/** Answers other pages of this browser that ask which are open. */
export function answerOtherPages(): () => void {
  const channel = new BroadcastChannel(CHANNEL);
  channel.onmessage = ({ data }) => {
    if (data === 'who') channel.postMessage(THIS_PAGE);
  };
  return () => channel.close();
}

/** Pages of this browser that answer. */
function openPages(): Promise<ReadonlySet<string>> {
  return new Promise((resolve) => {
    const open = new Set<string>();
    const channel = new BroadcastChannel(CHANNEL);
    channel.onmessage = ({ data }) => open.add(String(data));
    channel.postMessage('who');
    setTimeout(() => {
      channel.close();
      resolve(open);
    }, ANSWER_MS);
  });
}
