import { useMemo, useState } from 'react';
import { costOfLines } from '@/core/formula/formula';
import type { RingRead } from '@/core/learn/ring-residual';
import type { FaultCause } from '@/core/rescue/diagnosis';
import type { Sign } from '@/core/rescue/signs';
import type { BatchAnswer, Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import type { Ingredient } from '@/formats/ingredient';
import { openedPan } from '@/kitchen/cook/cook-batch';
import { componentsNow, panNow } from '@/kitchen/cook/pan-now';
import { ringResiduals } from '@/kitchen/cook/pan-thickness';
import { inPanOf, type RescueInput } from '@/kitchen/cook/rescue';
import type { RescueSource } from './rescue-source';
import { useTell } from './use-tell';

/** What a rescue writes into the log of its batch. */
const notesOf = (tell: (what: Happening) => void) => ({
  /** so much of it went in, in this rescue */
  note: (ingredient: Ingredient, grams: number) =>
    tell({ kind: 'add', name: ingredient.name, components: ingredient.components, grams }),
  /** what was done about a sign, and whether it worked */
  noteFix: (sign: Sign, cause: FaultCause | undefined, hasWorked: boolean) =>
    tell({ kind: 'fix', sign, ...(cause && { cause }), hasWorked }),
  /** a ring was read */
  noteRing: (ring: RingRead) => tell({ kind: 'ring', ...ring }),
});

/** What is in the pan that is rescued: prefilled from its batch, and corrected where the cook knows better. */
export function useRescuedPan(source: RescueSource, frozen: BatchAnswer['frozen'], additives: readonly Ingredient[]) {
  const { batch } = source;
  const cooked = useMemo(() => openedPan(frozen), [frozen]);
  const state = useMemo(
    () => batch && foldBatch(cooked.method?.followed.length ?? 0, batch.head.startedMs, batch.events),
    [batch, cooked],
  );
  const [pan, setPan] = useState(() => panNow(cooked, state));
  const [version, setVersion] = useState(0);
  const [temperatureC, setTemperature] = useState(state?.temperatures.at(-1)?.temperatureC);
  const tell = useTell(batch);
  const input = useMemo((): RescueInput => {
    const components = componentsNow(cooked, pan);
    const massG = components.reduce((sum, grams) => sum + grams, 0);
    const cost = costOfLines(cooked.formula.lines.map((line, row) => ({ ...line, grams: pan.rows[row] ?? 0 })));
    return {
      formula: cooked.formula,
      components,
      inPan: inPanOf(frozen.file, pan.rows),
      isWhipped: cooked.method?.way === 'whipped',
      isWeighed: pan.isWeighed,
      rings: state && cooked.method ? ringResiduals({ ...cooked, method: cooked.method }, state.rings) : [],
      costPerKg: massG > 0 ? cost / massG : 0,
      additives,
    };
  }, [cooked, frozen, pan, additives, state]);
  const massG = input.components.reduce((sum, grams) => sum + grams, 0);

  return {
    pan,
    names: cooked.names,
    input,
    massG,
    temperatureC,
    setTemperature,
    ...notesOf(tell),
    isBatch: batch !== undefined,
    formulaId: batch?.head.formulaId ?? source.formula?.id,
    /** counts corrections: a rescue begins anew after one */
    version,
    correct: (row: number, grams: number) => {
      setPan({ ...pan, rows: pan.rows.map((each, i) => (i === row ? grams : each)) });
      setVersion(version + 1);
    },
    /** something else is in it that nobody wrote down */
    more: (ingredient: Ingredient, grams: number) => {
      const { name, components } = ingredient;
      setPan({ ...pan, added: [...pan.added, { name, components, grams }] });
      setVersion(version + 1);
      tell({ kind: 'add', name, components, grams });
    },
    /** what nobody said is in, is in after all */
    allIsIn: () => {
      const rows = [...pan.rows];
      for (const { step, row, grams } of pan.unsaid) {
        rows[row] = (rows[row] ?? 0) + grams;
        tell({ kind: 'weigh', step, row, grams, by: 'hand' });
      }
      setPan({ ...pan, rows, unsaid: [] });
      setVersion(version + 1);
    },
    correctLost: (lostG: number) => {
      setPan({ ...pan, lostG });
      setVersion(version + 1);
    },
  };
}

export type RescuedPan = ReturnType<typeof useRescuedPan>;
