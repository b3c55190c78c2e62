'use client';

import { useEffect, useState } from 'react';

/** Rest before something is read aloud, ms: it must not follow each key. */
export const READ_ALOUD_AFTER_MS = 700;

/** A value once it has stood still for a while; nothing before. */
export function useSettled<T>(value: T, afterMs: number): T | undefined {
  const [settled, setSettled] = useState<T | undefined>();
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return settled;
}
