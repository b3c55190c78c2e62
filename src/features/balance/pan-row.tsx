'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import {
  ArrowLeftRight,
  Blend,
  GripVertical,
  Lock,
  LockOpen,
  Minus,
  MoveDown,
  MoveUp,
  Plus,
  Trash2,
} from 'lucide-react';
import { memo } from 'react';
import { formIn, formsOf, type MeasureSystem, measureDoubt } from '@/core/matter/measures';
import type { Moment } from '@/core/predict/moments';
import type { MomentChange } from '@/core/predict/sensitivity';

import type { Ingredient } from '@/formats/ingredient';
import { STAGES, type Stage } from '@/formats/stages';
import { Button } from '@/ui/button';
import { grams, gramsPlain } from '@/ui/format';
import { besideGrams, gramsRules, measureRules } from '@/ui/kitchen-measure';
import { NumberField } from '@/ui/number-field';
import { GRAMS } from '@/ui/parse-amount';
import type { Edit, PanLine } from './formula-draft';
import { GramEffects } from './gram-effects';
import { STAGE_WORDS } from './stage-words';

interface PanRowProps {
  readonly line: PanLine;
  readonly name: string;
  /** the larder does not know this ingredient any more */
  readonly missing: boolean;
  /** its share, as the pan shows shares */
  readonly share: string;
  /** the keys act on this row */
  readonly current: boolean;
  readonly place: number;
  readonly count: number;
  /** grams before the last balance, when it changed them */
  readonly from: number | undefined;
  /** g a balance may give it */
  readonly least: number;
  readonly most: number;
  /** what the larder knows of it; nothing for an ingredient of the formula's own */
  readonly ingredient: Ingredient | undefined;
  /** what a little more of it would do at which moments, while its drawer is open */
  readonly more: { readonly moments: readonly Moment[]; readonly changes: readonly MomentChange[] } | undefined;
  readonly measures: MeasureSystem;
  readonly onSwap: (key: string) => void;
  readonly onBlend: (key: string) => void;
  readonly open: boolean;
  readonly onOpen: (key: string) => void;
  readonly edit: (edit: Edit) => void;
  readonly pause: () => void;
}

/** One ingredient in the pan. Its drawer holds steps, limits and places, for one finger. */
export const PanRow = memo(function PanRow(props: PanRowProps) {
  const { line, name, missing, share, from, open, onOpen, edit, pause, least, most, ingredient, measures } = props;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: line.key,
  });
  const moved = transform ? { transform: CSS.Translate.toString(transform), transition } : undefined;
  return (
    <li
      ref={setNodeRef}
      style={moved}
      data-key={line.key}
      className={`border-rule border-b ${isDragging ? 'relative z-10 bg-field shadow-lg' : ''} ${open ? 'bg-field' : ''} ${props.current ? 'shadow-[inset_3px_0_0_var(--color-enamel)]' : ''}`}
    >
      <div className="flex items-start py-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          className="flex h-11 w-6 shrink-0 touch-none items-center justify-center text-mute"
        >
          <GripVertical size={16} aria-hidden="true" />
        </button>
        <button
          type="button"
          aria-label={`${line.locked ? 'Unlock' : 'Lock'} ${name}`}
          aria-pressed={line.locked}
          onClick={() => edit({ type: 'lock', key: line.key })}
          className="flex h-11 w-9 shrink-0 items-center justify-center"
        >
          {line.locked ? (
            <Lock size={17} aria-hidden="true" />
          ) : (
            <LockOpen size={17} className="text-mute" aria-hidden="true" />
          )}
        </button>
        <button
          type="button"
          aria-expanded={open}
          aria-label={`${name}: steps, limits and place`}
          onClick={() => onOpen(line.key)}
          className="flex min-h-11 min-w-0 flex-1 flex-col justify-center pr-2 text-left leading-tight"
        >
          <span className={`line-clamp-3 font-semibold ${missing ? 'text-off' : ''}`}>{name}</span>
          {missing ? (
            <span className="text-[13px] text-off">not in the larder: counted as nothing</span>
          ) : from !== undefined ? (
            <span className="read text-[0.82rem] text-enamel" data-testid="change">
              {grams(from)} → {grams(line.grams)} g
            </span>
          ) : (
            (line.form || line.tie || line.byVolume) && (
              <span className="truncate text-[13px] text-mute">
                {[line.form, line.tie && `ratio ${line.tie}`, line.byVolume && 'by volume'].filter(Boolean).join(' · ')}
              </span>
            )
          )}
        </button>
        <NumberField
          label={`Grams of ${name}`}
          value={line.grams}
          rules={gramsRules(ingredient, line.form)}
          write={gramsPlain}
          onValue={(value) => value !== undefined && edit({ type: 'grams', key: line.key, grams: value })}
          onLeave={pause}
          className="w-[92px] shrink-0"
        />
        {measures === 'grams' || !ingredient ? (
          <span className="read flex min-h-11 w-12 shrink-0 items-center justify-end text-[0.9rem] text-mute">
            {share}
          </span>
        ) : (
          <span className="relative w-[82px] shrink-0">
            <NumberField
              label={`Measure of ${name}`}
              look="quiet"
              value={line.grams}
              rules={measureRules(ingredient, line.form)}
              write={(g) => besideGrams(ingredient, g, measures, line.form) ?? ''}
              onValue={(value) => value !== undefined && edit({ type: 'grams', key: line.key, grams: value })}
              onLeave={pause}
            />
            <span className="read pointer-events-none absolute right-px bottom-1 text-[0.8rem] text-mute leading-none">
              {share}
            </span>
          </span>
        )}
      </div>
      <div className="pl-[60px]">
        <Reach line={line} least={least} most={most} from={from} />
      </div>
      {open && <Drawer {...props} />}
    </li>
  );
});

