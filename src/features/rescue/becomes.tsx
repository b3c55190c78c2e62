import { useMemo } from 'react';
import { becomes } from '@/core/rescue/becomes';
import type { UseId } from '@/core/uses/catalogue';
import { USE_NAMES } from '@/kitchen/words/job-words';
import type { RescuedPan } from './use-rescued-pan';

/** Other uses whose limits a pan meets. */
export function Becomes({ uses }: { uses: readonly UseId[] }) {
  if (uses.length === 0) return null;
  return (
    <section aria-label="What it can still become" className="mt-5">
      <h2 className="text-[1.15rem]">As it is it can still become</h2>
      <p>{uses.map((use) => USE_NAMES[use]).join(' · ')}</p>
    </section>
  );
}

/** Other uses whose limits a pan meets as it is. */
export function BecomesAsIs({ pan }: { pan: RescuedPan }) {
  const { components, formula } = pan.input;
  return <Becomes uses={useMemo(() => becomes(components, formula.process), [components, formula])} />;
}
