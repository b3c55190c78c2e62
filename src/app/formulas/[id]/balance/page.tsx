import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MODEL_REVISION } from '@/core/model-constants';
import { BalanceScreen } from '@/features/balance/balance-screen';
import { larderFor } from '@/server/carried';
import { sharedDatabase } from '@/server/db/database';
import { findFormula } from '@/server/repositories/formulas';

export const dynamic = 'force-dynamic';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, (await params).id);
  return { title: formula?.file.name ?? 'Not found' };
}

export default async function BalancePage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const formula = await findFormula(db, id);
  if (!formula) notFound();
  return (
    <BalanceScreen
      // A revision saved elsewhere is another page: nothing of the old one may stay.
      key={`${id} ${formula.revision}`}
      id={id}
      opened={{
        revision: formula.revision,
        baseId: formula.baseId,
        file: formula.file,
        base: formula.baseId ? (await findFormula(db, formula.baseId))?.file : undefined,
        figuresMoved: formula.modelRevision < MODEL_REVISION,
      }}
      carried={
        await larderFor(
          db,
          formula.file.lines.map(({ ingredient }) => ingredient),
        )
      }
    />
  );
}
