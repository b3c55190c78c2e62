import type { WeighBand } from '@/core/cook/weigh-band';
import { roundToScale } from '@/core/matter/scale-rounding';
import { weight } from '@/ui/format';

const WIDTH = 600;
/** The bar ends at so many times what is planned. */
const ENDS = 1.35;

/** g from which a band is told in whole grams. */
const WHOLE_FROM_G = 50;

/** From where to where it does not matter, rounded inwards: what is told as good is. */
function bandWords({ low, high }: WeighBand): string {
  const step = high.grams >= WHOLE_FROM_G ? 1 : 0.1;
  const from = Math.ceil(low.grams / step - 1e-9) * step;
  const to = Math.floor(high.grams / step + 1e-9) * step;
  if (from > to) return `only about ${weight(roundToScale((low.grams + high.grams) / 2))} is as good`;
  return from > 0
    ? `${weight(roundToScale(from))} to ${weight(roundToScale(to))} is as good`
    : `up to ${weight(roundToScale(to))} is as good`;
}

/** How full it is, and the band within which it does not matter. */
export function WeighBandBar({
  band,
  planned,
  now,
}: {
  band: WeighBand | undefined;
  planned: number;
  now: number | undefined;
}) {
  // A row that is left out has no length.
  const x = (grams: number) => Math.min(Math.max(grams / Math.max(planned * ENDS, 1e-9), 0), 1) * WIDTH;
  return (
    <div className="mt-1.5 grid items-center gap-x-4 md:grid-cols-[minmax(0,1fr)_auto]">
      <svg viewBox={`0 0 ${WIDTH} 16`} preserveAspectRatio="none" className="block h-4 w-full" aria-hidden="true">
        <rect x={0} y={4} width={WIDTH} height={8} rx={2} fill="var(--color-rule-soft)" />
        {band && (
          <rect
            x={x(band.low.grams)}
            width={Math.max(x(band.high.grams) - x(band.low.grams), 3)}
            y={1}
            height={14}
            fill="var(--color-enamel-wash)"
            stroke="var(--color-enamel)"
            strokeWidth={1.5}
          />
        )}
        {now !== undefined && <rect x={0} y={4} width={x(now)} height={8} rx={2} fill="var(--color-ink)" />}
        <rect x={x(planned) - 1} y={0} width={2} height={16} fill="var(--color-mute)" />
      </svg>
      <p className="text-[13.5px] text-mute">{band ? bandWords(band) : 'how much it matters…'}</p>
    </div>
  );
}
