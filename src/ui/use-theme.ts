'use client';

import { useSyncExternalStore } from 'react';

export type Theme = 'day' | 'night';

/** Read by the server, so that the first picture already has the right light. */
const THEME_COOKIE = 'dark-pour-theme';

const YEAR_S = 31_536_000;
const listeners = new Set<() => void>();

const current = (): Theme => (document.documentElement.dataset.theme === 'night' ? 'night' : 'day');

/** Day or night, and how to change it. */
export function useTheme(): readonly [Theme, (theme: Theme) => void] {
  const theme = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    current,
    (): Theme => 'day',
  );
  const choose = (next: Theme) => {
    document.documentElement.dataset.theme = next;
    // biome-ignore lint/suspicious/noDocumentCookie: the cookie store is not in every browser a kitchen has
    document.cookie = `${THEME_COOKIE}=${next}; path=/; max-age=${YEAR_S}; samesite=lax`;
    for (const listener of listeners) listener();
  };
  return [theme, choose];
}
