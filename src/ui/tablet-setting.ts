'use client';

import { useSyncExternalStore } from 'react';

/**
 * A choice this tablet remembers, shared by everything on the page and by its other pages.
 *
 * @param name where it is kept
 * @param read the kept text as a value; nothing when it is none
 * @param usual until something is chosen
 * @param before what an earlier version kept instead, if anything
 * @returns a hook: the value and how to choose another
 */
export function tabletSetting<T extends string | number>(
  name: string,
  read: (text: string) => T | undefined,
  usual: T,
  before: () => T | undefined = () => undefined,
): () => readonly [T, (value: T) => void] {
  const place = `dark-pour:${name}`;
  const listeners = new Set<() => void>();
  const current = (): T => {
    try {
      const kept = localStorage.getItem(place);
      return (kept === null ? before() : read(kept)) ?? usual;
    } catch {
      return usual;
    }
  };
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    window.addEventListener('storage', listener);
    return () => {
      listeners.delete(listener);
      window.removeEventListener('storage', listener);
    };
  };
  const choose = (value: T) => {
    try {
      localStorage.setItem(place, String(value));
    } catch {
      // Storage barred: the choice cannot be kept.
    }
    for (const listener of listeners) listener();
  };
  return () => [useSyncExternalStore(subscribe, current, () => usual), choose];
}
