import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planBrief } from '@/core/brief/plan';
import { MODEL_REVISION } from '@/core/model-constants';
import type { FormulaFile } from '@/formats/formula-file';
import type { OpenDatabase } from '@/server/db/database';
import { formulas } from '@/server/db/schema';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { listFormulas, listLibrary } from '@/server/repositories/formula-list';
import { createFormula, findFormula, saveFormula, sawFigures } from '@/server/repositories/formulas';
import { findIngredient, stockEmptyLarder } from '@/server/repositories/larder';
import { startingLarder } from '@/server/repositories/starting-larder';
import { openTestKitchen } from '../support/databases';

let kitchen: OpenDatabase;
const withBrief = lanternMillFormulas().find(({ brief }) => brief) as FormulaFile;
const now = new Date(Date.UTC(2026, 0, 1));

beforeAll(async () => {
  kitchen = await openTestKitchen();
  await stockEmptyLarder(kitchen.db, startingLarder());
});
afterAll(() => kitchen.close());

describe('what was stored before a field existed', () => {
  it.each(['slope', 'overruled', 'what'])(
    'a brief without %s is read with its default: no gate is NaN',
    async (field) => {
      const { id } = await createFormula(kitchen.db, withBrief, now);
      await kitchen.db.execute(
        sql`update formulas set brief = jsonb_set(brief, '{jobs,0}', (brief #> '{jobs,0}') - ${field}::text) where id = ${id}`,
      );
      const brief = (await findFormula(kitchen.db, id))?.file.brief;
      if (!brief) throw new Error('no brief');
      expect(brief.jobs[0]).toHaveProperty(field);
      for (const { gate } of planBrief(brief).targets.gates) {
        for (const edge of [gate.low, gate.high]) expect(edge === undefined || Number.isFinite(edge)).toBe(true);
      }
    },
  );

  it('a process without a share is read with the usual one', async () => {
    const { id } = await createFormula(kitchen.db, withBrief, now);
    await kitchen.db.execute(sql`update formulas set process = process - 'covered' where id = ${id}`);
    expect((await findFormula(kitchen.db, id))?.file.process.covered).toBe(1);
  });

  it('allergens of an older larder are recognised, traces move to where they belong', async () => {
    await kitchen.db.execute(
      sql`update ingredients set allergens = '["Milk, soy", "may contain nuts", "Sternenstaub"]'::jsonb where id = 'cream-35'`,
    );
    const cream = await findIngredient(kitchen.db, 'cream-35');
    expect(cream?.allergens).toEqual(['milk', 'soya', 'other: Sternenstaub']);
    expect(cream?.mayContain).toEqual(['nuts']);
  });

  it('a formula from before the model moved says so until a cook has seen it', async () => {
    const { id, modelRevision } = await createFormula(kitchen.db, withBrief, now);
    expect(modelRevision).toBe(MODEL_REVISION);
    await kitchen.db.update(formulas).set({ modelRevision: 1 }).where(eq(formulas.id, id));
    expect((await findFormula(kitchen.db, id))?.modelRevision).toBe(1);
    const saved = await saveFormula(kitchen.db, id, 1, withBrief, now);
    expect(saved).toMatchObject({ formula: { modelRevision: 1 } });
    await sawFigures(kitchen.db, id);
    expect((await findFormula(kitchen.db, id))?.modelRevision).toBe(MODEL_REVISION);
  });

  it('a formula that cannot be read never stops the others, and is told', async () => {
    const { id } = await createFormula(kitchen.db, { ...withBrief, name: 'Broken one' }, now);
    const others = (await listFormulas(kitchen.db)).length - 1;
    await kitchen.db
      .update(formulas)
      .set({ gates: [{ moment: 'nowhere', quantity: 'shine', low: 1 }] })
      .where(eq(formulas.id, id));
    const { formulas: read, unreadable } = await listLibrary(kitchen.db);
    expect(read).toHaveLength(others);
    expect(unreadable).toEqual([{ id, name: 'Broken one', reason: expect.stringContaining('Broken one') }]);
    await expect(findFormula(kitchen.db, id)).rejects.toThrow(/cannot be read/);
  });
});
