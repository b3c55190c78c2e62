import { useEffect, useState } from 'react';
import { messageOf } from '@/formats/message-of';
import type { Named } from '@/formats/server-answers';
import { listNames } from './formulas';

/**
 * Names of all formulas by their letters, asked once the page stands: in a big kitchen they are heavier than the page.
 *
 * @param isWanted none are asked for before
 */
export function useFormulaNames(isWanted = true) {
  const [names, setNames] = useState<readonly Named[]>([]);
  const [fault, setFault] = useState<string | undefined>();
  useEffect(() => {
    if (!isWanted) return;
    listNames().then(
      (found) => setNames(found.toSorted((a, b) => a.name.localeCompare(b.name))),
      (error) => setFault(messageOf(error)),
    );
  }, [isWanted]);
  return { names, fault };
}
