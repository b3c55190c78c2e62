import { useCallback, useRef } from 'react';
import type { Edit, FormulaDraft } from './edit';
import { fileOf } from './formula-draft';

/** What an edit that changes many rows at once is called in the list of versions. */
const REWRITES: Readonly<Partial<Record<Edit['type'], string>>> = {
  balanced: 'Before it was balanced',
  mapped: 'Before it was moved on the map',
  lines: 'Before rows were exchanged',
};

/** Part by which proportions may differ where a pan was only scaled: grams are rounded to the scale. */
const SAME_PROPORTION = 0.02;

/** Rows that are another amount of the same pan: nothing is lost by them. */
function isScaled(before: FormulaDraft, lines: FormulaDraft['lines']): boolean {
  const total = (rows: FormulaDraft['lines']) => rows.reduce((sum, { grams }) => sum + grams, 0);
  const factor = total(lines) / Math.max(total(before.lines), 1e-9);
  return (
    lines.length === before.lines.length &&
    lines.every(({ ingredient, grams }, i) => {
      const row = before.lines[i];
      return row?.ingredient === ingredient && Math.abs(grams - factor * row.grams) <= SAME_PROPORTION * grams + 0.1;
    })
  );
}

/** Keeps the pan as a version before many of its rows are changed at once; dragging on is one change. */
export function useAutomaticVersions(id: string) {
  const last = useRef<Edit['type'] | undefined>(undefined);
  return useCallback(
    (edit: Edit, before: FormulaDraft) => {
      const name = REWRITES[edit.type];
      const goesOn = edit.type !== 'balanced' && edit.type !== 'lines' && edit.type === last.current;
      last.current = edit.type;
      if (name === undefined || goesOn || before.lines.length === 0) return;
      if (edit.type === 'lines' && isScaled(before, edit.lines)) return;
      const file = fileOf(before);
      import('@/kitchen/client/versions')
        .then(({ addVersion }) => addVersion(id, name, '', file, true))
        .catch(() => {
          // The server does not answer: undo goes back all the same.
        });
    },
    [id],
  );
}
