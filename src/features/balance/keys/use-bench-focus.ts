'use client';

import { useLayoutEffect, useRef, useState } from 'react';

/** A sheet that closes gives the focus back a little later than it is gone, ms. */
const AFTER_SHEET_MS = 60;

/** Where a sheet was opened from no field, none gets the focus: the next key would be typed into its number. */
function leaveField({ target }: FocusEvent): void {
  if (target instanceof HTMLInputElement) target.blur();
}

/**
 * The focus once a sheet has closed. A row that was just added has it, the grams proposed there selected. Where no field had it before, none gets it.
 *
 * @param isOpen a sheet lies over the bench
 * @returns names the row that was added, by its key
 */
export function useBenchFocus(isOpen: boolean): (key: string) => void {
  const fresh = useRef<string | undefined>(undefined);
  const [wasOpen, setWasOpen] = useState(isOpen);
  const [opener, setOpener] = useState<Element | null>(null);
  if (wasOpen !== isOpen) {
    setWasOpen(isOpen);
    if (isOpen) setOpener(document.activeElement);
  }
  useLayoutEffect(() => {
    if (isOpen || opener === null) return;
    const isFree = opener === document.body;
    if (isFree) document.addEventListener('focusin', leaveField);
    const end = () => document.removeEventListener('focusin', leaveField);
    const timer = setTimeout(() => {
      end();
      if (fresh.current === undefined) return;
      document.querySelector<HTMLInputElement>(`[data-key="${fresh.current}"] input`)?.focus();
      fresh.current = undefined;
    }, AFTER_SHEET_MS);
    return () => {
      clearTimeout(timer);
      end();
    };
  }, [isOpen, opener]);
  return (key) => {
    fresh.current = key;
  };
}
