/** A value on a logarithmic or plain track with its target band and its doubt: state by shape as well as colour. */
export function Gauge({
  value,
  low,
  high,
  spread,
  plain = false,
  range,
}: {
  value: number;
  low?: number | undefined;
  high?: number | undefined;
  /** between what eight batches in ten fall */
  spread?: readonly [number, number] | undefined;
  plain?: boolean;
  /** ends of the track */
  range: readonly [number, number];
}) {
  const scale = plain ? (x: number) => x : (x: number) => Math.log(Math.max(x, 1e-9));
  const [from, to] = [scale(range[0]), scale(range[1])];
  const at = (x: number) => 4 + 232 * Math.min(Math.max((scale(x) - from) / (to - from), 0), 1);
  const hasBand = low !== undefined || high !== undefined;
  const left = low === undefined ? 4 : at(low);
  const right = high === undefined ? 236 : at(high);
  const side = value < (low ?? Number.NEGATIVE_INFINITY) ? -1 : value > (high ?? Number.POSITIVE_INFINITY) ? 1 : 0;
  const x = at(value);
  const colour = side === 0 ? 'var(--color-ink)' : 'var(--color-off)';
  return (
    <svg viewBox="0 2 240 13" className="block w-full" aria-hidden="true" preserveAspectRatio="xMinYMid meet">
      <line x1={0} x2={240} y1={14.5} y2={14.5} stroke="var(--color-rule)" strokeWidth={1} />
      {hasBand && (
        <rect
          x={left}
          y={3}
          width={Math.max(right - left, 2)}
          height={11.5}
          fill="var(--color-enamel-wash)"
          stroke="var(--color-enamel)"
          strokeWidth={1}
        />
      )}
      {spread && <line x1={at(spread[0])} x2={at(spread[1])} y1={8.5} y2={8.5} stroke={colour} strokeWidth={1.6} />}
      {side === 0 ? (
        <circle cx={x} cy={8.5} r={4} fill={colour} />
      ) : (
        <path d={`M ${x - 5} 8.5 L ${x} 3.5 L ${x + 5} 8.5 L ${x} 13.5 Z`} fill={colour} />
      )}
    </svg>
  );
}
