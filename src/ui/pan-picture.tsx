import type { PanLook } from '@/kitchen/method/pan-look';

const WIDTH = 96;
const HEIGHT = 84;
const WALL = 5;

/** Places of pieces, grains and bubbles: always the same, so that nothing jumps. */
const SPOTS = [
  [0.2, 0.35],
  [0.55, 0.2],
  [0.8, 0.5],
  [0.35, 0.7],
  [0.68, 0.8],
  [0.12, 0.8],
  [0.9, 0.15],
  [0.45, 0.48],
] as const;

/** A pan from the side: its level, the colour of what is in it, pieces, grains and bubbles. */
export function PanPicture({
  look,
  name,
  className = 'h-[84px] w-24',
}: {
  look: PanLook;
  name: string;
  /** how large */
  className?: string;
}) {
  const depth = look.level * (HEIGHT - 12);
  const top = HEIGHT - WALL - depth;
  const inside = WIDTH - 2 * WALL;
  const at = ([x, y]: (typeof SPOTS)[number]) => ({
    x: WALL + 6 + x * (inside - 12),
    y: top + 8 + y * Math.max(depth - 14, 0),
  });
  const pieces = look.pieces > 0.002 ? Math.max(Math.round(look.pieces * 14), 2) : 0;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className={`block ${className}`} role="img" aria-label={name}>
      <rect x={WALL} y={top} width={inside} height={depth} fill={look.colour} />
      {look.grains > 0.002 &&
        SPOTS.map((spot) => {
          const { x, y } = at(spot);
          return <circle key={`${spot}`} cx={x} cy={y + 3} r={1.6} fill="var(--color-sheet)" opacity={0.85} />;
        })}
      {SPOTS.slice(0, pieces).map((spot) => {
        const { x, y } = at(spot);
        return (
          <rect
            key={`${spot}`}
            x={x - 5}
            y={y - 5}
            width={10}
            height={10}
            rx={2}
            fill="#3b1f14"
            stroke="#fafcfc"
            strokeWidth={0.8}
          />
        );
      })}
      {look.boils &&
        SPOTS.slice(0, 6).map(([x]) => (
          <circle
            key={x}
            cx={WALL + 6 + x * (inside - 12)}
            cy={top + 1 - ((x * 7) % 5)}
            r={4.2}
            fill="var(--color-sheet)"
            fillOpacity={0.75}
            stroke="var(--color-mute)"
            strokeWidth={1}
          />
        ))}
      <path
        d={`M${WALL / 2} 4 V${HEIGHT - 10} Q${WALL / 2} ${HEIGHT - WALL / 2} 10 ${HEIGHT - WALL / 2} H${WIDTH - 10} Q${WIDTH - WALL / 2} ${HEIGHT - WALL / 2} ${WIDTH - WALL / 2} ${HEIGHT - 10} V4`}
        fill="none"
        stroke="var(--color-mute)"
        strokeWidth={4}
      />
    </svg>
  );
}
