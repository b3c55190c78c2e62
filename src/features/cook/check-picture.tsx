import type { CheckKind } from '@/formats/batch';

const SAUCE = 'var(--color-pour-drawn)';
const LINE = 'var(--color-mute)';

/** A bowl from above, its sauce in it. */
function Bowl({ children }: { children?: React.ReactNode }) {
  return (
    <>
      <circle cx={36} cy={36} r={31} fill="none" stroke={LINE} strokeWidth={3} />
      <circle cx={36} cy={36} r={27} fill={SAUCE} />
      {children}
    </>
  );
}

const SPOTS = [
  [22, 28],
  [44, 22],
  [52, 40],
  [30, 48],
  [42, 54],
  [24, 40],
  [37, 34],
] as const;

const PICTURES: Readonly<Record<CheckKind, React.ReactNode>> = {
  grains: (
    <Bowl>
      {SPOTS.map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={1.6} fill="var(--color-sheet)" />
      ))}
    </Bowl>
  ),
  lumps: (
    <Bowl>
      {SPOTS.slice(0, 4).map(([x, y]) => (
        <rect
          key={`${x} ${y}`}
          x={x - 5}
          y={y - 5}
          width={10}
          height={9}
          rx={2.5}
          fill="#3b1f14"
          stroke="var(--color-sheet)"
        />
      ))}
    </Bowl>
  ),
  smooth: (
    <Bowl>
      <path d="M18 28 Q28 14 46 17" fill="none" stroke="var(--color-sheet)" strokeWidth={4} strokeLinecap="round" />
    </Bowl>
  ),
  coats: (
    <>
      <path d="M36 5 V28" stroke={LINE} strokeWidth={5} strokeLinecap="round" />
      <ellipse cx={36} cy={46} rx={17} ry={22} fill={SAUCE} stroke={LINE} strokeWidth={3} />
      <path d="M36 28 V64" stroke="var(--color-sheet)" strokeWidth={6} />
    </>
  ),
  skin: (
    <Bowl>
      <path
        d="M14 30 Q24 24 34 31 T56 30 M16 42 Q28 36 40 43 T55 42"
        fill="none"
        stroke="var(--color-sheet)"
        strokeWidth={2}
        opacity={0.8}
      />
    </Bowl>
  ),
  edgeSet: (
    <Bowl>
      <circle cx={36} cy={36} r={15} fill="none" stroke="var(--color-sheet)" strokeWidth={2} strokeDasharray="4 4" />
    </Bowl>
  ),
};

/** What is looked for, drawn. */
export function CheckPicture({ check }: { check: CheckKind }) {
  return (
    <svg viewBox="0 0 72 72" className="size-[72px] shrink-0" aria-hidden="true">
      {PICTURES[check]}
    </svg>
  );
}
