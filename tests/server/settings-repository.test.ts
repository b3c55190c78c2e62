import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { settingsChangeSchema, USUAL_SETTINGS } from '@/formats/settings';
import type { OpenDatabase } from '@/server/db/database';
import { settings } from '@/server/db/schema';
import { changeSettings, readSettings, settleNumbers } from '@/server/repositories/settings';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
beforeAll(async () => {
  kitchen = await openTestKitchen();
});
afterAll(() => kitchen.close());

describe('the settings of a kitchen', () => {
  it('are as usual until something is chosen', async () => {
    expect(await readSettings(kitchen.db)).toEqual(USUAL_SETTINGS);
  });

  it('let the first language decide how numbers are written, and nothing after it', async () => {
    await settleNumbers(kitchen.db, '*');
    expect((await readSettings(kitchen.db)).numbers).toBe(USUAL_SETTINGS.numbers);
    await settleNumbers(kitchen.db, 'de-AT,de;q=0.9');
    await settleNumbers(kitchen.db, 'en-US');
    expect((await readSettings(kitchen.db)).numbers).toBe('de-DE');
  });

  it('keep what two tablets change at once', async () => {
    await Promise.all([
      changeSettings(kitchen.db, { temperature: 'F' }),
      changeSettings(kitchen.db, { currency: 'CHF' }),
    ]);
    expect(await changeSettings(kitchen.db, {})).toEqual({
      ...USUAL_SETTINGS,
      numbers: 'de-DE',
      temperature: 'F',
      currency: 'CHF',
    });
  });

  it('are as usual where this version cannot read one', async () => {
    await kitchen.db.insert(settings).values([
      { name: 'weight', value: 'stone' },
      { name: 'of another version', value: 1 },
    ]);
    expect(await readSettings(kitchen.db)).toMatchObject({ weight: 'g', temperature: 'F' });
  });

  it('refuse what is none', () => {
    for (const wrong of [
      { temperature: 'K' },
      { currency: 'EURO' },
      { numbers: 'xx' },
      { weight: null },
      { other: 1 },
    ]) {
      expect(settingsChangeSchema.safeParse(wrong).success, JSON.stringify(wrong)).toBe(false);
    }
    expect(settingsChangeSchema.parse({ length: 'in' })).toEqual({ length: 'in' });
  });
});
