import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BriefScreen } from '@/features/brief/brief-screen';
import { larderFor, shelfFor } from '@/server/carried';
import { sharedDatabase } from '@/server/db/database';
import { findFormula } from '@/server/repositories/formulas';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Brief' };

type Props = { params: Promise<{ id: string }> };

/** The brief of a formula. */
export default async function BriefPage({ params }: Props) {
  const { id } = await params;
  const { db } = await sharedDatabase();
  const of = await findFormula(db, id);
  if (!of) notFound();
  return (
    <BriefScreen
      key={`${id} ${of.revision}`}
      of={{ id, revision: of.revision, file: of.file }}
      isFor={false}
      shelf={await shelfFor(db, { id: of.id, file: of.file })}
      larder={
        await larderFor(
          db,
          of.file.lines.map(({ ingredient }) => ingredient),
        )
      }
    />
  );
}
