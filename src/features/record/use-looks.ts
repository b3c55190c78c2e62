import { useEffect, useRef, useState } from 'react';
import { type BookRow, MOST_LOOKS } from '@/formats/book';
import { fetchLooks } from '@/kitchen/client/library';
import type { PouredLook } from '@/kitchen/formula-summary';

/** What the formulas of some lines of the book look like as they are poured, by id, as they come in. */
export function useLooks(rows: readonly BookRow[]): Readonly<Record<string, PouredLook>> {
  const [looks, setLooks] = useState<Readonly<Record<string, PouredLook>>>({});
  const asked = useRef(new Set<string>());
  useEffect(() => {
    const all = new Set(rows.flatMap(({ formulaId }) => formulaId ?? []));
    const missing = [...all].filter((id) => !asked.current.has(id)).slice(0, MOST_LOOKS);
    if (missing.length === 0) return;
    for (const id of missing) asked.current.add(id);
    fetchLooks(missing)
      .then((found) => setLooks((known) => ({ ...known, ...found })))
      .catch(() => {
        // The book is read without pictures.
      });
  }, [rows]);
  return looks;
}
