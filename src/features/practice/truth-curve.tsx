import { celsius } from '@/ui/format';
import { LANDMARKS } from '@/ui/landmarks';

const WIDTH = 330;
const HEIGHT = 150;
const LEFT = 92;
const [LEAST, MOST] = [Math.log(1), Math.log(100_000)];

/** The curve of the pan as it really was, hot on the left, with the pour and the eating marked. */
export function TruthCurve({
  points,
  pourC,
  eatC,
}: {
  points: readonly { readonly temperatureC: number; readonly pa: number }[];
  pourC: number;
  eatC: number;
}) {
  const hot = points[0]?.temperatureC ?? 60;
  const cold = points.at(-1)?.temperatureC ?? 4;
  const x = (temperatureC: number) => LEFT + ((hot - temperatureC) / Math.max(hot - cold, 1)) * (WIDTH - LEFT - 12);
  const y = (pa: number) =>
    8 + (1 - (Math.log(Math.min(Math.max(pa, 1), 100_000)) - LEAST) / (MOST - LEAST)) * (HEIGHT - 34);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-3 w-full"
      role="img"
      aria-label="The curve of this pan, from hot to cold"
    >
      {LANDMARKS.filter(({ resistancePa }) => resistancePa >= 2).map(({ resistancePa, name }) => (
        <g key={name}>
          <path d={`M${LEFT} ${y(resistancePa)}H${WIDTH - 8}`} stroke="var(--color-rule)" />
          <text x={LEFT - 6} y={y(resistancePa) + 4} textAnchor="end" fontSize="11.5" fill="var(--color-mute)">
            {name}
          </text>
        </g>
      ))}
      <path
        d={points
          .map(({ temperatureC, pa }, i) => `${i === 0 ? 'M' : 'L'}${x(temperatureC).toFixed(1)} ${y(pa).toFixed(1)}`)
          .join('')}
        fill="none"
        stroke="var(--color-enamel)"
        strokeWidth="2.5"
      />
      {[pourC, eatC].map((temperatureC) => (
        <g key={temperatureC}>
          <path d={`M${x(temperatureC)} 8V${HEIGHT - 24}`} stroke="var(--color-ink)" strokeDasharray="3 4" />
          <text x={x(temperatureC)} y={HEIGHT - 8} textAnchor="middle" fontSize="12" fill="var(--color-mute)">
            {celsius(Math.round(temperatureC))}
          </text>
        </g>
      ))}
    </svg>
  );
}
