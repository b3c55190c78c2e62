import type { KeyboardEvent } from 'react';
import { axisValue, type MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import { Button } from '@/ui/button';
import { axisText } from './map-axes';
import type { useFieldMap } from './use-field-map';

/** What the map shows, where the formula stands on it, and how far its drawing is. */
export function MapFoot({
  formula,
  axes,
  names,
  share,
  drawing: { share: done, stopped, fault, stop, again },
  onKeyDown,
}: {
  formula: Formula;
  axes: readonly [MapAxis, MapAxis];
  names: readonly [string, string];
  /** of the field on which every gate holds, 0-1; nothing while it is drawn */
  share: number | undefined;
  drawing: ReturnType<typeof useFieldMap>;
  onKeyDown: (event: KeyboardEvent) => void;
}) {
  return (
    <div className="mt-1 flex flex-wrap items-center gap-3 text-[13px]">
      <button
        type="button"
        className="min-h-11 rounded-lg border border-rule bg-field px-3"
        onKeyDown={onKeyDown}
        aria-label={`The formula on the map: ${axisText(axes[0], axisValue(formula, axes[0]))} ${names[0]}, ${axisText(
          axes[1],
          axisValue(formula, axes[1]),
        )} ${names[1]}. Move it with the arrow keys.`}
      >
        ● {axisText(axes[0], axisValue(formula, axes[0]))}, {axisText(axes[1], axisValue(formula, axes[1]))}
      </button>
      <span className="text-mute">
        {share !== undefined
          ? share > 0
            ? `shaded: every gate holds (${Math.round(100 * share)} % of the field); hatched: likely to split, seize or grain`
            : 'no place on this field passes every gate'
          : 'drawing…'}
      </span>
      {fault && (
        <span role="alert" className="text-off">
          {fault}{' '}
          <button type="button" className="min-h-11 font-medium underline" onClick={again}>
            Draw it again
          </button>
        </span>
      )}
      {done < 1 && !stopped && (
        <span className="ml-auto flex items-center gap-2">
          <progress value={done} className="h-2 w-24 accent-enamel" aria-label="Drawing the map" />
          <Button className="!px-3" onClick={stop}>
            Stop
          </Button>
        </span>
      )}
    </div>
  );
}
