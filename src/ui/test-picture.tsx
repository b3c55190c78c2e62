import type { ReactNode } from 'react';
import type { TestKind } from '@/formats/kitchen-test';

const SAUCE = 'var(--color-pour-drawn)';
const LINE = 'var(--color-mute)';
const MARK = 'var(--color-enamel)';

const metal = { fill: 'none', stroke: LINE, strokeWidth: 2.2, strokeLinecap: 'round' } as const;
const measure = { fill: 'none', stroke: MARK, strokeWidth: 2, strokeLinecap: 'round' } as const;

/** What the hand does and what is measured: sauce in its colour, tools grey, what is read blue. */
const PICTURES: Readonly<Record<TestKind, ReactNode>> = {
  ring: (
    <>
      <ellipse cx="36" cy="38" rx="32" ry="9" {...metal} />
      <ellipse cx="36" cy="37" rx="19" ry="5" fill={SAUCE} />
      <path d="M28 10 V22 M44 10 V22" {...metal} />
      <ellipse cx="36" cy="10" rx="8" ry="2.5" {...metal} />
      <path d="M17 52 H55 M17 49 V55 M55 49 V55" {...measure} />
    </>
  ),
  film: (
    <>
      <rect x="24" y="8" width="18" height="42" {...metal} />
      <path d="M42 8 V50 C47 48 46 30 45 8 Z" fill={SAUCE} />
      <path d="M40 28 H56 M56 25 V31" {...measure} />
    </>
  ),
  spoonLine: (
    <>
      <path d="M8 46 L30 34" {...metal} />
      <ellipse
        cx="46"
        cy="27"
        rx="17"
        ry="12"
        transform="rotate(-28 46 27)"
        fill={SAUCE}
        stroke={LINE}
        strokeWidth="1.5"
      />
      <path d="M38 38 L54 16" stroke="var(--color-sheet)" strokeWidth="4" strokeLinecap="round" />
    </>
  ),
  handle: (
    <>
      <path d="M8 34 H64 V54 H8 Z" fill={SAUCE} />
      <path d="M36 6 V42" {...metal} strokeWidth="5" />
      <path d="M46 34 V42 M43 34 H49 M43 42 H49" {...measure} />
      <path d="M24 8 V24 M20 20 L24 25 L28 20" {...measure} />
    </>
  ),
  ball: (
    <>
      <path d="M8 36 H64 V54 H8 Z" fill={SAUCE} />
      <circle cx="36" cy="32" r="11" fill="var(--color-sheet)" stroke={LINE} strokeWidth="2" />
      <path d="M54 36 V43 M51 36 H57 M51 43 H57" {...measure} />
      <path d="M20 6 V20 M16 16 L20 21 L24 16" {...measure} />
    </>
  ),
  spoonRest: (
    <>
      <path d="M8 34 H64 V54 H8 Z" fill={SAUCE} />
      <path d="M58 14 L44 30" {...metal} />
      <path d="M20 33 a14 8 0 0 0 26 0 Z" fill="var(--color-sheet)" stroke={LINE} strokeWidth="2" />
      <path d="M14 34 V41 M11 34 H17 M11 41 H17" {...measure} />
    </>
  ),
  stands: (
    <>
      <path d="M10 50 H62" {...metal} />
      <path d="M20 50 C20 40 30 40 28 32 C26 26 34 26 36 14 C38 26 46 26 44 32 C42 40 52 40 52 50 Z" fill={SAUCE} />
      <path d="M60 14 V50 M57 14 H63 M57 50 H63" {...measure} />
    </>
  ),
  feels: (
    <>
      <path d="M8 36 H64 V54 H8 Z" fill={SAUCE} />
      <path d="M28 8 C24 20 26 30 33 38 M38 8 C42 18 42 28 38 38" {...metal} />
      <path d="M33 38 Q35.5 42 38 38" {...metal} />
    </>
  ),
  lamp: (
    <>
      <path d="M8 40 H64 V54 H8 Z" fill={SAUCE} />
      <circle cx="36" cy="14" r="8" {...metal} />
      <ellipse cx="36" cy="42" rx="9" ry="2.6" fill="var(--color-sheet)" />
      <path d="M30 24 L32 34 M42 24 L40 34" {...measure} />
    </>
  ),
  taste: (
    <>
      <path d="M20 12 C14 30 22 52 36 52 C50 52 58 30 52 12" {...metal} />
      <path d="M36 18 V40" {...metal} strokeWidth="1.4" />
      <ellipse cx="36" cy="42" rx="9" ry="5" fill={SAUCE} />
      <path d="M10 56 H62 M10 53 V59 M36 53 V59 M62 53 V59" {...measure} />
    </>
  ),
  grains: (
    <>
      <path d="M8 20 C24 12 48 12 64 20" {...metal} />
      <path d="M8 48 C24 40 48 40 64 48" {...metal} />
      <path d="M12 38 C26 28 46 28 60 38 C46 44 26 44 12 38 Z" fill={SAUCE} />
      <path d="M28 36 h4 v4 h-4 Z M42 34 h4 v4 h-4 Z" fill="var(--color-sheet)" />
      <path d="M22 26 H50 M46 22 L50 26 L46 30" {...measure} />
    </>
  ),
  sets: (
    <>
      <path d="M10 38 H62 V54 H10 Z" fill={SAUCE} />
      <circle cx="36" cy="20" r="13" {...metal} />
      <path d="M36 12 V20 L42 24" {...measure} />
    </>
  ),
};

/** How a kitchen test looks while it is done. */
export function TestPicture({ test }: { test: TestKind }) {
  return (
    <svg viewBox="0 0 72 60" className="h-14 w-[68px] shrink-0" aria-hidden="true">
      {PICTURES[test]}
    </svg>
  );
}
