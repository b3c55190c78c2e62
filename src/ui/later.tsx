'use client';

import { type ComponentType, type ReactNode, useEffect, useState } from 'react';

const AGAIN_AFTER_MS = 1500;

/**
 * A component that is loaded when it is first shown, or ahead of that. While the server cannot be reached it waits and tries again: what is on
 * the screen already stays.
 *
 * @param load fetches it
 * @param waiting stands in its place until then
 */
export function later<Props extends object>(load: () => Promise<ComponentType<Props>>, waiting: ReactNode = null) {
  let loaded: ComponentType<Props> | undefined;
  const fetched = async () => {
    loaded ??= await load();
    return loaded;
  };

  // biome-ignore lint/correctness/noComponentHookFactories: called once for each part, at the top of a module, as React.lazy is
  function Later(props: Props) {
    const [View, setView] = useState(() => loaded);
    useEffect(() => {
      if (View) return;
      let here = true;
      let timer: ReturnType<typeof setTimeout> | undefined;
      const attempt = () => {
        fetched().then(
          (view) => here && setView(() => view),
          () => {
            if (here) timer = setTimeout(attempt, AGAIN_AFTER_MS);
          },
        );
      };
      attempt();
      return () => {
        here = false;
        clearTimeout(timer);
      };
    }, [View]);
    return View ? <View {...props} /> : waiting;
  }

  /** Loads it before it is asked for; a failure is met when it is. */
  Later.ready = () => {
    fetched().catch(() => undefined);
  };
  return Later;
}