/** Allowed reach as a line, the present place as a mark, the place before the last balance as a ring. */
function Reach({ line, least, most, from }: Pick<PanRowProps, 'line' | 'least' | 'most' | 'from'>) {
  if (line.locked || most <= least) return null;
  const end = Math.max(most, line.grams, from ?? 0) * 1.02 || 1;
  const at = (g: number) => 2 + (g / end) * 196;
  return (
    <svg
      viewBox="0 0 200 7"
      className="-mt-1 mb-0.5 block h-[7px] w-full"
      preserveAspectRatio="none"
      aria-hidden="true"
    >
      <line x1={at(least)} x2={at(most)} y1={5} y2={5} stroke="var(--color-rule)" strokeWidth={2} />
      {from !== undefined && (
        <line x1={at(from)} x2={at(line.grams)} y1={5} y2={5} stroke="var(--color-enamel-light)" strokeWidth={2} />
      )}
      <line x1={at(line.grams)} x2={at(line.grams)} y1={0} y2={7} stroke="var(--color-enamel)" strokeWidth={1.6} />
    </svg>
  );
}

const STEPS = [-10, -1, 1, 10];
/** Rows in the same group keep their proportion in a balance. */
const TIES = ['A', 'B', 'C'];

/** Steps, least and most, form, moving and removing. */
function Drawer(props: PanRowProps) {
  const { line, name, place, count, edit, pause, ingredient, more, onSwap, onBlend } = props;
  const nudge = (step: number) =>
    edit({
      type: 'grams',
      key: line.key,
      grams: Math.min(Math.max(Math.round((line.grams + step) * 10) / 10, 0), GRAMS.most),
    });
  return (
    <fieldset className="space-y-3 pt-1 pr-1 pb-3 pl-[60px]" aria-label={`${name}: more`}>
      {more && <GramEffects {...more} />}
      <div className="flex gap-1.5">
        {STEPS.map((step) => (
          <Button
            key={step}
            className="read flex-1 !px-0"
            onClick={() => nudge(step)}
            aria-label={`${step > 0 ? 'Add' : 'Take'} ${Math.abs(step)} g`}
          >
            {step < 0 ? <Minus size={14} aria-hidden="true" /> : <Plus size={14} aria-hidden="true" />}
            {Math.abs(step)}
          </Button>
        ))}
      </div>
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label="Least"
          showLabel
          optional
          placeholder="0"
          value={line.minGrams}
          rules={{ ...GRAMS, most: line.maxGrams ?? GRAMS.most }}
          write={gramsPlain}
          onValue={(value) => edit({ type: 'limits', key: line.key, minGrams: value, maxGrams: line.maxGrams })}
          onLeave={pause}
        />
        <NumberField
          label="Most"
          showLabel
          optional
          placeholder="free"
          value={line.maxGrams}
          rules={{ ...GRAMS, least: line.minGrams ?? 0 }}
          write={gramsPlain}
          onValue={(value) => edit({ type: 'limits', key: line.key, minGrams: line.minGrams, maxGrams: value })}
          onLeave={pause}
        />
      </div>
      <label className="block">
        <span className="mb-1 block text-[0.86rem] text-mute">When it goes in</span>
        <select
          className="h-11 w-full rounded-lg border border-rule bg-field px-2"
          value={line.stage ?? ''}
          onChange={(event) =>
            edit({ type: 'stage', key: line.key, stage: (event.target.value || undefined) as Stage })
          }
        >
          <option value="">not said</option>
          {STAGES.map((stage) => (
            <option key={stage} value={stage}>
              {STAGE_WORDS[stage]}
            </option>
          ))}
        </select>
      </label>
      <label className="block">
        <span className="mb-1 block text-[0.86rem] text-mute">How it goes in</span>
        <input
          className="h-11 w-full rounded-lg border border-rule bg-field px-3"
          value={line.form ?? ''}
          maxLength={40}
          placeholder="chopped, boil then pour…"
          onChange={(event) => edit({ type: 'form', key: line.key, form: event.target.value })}
          onBlur={pause}
        />
      </label>
      {ingredient && formsOf(ingredient).length > 1 && (
        <p className="text-[13px] text-mute">
          A cup of it is read as {formIn(ingredient, line.form)}, give or take{' '}
          {Math.round(100 * measureDoubt('cup', formIn(ingredient, line.form)))} %; say {formsOf(ingredient).join(', ')}{' '}
          above to change that.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <label className="flex min-h-11 items-center gap-2 text-[13.5px]">
          <input
            type="checkbox"
            className="size-5 accent-enamel"
            checked={line.byVolume ?? false}
            onChange={(event) => edit({ type: 'byVolume', key: line.key, byVolume: event.target.checked })}
          />
          by cup or spoon
        </label>
        <label className="flex min-h-11 items-center gap-2 text-[13.5px]">
          <span className="shrink-0">Ratio kept</span>
          <select
            className="h-11 min-w-0 flex-1 rounded-lg border border-rule bg-field px-1"
            aria-label={`Ratio of ${name} kept with group`}
            value={line.tie ?? ''}
            onChange={(event) => edit({ type: 'tie', key: line.key, tie: event.target.value || undefined })}
          >
            <option value="">no</option>
            {TIES.map((tie) => (
              <option key={tie} value={tie}>
                in group {tie}
              </option>
            ))}
          </select>
        </label>
      </div>
      {ingredient && (
        <div className="flex gap-1.5">
          <Button className="flex-1 !px-2" onClick={() => onSwap(line.key)}>
            <ArrowLeftRight size={16} aria-hidden="true" /> Swap it
          </Button>
          <Button className="flex-1 !px-2" onClick={() => onBlend(line.key)}>
            <Blend size={16} aria-hidden="true" /> Blend it
          </Button>
        </div>
      )}
      <div className="flex gap-1.5">
        <Button
          disabled={place === 0}
          onClick={() => edit({ type: 'move', key: line.key, to: place - 1 })}
          aria-label={`Move ${name} up`}
        >
          <MoveUp size={16} aria-hidden="true" />
        </Button>
        <Button
          disabled={place === count - 1}
          onClick={() => edit({ type: 'move', key: line.key, to: place + 1 })}
          aria-label={`Move ${name} down`}
        >
          <MoveDown size={16} aria-hidden="true" />
        </Button>
        <Button
          look="danger"
          className="ml-auto"
          onClick={() => edit({ type: 'remove', key: line.key })}
          aria-label={`Remove ${name}`}
        >
          <Trash2 size={16} aria-hidden="true" /> Remove
        </Button>
      </div>
    </fieldset>
  );
}
