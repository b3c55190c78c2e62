/** Where a tablet keeps who works at it. */
export const BY_WHOM_PLACE = 'by';
export const LONGEST_BY = 60;

/** Who works at this tablet, as typed there once; nothing while nobody said. */
export function byWhom(): string | undefined {
  try {
    return localStorage.getItem(`dark-pour:${BY_WHOM_PLACE}`)?.trim().slice(0, LONGEST_BY) || undefined;
  } catch {
    return undefined;
  }
}
