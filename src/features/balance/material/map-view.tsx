'use client';

import { ticks } from 'd3-array';
import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import { atAxis, axisReach, axisValue, type MapAxis } from '@/core/balance/field-map';
import type { Formula } from '@/core/formula/formula';
import { Button } from '@/ui/button';
import { grams, significant, weight } from '@/ui/format';
import { shownUnit } from '@/ui/settings/shown-units';
import { axisChoices, axisKey, largestTwo } from './map-axes';
import { EdgeMarks, mapWords, RegionMarks } from './map-edges';
import { contourPath, HEIGHT, LEFT, PLOT, TOP, WIDTH } from './map-geometry';
import { useFieldMap } from './use-field-map';

/** From here on a risk is likely and its area is hatched. */
const LIKELY = 0.5;
/** Parts of an axis one press of an arrow key moves the dot. */
const KEY_STEP = 0.02;

type Reach = readonly [number, number];

const axisText = (axis: MapAxis, value: number) =>
  axis.kind === 'grams' ? `${weight(value)}` : `${significant(value, 2)} : 1`;

/** How far can it go wrong and still land: two rows (or a ratio) span a field, the formula is a dot that can be dragged. */
export function MapView({
  formula,
  use,
  proposedGrams,
  nameOf,
  onGrams,
}: {
  formula: Formula;
  /** what it is for, for the words */
  use: string | undefined;
  /** grams of a balance that is proposed */
  proposedGrams: readonly number[] | undefined;
  nameOf: (ingredient: string) => string;
  /** puts grams into the pan */
  onGrams: (grams: readonly number[]) => void;
}) {
  const choices = useMemo(() => axisChoices(formula, nameOf), [formula, nameOf]);
  const [picked, setPicked] = useState((): readonly [string, string] => {
    const [across, up] = largestTwo(formula);
    return [axisKey(across), axisKey(up)];
  });
  const choose = (place: 0 | 1, key: string) => setPicked(place === 0 ? [key, picked[1]] : [picked[0], key]);
  const [x, y] = picked.map((key, i) => choices.find((choice) => choice.key === key) ?? choices[i]);
  if (!x || !y || formula.lines.length < 2) {
    return <p className="p-6 text-mute">The map needs two rows in the pan.</p>;
  }
  return (
    <div className="p-3">
      <div className="mb-2 grid grid-cols-2 gap-2">
        {[x, y].map((side, place) => (
          <label key={place === 0 ? 'across' : 'up'} className="block text-[13px]">
            <span className="text-mute">{place === 0 ? 'Across' : 'Up'}</span>
            <select
              className="h-11 w-full rounded-lg border border-rule bg-field px-2"
              value={side.key}
              onChange={(event) => choose(place as 0 | 1, event.target.value)}
            >
              {choices
                .filter(({ key }) => key !== (place === 0 ? y : x).key)
                .map((choice) => (
                  <option key={choice.key} value={choice.key}>
                    {choice.name}
                  </option>
                ))}
            </select>
          </label>
        ))}
      </div>
      <Field
        key={`${x.key} ${y.key}`}
        formula={formula}
        use={use}
        axes={[x.axis, y.axis]}
        names={[x.name, y.name]}
        proposedGrams={proposedGrams}
        onGrams={onGrams}
      />
    </div>
  );
}

