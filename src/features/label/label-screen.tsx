'use client';

import { Printer } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { LABEL_SIZES, type LabelQuery, type LabelSize } from '@/formats/label';
import type { LabelContent } from '@/kitchen/label/label-content';
import { batchNumber } from '@/ui/batch-number';
import { Button } from '@/ui/button';
import { listed } from '@/ui/format';
import { useSettings } from '@/ui/settings/settings-provider';
import { TopBar } from '@/ui/top-bar';
import type { Code } from './code';
import { LabelFields } from './label-fields';
import { FaceMarks, LabelSheets } from './label-sheet';
import type { Face } from './layout';

/** What stands in the address for a label. */
const addressOf = (query: LabelQuery) =>
  new URLSearchParams(
    Object.entries(query).flatMap(([key, value]) => (value === undefined ? [] : [[key, String(value)]])),
  ).toString();

/** The label was redone: labels printed before are wrong. */
function ToldLate({ late: { ms, added } }: { late: { readonly ms: number; readonly added: readonly string[] } }) {
  const { settings } = useSettings();
  return (
    <p role="alert" className="no-print mb-3 rounded-lg bg-off-wash px-3 py-2 text-off" suppressHydrationWarning>
      This label was redone {new Date(ms).toLocaleString(settings.numbers)}: a tablet that had been out of reach told
      more work. {added.length > 0 && `${listed(added)} went in. `}Labels printed before then are wrong.
    </p>
  );
}

/** What is missing on it before it prints. */
function Missing({ missing }: { missing: readonly string[] }) {
  return (
    <section aria-label="Missing on it" className="mt-2 rounded-lg bg-near-wash px-3 py-2 text-[14.5px]">
      <h2 className="font-semibold">Missing on it</h2>
      <ul className="list-disc pl-5">
        {missing.map((what) => (
          <li key={what}>{what}</li>
        ))}
      </ul>
      <p>
        Maker, address and country are set once in the{' '}
        <Link href="/settings#labels" className="text-enamel underline">
          settings
        </Link>
        .
      </p>
    </section>
  );
}

/** Labels of a batch: what is asked on the left, the sheet as it prints on the right. */
export function LabelScreen({
  batch,
  query,
  size: sizeName,
  faces,
  missing,
  byLarder,
  code,
  address,
  fault,
  unprintable,
  late,
}: {
  batch: { readonly id: string; readonly number: number; readonly name: string; readonly madeMs: number };
  query: LabelQuery;
  /** the size it is printed on */
  size: LabelSize;
  faces: readonly Face[];
  /** what the law usually asks for and it does not say */
  missing: readonly string[];
  byLarder: LabelContent['byLarder'];
  code: Code | undefined;
  /** where its code leads; empty where the kitchen has set nothing */
  address: string;
  fault: string | undefined;
  /** letters of it that the PDF's fonts do not have */
  unprintable: number;
  /** what was told after the batch was over and changed it */
  late: { readonly ms: number; readonly added: readonly string[] } | undefined;
}) {
  const router = useRouter();
  const [isPending, start] = useTransition();
  // What was asked last, while the page that answers it is on its way.
  const [asked, setAsked] = useState(query);
  const say = (change: Partial<LabelQuery>) => {
    const next = { ...asked, ...change };
    setAsked(next);
    start(() => router.replace(`/batches/${batch.id}/label?${addressOf(next)}`, { scroll: false }));
  };
  const size = LABEL_SIZES[sizeName];
  return (
    <div className="flex min-h-screen flex-col" aria-busy={isPending}>
      <div className="no-print">
        <TopBar
          title={
            <span className="min-w-0 truncate px-2 text-[1.05rem]">
              {batch.name} <span className="text-[#a9b6ba]">· labels of batch {batchNumber(batch.number)}</span>
            </span>
          }
        />
      </div>
      <main className="grid flex-1 grid-cols-1 gap-6 px-6 py-5 md:grid-cols-[330px_minmax(0,1fr)] print:block print:p-0">
        <section aria-label="What the label says" className="no-print grid content-start gap-2">
          <h1 className="text-[1.6rem]">Labels</h1>
          <LabelFields query={asked} byLarder={byLarder} onSay={say} />
          {missing.length > 0 && <Missing missing={missing} />}
          <div className="mt-2 flex flex-wrap gap-2">
            <Button look="primary" disabled={faces.length === 0} onClick={() => window.print()}>
              <Printer size={17} aria-hidden="true" /> Print
            </Button>
            <a
              href={`/api/batches/${batch.id}/label?${addressOf(asked)}`}
              className="inline-flex min-h-11 items-center rounded-lg border border-rule bg-sheet px-4 font-medium hover:border-mute"
            >
              PDF
            </a>
            <Link
              href={`/batches/${batch.id}/record`}
              className="inline-flex min-h-11 items-center rounded-lg px-4 font-medium text-mute hover:text-ink"
            >
              Back to the batch
            </Link>
          </div>
          <p className="text-[13.5px] text-mute">
            Figures are calculated from typical compositions, not analysed. Your local food law decides what a label
            must say and whether these words do.
          </p>
          {query.code === 'yes' && (
            <p className="text-[13.5px] break-words text-mute">
              {address === ''
                ? 'No code: set where it leads in the '
                : `The code leads to ${address}. Change it in the `}
              <Link href="/settings#labels" className="text-enamel underline">
                settings
              </Link>
              .
            </p>
          )}
        </section>
        <section aria-label="As it prints" className="min-w-0">
          {fault && (
            <p role="alert" className="no-print mb-3 rounded-lg bg-off-wash px-3 py-2 text-off">
              {fault}
            </p>
          )}
          {late && <ToldLate late={late} />}
          {unprintable > 0 && (
            <p role="alert" className="no-print mb-3 rounded-lg bg-off-wash px-3 py-2 text-off">
              The PDF has no letters for some of what stands on it ({unprintable} of them): use Print on this page
              instead.
            </p>
          )}
          {faces.length > 1 && (
            <p role="status" className="no-print mb-3 text-mute">
              What it must say takes {faces.length} labels of this size: they print one after the other.
            </p>
          )}
          <div className="no-print mb-4 flex flex-wrap gap-3">
            {faces.map((face, i) => (
              <svg
                // biome-ignore lint/suspicious/noArrayIndexKey: labels in their order
                key={i}
                viewBox={`0 0 ${size.widthMm} ${size.heightMm}`}
                className="w-full max-w-[520px] rounded border border-rule bg-white"
                role="img"
                aria-label={`Label ${i + 1} of ${faces.length}`}
              >
                <FaceMarks face={face} code={code} />
              </svg>
            ))}
          </div>
          <LabelSheets size={sizeName} faces={faces} count={query.count} code={code} />
        </section>
      </main>
    </div>
  );
}
