'use client';

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { restrictToParentElement, restrictToVerticalAxis } from '@dnd-kit/modifiers';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { Fragment, useCallback, useDeferredValue, useMemo, useState } from 'react';
import { reachOf } from '@/core/balance/problem';
import type { CupSystem, MeasureSystem } from '@/core/matter/measures';
import type { MomentChange } from '@/core/predict/sensitivity';
import { itemOf, type Larder } from '@/kitchen/known-item';
import { Key } from '@/ui/button';
import { gramsPlain, percent, significant, weight } from '@/ui/format';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import { totalGrams, yieldGrams } from '../draft/formula-draft';
import type { OpenFormula } from '../draft/use-formula';
import { CompositionBar } from './composition-bar';
import { isChocolate, isLiquid } from './kinds';
import { PanRow } from './pan-row';
import { PiecesField } from './pieces-field';
import { RowStatus } from './row-status';
import { STAGE_WORDS } from './stage-words';

/** What a row's share is counted in. */
type Parts = 'batch' | 'chocolate' | 'liquid';

const PARTS_WORDS: Record<Parts, string> = {
  batch: '%',
  chocolate: 'choc. = 100',
  liquid: 'liquid = 100',
};

/** The batch: “3x” makes three of it. */
const BATCH = { ...GRAMS, least: 1, scales: true };

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
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const chosen = draft.lines.find(({ key }) => key === current);
  const total = totalGrams(draft);
  const yieldG = yieldGrams(draft);
  // The shares of all rows move with each gram: they too may come a frame after the curve.
  const laterTotal = totalGrams(laterDraft);
  const laterGrams = useMemo(() => new Map(laterDraft.lines.map((line) => [line.key, line.grams])), [laterDraft]);
  const reference = referenceGrams(parts, laterDraft, larder);
  const shareText = (grams: number) =>
    parts === 'batch'
      ? percent(laterTotal > 0 ? grams / laterTotal : 0)
      : reference > 0
        ? significant((100 * grams) / reference, 3)
        : '–';

  const tried = predicted && more && { moments: predicted.formula.moments, changes: more };
  const order = draft.lines.map((line) => line.key).join(' ');
  // One list as long as the order stands: a new one would draw every row anew.
  const keys = useMemo(() => (order === '' ? [] : order.split(' ')), [order]);
  const toggle = useCallback((key: string) => onOpenKey((now) => (now === key ? undefined : key)), [onOpenKey]);

  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const to = draft.lines.findIndex((line) => line.key === over?.id);
    if (over && active.id !== over.id && to >= 0) edit({ type: 'move', key: String(active.id), to });
  };

  return (
    <section aria-label="In the pan" className="px-4 pt-3 pb-6">
      <div className="flex items-center justify-between gap-3 border-rule border-b pb-2">
        <h2 className="whitespace-nowrap text-[1.2rem]">In the pan</h2>
        <div className="flex items-center gap-2 text-[13px] text-mute">
          <NumberField
            label="Batch total, scales every row"
            value={total}
            rules={BATCH}
            write={gramsPlain}
            step={10}
            disabled={total === 0}
            onValue={(value) => value !== undefined && value > 0 && edit({ type: 'scale', totalGrams: value })}
            onLeave={pause}
            className="w-[104px]"
          />
          <span className="whitespace-nowrap leading-tight">
            <span className="read">→ {weight(yieldG)}</span>
            <span className="block text-[11.5px]">on the table</span>
          </span>
          <select
            aria-label="Shares shown as"
            className="h-11 w-[58px] rounded-lg border border-rule bg-field px-1"
            value={parts}
            onChange={(event) => setParts(event.target.value as Parts)}
          >
            {(Object.keys(PARTS_WORDS) as Parts[]).map((each) => (
              <option key={each} value={each}>
                {PARTS_WORDS[each]}
              </option>
            ))}
          </select>
        </div>
      </div>
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
        <DndContext
          id="pan"
          sensors={sensors}
          collisionDetection={closestCenter}
          modifiers={[restrictToVerticalAxis, restrictToParentElement]}
          onDragEnd={onDragEnd}
        >
          <SortableContext items={keys} strategy={verticalListSortingStrategy}>
            <ol aria-label="Ingredients">
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
            </ol>
          </SortableContext>
        </DndContext>
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
