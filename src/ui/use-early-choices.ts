import { useEffect } from 'react';

/** Lists in which something was chosen before the page listened, with what; gone once it does. */
interface Early {
  darkPourEarly?: Map<HTMLSelectElement, string> | undefined;
}

/** The list of the same name where the page was drawn anew as it woke. */
function standIn({ ariaLabel }: HTMLSelectElement): HTMLSelectElement | undefined {
  if (!ariaLabel) return undefined;
  return [...document.querySelectorAll('select')].find((each) => each.ariaLabel === ariaLabel);
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
      const now = list.isConnected ? list : standIn(list);
      if (!now) continue;
      // As the page woke it may have put back what it was sent with.
      now.value = chosen;
      now.dispatchEvent(new Event('change', { bubbles: true }));
    }
  }, []);
}
