import type { Plate, PlateGuide, Point } from '@/core/serve/plate-guides';

const wayOf = (points: readonly Point[]) =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');

/** A plate from above, to scale: what is poured, what is drawn, and where the pick goes. */
export function PlateDrawing({
  plate: { flatCm, isSquare },
  guide: { poolCm, strokes, dots, picks },
  fillsSquare,
  poured,
  drawn,
  label,
}: {
  plate: Plate;
  guide: PlateGuide;
  fillsSquare: boolean;
  /** colours of both sauces */
  poured: string;
  drawn: string;
  label: string;
}) {
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
      className="w-full max-w-[430px]"
      role="img"
      aria-label={label}
    >
      {shape(2 * half, { fill: '#fff', stroke: 'var(--color-rule)', strokeWidth: 0.08 })}
      {shape(flatCm, { fill: 'none', stroke: 'var(--color-rule)', strokeWidth: 0.06 })}
      {poolCm > 0 &&
        (fillsSquare ? (
          <rect x={-poolCm / 2} y={-poolCm / 2} width={poolCm} height={poolCm} rx={0.6} fill={poured} />
        ) : (
          <circle r={poolCm / 2} fill={poured} />
        ))}
      {strokes.map(({ points, widthMm }, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: strokes stand in their order
          key={i}
          d={wayOf(points)}
          fill="none"
          stroke={poolCm > 0 ? drawn : poured}
          strokeWidth={widthMm / 10}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      ))}
      {dots.map(({ x, y, acrossMm }) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={acrossMm / 20} fill={poolCm > 0 ? drawn : poured} />
      ))}
      {picks.map((way, i) => (
        <path
          // biome-ignore lint/suspicious/noArrayIndexKey: ways stand in their order
          key={i}
          d={wayOf(way)}
          fill="none"
          stroke="var(--color-enamel)"
          strokeWidth={0.07}
          strokeDasharray="0.3 0.25"
        />
      ))}
      <path d={`M${-half} ${half + 0.2}h5`} stroke="var(--color-ink)" strokeWidth={0.1} />
      <text x={-half + 5.3} y={half + 0.45} fontSize={0.75} fill="var(--color-mute)">
        5 cm
      </text>
    </svg>
  );
}
