'use client';

import { useEffect, useState } from 'react';

const SETTLED_MS = 700;

/** A value once it has stood still for a moment: what is read aloud must not follow each key. */
export function useSettled<T>(value: T): T | undefined {
  const [settled, setSettled] = useState<T | undefined>();
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}
