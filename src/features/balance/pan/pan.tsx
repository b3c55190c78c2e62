'use client';

import { Plus } from 'lucide-react';
import { Fragment, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { reachOf } from '@/core/balance/problem';
import type { CupSystem, MeasureSystem } from '@/core/matter/measures';
import type { MomentChange } from '@/core/predict/sensitivity';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { Key } from '@/ui/button';
import { percent, significant } from '@/ui/format';
import { totalGrams } from '../draft/formula-draft';
import type { OpenFormula } from '../draft/use-formula';
import { CompositionBar } from './composition-bar';
import { isChocolate, isLiquid } from './kinds';
import { PanHead, type Parts } from './pan-head';
import { PanRow } from './pan-row';
import { PiecesField } from './pieces-field';
import { RowStatus } from './row-status';
import { SortableRows } from './sortable-rows';
import { STAGE_WORDS } from './stage-words';

/** A per cent sign stays with its number. */
const NO_BREAK_PERCENT = '\u00a0%';

/** Name of a row's ingredient: the formula's own, or the larder's. */
export function ingredientName(formula: OpenFormula['draft'], larder: Larder, id: string): string {
  return (itemOf(formula, larder, id)?.name ?? id).replaceAll(' %', NO_BREAK_PERCENT);
}

/** Grams of what counts as 100: all chocolate, or all liquid; 0 for the batch. */
function referenceGrams(parts: Parts, draft: OpenFormula['draft'], larder: Larder): number {
  if (parts === 'batch') return 0;
  const counts = parts === 'chocolate' ? isChocolate : isLiquid;
  return draft.lines.reduce((sum, { ingredient, grams }) => {
    const known = itemOf(draft, larder, ingredient);
    return sum + (known && counts(known) ? grams : 0);
  }, 0);
}

function sharesText(grams: number, parts: Parts, total: number, reference: number): string {
  if (parts === 'batch') return percent(total > 0 ? grams / total : 0);
  return reference > 0 ? significant((100 * grams) / reference, 3) : '–';
}

/** A reach to two digits, as it is drawn: a row is not drawn anew because another one changed the batch a little. */
const drawnMost = (grams: number) => Number(grams.toPrecision(2));

/** What goes in: rows with grams, share and lock, in the order they go in; the total; what it adds up to. */
export function Pan({
  formula,
  larder,
  from,
  measures,
  cups,
  current,
  openKey,
  onOpenKey,
  more,
  onAdd,
  onSwap,
  onBlend,
}: {
  formula: OpenFormula;
  larder: Larder;
  /** grams before the last balance, by row */
  from: ReadonlyMap<string, number>;
  measures: MeasureSystem;
  cups: CupSystem;
  /** key of the row the keys act on */
  current: string | undefined;
  /** key of the row whose drawer is open */
  openKey: string | undefined;
  onOpenKey: (change: (now: string | undefined) => string | undefined) => void;
  /** what a little more of the open row would change */
  more: readonly MomentChange[] | undefined;
  onAdd: () => void;
  onSwap: (key: string | undefined) => void;
  onBlend: (key: string) => void;
}) {
  const { draft, predicted, edit, pause } = formula;
  // The bar below may come a frame after the curve.
  const later = useDeferredValue(predicted);
  const laterDraft = useDeferredValue(draft);
  const [parts, setParts] = useState<Parts>('batch');
  const chosen = draft.lines.find(({ key }) => key === current);
  // The shares of all rows move with each gram: they too may come a frame after the curve.
  const laterTotal = totalGrams(laterDraft);
  const laterGrams = useMemo(() => new Map(laterDraft.lines.map((line) => [line.key, line.grams])), [laterDraft]);
  const reference = referenceGrams(parts, laterDraft, larder);
  const shareText = (grams: number) => sharesText(grams, parts, laterTotal, reference);

  const tried = predicted && more && { moments: predicted.formula.moments, changes: more };
  const toggle = useCallback((key: string) => onOpenKey((now) => (now === key ? undefined : key)), [onOpenKey]);

  return (
    <section aria-label="In the pan" className="px-4 pt-3 pb-6">
      <PanHead formula={formula} parts={parts} onParts={setParts} />
      {predicted && <PiecesField draft={draft} prediction={predicted.prediction} edit={edit} pause={pause} />}
      {chosen && (
        <RowStatus
          line={chosen}
          name={ingredientName(draft, larder, chosen.ingredient)}
          place={draft.lines.indexOf(chosen)}
          count={draft.lines.length}
        />
      )}
      {draft.lines.length === 0 ? (
        <p className="py-6 text-mute">
          The pan is empty. Add the chocolate first, then what it is loosened with, then the small things.
        </p>
      ) : (
        <SortableRows lines={draft.lines} edit={edit}>
          {draft.lines.map((line, place) => (
            <Fragment key={line.key}>
              {line.stage !== draft.lines[place - 1]?.stage && (
                <li className="pt-2 pb-0.5 text-[12.5px] font-semibold text-mute">
                  {line.stage ? STAGE_WORDS[line.stage] : 'then'}
                </li>
              )}
              <PanRow
                line={line}
                name={ingredientName(draft, larder, line.ingredient)}
                missing={itemOf(draft, larder, line.ingredient) === undefined}
                share={shareText(laterGrams.get(line.key) ?? line.grams)}
                place={place}
                count={draft.lines.length}
                from={from.get(line.key)}
                least={reachOf(line, laterTotal).least}
                most={drawnMost(reachOf(line, laterTotal).most)}
                ingredient={itemOf(draft, larder, line.ingredient)?.stocked}
                more={openKey === line.key ? tried : undefined}
                measures={measures}
                cups={cups}
                onSwap={onSwap}
                onBlend={onBlend}
                open={openKey === line.key}
                onOpen={toggle}
                edit={edit}
                pause={pause}
                current={current === line.key}
              />
            </Fragment>
          ))}
        </SortableRows>
      )}
      <div className="mt-1 flex flex-wrap items-center justify-between gap-2 pl-[26px]">
        <button type="button" onClick={onAdd} className="flex min-h-11 items-center gap-2 font-semibold text-enamel">
          <Plus size={18} aria-hidden="true" /> Add an ingredient <Key>/</Key>
        </button>
        {predicted && (
          <button type="button" onClick={() => onSwap(undefined)} className="min-h-11 font-medium text-enamel">
            Do without…
          </button>
        )}
      </div>
      {predicted && later && <CompositionBar prediction={later.prediction} draft={laterDraft} larder={larder} />}
    </section>
  );
}
