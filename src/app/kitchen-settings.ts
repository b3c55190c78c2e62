import { headers } from 'next/headers';
import type { KitchenSettings } from '@/formats/settings';
import { sharedDatabase } from '@/server/db/database';
import { readSettings, settleNumbers } from '@/server/repositories/settings';
import { showAs } from '@/ui/settings/shown-as';

/** Reads how this kitchen writes what it measures and has the server write so: before anything is drawn or printed here. */
export async function kitchenSettings(): Promise<KitchenSettings> {
  const { db } = await sharedDatabase();
  await settleNumbers(db, (await headers()).get('accept-language') ?? '');
  const settings = await readSettings(db);
  showAs(settings);
  return settings;
}
