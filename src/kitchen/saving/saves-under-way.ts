/** Saves that have been sent and not answered, from whatever screen. */
const underWay = new Set<Promise<unknown>>();

/** Notes a save until it is answered. */
export function noteSave<T>(save: Promise<T>): Promise<T> {
  underWay.add(save);
  const done = () => underWay.delete(save);
  save.then(done, done);
  return save;
}

/** Settles once nothing is under way, or after a while. */
export async function savesSettled(mostMs = 3_000): Promise<void> {
  const late = new Promise((resolve) => setTimeout(resolve, mostMs));
  await Promise.race([Promise.allSettled(underWay), late]);
}