/** The field itself. Its reach is that of the formula it was opened on, so that it stays while the dot is dragged. */
function Field({
  formula,
  use,
  axes,
  names,
  proposedGrams,
  onGrams,
}: {
  formula: Formula;
  use: string | undefined;
  axes: readonly [MapAxis, MapAxis];
  names: readonly [string, string];
  proposedGrams: readonly number[] | undefined;
  onGrams: (grams: readonly number[]) => void;
}) {
  const origin = useRef(formula);
  const sameRows = origin.current.lines.length === formula.lines.length;
  if (!sameRows) origin.current = formula;
  // The field is drawn around where it was opened; rows that are not on its axes follow the pan.
  const onAxes = new Set(axes.flatMap((axis) => (axis.kind === 'grams' ? [axis.line] : [axis.over, axis.under])));
  const around: Formula = {
    ...formula,
    lines: formula.lines.map((line, i) =>
      onAxes.has(i) ? { ...line, grams: origin.current.lines[i]?.grams ?? line.grams } : line,
    ),
  };
  const { map, share, stopped, fault, stop, again } = useFieldMap(around, axes);
  const dragging = useRef(false);
  const reach: readonly [Reach, Reach] = [axisReach(around, axes[0]), axisReach(around, axes[1])];
  const at = (axis: 0 | 1, value: number) => (value - reach[axis][0]) / (reach[axis][1] - reach[axis][0]);
  const place = (list: readonly number[]) => {
    const there = { ...formula, lines: formula.lines.map((line, i) => ({ ...line, grams: list[i] ?? line.grams })) };
    return {
      cx: LEFT + at(0, axisValue(there, axes[0])) * PLOT.width,
      cy: TOP + (1 - at(1, axisValue(there, axes[1]))) * PLOT.height,
    };
  };
  const now = formula.lines.map((line) => line.grams);
  const dot = place(now);

  const moveTo = (partX: number, partY: number) => {
    const value = (axis: 0 | 1, part: number) =>
      reach[axis][0] + Math.min(Math.max(part, 0), 1) * (reach[axis][1] - reach[axis][0]);
    const next = atAxis(atAxis(now, axes[1], value(1, partY)), axes[0], value(0, partX));
    onGrams(next.map((g) => Math.round(g * 10) / 10));
  };
  const onPointer = (event: PointerEvent<SVGSVGElement>) => {
    if (!dragging.current) return;
    const box = event.currentTarget.getBoundingClientRect();
    const scale = WIDTH / box.width;
    moveTo(
      ((event.clientX - box.left) * scale - LEFT) / PLOT.width,
      1 - ((event.clientY - box.top) * scale - TOP) / PLOT.height,
    );
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = KEY_STEP * (event.shiftKey ? 5 : 1);
    const [partX, partY] = [(dot.cx - LEFT) / PLOT.width, 1 - (dot.cy - TOP) / PLOT.height];
    if (event.key === 'ArrowLeft') moveTo(partX - step, partY);
    else if (event.key === 'ArrowRight') moveTo(partX + step, partY);
    else if (event.key === 'ArrowUp') moveTo(partX, partY + step);
    else if (event.key === 'ArrowDown') moveTo(partX, partY - step);
    else return;
    event.preventDefault();
  };

  const drawn = useMemo(() => {
    if (!map) return undefined;
    return {
      inside: contourPath(map, map.inside, 0),
      risky: contourPath(map, map.risk, LIKELY),
      words: mapWords(map, { gates: formula.gates, moments: formula.moments }, use),
      share: map.inside.filter((value) => value >= 0).length / map.inside.length,
    };
  }, [map, formula.gates, formula.moments, use]);

  return (
    <div data-testid="map">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="block w-full touch-none select-none"
        role="img"
        aria-label={`Map of ${names[0]} against ${names[1]}`}
        onPointerDown={(event) => {
          dragging.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          onPointer(event);
        }}
        onPointerMove={onPointer}
        onLostPointerCapture={() => {
          dragging.current = false;
        }}
      >
        <defs>
          <pattern id="risk" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1={0} x2={0} y1={0} y2={7} stroke="var(--color-off)" strokeWidth={1.4} strokeOpacity={0.5} />
          </pattern>
          <clipPath id="plot">
            <rect x={LEFT} y={TOP} width={PLOT.width} height={PLOT.height} />
          </clipPath>
        </defs>
        <rect
          x={LEFT}
          y={TOP}
          width={PLOT.width}
          height={PLOT.height}
          fill="var(--color-field)"
          stroke="var(--color-rule)"
        />
        <g clipPath="url(#plot)">
          {drawn && (
            <path
              d={drawn.inside}
              fill="var(--color-enamel)"
              fillOpacity={0.3}
              stroke="var(--color-enamel)"
              strokeWidth={3}
              data-testid="map-inside"
            />
          )}
          {drawn && <path d={drawn.risky} fill="url(#risk)" />}
          {drawn && <RegionMarks regions={drawn.words.regions} />}
          {drawn && <EdgeMarks edges={drawn.words.edges} />}
        </g>
        <g className="read text-[12px]" fill="var(--color-mute)">
          {axisTicks(axes[0], reach[0]).map((value) => (
            <text key={value} x={LEFT + at(0, value) * PLOT.width} y={TOP + PLOT.height + 17} textAnchor="middle">
              {axisTick(axes[0], value)}
            </text>
          ))}
          {axisTicks(axes[1], reach[1]).map((value) => (
            <text key={value} x={LEFT - 6} y={TOP + (1 - at(1, value)) * PLOT.height + 4} textAnchor="end">
              {axisTick(axes[1], value)}
            </text>
          ))}
        </g>
        <text
          x={LEFT + PLOT.width / 2}
          y={HEIGHT - 8}
          textAnchor="middle"
          className="text-[12.5px]"
          fill="var(--color-ink)"
        >
          {names[0]} →
        </text>
        <text
          x={LEFT + 8}
          y={TOP + 16}
          className="text-[12.5px]"
          fill="var(--color-ink)"
          stroke="var(--color-field)"
          strokeWidth={4}
          paintOrder="stroke"
        >
          ↑ {names[1]}
        </text>
        {proposedGrams && (
          <circle {...place(proposedGrams)} r={10} fill="none" stroke="var(--color-enamel)" strokeWidth={4} />
        )}
        <circle {...dot} r={11} fill="var(--color-ink)" stroke="var(--color-sheet)" strokeWidth={3} />
      </svg>
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
          {drawn
            ? drawn.share > 0
              ? `shaded: every gate holds (${Math.round(100 * drawn.share)} % of the field); hatched: likely to split, seize or grain`
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
        {share < 1 && !stopped && (
          <span className="ml-auto flex items-center gap-2">
            <progress value={share} className="h-2 w-24 accent-enamel" aria-label="Drawing the map" />
            <Button className="!px-3" onClick={stop}>
              Stop
            </Button>
          </span>
        )}
      </div>
    </div>
  );
}

/** Round places on an axis, in what is shown. */
function axisTicks(axis: MapAxis, [from, to]: Reach): number[] {
  const unit = axis.kind === 'grams' ? shownUnit('g') : undefined;
  return unit ? ticks(unit.toShown(from), unit.toShown(to), 6).map(unit.toKept) : ticks(from, to, 6);
}

const axisTick = (axis: MapAxis, value: number) => (axis.kind === 'grams' ? grams(value) : significant(value, 2));
