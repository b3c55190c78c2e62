import { useMemo } from 'react';
import type { Outline } from '@/core/film/pick';
import { seededNumbers } from '@/core/random';
import type { Plate } from '@/core/serve/plate-guides';
import { shapeWay } from './plate-drawing';

/** Most plates that are drawn together, and how many stand in a row. */
const MOST_DRAWN = 12;
const ROW = 4;
/** How far one plate of a hand differs from the next: degrees turned, parts of the flat moved, parts larger or smaller (J). */
const HAND = { turnDeg: 7, moved: 0.012, grown: 0.05 } as const;

/** A number of plates in one hand: the same plate, each as a hand repeats it. */
export function PlateSet({
  plate: { flatCm, isSquare },
  count,
  poolCm,
  shapes,
  poured,
  drawn,
}: {
  plate: Plate;
  /** plates, 2 or more */
  count: number;
  poolCm: number;
  shapes: readonly Outline[];
  poured: string;
  drawn: string;
}) {
  const many = Math.min(count, MOST_DRAWN);
  const side = 1.3 * flatCm;
  const ways = useMemo(() => shapes.map(shapeWay).join(''), [shapes]);
  const plates = useMemo(() => {
    const random = seededNumbers(many);
    const around = () => 2 * random() - 1;
    return Array.from({ length: many }, (_, i) => ({
      x: (i % ROW) * side,
      y: Math.floor(i / ROW) * side,
      by: `rotate(${(HAND.turnDeg * around()).toFixed(2)}) translate(${(HAND.moved * flatCm * around()).toFixed(3)} ${(HAND.moved * flatCm * around()).toFixed(3)}) scale(${(1 + HAND.grown * around()).toFixed(3)})`,
    }));
  }, [many, side, flatCm]);
  const rows = Math.ceil(many / ROW);
  const columns = Math.min(many, ROW);
  const rim = 1.2 * flatCm;
  return (
    <svg
      viewBox={`${-side / 2} ${-side / 2} ${columns * side} ${rows * side}`}
      className="mt-4 w-full max-w-2xl"
      role="img"
      aria-label={`${many} plates, each as a hand repeats it`}
      data-testid="plate-set"
    >
      {plates.map(({ x, y, by }) => (
        <g key={`${x} ${y}`} transform={`translate(${x} ${y})`} strokeWidth={0.01 * flatCm} stroke="var(--color-rule)">
          {isSquare ? (
            <rect x={-rim / 2} y={-rim / 2} width={rim} height={rim} rx={0.04 * rim} fill="#fff" />
          ) : (
            <circle r={rim / 2} fill="#fff" />
          )}
          <g transform={by} stroke="none">
            {poolCm > 0 && <circle r={poolCm / 2} fill={poured} />}
            <path d={ways} fill={poolCm > 0 ? drawn : poured} />
          </g>
        </g>
      ))}
    </svg>
  );
}
