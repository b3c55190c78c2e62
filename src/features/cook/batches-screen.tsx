'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import type { BatchHead } from '@/formats/batch';
import { useChanges } from '@/kitchen/use-changes';
import { batchNumber } from '@/ui/batch-number';
import { TopBar } from '@/ui/top-bar';
import { useRefreshOnReturn } from '@/ui/use-refresh-on-return';

const WHEN = { weekday: 'short', hour: '2-digit', minute: '2-digit' } as const;

/** The batches that run now. */
export function BatchesScreen({ batches }: { batches: readonly BatchHead[] }) {
  useRefreshOnReturn();
  const router = useRouter();
  useChanges((change) => {
    if (change.what === 'batch') router.refresh();
  }, router.refresh);
  return (
    <div className="flex min-h-screen flex-col">
      <TopBar />
      <main className="mx-auto w-full max-w-[900px] flex-1 px-5 py-6">
        <h1 className="text-[1.8rem]">On the stove</h1>
        {batches.length === 0 ? (
          <p className="mt-4 max-w-prose text-mute">
            Nothing is being cooked. Open a formula’s method and press “Cook this now”: the batch is a copy of its own,
            and everything that happens to it is written down.
          </p>
        ) : (
          <ul aria-label="Batches" className="mt-4 overflow-hidden rounded-xl border border-rule bg-sheet">
            {batches.map(({ id, number, name, startedMs }) => (
              <li key={id} className="border-rule border-b last:border-0">
                <Link href={`/batches/${id}`} className="flex min-h-16 items-center gap-4 px-4 hover:bg-enamel-wash">
                  <span className="read text-[1.2rem]">{batchNumber(number)}</span>
                  <span className="min-w-0 flex-1 font-semibold">{name}</span>
                  <span className="text-mute" suppressHydrationWarning>
                    since {new Date(startedMs).toLocaleString([], WHEN)}
                  </span>
                </Link>
              </li>
            ))}
          </ul>
        )}
      </main>
    </div>
  );
}
