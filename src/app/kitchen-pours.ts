import { type KitchenKnowledge, NOTHING_LEARNT } from '@/core/learn/kitchen';
import type { FigureNews } from '@/formats/figure-news';
import { sharedDatabase } from '@/server/db/database';
import { readFigureNews } from '@/server/repositories/figure-news';
import { kitchenKnowledge } from '@/server/repositories/kitchen-tests';

/** What this kitchen's tests taught; nothing while its database does not answer, which the page itself says. */
export async function kitchenPours(): Promise<KitchenKnowledge> {
  try {
    const { db } = await sharedDatabase();
    return await kitchenKnowledge(db);
  } catch {
    return NOTHING_LEARNT;
  }
}

/** What became of this kitchen's tests when the model last moved its figures; nothing while its database does not answer. */
export async function figureNews(): Promise<FigureNews | undefined> {
  try {
    const { db } = await sharedDatabase();
    return await readFigureNews(db);
  } catch {
    return undefined;
  }
}
