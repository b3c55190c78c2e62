import { useState } from 'react';
import { roundToScale } from '@/core/matter/scale-rounding';
import { type Cook, gramsIn } from './use-cook';

/**
 * What makes up for a row of which other than written went in.
 *
 * @param total g of the row that are in, all its steps together
 */
export function useMakingUp({ cooked, state, log, thread }: Cook, row: number, total: number) {
  const [trouble, setTrouble] = useState<string | undefined>();
  const { formula, method } = cooked;
  const isIn = (other: number) => other === row || gramsIn(state, method.followed.length, other) > 0;
  return {
    /** why nothing makes up for it */
    trouble,
    /** all rows that are not in yet, as much more or less */
    scaleRest: () => {
      const planned = formula.lines[row]?.grams ?? 0;
      const factor = planned > 0 ? total / planned : 1;
      for (const [other, { grams }] of formula.lines.entries()) {
        if (!isIn(other)) log.tell({ kind: 'replan', row: other, grams: roundToScale(grams * factor) });
      }
      log.tell({ kind: 'replan', row, grams: roundToScale(total) });
    },
    /** what is in stays; the others are balanced around it */
    compensate: async () => {
      setTrouble(undefined);
      const lines = formula.lines.map((line, i) => (i === row ? { ...line, grams: total } : line));
      try {
        const grams = await thread.ask((door) =>
          door.compensate(
            { ...formula, lines },
            lines.map((_, i) => isIn(i)),
          ),
        );
        if (!grams) {
          setTrouble('Nothing that is not in yet can make up for it: go on, and look at it when it is done.');
          return;
        }
        for (const [i, each] of grams.entries()) {
          const wanted = roundToScale(each);
          if (wanted !== roundToScale(formula.lines[i]?.grams ?? 0))
            log.tell({ kind: 'replan', row: i, grams: wanted });
        }
      } catch {
        setTrouble('It could not be worked out: the server cannot be reached.');
      }
    },
  };
}
