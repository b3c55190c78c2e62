'use client';

import { useEffect } from 'react';

/** A sheet that closes gives the focus back a little later than it is gone, ms. */
const AFTER_SHEET_MS = 60;

/**
 * Puts the cook into the grams of a row that was just added, what is proposed there selected.
 *
 * @param key of the row; nothing when none is new
 * @param free no sheet lies over the bench
 */
export function useGramsFocus(key: string | undefined, free: boolean): void {
  useEffect(() => {
    if (key === undefined || !free) return;
    const timer = setTimeout(
      () => document.querySelector<HTMLInputElement>(`[data-key="${key}"] input`)?.focus(),
      AFTER_SHEET_MS,
    );
    return () => clearTimeout(timer);
  }, [key, free]);
}
