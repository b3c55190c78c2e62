'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Button } from '@/ui/button';
import { celsius, degrees } from '@/ui/format';

/** Says once that the figures of a formula from before are not those it had: the model moved, the grams did not. */
export function MovedFigures({ id }: { id: string }) {
  const [gone, setGone] = useState(false);
  if (gone) return null;
  return (
    <div role="status" className="flex flex-wrap items-center gap-2 border-rule border-b bg-enamel-wash px-4 py-2">
      <p className="flex-1">
        <strong>The figures of this formula moved; its grams did not.</strong> The model now lets fat set sooner in the
        cold and more gently near {degrees(20)}–{celsius(24)}, counts spices and nut flour as thickening, and gels agar
        by its own weight.{' '}
        <Link href="/numbers" className="font-medium text-enamel underline">
          How the numbers are made
        </Link>
      </p>
      <Button
        onClick={() => {
          setGone(true);
          // What talks to the server is loaded after the bench.
          void import('@/kitchen/client/formulas').then(({ sawFigures }) => sawFigures(id)).catch(() => setGone(false));
        }}
      >
        Good to know
      </Button>
    </div>
  );
}
