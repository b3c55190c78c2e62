import { resistanceBands } from '@/core/brief/resistance-bands';
import type { BriefTargets } from '@/core/brief/targets';
import { degrees } from '@/ui/format';
import { LANDMARKS } from '@/ui/landmarks';
import { momentTitle } from '@/ui/moment-words';
import { roundDegrees } from '@/ui/settings/round-degrees';

const WIDTH = 340;
const HEIGHT = 190;
const [LEFT, RIGHT, TOP, BOTTOM] = [86, 8, 8, 22];
const [HOT, COLD] = [65, 2];
const [LOWEST, HIGHEST] = [-0.7, 5.3];
const HALF_C = 2.4;

const x = (temperatureC: number) => LEFT + ((HOT - temperatureC) / (HOT - COLD)) * (WIDTH - LEFT - RIGHT);
const y = (pa: number) => {
  const level = Math.min(Math.max(Math.log10(Math.max(pa, 1e-6)), LOWEST), HIGHEST);
  return TOP + ((HIGHEST - level) / (HIGHEST - LOWEST)) * (HEIGHT - TOP - BOTTOM);
};

/** The gates of a brief on a small axis of resistance against temperature, with the curve of what is chosen. */
export function BriefCurve({
  targets,
  curve,
  colour,
  kitchenC,
}: {
  targets: BriefTargets;
  /** of the start that is chosen */
  curve: { readonly temperatureC: readonly number[]; readonly resistancePa: readonly number[] } | undefined;
  colour: string | undefined;
  kitchenC: number;
}) {
  const bands = resistanceBands(targets);
  const path = curve?.temperatureC
    .map((t, i) => `${i === 0 ? 'M' : 'L'}${x(t).toFixed(1)} ${y(curve.resistancePa[i] ?? 1).toFixed(1)}`)
    .join('');
  const words = bands.map(({ moment }) => momentTitle(moment.name)).join(', ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="block w-full max-w-[420px]"
      role="img"
      aria-label={`Gates on the curve: ${words}`}
      data-testid="brief-curve"
    >
      {LANDMARKS.filter(({ resistancePa }) => resistancePa >= 0.3).map(({ resistancePa, name }) => (
        <g key={name}>
          <line
            x1={LEFT}
            x2={WIDTH - RIGHT}
            y1={y(resistancePa)}
            y2={y(resistancePa)}
            stroke="var(--color-rule-soft)"
          />
          <text x={LEFT - 6} y={y(resistancePa) + 4} textAnchor="end" fontSize={11.5} fill="var(--color-mute)">
            {name}
          </text>
        </g>
      ))}
      {roundDegrees(HOT, COLD, 20).map((t) => (
        <text key={t} x={x(t)} y={HEIGHT - 6} textAnchor="middle" fontSize={11.5} fill="var(--color-mute)">
          {degrees(t)}°
        </text>
      ))}
      <line
        x1={x(kitchenC)}
        x2={x(kitchenC)}
        y1={TOP}
        y2={HEIGHT - BOTTOM}
        stroke="var(--color-mute)"
        strokeDasharray="1 4"
        strokeWidth={1.4}
      />
      {/* An ink edge keeps a white glaze in sight by day, a dark one by night. */}
      {path && <path d={path} fill="none" stroke="var(--color-ink)" strokeWidth={5} strokeLinejoin="round" />}
      {path && <path d={path} fill="none" stroke={colour} strokeWidth={3.4} strokeLinejoin="round" />}
      {bands.map(({ moment, low, high }) => {
        const left = x(moment.temperatureC + HALF_C);
        const top = y(high);
        const height = Math.max(y(low || 1e-6) - top, 2);
        return (
          <g key={moment.name} className="motion-safe:transition-transform">
            <rect
              x={left}
              y={top}
              width={x(moment.temperatureC - HALF_C) - left}
              height={height}
              fill="var(--color-enamel)"
              fillOpacity={0.14}
              stroke="var(--color-enamel)"
              strokeWidth={1.6}
            >
              <title>{momentTitle(moment.name)}</title>
            </rect>
          </g>
        );
      })}
    </svg>
  );
}
