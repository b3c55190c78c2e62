import { useEffect, useRef } from 'react';
import { savesSettled } from './saves-under-way';

/** Longest a link waits for a save, ms: what is not saved by then is kept on the tablet. */
const MOST_WAIT_MS = 2_000;

/**
 * Leaving the bench saves first. A link, inside the app or out of it, waits for the answer, so that what it opens shows the newest grams; any other
 * way out sends the save on its way.
 *
 * @param isUnsaved something has been typed that is not saved
 * @param save sends it now
 */
export function useLeaving(isUnsaved: () => boolean, save: () => Promise<void>): void {
  const now = useRef({ isUnsaved, save });
  now.current = { isUnsaved, save };
  useEffect(() => {
    let passing = false;
    const onClick = (event: MouseEvent) => {
      const link = event.target instanceof Element ? event.target.closest('a[href]') : null;
      const isPlain = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey;
      if (passing || !(link instanceof HTMLAnchorElement) || !isPlain || !now.current.isUnsaved()) return;
      event.preventDefault();
      event.stopPropagation();
      void now.current.save();
      void savesSettled(MOST_WAIT_MS).then(() => {
        passing = true;
        link.click();
        passing = false;
      });
    };
    const onHidden = () => {
      if (document.visibilityState === 'hidden' && now.current.isUnsaved()) void now.current.save();
    };
    document.addEventListener('click', onClick, true);
    document.addEventListener('visibilitychange', onHidden);
    return () => {
      document.removeEventListener('click', onClick, true);
      document.removeEventListener('visibilitychange', onHidden);
      if (now.current.isUnsaved()) void now.current.save();
    };
  }, []);
}
