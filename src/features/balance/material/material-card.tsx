'use client';

import type { ReactNode } from 'react';
import { Button } from '@/ui/button';
import { HOUR_UNITS } from '@/ui/field-units';
import { NumberField } from '@/ui/number-field';
import type { AmountRules } from '@/ui/parse-amount';
import type { Compared } from './curve-view';

/** How the material is looked at. */
export type MaterialView = 'curve' | 'day' | 'map';

const VIEWS: readonly (readonly [MaterialView, string])[] = [
  ['curve', 'Curve'],
  ['day', 'Day'],
  ['map', 'Map'],
];

/** Hours after which a poured batch still counts as fresh. */
const FRESH_H = 0.3;
const RESTED: AmountRules = { least: 0.1, most: 2000, unit: 'h', units: HOUR_UNITS, example: '24' };

function Choice<T extends string | number>({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChoose: (value: T) => void;
}) {
  return (
    <fieldset aria-label={label} className="flex shrink-0 items-center whitespace-nowrap text-[13px]">
      {options.map(([each, name]) => (
        <label
          key={each}
          className="flex min-h-11 cursor-pointer items-center rounded-md border border-transparent px-2 has-checked:border-rule has-checked:bg-sheet has-checked:font-semibold has-focus-visible:outline-2 has-focus-visible:outline-enamel"
        >
          <input
            type="radio"
            name={label}
            className="sr-only"
            checked={value === each}
            onChange={() => onChoose(each)}
          />
          {name}
        </label>
      ))}
    </fieldset>
  );
}

/** The card in the middle: the curve, the day or the map, with what each asks for. */
export function MaterialCard({
  view,
  onView,
  rested,
  onRested,
  compared,
  onCompare,
  onStopComparing,
  children,
}: {
  view: MaterialView;
  onView: (view: MaterialView) => void;
  rested: number;
  onRested: (hours: number) => void;
  compared: readonly Compared[];
  onCompare: () => void;
  onStopComparing: () => void;
  children: ReactNode;
}) {
  return (
    <section aria-label="Through the gates">
      <div className="mb-2 flex flex-wrap items-center justify-between gap-x-3">
        <h2 className="text-[1.2rem]">Through the gates</h2>
        <Choice label="View" value={view} options={VIEWS} onChoose={onView} />
        {view === 'curve' && (
          <div className="flex items-center gap-1">
            <button
              type="button"
              aria-pressed={rested === FRESH_H}
              onClick={() => onRested(FRESH_H)}
              className="min-h-11 rounded-md border border-transparent px-2 text-[13px] aria-pressed:border-rule aria-pressed:bg-sheet aria-pressed:font-semibold"
            >
              fresh
            </button>
            <NumberField
              label="Hours rested at each temperature"
              value={rested}
              rules={RESTED}
              write={(hours) => String(Math.round(hours * 100) / 100)}
              onValue={(hours) => hours !== undefined && onRested(hours)}
              className="w-[76px]"
            />
            <Button
              look="bare"
              className="!px-2 text-[13px]"
              onClick={compared.length > 0 ? onStopComparing : onCompare}
            >
              {compared.length > 0 ? 'Stop comparing' : 'Compare'}
            </Button>
          </div>
        )}
      </div>
      <div className="overflow-hidden rounded-xl border border-rule bg-sheet">{children}</div>
    </section>
  );
}
