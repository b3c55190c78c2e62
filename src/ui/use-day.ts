import { useEffect, useState } from 'react';
import { dayOf } from '@/formats/day';

/** ms after midnight by which every clock has turned. */
const AFTER_MS = 1_000;

const untilMidnight = (now: Date) =>
  new Date(now.getFullYear(), now.getMonth(), now.getDate() + 1).getTime() - now.getTime() + AFTER_MS;

/**
 * This tablet's day, also on one that stays on over midnight or sleeps through it.
 *
 * @param serverDay the day the page was made with
 */
export function useDay(serverDay: string): string {
  const [day, setDay] = useState(serverDay);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      clearTimeout(timer);
      setDay(dayOf(new Date()));
      timer = setTimeout(look, untilMidnight(new Date()));
    };
    look();
    document.addEventListener('visibilitychange', look);
    return () => {
      clearTimeout(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return day;
}
