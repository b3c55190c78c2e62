'use client';

import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { Button } from '@/ui/button';
import type { Compared } from './curve-view';

/** How the material is looked at. */
export type MaterialView = 'curve' | 'day' | 'map';

const VIEWS: readonly (readonly [MaterialView, string])[] = [
  ['curve', 'Curve'],
  ['day', 'Day'],
  ['map', 'Map'],
];

/** Resting times the curve can be drawn for, h. */
const RESTS: readonly (readonly [number, string])[] = [
  [0.3, 'fresh'],
  [4, '4 h'],
  [24, '24 h'],
];

/** Charts come after the screen: the pan can be typed into before they are there. */
export const LaterDayChart = dynamic(() => import('./day-chart').then(({ DayChart }) => DayChart), { ssr: false });

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
            <Choice label="Rested at each temperature" value={rested} options={RESTS} onChoose={onRested} />
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
