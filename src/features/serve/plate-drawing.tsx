import { useMemo } from 'react';
import type { Outline } from '@/core/film/pick';
import type { Plate, PlateGuide, Point } from '@/core/serve/plate-guides';
import { picked } from '@/core/serve/plate-shapes';
import type { usePlateHand } from './use-plate-hand';

const wayOf = (points: readonly Point[]) =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');

/** An outline in m as a closed way in cm. */
export function shapeWay(outline: Outline): string {
  let way = '';
  for (let i = 0; i < outline.length; i += 2) {
    way += `${i === 0 ? 'M' : 'L'}${((outline[i] ?? 0) * 100).toFixed(3)} ${((outline[i + 1] ?? 0) * 100).toFixed(3)}`;
  }
  return `${way}Z`;
}

/** A plate from above, to scale: what is poured, what is drawn and dragged, and the ways of the pick. */
export function PlateDrawing({
  plate: { flatCm, isSquare },
  guide: { poolCm, picks },
  shapes,
  showsHand,
  hand,
  fillsSquare,
  poured,
  drawn,
  label,
}: {
  plate: Plate;
  guide: PlateGuide;
  /** what is drawn, as it lies at the end */
  shapes: readonly Outline[];
  /** the ways of the pick are drawn over it */
  showsHand: boolean;
  /** what draws on it; nothing where a pattern is shown */
  hand: ReturnType<typeof usePlateHand> | undefined;
  fillsSquare: boolean;
  /** colours of both sauces */
  poured: string;
  drawn: string;
  label: string;
}) {
  const moving = hand?.way;
  const ways = useMemo(() => (moving ? picked(shapes, moving) : shapes).map(shapeWay), [shapes, moving]);
  const rim = flatCm * 0.12;
  const half = flatCm / 2 + rim;
  const shape = (side: number, props: object) =>
    isSquare ? (
      <rect x={-side / 2} y={-side / 2} width={side} height={side} rx={0.6} {...props} />
    ) : (
      <circle r={side / 2} {...props} />
    );
  return (
    <svg
      viewBox={`${-half - 0.5} ${-half - 0.5} ${2 * half + 1} ${2 * half + 1}`}
      className={`w-full max-w-[430px] ${hand ? 'cursor-crosshair touch-none rounded-lg focus-visible:outline-2 focus-visible:outline-enamel' : ''}`}
      role={hand ? 'application' : 'img'}
      aria-label={label}
      data-testid="plate-drawing"
      {...hand?.handlers}
    >
      {shape(2 * half, { fill: '#fff', stroke: 'var(--color-rule)', strokeWidth: 0.08 })}
      {shape(flatCm, { fill: 'none', stroke: 'var(--color-rule)', strokeWidth: 0.06 })}
      {poolCm > 0 &&
        (fillsSquare ? (
          <rect x={-poolCm / 2} y={-poolCm / 2} width={poolCm} height={poolCm} rx={0.6} fill={poured} />
        ) : (
          <circle r={poolCm / 2} fill={poured} />
        ))}
      {ways.map((way, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: shapes stand in their order
        <path key={i} d={way} fill={poolCm > 0 ? drawn : poured} />
      ))}
      {showsHand &&
        // Light below, so that it is seen on dark sauce too.
        (
          [
            ['#fff', 0.2, undefined],
            ['var(--color-enamel)', 0.1, '0.3 0.2'],
          ] as const
        ).map(([stroke, strokeWidth, strokeDasharray]) => (
          <path
            key={stroke}
            d={picks.map(wayOf).join('')}
            fill="none"
            stroke={stroke}
            strokeWidth={strokeWidth}
            strokeDasharray={strokeDasharray}
          />
        ))}
      {hand?.cursor && (
        <path
          d={`M${hand.cursor.x - 0.5} ${hand.cursor.y}h1M${hand.cursor.x} ${hand.cursor.y - 0.5}v1`}
          stroke="var(--color-enamel)"
          strokeWidth={0.1}
        />
      )}
      <path d={`M${-half} ${half + 0.2}h5`} stroke="var(--color-ink)" strokeWidth={0.1} />
      <text x={-half + 5.3} y={half + 0.45} fontSize={0.75} fill="var(--color-mute)">
        5 cm
      </text>
    </svg>
  );
}
