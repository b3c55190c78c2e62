'use client';

import Link from 'next/link';
import { KITCHEN_FROM_TESTS } from '@/core/learn/kitchen';
import { usePours } from './pours-provider';

/** Opens a formula on the bench reckoned as this kitchen pours, so that it is balanced by what its own tests say. */
export function AsKitchenPours({ formulaId }: { formulaId: string }) {
  const { canChoose, choose } = usePours();
  if (!canChoose) return <span>From {KITCHEN_FROM_TESTS} tests on it can be balanced as this kitchen pours.</span>;
  return (
    <Link
      href={`/formulas/${formulaId}/balance`}
      onClick={() => choose('kitchen')}
      className="inline-flex min-h-11 items-center font-medium text-enamel underline"
    >
      Balance it as this kitchen pours
    </Link>
  );
}
