'use client';

import { type ReactNode, useEffect, useState } from 'react';
import type { StillOf } from './stills';

/** A drop is shown from closer by: the rim of its plate is cut off. */
export const CLOSER: Readonly<Record<StillOf['kind'], string>> = {
  drop: 'scale-[1.3]',
  line: '',
  ribbon: '',
  level: '',
};

/** A still of a sauce; until it is drawn, and where it cannot be, a flat drawing stands in its place. */
export function SauceStill({
  of,
  name,
  flat,
  className = '',
}: {
  of: StillOf;
  /** what is seen, for who does not see it; empty where the words beside it say so */
  name: string;
  flat: ReactNode;
  className?: string;
}) {
  const [drawn, setDrawn] = useState<{ readonly of: StillOf; readonly url: string } | undefined>();
  useEffect(() => {
    let here = true;
    let leave = () => {};
    import('./stills')
      .then(({ stillOf }) => {
        if (!here) return;
        const still = stillOf(of);
        leave = still.leave;
        return still.url.then((url) => here && setDrawn({ of, url }));
      })
      .catch(() => {
        // No graphics: the flat drawing stays.
      });
    return () => {
      here = false;
      leave();
    };
  }, [of]);
  return (
    <span
      className={`relative block aspect-[3/2] overflow-hidden rounded-lg bg-bench ${className}`}
      data-still={drawn ? 'drawn' : 'flat'}
    >
      {drawn ? (
        // biome-ignore lint/performance/noImgElement: a picture made on this tablet, as it is
        <img src={drawn.url} alt={name} className={`size-full object-cover ${CLOSER[of.kind]}`} />
      ) : (
        <span className="flex size-full items-center justify-center">{flat}</span>
      )}
    </span>
  );
}
