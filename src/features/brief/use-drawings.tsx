import type { ReactNode } from 'react';
import type { JobUse } from '@/core/uses/catalogue';

const POUR = 'var(--color-pour-drawn)';
const BAKED = 'var(--color-baked-drawn)';
const LINE = { stroke: 'var(--color-mute)', strokeWidth: 1.4, fill: 'none' } as const;

const TABLE = <line x1={6} x2={58} y1={40} y2={40} {...LINE} />;

/** Each use as it looks when it works: what is made in the pour's brown, all else in line. */
const DRAWINGS: Readonly<Record<JobUse, ReactNode>> = {
  coat: (
    <>
      {TABLE}
      <rect x={12} y={24} width={40} height={15} rx={7.5} fill={BAKED} />
      <path
        d="M12 31a8 8 0 0 1 8-8h24a8 8 0 0 1 8 8c-2 3-4 0-6 1s-3 3-6 1-5 1-8 0-5 2-8 0-5 1-6-1-4 2-6-1z"
        fill={POUR}
      />
    </>
  ),
  glaze: (
    <>
      {TABLE}
      <rect x={14} y={16} width={36} height={24} fill={BAKED} />
      <path
        d="M14 14h36v17c-1 4-4 4-5 0-1 5-5 5-6 1-1 3-4 3-5 0-1 5-5 5-6 0-1 4-4 3-5-1-1 4-4 4-5 0-1 2-3 2-4 0z"
        fill={POUR}
      />
    </>
  ),
  nap: (
    <>
      <path d="M14 30h36l-5 11H19z" {...LINE} />
      <circle cx={32} cy={22} r={13} fill={BAKED} />
      <path d="M19 22a13 13 0 0 1 26 0c-1 5-4 5-5 1-2 6-5 5-6 0-2 4-4 4-5 0-2 6-5 5-6 0-1 3-3 2-4-1z" fill={POUR} />
    </>
  ),
  pool: (
    <>
      <ellipse cx={32} cy={31} rx={27} ry={10} {...LINE} />
      <ellipse cx={32} cy={32} rx={15} ry={5} fill={POUR} />
    </>
  ),
  dip: (
    <>
      <path d="M16 26h32l-4 15H20z" {...LINE} />
      <rect x={29} y={4} width={7} height={20} rx={2} fill={BAKED} transform="rotate(12 32 14)" />
      <path d="M27 17l9 2-2 9q-3 3-6 1-2-1-2-5z" fill={POUR} />
      <path d="M17.5 31h29l-2.6 10H20.2z" fill={POUR} />
    </>
  ),
  fondue: (
    <>
      <path d="M14 20h36v8a9 9 0 0 1-9 9H23a9 9 0 0 1-9-9z" {...LINE} />
      <path d="M16 23h32v5a7 7 0 0 1-7 7H23a7 7 0 0 1-7-7z" fill={POUR} />
      <path d="M32 41v-2M28 42c0-3 4-3 4-6 0 3 4 3 4 6z" {...LINE} />
      <path d="M38 18L50 4" {...LINE} />
      <circle cx={36} cy={19} r={4} fill={BAKED} />
    </>
  ),
  drink: (
    <>
      <path d="M16 14h28v17a8 8 0 0 1-8 8H24a8 8 0 0 1-8-8z" {...LINE} />
      <path d="M44 19h4a5 5 0 0 1 0 11h-4" {...LINE} />
      <path d="M18 18h24v13a6 6 0 0 1-6 6H24a6 6 0 0 1-6-6z" fill={POUR} />
    </>
  ),
  tart: (
    <>
      {TABLE}
      <path d="M8 22h48l-5 18H13z" fill={BAKED} />
      <path d="M12 24h40l-3 11H15z" fill={POUR} />
    </>
  ),
  shell: (
    <>
      <path d="M10 18h12a10 10 0 0 0 20 0h12" {...LINE} />
      <path d="M23 20a9.5 9.5 0 0 0 18 0z" fill={POUR} />
      <path d="M29 4h6l-2 11h-2z" fill={BAKED} />
    </>
  ),
  layers: (
    <>
      {TABLE}
      {[12, 22, 32].map((y) => (
        <rect key={y} x={13} y={y} width={38} height={8} fill={BAKED} />
      ))}
      <rect x={13} y={20} width={38} height={3.4} fill={POUR} />
      <rect x={13} y={29.5} width={38} height={3.4} fill={POUR} />
    </>
  ),
  sandwich: (
    <>
      {TABLE}
      <rect x={14} y={18} width={36} height={7} rx={3} fill={BAKED} />
      <rect x={16} y={25} width={32} height={7} rx={2} fill={POUR} />
      <rect x={14} y={32} width={36} height={7} rx={3} fill={BAKED} />
    </>
  ),
  pipe: (
    <>
      {TABLE}
      <path d="M14 40q0-9 7-9-1-8 6-9 0-7 5-12 5 5 5 12 7 1 6 9 7 0 7 9z" fill={POUR} />
    </>
  ),
  cover: (
    <>
      {TABLE}
      <rect x={16} y={20} width={32} height={20} fill={BAKED} />
      <path d="M14 17h36v23h-4V21H18v19h-4z" fill={POUR} />
      <path d="M34 12l22-6 2 4-22 7z" {...LINE} />
    </>
  ),
  roll: (
    <>
      {TABLE}
      <circle cx={21} cy={30} r={9.5} fill={POUR} />
      <circle cx={43} cy={30} r={9.5} fill={POUR} />
    </>
  ),
  cut: (
    <>
      {TABLE}
      <rect x={9} y={26} width={13} height={13} fill={POUR} />
      <rect x={25} y={26} width={13} height={13} fill={POUR} />
      <rect x={41} y={26} width={13} height={13} fill={POUR} />
    </>
  ),
  spoon: (
    <>
      {TABLE}
      <path d="M18 14h24v22a4 4 0 0 1-4 4H22a4 4 0 0 1-4-4z" {...LINE} />
      <path d="M18.5 22h23v14a3.5 3.5 0 0 1-3.5 3.5H22a3.5 3.5 0 0 1-3.5-3.5z" fill={POUR} />
      <path d="M56 4L38 24q-4 5-7 2" {...LINE} strokeWidth={2.4} />
    </>
  ),
  whip: (
    <>
      <path d="M12 26h40l-6 15H18z" {...LINE} />
      <path d="M15 27q4-7 9-4 3-8 9-4 6-4 8 4 6-2 8 4l-4 8H19z" fill={POUR} />
      <path d="M40 4q6 8 0 15M46 5q3 8-4 14M40 4q-5 8 1 15" {...LINE} />
    </>
  ),
};

/** The drawing of a use. */
export function UseDrawing({ use, className }: { use: JobUse; className?: string }) {
  return (
    <svg viewBox="0 0 64 46" className={className} aria-hidden="true">
      {DRAWINGS[use]}
    </svg>
  );
}
