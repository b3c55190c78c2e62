'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { savesSettled } from '@/kitchen/saving/saves-under-way';

/** Asks the server for the page that is shown. */
let refresh: (() => void) | undefined;
if (typeof window !== 'undefined') {
  // After the router has put the page up, which it does while it hears of the same event.
  window.addEventListener('popstate', () => setTimeout(() => refresh?.(), 0));
}

/** Going back shows a page as it was left: what was saved since is fetched before it can mislead. */
export function useRefreshOnReturn(): void {
  const router = useRouter();
  useEffect(() => {
    // A page that was left with a save under way may have changed what is shown here.
    refresh = () => void savesSettled().then(() => router.refresh());
  }, [router]);
}
