'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { messageOf } from '@/formats/message-of';

/** What a page comes with: all there is, or as much as it needs at once where a kitchen has a great deal. */
export interface Carried<Row> {
  readonly rows: readonly Row[];
  readonly isWhole: boolean;
}

/** A page's rows, and whether they are all there by now. */
export interface Whole<Row> extends Carried<Row> {
  /** why the rest does not come */
  readonly fault: string | undefined;
  /** asks for it again */
  readonly again: () => void;
}

/**
 * The rows a page came with at once, and all of them as soon as they are fetched; fetched again when the page comes with others.
 *
 * @param carried the same object while the page is the same
 * @param fetchAll all rows there are
 */
export function useWhole<Row>(carried: Carried<Row>, fetchAll: () => Promise<readonly Row[]>): Whole<Row> {
  const [fetched, setFetched] = useState<readonly Row[] | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const asked = useRef(0);
  const latest = useRef(fetchAll);
  latest.current = fetchAll;

  const ask = useCallback(async () => {
    const own = ++asked.current;
    setFault(undefined);
    try {
      const rows = await latest.current();
      if (own === asked.current) setFetched(rows);
    } catch (error) {
      if (own === asked.current) setFault(messageOf(error));
    }
  }, []);
  useEffect(() => {
    if (!carried.isWhole) void ask();
    return () => {
      asked.current += 1;
    };
  }, [carried, ask]);

  const all = carried.isWhole ? carried.rows : fetched;
  return { rows: all ?? carried.rows, isWhole: all !== undefined, fault, again: () => void ask() };
}
