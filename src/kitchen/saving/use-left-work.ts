import { useEffect, useRef, useState } from 'react';
import type { FormulaFile } from '@/formats/formula-file';
import { answerOtherPages, findUnsaved, letGoOfUnsaved } from './unsaved-work';

/** Work on a formula that an earlier visit never saved. */
export interface LeftWork {
  /** revision it was made on */
  readonly revision: number;
  readonly formula: FormulaFile;
}

/** Looks for work on the open formula that a page of this tablet left behind. */
export function useLeftWork(id: string, opened: FormulaFile) {
  const [left, setLeft] = useState<(LeftWork & { readonly page: string }) | undefined>();
  const text = useRef(JSON.stringify(opened));
  useEffect(() => answerOtherPages(), []);
  useEffect(() => {
    let here = true;
    const look = async () => {
      const found = await findUnsaved(id);
      if (found.length === 0 || !here) return;
      const { readKept, canonical } = await import('./saved-answers');
      for (const { page, revision, formula } of found) {
        const read = readKept(formula);
        if (read && JSON.stringify(read) !== canonical(JSON.parse(text.current))) {
          if (here) setLeft({ page, revision, formula: read });
          return;
        }
        // It is what stands there: its save was acknowledged to nobody.
        if (read) await letGoOfUnsaved(id, page);
      }
    };
    look().catch(() => {
      // Not reachable: what was kept stays kept.
    });
    return () => {
      here = false;
    };
  }, [id]);
  return {
    left,
    letGoOfLeft: () => {
      if (left) void letGoOfUnsaved(id, left.page);
      setLeft(undefined);
    },
  };
}
