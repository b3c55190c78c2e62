import { type Overlap, placedStretches } from '@/core/method/day-plan';
import type { DayWork } from './use-day';

const WIDTH = 1000;
const HEIGHT = 44;
const LANES = {
  hands: { y: 4, h: 16, fill: 'var(--color-ink)' },
  hob: { y: 23, h: 7, fill: 'var(--color-pour-drawn)' },
  fridge: { y: 33, h: 7, fill: 'var(--color-enamel)' },
} as const;

/** The day's own axis, min. */
export interface DaySpan {
  readonly from: number;
  readonly to: number;
}

/** One piece of work along the day: hands, ring and fridge as three lanes, and where they are wanted elsewhere too. */
export function DayLine({
  work,
  span,
  overlaps,
  now,
}: {
  work: DayWork;
  span: DaySpan;
  overlaps: readonly Overlap[];
  /** min of the day, where it is today */
  now: number | undefined;
}) {
  const x = (minutes: number) => (WIDTH * (minutes - span.from)) / (span.to - span.from);
  const width = (from: number, to: number) => Math.max(x(to) - x(from) - 1, 2);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" className="h-11 w-full" aria-hidden="true">
      <rect
        x={x(work.ready - work.lasts)}
        width={width(work.ready - work.lasts, work.ready)}
        y={0}
        height={HEIGHT}
        rx={3}
        fill="var(--color-rule-soft)"
      />
      {placedStretches(work).map(({ what, from, to }) => {
        const { y, h, fill } = LANES[what];
        return <rect key={`${what}-${from}`} x={x(from)} width={width(from, to)} y={y} height={h} rx={2} fill={fill} />;
      })}
      {work.served !== undefined && work.served > work.ready && (
        <rect
          x={x(work.ready)}
          width={width(work.ready, work.served)}
          y={HEIGHT / 2 - 3}
          height={6}
          fill="var(--color-near)"
          fillOpacity={0.45}
        />
      )}
      {now !== undefined && <rect x={x(now) - 1} width={2} y={0} height={HEIGHT} fill="var(--color-enamel)" />}
      {overlaps
        .filter(({ ids }) => ids.includes(work.id))
        .map(({ what, from, to }) => (
          <rect
            key={`${what}-${from}`}
            x={x(from)}
            width={width(from, to)}
            y={1}
            height={HEIGHT - 2}
            fill="var(--color-off)"
            fillOpacity={0.3}
          />
        ))}
    </svg>
  );
}

/** What the lanes are. */
export function DayKey() {
  const WORDS = { hands: 'hands', hob: 'on the hob', fridge: 'in the fridge' } as const;
  return (
    <p className="flex flex-wrap gap-x-5 gap-y-1 text-[13px] text-mute">
      {(['hands', 'hob', 'fridge'] as const).map((what) => (
        <span key={what} className="inline-flex items-center gap-1.5">
          <svg viewBox="0 0 20 10" className="h-2.5 w-5" aria-hidden="true">
            <rect width={20} height={10} rx={2} fill={LANES[what].fill} />
          </svg>
          {WORDS[what]}
        </span>
      ))}
      <span className="inline-flex items-center gap-1.5">
        <svg viewBox="0 0 20 10" className="h-2.5 w-5" aria-hidden="true">
          <rect width={20} height={6} y={2} fill="var(--color-near)" fillOpacity={0.45} />
        </svg>
        kept warm until its time
      </span>
    </p>
  );
}
