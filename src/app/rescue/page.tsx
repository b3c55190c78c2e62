import type { Metadata } from 'next';
import { SIGNS } from '@/core/rescue/signs';
import { findUse, type Use } from '@/core/uses/ready-gates';
import { RescueScreen } from '@/features/rescue/rescue-screen';
import type { RescueSource } from '@/features/rescue/rescue-source';
import type { FormulaFile } from '@/formats/formula-file';
import { readTypedPan, typedFormula } from '@/formats/typed-pan';
import { freezePan } from '@/kitchen/cook/freeze';
import { inHand } from '@/kitchen/cook/in-hand';
import { itemOf } from '@/kitchen/known-item';
import { RESCUE_NAME } from '@/kitchen/words/rescue-words';
import { sharedDatabase } from '@/server/db/database';
import type { Database } from '@/server/db/query-builder';
import { openBatch } from '@/server/repositories/batch-rows';
import { runningBatches } from '@/server/repositories/batches';
import { findFormula } from '@/server/repositories/formulas';
import { listIngredients, someIngredients } from '@/server/repositories/larder';
import { choiceOf } from '@/ui/choice-of';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: RESCUE_NAME };

const USUAL_STOVE = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const USUAL_KITCHEN_C = 22;

const one = (value: string | string[] | undefined) => (typeof value === 'string' ? value : undefined);

interface Asked {
  readonly batch: string | undefined;
  readonly formula: string | undefined;
  /** rows of a pan without a formula, and what it was to do */
  readonly rows: string | undefined;
  readonly use: string | undefined;
  /** what was seen already */
  readonly sign: string | undefined;
}

const AT = { stove: USUAL_STOVE, kitchenC: USUAL_KITCHEN_C };

/** A formula's rows, as the larder has them. */
async function larderOf(db: Database, { lines }: Pick<FormulaFile, 'lines'>) {
  const rows = await someIngredients(
    db,
    lines.map(({ ingredient }) => ingredient),
  );
  return new Map(rows.map((each) => [each.id, each]));
}

async function sourceOf(db: Database, asked: Asked): Promise<RescueSource> {
  const batch = asked.batch ? await openBatch(db, asked.batch) : undefined;
  if (batch) return { batch, formula: undefined };
  const rows = asked.rows ? readTypedPan(asked.rows) : undefined;
  if (rows) {
    const use = findUse(asked.use);
    const file = typedFormula('A pan without a formula', rows, { moments: [], gates: [], ...pickUse(use) });
    const larder = await larderOf(db, file);
    const isKnown = rows.every(({ ingredient }) => larder.has(ingredient));
    return { batch: undefined, formula: isKnown ? { id: undefined, frozen: freezePan(file, larder, AT) } : undefined };
  }
  const formula = asked.formula ? await findFormula(db, asked.formula) : undefined;
  if (!formula) return { batch: undefined, formula: undefined };
  const larder = await larderOf(db, formula.file);
  const isKnown = formula.file.lines.every(({ ingredient }) => itemOf(formula.file, larder, ingredient) !== undefined);
  return {
    batch: undefined,
    formula: isKnown ? { id: formula.id, frozen: freezePan(formula.file, larder, AT) } : undefined,
  };
}

const pickUse = (use: Use | undefined) => use && { use: use.id, moments: [...use.moments], gates: [...use.gates] };

type Props = { searchParams: Promise<Partial<Record<keyof Asked, string | string[]>>> };

export default async function RescuePage({ searchParams }: Props) {
  const query = await searchParams;
  const asked = {
    batch: one(query.batch),
    formula: one(query.formula),
    rows: one(query.rows),
    use: one(query.use),
    sign: one(query.sign),
  };
  const { db } = await sharedDatabase();
  const source = await sourceOf(db, asked);
  const file = (source.batch?.frozen ?? source.formula?.frozen)?.file;
  const own = file?.lines.map(({ ingredient }) => ingredient) ?? [];
  return (
    <RescueScreen
      key={JSON.stringify(asked)}
      source={source}
      seen={choiceOf(SIGNS, asked.sign ?? '')}
      additives={file ? inHand(await listIngredients(db), own) : []}
      running={file ? [] : await runningBatches(db)}
    />
  );
}
