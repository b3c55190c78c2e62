import { useSyncExternalStore } from 'react';

/** Writes of this page whose answer did not come, and that are asked again. */
let looking = 0;
const hearers = new Set<() => void>();

function add(n: number): void {
  looking += n;
  for (const hear of hearers) hear();
}

/** A write is looked for. @returns to be called once it is known what became of it */
export function beginLooking(): () => void {
  let isOver = false;
  add(1);
  return () => {
    if (!isOver) add(-1);
    isOver = true;
  };
}

function listen(hear: () => void): () => void {
  hearers.add(hear);
  return () => void hearers.delete(hear);
}

/** Whether it is not known of a write if it was saved. */
export const useIsLooking = (): boolean =>
  useSyncExternalStore(
    listen,
    () => looking > 0,
    () => false,
  );
