import { isWait } from '@/core/method/hands';
import type { TimedStep } from './timed-steps';

const WIDTH = 1000;

/** Hands and waits along the line of the work: filled for hands, hatched for waits. */
export function HandsStrip({ timed, chosen }: { timed: readonly TimedStep[]; chosen: number }) {
  const most = timed.at(-1)?.to || 1;
  const x = (minutes: number) => (WIDTH * minutes) / most;
  return (
    <div className="grid grid-cols-[52px_1fr] items-center gap-y-1 pr-5 text-[12.5px] text-mute">
      {(['hands', 'waits'] as const).map((kind) => (
        <div key={kind} className="contents">
          <span className="pl-3">{kind}</span>
          <svg viewBox={`0 0 ${WIDTH} 14`} preserveAspectRatio="none" className="h-3.5 w-full" aria-hidden="true">
            {timed
              .filter(({ followed }) => isWait(followed) === (kind === 'waits'))
              .map(({ place, from, to }) => (
                <rect
                  key={place}
                  x={x(from) + 1}
                  width={Math.max(x(to) - x(from) - 2, 2)}
                  y={0}
                  height={14}
                  rx={2}
                  fill={
                    place === chosen
                      ? 'var(--color-enamel)'
                      : kind === 'hands'
                        ? 'var(--color-ink)'
                        : 'var(--color-rule)'
                  }
                />
              ))}
          </svg>
        </div>
      ))}
    </div>
  );
}
