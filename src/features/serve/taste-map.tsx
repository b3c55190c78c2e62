import { fixed } from '@/ui/settings/numerals';

interface Stand {
  readonly name: string;
  /** g of sugar in 100 g, as sweet */
  readonly sweetness: number;
  /** g of fat-free cocoa in 100 g */
  readonly cocoa: number;
}

const WIDTH = 560;
const HEIGHT = 300;
const LEFT = 46;
const BASE = 256;
const MOST = { sweetness: 60, cocoa: 30 } as const;
const x = (sweetness: number) => LEFT + (Math.min(sweetness, MOST.sweetness) / MOST.sweetness) * (WIDTH - LEFT - 14);
const y = (cocoa: number) => BASE - (Math.min(cocoa, MOST.cocoa) / MOST.cocoa) * (BASE - 14);
/** Where sweetness and bitterness are so and so balanced: a line from the corner, sweetness over sweetness and three times cocoa. */
const LINES = [
  [0.4, 'rounded'],
  [0.6, 'sweet'],
  [0.25, 'dark'],
] as const;

/** Sweetness against cocoa: this formula filled, its variants as rings, lines of the same balance. */
export function TasteMap({ here, others }: { here: Stand; others: readonly Stand[] }) {
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full max-w-2xl rounded-xl border border-rule bg-sheet"
        role="img"
        aria-label={`${here.name}: as sweet as ${fixed(here.sweetness, 0)} g of sugar and ${fixed(here.cocoa, 0)} g of cocoa in 100 g`}
      >
        <path d={`M${LEFT} 10V${BASE}H${WIDTH - 8}`} fill="none" stroke="var(--color-rule)" />
        {LINES.map(([balance, word]) => {
          const cocoa = (MOST.sweetness * (1 / balance - 1)) / 3;
          const end =
            cocoa <= MOST.cocoa
              ? { s: MOST.sweetness, c: cocoa }
              : { s: (MOST.sweetness * MOST.cocoa) / cocoa, c: MOST.cocoa };
          return (
            <g key={word}>
              <path d={`M${LEFT} ${BASE}L${x(end.s)} ${y(end.c)}`} stroke="var(--color-rule)" strokeDasharray="3 4" />
              <text x={x(end.s) - 6} y={y(end.c) + 16} textAnchor="end" fontSize="12.5" fill="var(--color-mute)">
                {word}
              </text>
            </g>
          );
        })}
        {others.map(({ name, sweetness, cocoa }) => (
          <g key={name}>
            <circle cx={x(sweetness)} cy={y(cocoa)} r="6" fill="none" stroke="var(--color-ink)" strokeWidth="1.6" />
            <text x={x(sweetness) + 10} y={y(cocoa) + 4} fontSize="12.5" fill="var(--color-mute)">
              {name.length > 26 ? `${name.slice(0, 25)}…` : name}
            </text>
          </g>
        ))}
        <circle cx={x(here.sweetness)} cy={y(here.cocoa)} r="8" fill="var(--color-enamel)" />
        <text x={x(here.sweetness) + 13} y={y(here.cocoa) - 8} fontSize="13.5" fontWeight="600" fill="var(--color-ink)">
          this one
        </text>
        <text x={WIDTH - 12} y={BASE + 34} textAnchor="end" fontSize="12.5" fill="var(--color-mute)">
          sweeter, as g of sugar in 100 g
        </text>
        <text x={16} y={18} fontSize="12.5" fill="var(--color-mute)" transform={`rotate(-90 16 18)`} textAnchor="end">
          more cocoa, g in 100 g
        </text>
        {[20, 40, 60].map((tick) => (
          <text key={tick} x={x(tick)} y={BASE + 15} textAnchor="middle" fontSize="12" fill="var(--color-mute)">
            {tick}
          </text>
        ))}
        {[10, 20, 30].map((tick) => (
          <text key={tick} x={LEFT - 6} y={y(tick) + 4} textAnchor="end" fontSize="12" fill="var(--color-mute)">
            {tick}
          </text>
        ))}
      </svg>
    </figure>
  );
}
