'use client';

import { usePathname, useRouter } from 'next/navigation';
import { createContext, Fragment, type ReactNode, use, useEffect, useRef, useState } from 'react';
import { type KitchenSettings, type SettingsChange, settingsSchema } from '@/formats/settings';
import { askServer } from '@/kitchen/client/ask-server';
import { showAs } from './shown-as';

interface Settings {
  readonly settings: KitchenSettings;
  /** rejects with the reason when they could not be kept */
  readonly change: (change: SettingsChange) => Promise<void>;
}

const SettingsContext = createContext<Settings | undefined>(undefined);

/** The settings of the kitchen, and how to change them. */
export function useSettings(): Settings {
  const found = use(SettingsContext);
  if (!found) throw new Error('Settings are read outside their provider.');
  return found;
}

/**
 * Has everything below written in the kitchen's way. What another tablet has chosen since is taken over when a page is entered, never in the
 * middle of one: the page is then drawn anew.
 */
export function SettingsProvider({ settings, children }: { settings: KitchenSettings; children: ReactNode }) {
  const [current, setCurrent] = useState(settings);
  const [drawing, setDrawing] = useState(0);
  const router = useRouter();
  const path = usePathname();
  showAs(current);

  const entered = useRef(path);
  useEffect(() => {
    if (entered.current === path) return;
    entered.current = path;
    const asked = new AbortController();
    askServer('/api/settings', 'GET')
      .then((answer) => {
        const kept = settingsSchema.parse(answer);
        if (asked.signal.aborted || JSON.stringify(kept) === JSON.stringify(current)) return;
        setCurrent(kept);
        setDrawing((n) => n + 1);
        router.refresh();
      })
      // Not reached: the page goes on as it is.
      .catch(() => undefined);
    return () => asked.abort();
  }, [path, current, router]);

  const change = async (wanted: SettingsChange) => {
    setCurrent(settingsSchema.parse(await askServer('/api/settings', 'PATCH', wanted)));
    // Pages already fetched were written in the old way.
    router.refresh();
  };

  return (
    <SettingsContext value={{ settings: current, change }}>
      <Fragment key={drawing}>{children}</Fragment>
    </SettingsContext>
  );
}
