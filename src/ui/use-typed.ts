'use client';

import { usePathname } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';

/** What is typed on a page and not sent yet is kept under these names; of so many the oldest goes. */
const PLACE = 'dark-pour:typed:';
const MAX_KEPT = 200;

const isScalar = (value: unknown) => value === undefined || ['string', 'number', 'boolean'].includes(typeof value);

/** Whether what was kept is of the kind that is wanted; a later version may want another. */
function isLike(usual: unknown, value: unknown): boolean {
  if (typeof usual !== 'object' || usual === null) {
    return isScalar(value) && (usual === undefined || typeof value === typeof usual);
  }
  if (typeof value !== 'object' || value === null) return false;
  return Object.entries(value).every(([key, each]) => isLike((usual as Record<string, unknown>)[key], each));
}

function read<T>(place: string, usual: T, among: readonly T[] | undefined): T {
  try {
    const { value } = JSON.parse(localStorage.getItem(place) ?? '{}') as { value?: unknown };
    if (value === undefined || !isLike(usual, value) || (among && !among.includes(value as T))) return usual;
    return typeof usual === 'object' ? { ...usual, ...(value as T & object) } : (value as T);
  } catch {
    return usual;
  }
}

/** Lets the oldest go where there are too many. */
function makeRoom(): void {
  const places = Object.keys(localStorage).filter((key) => key.startsWith(PLACE));
  if (places.length <= MAX_KEPT) return;
  const at = (place: string) => Number(/"at":(\d+)/.exec(localStorage.getItem(place) ?? '')?.[1] ?? 0);
  for (const place of places.sort((a, b) => at(a) - at(b)).slice(0, places.length - MAX_KEPT)) {
    localStorage.removeItem(place);
  }
}

function write(place: string, value: unknown, isUsual: boolean): void {
  try {
    if (isUsual) localStorage.removeItem(place);
    else {
      localStorage.setItem(place, JSON.stringify({ at: Date.now(), value }));
      makeRoom();
    }
  } catch {
    // Storage barred or full: it lives as long as the page.
  }
}

/**
 * Like `useState`, for what is typed on a page and not sent yet: it is there again after a reload, a link or a tablet that went dark. Set back to what is
 * usual once it is sent. A text, a number, a choice, or an object of these.
 *
 * @param name of the entry on this page
 * @param among what it may be, where only some things make sense
 */
export function useTyped<T>(name: string, usual: T, among?: readonly T[]): readonly [T, (value: T) => void] {
  const place = `${PLACE}${usePathname()}:${name}`;
  const [value, setValue] = useState(usual);
  // biome-ignore lint/correctness/useExhaustiveDependencies: read once a page; what is usual is made anew at each drawing
  useEffect(() => setValue(read(place, usual, among)), [place]);
  const usualText = JSON.stringify(usual);
  const say = useCallback(
    (next: T) => {
      setValue(next);
      write(place, next, JSON.stringify(next) === usualText);
    },
    [place, usualText],
  );
  return [value, say];
}
