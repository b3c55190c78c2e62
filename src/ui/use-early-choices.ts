import { useEffect } from 'react';

/**
 * A choice made in a list before the page listened is told again once it does: the screen shows the chosen word already, and what it shows must be what
 * counts. Runs in the part of the page that wakes together with the lists.
 */
export function useEarlyChoices(): void {
  useEffect(() => {
    for (const list of document.querySelectorAll('select')) {
      const asSent = [...list.options].find(({ defaultSelected }) => defaultSelected) ?? list.options[0];
      if (asSent && asSent.value !== list.value) list.dispatchEvent(new Event('change', { bubbles: true }));
    }
  }, []);
}
