import type { Called, Eye } from '@/core/practice/learner';

const WIDTH = 340;
const HEIGHT = 46;
const MIDDLE = 15;

interface Scale {
  /** as far as it reaches either way, in the measure of a miss */
  readonly reach: number;
  readonly marks: readonly (readonly [number, string])[];
}
const TEN = Math.log(10);
const TWO = Math.log(2);
const SCALES: Readonly<Record<Called, Scale>> = {
  cold: {
    reach: 3.4,
    marks: [
      [-TEN, 'a tenth'],
      [0, 'as it was'],
      [TEN, 'ten times'],
    ],
  },
  coat: {
    reach: 1.8,
    marks: [
      [-TWO, 'half'],
      [0, 'as it was'],
      [TWO, 'double'],
    ],
  },
  amount: {
    reach: 1.8,
    marks: [
      [-TWO, 'half'],
      [0, 'as needed'],
      [TWO, 'double'],
    ],
  },
  temperature: {
    reach: 2,
    marks: [
      [-1, '10 °C cold'],
      [0, 'right'],
      [1, '10 °C warm'],
    ],
  },
};

/** Each call beside what was true, and where the eye tends. The words beside it say the same. */
export function EyePicture({ called, misses, eye }: { called: Called; misses: readonly number[]; eye: Eye }) {
  const { reach, marks } = SCALES[called];
  const x = (miss: number) => WIDTH / 2 + (Math.min(Math.max(miss / reach, -1), 1) * (WIDTH - 24)) / 2;
  const [from, to] = [x(eye.bias - eye.biasSd), x(eye.bias + eye.biasSd)];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="mt-1 w-full max-w-[360px]" aria-hidden="true">
      <rect x={12} y={MIDDLE - 3} width={WIDTH - 24} height={6} rx={3} fill="var(--color-rule-soft)" />
      {marks.map(([at, name]) => (
        <g key={name}>
          <path d={`M${x(at)} 2V${MIDDLE + 13}`} stroke="var(--color-rule)" />
          <text x={x(at)} y={HEIGHT - 4} textAnchor="middle" fontSize="12" fill="var(--color-mute)">
            {name}
          </text>
        </g>
      ))}
      <rect
        x={from}
        y={MIDDLE - 8}
        width={Math.max(to - from, 2)}
        height={16}
        fill="var(--color-enamel-wash)"
        stroke="var(--color-enamel)"
      />
      <path d={`M${x(eye.bias)} ${MIDDLE - 8}v16`} stroke="var(--color-enamel)" strokeWidth="3" />
      {misses.map((miss, i) => (
        <circle
          // biome-ignore lint/suspicious/noArrayIndexKey: calls in their order
          key={i}
          cx={x(miss)}
          cy={MIDDLE}
          r={4}
          fill="var(--color-sheet)"
          fillOpacity="0.6"
          stroke="var(--color-ink)"
          strokeWidth="1.5"
        />
      ))}
    </svg>
  );
}
