import { useEffect } from 'react';

/** Lists in which something was chosen before the page listened, with what; gone once it does. */
interface Early {
  darkPourEarly?: Map<HTMLSelectElement, string> | undefined;
}

/**
 * A choice made in a list before the page listened is told again once it does: the screen shows the chosen word already, and what it shows must be what
 * counts. Runs in the part of the page that wakes together with the lists.
 */
export function useEarlyChoices(): void {
  useEffect(() => {
    const here = window as Early;
    const early = here.darkPourEarly ?? [];
    here.darkPourEarly = undefined;
    for (const [list, chosen] of early) {
      if (!list.isConnected) continue;
      // As the page woke it may have put back what it was sent with.
      list.value = chosen;
      list.dispatchEvent(new Event('change', { bubbles: true }));
    }
  }, []);
}
