import { type TodayFacts, TodayScreen } from '@/features/today/today-screen';
import type { BookRow } from '@/formats/book';
import { dayOf } from '@/formats/day';
import { backupTrouble } from '@/server/backup/daily';
import { knownDamage } from '@/server/db/damage';
import { sharedDatabase } from '@/server/db/database';
import type { Database } from '@/server/db/query-builder';
import { runningBatches } from '@/server/repositories/batches';
import { lookUpBook } from '@/server/repositories/book';
import { tasksOf } from '@/server/repositories/days';
import { countFormulas, listNames } from '@/server/repositories/formula-list';
import { listShelf } from '@/server/repositories/shelf';
import { pouredLooks } from './library-summaries';

export const dynamic = 'force-dynamic';

/** Lines a part of the page has at most. */
const MOST = 6;

/** The last batch of each formula, the newest first. */
function lastOfEach(rows: readonly BookRow[]): BookRow[] {
  const seen = new Set<string>();
  return rows.filter(({ formulaId }) => !seen.has(formulaId) && seen.add(formulaId)).slice(0, MOST);
}

/** What a cook must know of the data itself. */
function troublesNow(): string[] {
  const backup = backupTrouble();
  const words = backup && `The daily backup of ${backup.at.slice(0, 10)} was not made. ${backup.message}`;
  return [knownDamage(), words].filter((each) => each !== undefined);
}

async function factsOf(db: Database, now: Date): Promise<TodayFacts> {
  const day = dayOf(now);
  const [running, tasks, shelf, book, formulas] = [
    await runningBatches(db),
    await tasksOf(db, day),
    await listShelf(db),
    await lookUpBook(db, { skip: 0 }),
    await countFormulas(db),
  ];
  const names = new Map((tasks.length > 0 ? await listNames(db) : []).map(({ id, name }) => [id, name]));
  const lately = lastOfEach(book.rows);
  const shown = [...running, ...tasks, ...lately].map(({ formulaId }) => formulaId).filter((id) => id !== null);
  const isDue = ({ useBy }: { useBy: string | null }) => useBy !== null && useBy <= day;
  return {
    day,
    running,
    due: tasks.map((task) => ({ ...task, name: names.get(task.formulaId) ?? 'A formula' })),
    useFirst: [...shelf.filter(isDue), ...shelf.filter((item) => !isDue(item))].slice(0, MOST),
    lately,
    looks: await pouredLooks(db, shown),
    formulas,
    troubles: troublesNow(),
  };
}

export default async function TodayPage() {
  const { db } = await sharedDatabase();
  return <TodayScreen facts={await factsOf(db, new Date())} />;
}
