import { type KitchenKnowledge, NOTHING_LEARNT } from '@/core/learn/kitchen';
import { sharedDatabase } from '@/server/db/database';
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
