'use client';

import { useIsLooking } from '@/kitchen/client/looking';

/** Says on every page that nobody knows yet whether something was saved, and that it is being looked for. */
export function LookingNotice() {
  return (
    <div role="status" className="no-print pointer-events-none fixed inset-x-0 bottom-20 z-50 flex justify-center px-4">
      {useIsLooking() && (
        <p className="rounded-lg bg-near-wash px-4 py-2 font-medium shadow-lg">
          It is not known whether this was saved. Looking…
        </p>
      )}
    </div>
  );
}
