import { sql } from 'drizzle-orm';
import { keysOf } from '@/core/keys-of';
import {
  type KitchenSettings,
  localeOf,
  type SettingsChange,
  settingsSchema,
  USUAL_SETTINGS,
} from '@/formats/settings';
import type { Database } from '../db/query-builder';
import { settings } from '../db/schema';

/** How the kitchen writes what it measures. A setting this version cannot read is as usual. */
export async function readSettings(db: Database): Promise<KitchenSettings> {
  const kept = new Map((await db.select().from(settings)).map(({ name, value }) => [name, value]));
  const read = (name: keyof KitchenSettings) => {
    const found = settingsSchema.shape[name].safeParse(kept.get(name));
    return found.success ? found.data : USUAL_SETTINGS[name];
  };
  return settingsSchema.parse(Object.fromEntries(keysOf(USUAL_SETTINGS).map((name) => [name, read(name)])));
}

/** Keeps what is to be changed; all else stays, so that two tablets may change two settings at once. */
export async function changeSettings(db: Database, change: SettingsChange): Promise<KitchenSettings> {
  const rows = Object.entries(change).map(([name, value]) => ({ name, value }));
  if (rows.length > 0) {
    await db
      .insert(settings)
      .values(rows)
      .onConflictDoUpdate({ target: settings.name, set: { value: sql`excluded.value` } });
  }
  return readSettings(db);
}

/**
 * In a kitchen that has not chosen, the first tablet's language decides how numbers are written.
 *
 * @param languages as in the header `Accept-Language`
 */
export async function settleNumbers(db: Database, languages: string): Promise<void> {
  const numbers = localeOf(languages);
  if (numbers) await db.insert(settings).values({ name: 'numbers', value: numbers }).onConflictDoNothing();
}
