import { useEffect, useRef } from 'react';
import { clockText } from '@/ui/clock-text';
import { useSecond } from '@/ui/use-second';

/** A clock that counts down to the end of something, and over it. It stands until it is started. */
export function StepClock({
  seconds,
  begunMs,
  now,
  onEnd,
  className = '',
}: {
  seconds: number;
  /** ms when it was started; nothing while it was not */
  begunMs: number | undefined;
  /** ms on the server's clock */
  now: () => number;
  /** hears once that it came to its end, where nothing else tells of it */
  onEnd?: (() => void) | undefined;
  className?: string;
}) {
  useSecond();
  const left = begunMs === undefined ? seconds : seconds - (now() - begunMs) / 1000;
  const isOver = begunMs !== undefined && left <= 0;
  const hasRung = useRef(isOver);
  useEffect(() => {
    if (!isOver || hasRung.current) return;
    hasRung.current = true;
    onEnd?.();
  }, [isOver, onEnd]);
  const colour = begunMs === undefined ? 'text-mute' : isOver ? 'text-off' : 'text-enamel';
  return (
    <span role="timer" className={`read ${colour} ${className}`} suppressHydrationWarning>
      {isOver ? '+' : ''}
      {clockText(left)}
    </span>
  );
}
