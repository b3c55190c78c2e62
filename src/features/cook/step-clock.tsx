import { useEffect, useRef } from 'react';
import type { FollowedStep } from '@/core/method/follow-method';
import { useSecond } from '@/ui/use-second';

/** Minutes and seconds, as a kitchen clock shows them; hours where there are some. */
function clockText(seconds: number): string {
  const whole = Math.max(Math.round(Math.abs(seconds)), 0);
  const two = (value: number) => String(value).padStart(2, '0');
  const [h, m, s] = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60];
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

/** A clock that counts down to the end of something, and over it; it rings once when it comes there. */
export function StepClock({
  seconds,
  begunMs,
  now,
  onEnd,
  className = '',
}: {
  seconds: number;
  begunMs: number;
  /** ms on the server's clock */
  now: () => number;
  onEnd: () => void;
  className?: string;
}) {
  useSecond();
  const left = seconds - (now() - begunMs) / 1000;
  const hasRung = useRef(left <= 0);
  const isOver = left <= 0;
  useEffect(() => {
    if (!isOver || hasRung.current) return;
    hasRung.current = true;
    onEnd();
  }, [isOver, onEnd]);
  return (
    <span role="timer" className={`read ${isOver ? 'text-off' : 'text-enamel'} ${className}`} suppressHydrationWarning>
      {isOver ? '+' : ''}
      {clockText(left)}
    </span>
  );
}

/** What the clock of a step counts to: its least time, its own, or what the pan reckons. */
export const clockSeconds = ({ seconds }: FollowedStep) => seconds;
