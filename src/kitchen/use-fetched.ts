'use client';

import { useCallback, useEffect, useState } from 'react';
import { messageOf } from '@/formats/message-of';

/** Something fetched when a sheet opens: what came, or why not, and a way to fetch it again. */
export function useFetched<T>(fetchIt: () => Promise<T>) {
  const [state, setState] = useState<{ data?: T; fault?: string }>({});
  // biome-ignore lint/correctness/useExhaustiveDependencies: fetched when the sheet opens and when asked again
  const again = useCallback(async () => {
    try {
      setState({ data: await fetchIt() });
    } catch (error) {
      setState((now) => ({ ...now, fault: messageOf(error) }));
    }
  }, []);
  useEffect(() => void again(), [again]);
  return { ...state, again };
}
