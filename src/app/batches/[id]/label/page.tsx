import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { batchLabel } from '@/app/batch-label';
import { LabelScreen } from '@/features/label/label-screen';
import { labelQuerySchema } from '@/formats/label';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Labels' };

type Props = {
  params: Promise<{ id: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
};

/** Labels of a batch; what was asked that makes no sense falls back to what is usual, and is told. */
export default async function LabelPage({ params, searchParams }: Props) {
  const { id } = await params;
  const asked = labelQuerySchema.safeParse(await searchParams);
  const query = asked.success ? asked.data : labelQuerySchema.parse({});
  const label = await batchLabel(id, query);
  if (!label) notFound();
  const misread = asked.success ? undefined : 'Part of this address could not be read: it shows the usual label.';
  const { head, faces, fault, unprintable, code, address, late, size, missing, byLarder } = label;
  return (
    <LabelScreen
      batch={{ id, number: head.number, name: head.name, madeMs: head.startedMs }}
      query={query}
      faces={faces}
      code={code}
      address={address}
      size={size}
      missing={missing}
      byLarder={byLarder}
      fault={fault ?? misread}
      unprintable={unprintable}
      late={late}
    />
  );
}
