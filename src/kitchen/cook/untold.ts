import { type Told, toldSchema } from '@/formats/batch';
import { byWhom } from './by-whom';

const place = (batch: string) => `dark-pour:untold:${batch}`;

/** Letters that make an event or a tablet this one. */
export function newKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return [...bytes].map((byte) => byte.toString(36).padStart(2, '0')).join('');
}

/** Which tablet this is: a name it gave itself. */
function thisTablet(): string {
  try {
    const kept = localStorage.getItem('dark-pour:tablet') ?? newKey();
    localStorage.setItem('dark-pour:tablet', kept);
    return kept;
  } catch {
    return 'unnamed';
  }
}

/** An event of this tablet, now. */
export const toldNow = (what: Told['what']): Told => ({
  key: newKey(),
  tablet: thisTablet(),
  by: byWhom(),
  tabletMs: Date.now(),
  what,
});

/** What this tablet has not yet been acknowledged: it outlives a reload and a tablet that goes dark. */
export function untold(batch: string): Told[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(place(batch)) ?? '[]');
    return Array.isArray(kept) ? kept.flatMap((each) => toldSchema.safeParse(each).data ?? []) : [];
  } catch {
    return [];
  }
}

/** Two lists of events as one, each once. */
export function together(some: readonly Told[], others: readonly Told[]): Told[] {
  const isIn = new Set(some.map(({ key }) => key));
  return [...some, ...others.filter(({ key }) => !isIn.has(key))];
}

/**
 * Keeps what is not acknowledged yet, at once. What another page of this tablet keeps for the same batch stays.
 *
 * @param own of this page
 * @param acknowledged keys the server has by now
 * @returns false where the tablet has no room
 */
export function keepUntold(
  batch: string,
  own: readonly Told[],
  acknowledged: ReadonlySet<string> = new Set(),
): boolean {
  try {
    const all = together(untold(batch), own).filter(({ key }) => !acknowledged.has(key));
    if (all.length === 0) localStorage.removeItem(place(batch));
    else localStorage.setItem(place(batch), JSON.stringify(all));
    return true;
  } catch {
    return false;
  }
}
