import { and, asc, count, desc, eq, gte, ilike, isNull, like, lt, ne, type SQL, sql } from 'drizzle-orm';
import { BOOK_PAGE, type BookAnswer, type BookChoices, type BookQuery, type BookRow } from '@/formats/book';
import { foldWords } from '@/formats/fold-words';
import type { Database } from '../db/query-builder';
import { batches } from '../db/schema';
import { HEAD, toHead } from './batch-rows';
import { writeMissing } from './batch-summaries';

const LINE = {
  ...HEAD,
  overAt: batches.overAt,
  madeBy: batches.madeBy,
  hasLanded: batches.hasLanded,
  isRescued: batches.isRescued,
  weighedG: batches.weighedG,
  yieldG: batches.yieldG,
  cost: batches.cost,
};

/** What a question of the book asks of its lines. */
function conditions({ search, formula, from, to, landed, rescued, by }: BookQuery): SQL | undefined {
  const words = foldWords(search ?? '')
    .split(' ')
    .filter(Boolean);
  const has = (text: string) => text.replace(/[\\%_]/g, (sign) => `\\${sign}`);
  return and(
    ne(batches.state, 'running'),
    // Both are folded already: small letters, accents off.
    ...words.map((word) => like(batches.words, `%${has(word)}%`)),
    formula ? eq(batches.formulaId, formula) : undefined,
    from !== undefined ? gte(batches.startedAt, new Date(from)) : undefined,
    to !== undefined ? lt(batches.startedAt, new Date(to)) : undefined,
    landed === undefined
      ? undefined
      : landed === 'unsaid'
        ? isNull(batches.hasLanded)
        : eq(batches.hasLanded, landed === 'yes'),
    rescued ? eq(sql`coalesce(${batches.isRescued}, false)`, rescued === 'yes') : undefined,
    by ? ilike(batches.madeBy, `%${has(by)}%`) : undefined,
  );
}

type LineRow = Omit<BookRow, 'startedMs' | 'overMs' | 'isRescued'> & {
  readonly startedAt: Date;
  readonly overAt: Date | null;
  readonly isRescued: boolean | null;
};

function toRow({ overAt, isRescued, madeBy, hasLanded, weighedG, yieldG, cost, ...head }: LineRow): BookRow {
  return {
    ...toHead(head),
    overMs: overAt?.getTime() ?? null,
    madeBy,
    hasLanded,
    isRescued: isRescued ?? false,
    weighedG,
    yieldG,
    cost,
  };
}

/** A page of the book, the last made first, and how many lines answer in all. */
export async function lookUpBook(db: Database, query: BookQuery): Promise<BookAnswer> {
  await writeMissing(db);
  const where = conditions(query);
  const [rows, [all]] = await Promise.all([
    db.select(LINE).from(batches).where(where).orderBy(desc(batches.startedAt)).limit(BOOK_PAGE).offset(query.skip),
    db.select({ total: count() }).from(batches).where(where),
  ]);
  return { rows: rows.map(toRow), total: all?.total ?? 0 };
}

/** Every line that answers, the last made first; for files. */
export async function wholeBook(db: Database, query: BookQuery): Promise<BookRow[]> {
  await writeMissing(db);
  return (await db.select(LINE).from(batches).where(conditions(query)).orderBy(desc(batches.startedAt))).map(toRow);
}

/** What the book can be looked through by: formulas and names that stand in it. */
export async function bookChoices(db: Database): Promise<BookChoices> {
  const over = ne(batches.state, 'running');
  const [formulas, names] = await Promise.all([
    db
      .select({ id: batches.formulaId, name: sql<string>`max(${batches.name})` })
      .from(batches)
      .where(over)
      .groupBy(batches.formulaId)
      .orderBy(asc(sql`max(${batches.name})`)),
    db.selectDistinct({ name: batches.madeBy }).from(batches).where(over),
  ]);
  const each = names.flatMap(({ name }) => name?.split(', ') ?? []);
  return { formulas, names: [...new Set(each)].sort() };
}
