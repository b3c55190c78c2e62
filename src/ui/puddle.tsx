import { PLATE_TEST } from '@/core/flow/ring-spread';

/** Width of the drawing in mm: the widest puddle that still fits. */
const DRAWN_MM = 210;
/** How far the plate is tipped towards the eye: height of a circle over its width. */
const TIP = 0.3;
/** Height of upright things at that tip. */
const UPRIGHT = 0.95;

/** Height of 20 ml spread to a diameter, mm. */
function heightMm(diameterMm: number): number {
  return (PLATE_TEST.volumeMl * 1000) / (Math.PI * (diameterMm / 2) ** 2);
}

/**
 * 20 ml on a plate after 30 s, seen from above at a slant, true to scale: every puddle of a page is drawn at the same mm per px, thickness
 * included.
 */
export function Puddle({
  diameterMm,
  colour,
  shine,
  label,
  drawnMm = DRAWN_MM,
  className = '',
}: {
  diameterMm: number;
  colour: string;
  /** 0-100 */
  shine: number;
  label: string;
  drawnMm?: number;
  className?: string;
}) {
  const rx = diameterMm / 2;
  const ry = rx * TIP;
  const thick = heightMm(diameterMm) * UPRIGHT;
  const glint = Math.max(shine / 100, 0.05);
  const side = drawnMm / 2;
  const below = side * TIP + 3;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-side} ${-below} ${drawnMm} ${2 * below}`}
      className={className}
      preserveAspectRatio="xMidYMid meet"
    >
      <ellipse
        cx={0}
        cy={0}
        rx={side - 1}
        ry={(side - 1) * TIP}
        fill="var(--color-plate)"
        stroke="var(--color-rule)"
        strokeWidth={1}
      />
      <ellipse
        cx={0}
        cy={0}
        rx={(side - 1) * 0.72}
        ry={(side - 1) * 0.72 * TIP}
        fill="none"
        stroke="#dee5e6"
        strokeWidth={0.8}
      />
      <path
        d={`M ${-rx} ${-thick} L ${-rx} 0 A ${rx} ${ry} 0 0 0 ${rx} 0 L ${rx} ${-thick} Z`}
        fill={colour}
        stroke="#182022"
        strokeOpacity={0.25}
        strokeWidth={0.6}
      />
      <path
        d={`M ${-rx} ${-thick} L ${-rx} 0 A ${rx} ${ry} 0 0 0 ${rx} 0 L ${rx} ${-thick} Z`}
        fill="#000"
        fillOpacity={0.22}
      />
      <ellipse
        cx={0}
        cy={-thick}
        rx={rx}
        ry={ry}
        fill={colour}
        stroke="#182022"
        strokeOpacity={0.18}
        strokeWidth={0.5}
      />
      <ellipse
        cx={-rx * 0.3}
        cy={-thick - ry * 0.32}
        rx={rx * 0.42}
        ry={ry * 0.26}
        fill="#fff"
        fillOpacity={0.55 * glint * glint}
      />
    </svg>
  );
}
