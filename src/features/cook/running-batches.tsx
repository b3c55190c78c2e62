import Link from 'next/link';
import { useCallback, useEffect, useState } from 'react';
import type { BatchHead } from '@/formats/batch';
import { listRunning } from '@/kitchen/client/batches';
import { useChanges } from '@/kitchen/use-changes';
import { batchNumber } from '@/ui/batch-number';

/** The other batches that run now, one touch away. */
export function RunningBatches({ id }: { id: string }) {
  const [others, setOthers] = useState<readonly BatchHead[]>([]);
  const look = useCallback(() => {
    listRunning().then(
      (found) => setOthers(found.filter((each) => each.id !== id)),
      // Not reachable: what was known stays.
      () => undefined,
    );
  }, [id]);
  useEffect(look, [look]);
  useChanges((change) => {
    if (change.what === 'batch') look();
  }, look);
  if (others.length === 0) return null;
  return (
    <>
      <h2 className="mt-4 text-[1.15rem]">Other batches</h2>
      <ul>
        {others.map(({ id: other, number, name }) => (
          <li key={other} className="border-rule border-t">
            <Link href={`/batches/${other}`} className="flex min-h-11 items-center gap-2 hover:text-enamel">
              <span className="min-w-0 flex-1 leading-tight">{name}</span>
              <span className="read text-mute">{batchNumber(number)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
