'use client';

import { type ReactNode, useState } from 'react';
import { Button } from './button';

/**
 * Asks before something half filled is closed.
 *
 * @param isTyped something stands there that would be lost
 * @param onClose closes it for good
 * @returns what to do instead of closing, and the question while it is asked
 */
export function useAskFirst(isTyped: boolean, onClose: () => void): { leave: () => void; question: ReactNode } {
  const [asks, setAsks] = useState(false);
  const question = asks && (
    <div role="alert" className="flex flex-wrap items-center gap-2 bg-near-wash px-5 py-2">
      <span className="mr-auto font-medium">What you typed here is not kept yet.</span>
      <Button autoFocus onClick={() => setAsks(false)}>
        Go on with it
      </Button>
      <Button look="bare" onClick={onClose}>
        Throw it away
      </Button>
    </div>
  );
  return { leave: () => (isTyped && !asks ? setAsks(true) : onClose()), question };
}
