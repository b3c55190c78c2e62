'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical, Lock, LockOpen } from 'lucide-react';
import { memo, useMemo } from 'react';
import { grams, gramsPlain, weight } from '@/ui/format';
import { besideGrams, gramsRules, measureRules } from '@/ui/kitchen-measure';
import { NumberField } from '@/ui/number-field';
import { PanRowDrawer } from './pan-row-drawer';
import type { PanRowProps } from './pan-row-props';

// Marks stand still while the numbers beside them move.
const Grip = memo(() => <GripVertical size={16} aria-hidden="true" />);
const LockState = memo(({ locked }: { locked: boolean }) =>
  locked ? <Lock size={17} aria-hidden="true" /> : <LockOpen size={17} className="text-mute" aria-hidden="true" />,
);

/** One ingredient in the pan. Its drawer holds steps, limits and places, for one finger. */
export const PanRow = memo(function PanRow(props: PanRowProps) {
  const { line, name, missing, share, from, open, onOpen, edit, pause, least, most, ingredient, measures, cups } =
    props;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: line.key,
  });
  const inGrams = useMemo(() => gramsRules(ingredient, line.form, cups, name), [ingredient, line.form, cups, name]);
  const inMeasures = useMemo(
    () => ingredient && measureRules(ingredient, line.form, cups, name),
    [ingredient, line.form, cups, name],
  );
  const moved = transform ? { transform: CSS.Translate.toString(transform), transition } : undefined;
  return (
    <li
      ref={setNodeRef}
      style={moved}
      data-key={line.key}
      aria-current={props.current || undefined}
      className={`border-rule border-b has-[input[aria-invalid=true]]:pb-24 ${isDragging ? 'relative z-10 bg-field shadow-lg' : ''} ${open ? 'bg-field' : ''} ${props.current ? 'shadow-[inset_3px_0_0_var(--color-enamel)]' : ''}`}
    >
      <div className="flex items-start py-1">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${name}`}
          className="-mr-1 -ml-4 flex size-11 shrink-0 touch-none items-center justify-center text-mute"
        >
          <Grip />
        </button>
        <button
          type="button"
          aria-label={`Lock ${name}`}
          aria-pressed={line.locked}
          onClick={() => edit({ type: 'lock', key: line.key })}
          className="flex size-11 shrink-0 items-center justify-center"
        >
          <LockState locked={line.locked} />
        </button>
        <button
          type="button"
          aria-expanded={open}
          aria-label={`${name}: steps, limits and place`}
          onClick={() => onOpen(line.key)}
          className="flex min-h-11 min-w-0 flex-1 flex-col justify-center pr-2 text-left leading-tight"
        >
          <span className={`line-clamp-3 font-semibold ${missing ? 'text-off' : ''}`}>{name}</span>
          <RowNote line={line} missing={missing} from={from} />
        </button>
        <NumberField
          label={`Grams of ${name}`}
          value={line.grams}
          rules={inGrams}
          write={gramsPlain}
          onValue={(value) => value !== undefined && edit({ type: 'grams', key: line.key, grams: value })}
          onLeave={pause}
          className="w-[92px] shrink-0"
        />
        {measures === 'grams' || !ingredient || !inMeasures ? (
          <span className="read flex min-h-11 w-12 shrink-0 items-center justify-end text-[0.9rem] text-mute">
            {share}
          </span>
        ) : (
          <span className="relative w-[82px] shrink-0">
            <NumberField
              label={`Measure of ${name}`}
              look="quiet"
              value={line.grams}
              rules={inMeasures}
              write={(g) => besideGrams(ingredient, g, measures, line.form, cups) ?? ''}
              onValue={(value) => value !== undefined && edit({ type: 'grams', key: line.key, grams: value })}
              onLeave={pause}
            />
            <span className="read pointer-events-none absolute right-px bottom-1 text-[0.8rem] text-mute leading-none">
              {share}
            </span>
          </span>
        )}
      </div>
      <div className="pl-[68px]">
        <Reach line={line} least={least} most={most} from={from} />
      </div>
      {open && <PanRowDrawer {...props} />}
    </li>
  );
});

/** What stands below the name: that it is unknown, what the last balance did, how it goes in. */
function RowNote({ line, missing, from }: Pick<PanRowProps, 'line' | 'missing' | 'from'>) {
  if (missing) return <span className="text-[13px] text-off">not in the larder: counted as nothing</span>;
  if (from !== undefined) {
    return (
      <span className="read text-[0.82rem] text-enamel" data-testid="change">
        {grams(from)} → {weight(line.grams)}
      </span>
    );
  }
  const notes = [line.form, line.tie && `ratio ${line.tie}`, line.byVolume && 'by volume'].filter(Boolean);
  return notes.length > 0 && <span className="truncate text-[13px] text-mute">{notes.join(' · ')}</span>;
}

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
