import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { BriefScreen } from '@/features/brief/brief-screen';
import { larderFor, shelfFor } from '@/server/carried';
import { sharedDatabase } from '@/server/db/database';
import { findFormula } from '@/server/repositories/formulas';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Brief' };

type Props = { searchParams: Promise<{ from?: string }> };

/** A new brief; with `from`, another occasion of a formula. */
export default async function NewBriefPage({ searchParams }: Props) {
  const { from } = await searchParams;
  const { db } = await sharedDatabase();
  const of = from ? await findFormula(db, from) : undefined;
  if (from && !of) notFound();
  return (
    <BriefScreen
      key={from ?? 'new'}
      of={of && { id: of.id, revision: of.revision, file: of.file }}
      isFor={of !== undefined}
      shelf={await shelfFor(db, of && { id: of.id, file: of.file })}
      larder={await larderFor(db, of?.file.lines.map(({ ingredient }) => ingredient) ?? [])}
    />
  );
}
