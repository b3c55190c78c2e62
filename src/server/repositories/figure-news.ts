import { eq } from 'drizzle-orm';
import { type FigureNews, figureNewsSchema } from '@/formats/figure-news';
import type { Database } from '../db/query-builder';
import { settings } from '../db/schema';

const NAME = 'figureNews';

/** Keeps what became of this kitchen's tests when the model moved its figures, until it moves them again. */
export async function keepFigureNews(db: Pick<Database, 'insert'>, news: FigureNews): Promise<void> {
  await db
    .insert(settings)
    .values({ name: NAME, value: news })
    .onConflictDoUpdate({ target: settings.name, set: { value: news } });
}

/** What became of this kitchen's tests when the model last moved its figures; nothing in a kitchen that had none then. */
export async function readFigureNews(db: Database): Promise<FigureNews | undefined> {
  const rows = await db.select().from(settings).where(eq(settings.name, NAME));
  const read = figureNewsSchema.safeParse(rows[0]?.value);
  return read.success ? read.data : undefined;
}
