import Fuse from 'fuse.js';
import { useMemo, useState } from 'react';
import type { FormulaSummary } from '@/kitchen/formula-summary';

/** The choice that shows what was put away. */
export const ARCHIVE = '\u0000archive';

/** Cards that are drawn at a time: a big kitchen has hundreds. */
const PAGE = 48;

/** The formulas that are looked for, the best first, a page at a time. */
export function useFoundFormulas(all: readonly FormulaSummary[]) {
  const [query, setQuery] = useState('');
  const [tag, setTag] = useState('');
  const [most, setMost] = useState(PAGE);
  const asked = query.trim();

  const tags = useMemo(() => [...new Set(all.flatMap((formula) => formula.tags))].sort(), [all]);
  const formulas = useMemo(
    () =>
      all.filter((formula) =>
        tag === ARCHIVE ? formula.archived : !formula.archived && (tag === '' || formula.tags.includes(tag)),
      ),
    [all, tag],
  );
  const index = useMemo(
    () => new Fuse(formulas, { keys: ['words'], threshold: 0.3, ignoreLocation: true, minMatchCharLength: 2 }),
    [formulas],
  );
  const found = useMemo(
    () => (asked === '' ? formulas : index.search(asked).map(({ item }) => item)),
    [asked, formulas, index],
  );
  const begin = <Value>(set: (value: Value) => void) => {
    return (value: Value) => {
      setMost(PAGE);
      set(value);
    };
  };
  return {
    query,
    setQuery: begin(setQuery),
    tag,
    setTag: begin(setTag),
    tags,
    archived: useMemo(() => all.filter((formula) => formula.archived).length, [all]),
    /** how many there are without a search */
    total: formulas.length,
    found: found.slice(0, most),
    /** how many more were found than are drawn */
    left: Math.max(found.length - most, 0),
    showMore: () => setMost((now) => now + PAGE),
  };
}

export type FoundFormulas = ReturnType<typeof useFoundFormulas>;
