import { useEffect, useRef, useState } from 'react';
import type { OffWeight } from '@/core/cook/off-weight';
import { roundToScale } from '@/core/matter/scale-rounding';
import { gramsAsTheyAre } from '@/kitchen/cook/rows-open';
import type { Cook } from './use-cook';

/** Rows of which anything is in the pan: they can only grow. */
function rowsIn({ state }: Cook): ReadonlySet<number> {
  return new Set([...state.weighed].flatMap(([key, grams]) => (grams > 0 ? [Number(key.split(':')[1])] : [])));
}

/**
 * What comes of a row of which other than planned is weighed, and what makes up for it, worked out beside the screen.
 *
 * @param isAsked the row lies outside its band
 */
export function useMakingUp(cook: Cook, row: number, isAsked: boolean) {
  const { cooked, state, log, thread } = cook;
  const [found, setFound] = useState<OffWeight | undefined>();
  const [isLost, setLost] = useState(false);
  const grams = gramsAsTheyAre(cooked, state);
  const key = isAsked ? grams.join(' ') : '';
  const isIn = rowsIn(cook);
  const latest = useRef({ cooked, grams, isIn });
  latest.current = { cooked, grams, isIn };
  useEffect(() => {
    setFound(undefined);
    setLost(false);
    if (key === '') return;
    let isHere = true;
    const asked = latest.current;
    thread
      .ask((door) =>
        door.offWeight(
          asked.cooked.formula,
          asked.grams,
          asked.grams.map((_, other) => other === row || asked.isIn.has(other)),
        ),
      )
      .then(
        (answer) => isHere && setFound(answer),
        () => isHere && setLost(true),
      );
    return () => {
      isHere = false;
    };
  }, [key, row, thread]);
  return {
    found,
    /** it could not be worked out */
    isLost,
    /** what is in stays; the others are wanted in other amounts */
    makeUp: () => {
      for (const [other, wanted] of (found?.makeUp?.grams ?? []).entries()) {
        const rounded = roundToScale(wanted);
        const isSame = rounded === roundToScale(cooked.formula.lines[other]?.grams ?? 0);
        if (!isSame) log.tell({ kind: 'replan', row: other, grams: rounded });
      }
    },
  };
}
