import { lineLeft, runAfter, spreadAfter } from '@/core/practice/levelling';
import type { Seen } from '@/core/practice/observe';
import { type Doing, TILT_DEG } from './use-doing';

const PLATE = { x: 482, y: 218 } as const;
/** mm of the plate as drawn. */
const SCALE = 1.5;
const METAL = '#9aa9ad';

/** Where there are no graphics: the pan from above with its sauce, a spoon's line, its edge when it is tilted, and 20 ml on a plate with a ruler. */
export function PanScene({
  seen,
  doing,
  dropped,
  label,
}: {
  seen: Seen;
  doing: Doing;
  /** what lies on the plate since half a minute, as it was when it was dropped */
  dropped: Seen | undefined;
  label: string;
}) {
  const spread = doing?.kind === 'drop' ? spreadAfter(dropped ?? seen, doing.seconds) : dropped?.ringMm;
  const line = doing?.kind === 'line' ? lineLeft(seen, doing.seconds) : 0;
  const run = doing?.kind === 'tilt' ? runAfter(seen, TILT_DEG, doing.seconds) : 0;
  const gloss = Math.max(seen.shine - 25, 0) / 110;
  return (
    <svg viewBox="0 0 600 330" className="w-full" role="img" aria-label={label}>
      <ellipse cx="185" cy="160" rx="170" ry="120" fill="var(--color-sheet)" stroke={METAL} strokeWidth="4" />
      {seen.driedRim && (
        <ellipse
          cx="185"
          cy="158"
          rx="158"
          ry="110"
          fill="none"
          stroke={seen.colour}
          strokeWidth="4"
          strokeDasharray="14 9"
        />
      )}
      <g transform={`translate(${run * 0.35} ${run * 0.12})`}>
        <ellipse cx={185} cy={166} rx={148 - run * 0.15} ry={100 - run * 0.1} fill={seen.colour} />
        <ellipse cx="150" cy="128" rx="52" ry="15" fill="#fff" opacity={gloss} />
        {line > 0.02 && (
          <path
            d="M80 182 C130 140 190 214 284 158"
            fill="none"
            stroke="#000"
            strokeOpacity={0.34 * line}
            strokeWidth={2 + 15 * line}
            strokeLinecap="round"
          />
        )}
        <Surface seen={seen} />
      </g>
      {doing?.kind === 'ribbon' && <Ribbon seen={seen} seconds={doing.seconds} />}
      {doing?.kind === 'tilt' && <path d="M60 292 L310 262" stroke={METAL} strokeWidth="3" strokeDasharray="6 5" />}
      <ellipse cx={PLATE.x} cy={PLATE.y} rx="112" ry="42" fill="#fff" stroke={METAL} strokeWidth="2" />
      {spread !== undefined && <Drop seen={seen} spread={spread} />}
    </svg>
  );
}

/** What lies on the surface: skin, bubbles, flecks or grains. */
function Surface({ seen }: { seen: Seen }) {
  return (
    <>
      {seen.hasSkin && (
        <path
          d="M70 150 c18 -8 30 6 48 0 M250 200 c16 -9 26 5 40 -1 M150 240 c18 -8 32 6 46 0 M210 110 c14 -6 24 4 36 0"
          fill="none"
          stroke="#fff"
          strokeOpacity="0.28"
          strokeWidth="2.5"
        />
      )}
      {seen.hasBubbles &&
        BUBBLES.map(([x, y, r]) => (
          <circle
            key={`${x} ${y}`}
            cx={x}
            cy={y}
            r={r}
            fill="none"
            stroke="#fff"
            strokeOpacity="0.5"
            strokeWidth="1.4"
          />
        ))}
      {seen.grit !== 'smooth' &&
        SPOTS.map(([x, y], i) => (
          <circle
            key={`${x} ${y}`}
            cx={x}
            cy={y}
            r={seen.grit === 'flecks' ? 3.4 - (i % 3) : 1.3}
            fill={seen.grit === 'flecks' ? '#2a1710' : '#e9dcc6'}
          />
        ))}
    </>
  );
}

/** 20 ml on the plate, with the ruler across it. */
function Drop({ seen, spread }: { seen: Seen; spread: number }) {
  return (
    <>
      <ellipse
        cx={PLATE.x}
        cy={PLATE.y}
        rx={(spread / 2) * SCALE}
        ry={(spread / 2) * SCALE * 0.36}
        fill={seen.colour}
      />
      <path
        d={`M${PLATE.x - (spread / 2) * SCALE} ${PLATE.y + 62}h${spread * SCALE}m0 -5v10m${-spread * SCALE} 0v-10`}
        stroke="var(--color-enamel)"
        strokeWidth="2"
        fill="none"
      />
      <text x={PLATE.x} y={PLATE.y + 86} textAnchor="middle" fontSize="17" fill="var(--color-ink)" className="read">
        {Math.round(spread)} mm
      </text>
    </>
  );
}

/** A spoon lifted: what falls from it, as wide as it is thick, and what stays of it on the surface. */
function Ribbon({ seen, seconds }: { seen: Seen; seconds: number }) {
  const wide = 2.5 + 3 * Math.min(Math.max(Math.log10(seen.plasticViscosityPaS) + 1, 0), 3);
  const left = lineLeft(seen, seconds);
  const isLumps = seen.ribbon === 'mounds';
  return (
    <>
      <path d="M250 44 L352 6" stroke={METAL} strokeWidth="7" strokeLinecap="round" />
      <ellipse cx="236" cy="50" rx="26" ry="11" fill={METAL} />
      <ellipse cx="236" cy="49" rx="21" ry="8" fill={seen.colour} />
      {isLumps ? (
        [78, 112].map((y) => <ellipse key={y} cx="234" cy={y} rx="11" ry="13" fill={seen.colour} />)
      ) : (
        <path d="M234 56 C236 90 232 120 234 164" fill="none" stroke={seen.colour} strokeWidth={wide} />
      )}
      <path
        d="M206 168 c14 -12 44 -12 54 0 c-8 10 -38 10 -44 2 c6 -8 24 -8 30 0"
        fill="none"
        stroke="#000"
        strokeOpacity={0.3 * left}
        strokeWidth={wide}
        strokeLinecap="round"
      />
    </>
  );
}

/** Where bubbles stand, and how large. */
const BUBBLES = [
  [98, 205, 4],
  [112, 212, 2.5],
  [262, 140, 3.5],
  [275, 150, 5],
  [200, 238, 3],
  [214, 244, 2],
] as const;

/** Where flecks and grains lie. */
const SPOTS = [
  [110, 150],
  [140, 205],
  [170, 160],
  [205, 190],
  [235, 150],
  [255, 195],
  [130, 175],
  [190, 225],
  [225, 220],
  [160, 120],
  [280, 170],
  [95, 185],
] as const;
