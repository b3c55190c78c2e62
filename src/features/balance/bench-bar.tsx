'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { memo, type ReactNode } from 'react';
import { NumberField } from '@/ui/number-field';
import { Steps } from '@/ui/steps';
import { TopBar } from '@/ui/top-bar';
import { KITCHEN_RULES, useKitchenTemperature } from '@/ui/use-kitchen-temperature';
import { useMeasures } from '@/ui/use-measure-system';
import type { OpenFormula } from './draft/use-formula';
import { FormulaName } from './formula-name';
import { LaterMenu } from './later-parts';

/** The bar over the bench: the formula's name, the steps, back and forth, how this kitchen measures, and the rest. It stands still while grams are typed. */
export const BenchBar = memo(function BenchBar({
  id,
  name,
  canUndo,
  canRedo,
  edit,
  undo,
  redo,
  pause,
  isVariant,
  onSheet,
}: Pick<OpenFormula, 'canUndo' | 'canRedo' | 'edit' | 'undo' | 'redo' | 'pause'> & {
  id: string;
  name: string;
  isVariant: boolean;
  onSheet: (sheet: 'versions' | 'variants' | 'tags') => void;
}) {
  const measures = useMeasures();
  const [kitchenC, setKitchenC] = useKitchenTemperature();
  return (
    <TopBar
      title={<FormulaName name={name} onName={(typed) => edit({ type: 'name', name: typed })} onLeave={pause} />}
      steps={<Steps at="balance" id={id} />}
    >
      <BarButton label="Undo" disabled={!canUndo} onClick={undo}>
        <Undo2 size={20} aria-hidden="true" />
      </BarButton>
      <BarButton label="Redo" disabled={!canRedo} onClick={redo}>
        <Redo2 size={20} aria-hidden="true" />
      </BarButton>
      <div className="w-[78px] max-lg:hidden [&_*]:!border-white/25 [&_label>span]:!bg-transparent [&_input]:text-white [&_span]:!text-[#a9b6ba]">
        <NumberField
          label="Kitchen temperature"
          value={kitchenC}
          rules={KITCHEN_RULES}
          write={String}
          onValue={(value) => value !== undefined && setKitchenC(value)}
        />
      </div>
      <select
        aria-label="Measures beside grams"
        className="h-11 w-[74px] rounded-md bg-transparent px-1 text-white [&>option]:text-black"
        value={measures.value}
        onChange={(event) => measures.choose(event.target.value)}
      >
        {measures.options.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>
      <LaterMenu id={id} isVariant={isVariant} onSheet={onSheet} />
    </TopBar>
  );
});

function BarButton({
  label,
  disabled,
  onClick,
  children,
}: {
  label: string;
  disabled: boolean;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      onClick={onClick}
      disabled={disabled}
      aria-label={label}
      className="flex size-11 items-center justify-center rounded-md hover:bg-white/10 disabled:opacity-35"
    >
      {children}
    </button>
  );
}
