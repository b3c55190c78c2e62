import type { ReactNode } from 'react';
import type { Sign } from '@/core/rescue/signs';

const SAUCE = 'var(--color-pour-drawn)';
const PALE = 'var(--color-sheet)';
const LINE = 'var(--color-mute)';

const SPOTS = [
  [22, 30],
  [44, 24],
  [52, 42],
  [30, 48],
  [42, 52],
  [24, 42],
  [37, 36],
] as const;

/** A spoon held up, and what hangs from it: from a lump to a thread. */
function Spoon({ width, length }: { width: number; length: number }) {
  return (
    <>
      <path d="M8 14 H40" stroke={LINE} strokeWidth={4} strokeLinecap="round" />
      <ellipse cx={48} cy={16} rx={14} ry={8} fill={SAUCE} stroke={LINE} strokeWidth={2.5} />
      <path d={`M${48 - width / 2} 20 Q48 ${20 + length} ${48 + width / 2} 20`} fill={SAUCE} />
      <rect x={48 - width / 4} y={20} width={width / 2} height={length} fill={SAUCE} rx={width / 4} />
    </>
  );
}

function Bowl({ children, fill = SAUCE }: { children?: ReactNode; fill?: string }) {
  return (
    <>
      <circle cx={36} cy={36} r={31} fill="none" stroke={LINE} strokeWidth={3} />
      <circle cx={36} cy={36} r={27} fill={fill} />
      {children}
    </>
  );
}

/** A block on a plate, standing or slumped. */
function Block({ top, base }: { top: number; base: number }) {
  return (
    <>
      <path d="M6 60 H66" stroke={LINE} strokeWidth={3} strokeLinecap="round" />
      <path
        d={`M${36 - base} 58 Q${36 - top} ${top > 16 ? 24 : 40} 36 ${top > 16 ? 24 : 44} Q${36 + top} ${top > 16 ? 24 : 40} ${36 + base} 58 Z`}
        fill={SAUCE}
      />
    </>
  );
}

const dots = (radius: number, count: number = SPOTS.length, fill: string = PALE) =>
  SPOTS.slice(0, count).map(([x, y]) => <circle key={`${x} ${y}`} cx={x} cy={y} r={radius} fill={fill} />);

/** Pictures that are no signs: answers to what is asked. */
type Detail = 'plain' | 'smear' | 'strings' | 'dryLump' | 'coldProbe' | 'warmProbe';
export type PictureOf = Sign | Detail;

/** A probe and how far its column has risen. */
function Probe({ filled }: { filled: number }) {
  return (
    <>
      <rect x={29} y={6} width={14} height={46} rx={7} fill="none" stroke={LINE} strokeWidth={3} />
      <circle cx={36} cy={58} r={10} fill={SAUCE} stroke={LINE} strokeWidth={3} />
      <rect x={33} y={52 - filled} width={6} height={filled} fill={SAUCE} />
    </>
  );
}

const PICTURES: Readonly<Record<PictureOf, ReactNode>> = {
  plain: <Bowl />,
  smear: <path d="M10 46 Q20 26 36 30 T62 22" stroke={SAUCE} strokeWidth={13} strokeLinecap="round" fill="none" />,
  strings: (
    <Bowl>
      <path
        d="M18 28 Q36 40 54 26 M16 40 Q34 52 56 38 M26 50 Q38 58 50 48"
        stroke="#c9a46a"
        strokeWidth={3}
        fill="none"
      />
    </Bowl>
  ),
  dryLump: (
    <>
      <circle cx={36} cy={36} r={26} fill={SAUCE} />
      <circle cx={36} cy={36} r={14} fill="#c39b7c" />
    </>
  ),
  coldProbe: <Probe filled={8} />,
  warmProbe: <Probe filled={30} />,
  farTooThick: <Spoon width={24} length={14} />,
  bitThick: <Spoon width={16} length={28} />,
  bitThin: <Spoon width={7} length={46} />,
  farTooThin: <Spoon width={3} length={52} />,
  seized: <Bowl>{dots(5, 7, '#2a140c')}</Bowl>,
  oily: (
    <Bowl>
      <circle cx={36} cy={36} r={24} fill="none" stroke="#c79a3a" strokeWidth={5} />
    </Bowl>
  ),
  lumps: (
    <Bowl>
      {SPOTS.slice(0, 4).map(([x, y]) => (
        <rect key={`${x} ${y}`} x={x - 5} y={y - 5} width={10} height={9} rx={2.5} fill="#2a140c" stroke={PALE} />
      ))}
    </Bowl>
  ),
  sandy: <Bowl>{dots(1.6)}</Bowl>,
  floury: <Bowl>{dots(3, 5, '#e3d3bc')}</Bowl>,
  gluey: (
    <>
      <Bowl />
      <path
        d="M24 22 Q34 32 28 50 M46 20 Q38 32 46 48 M35 16 Q33 30 36 54"
        stroke={PALE}
        strokeWidth={2.5}
        fill="none"
      />
    </>
  ),
  chalky: <Bowl fill="#7a6357">{dots(1.2)}</Bowl>,
  skin: (
    <Bowl>
      <path d="M14 30 Q24 24 34 31 T56 30 M16 42 Q28 36 40 43 T55 42" fill="none" stroke={PALE} strokeWidth={2} />
    </Bowl>
  ),
  catching: (
    <>
      <path d="M8 22 V50 Q8 60 18 60 H54 Q64 60 64 50 V22" fill="none" stroke={LINE} strokeWidth={3.5} />
      <rect x={11} y={32} width={50} height={24} fill={SAUCE} />
      <rect x={11} y={52} width={50} height={5} fill="#120805" />
      <path d="M24 24 Q20 16 24 8 M40 24 Q36 16 40 8" stroke={LINE} strokeWidth={2.5} fill="none" />
    </>
  ),
  dull: (
    <Bowl fill="#5a4338">
      <path d="M16 44 L54 26 M20 52 L58 34" stroke="#a39187" strokeWidth={4} />
    </Bowl>
  ),
  tooSweet: (
    <Bowl>
      <rect x={27} y={27} width={18} height={18} rx={2} fill={PALE} />
    </Bowl>
  ),
  tooBitter: (
    <Bowl fill="#1d0d07">
      <path d="M26 44 Q36 32 46 44" stroke={PALE} strokeWidth={3} fill="none" />
    </Bowl>
  ),
  softAfterNight: <Block top={8} base={28} />,
  hardAfterNight: <Block top={20} base={22} />,
  noWhip: (
    <>
      <Bowl />
      <path d="M36 4 V20 M30 20 Q36 46 42 20 M26 20 Q36 52 46 20" stroke={LINE} strokeWidth={2.5} fill="none" />
    </>
  ),
  weeping: (
    <>
      <Block top={20} base={22} />
      <ellipse cx={36} cy={61} rx={31} ry={4} fill="#9fb6c4" />
    </>
  ),
};

/** What a sign or an answer looks like, drawn. */
export function SignPicture({ of }: { of: PictureOf }) {
  return (
    <svg viewBox="0 0 72 72" className="size-16 shrink-0" aria-hidden="true">
      {PICTURES[of]}
    </svg>
  );
}
