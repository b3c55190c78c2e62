/** Keys of writes that were not answered, by what they asked: they outlive a reload. */
const PLACE = 'dark-pour:unanswered';
/** Of so many the oldest goes. */
const MAX_KEPT = 20;

type Keys = Readonly<Record<string, string>>;

function kept(): Keys {
  try {
    const read: unknown = JSON.parse(sessionStorage.getItem(PLACE) ?? '{}');
    return read !== null && typeof read === 'object' ? (read as Keys) : {};
  } catch {
    return {};
  }
}

function keep(keys: Keys): void {
  try {
    sessionStorage.setItem(PLACE, JSON.stringify(Object.fromEntries(Object.entries(keys).slice(-MAX_KEPT))));
  } catch {
    // No room: the key lives as long as this write.
  }
}

/** A short name for what is asked, so that long contents are not kept a second time. */
function nameOf(asked: string): string {
  let hash = 0n;
  for (let i = 0; i < asked.length; i++)
    hash = BigInt.asUintN(64, (hash ^ BigInt(asked.charCodeAt(i))) * 0x100000001b3n);
  return `${hash.toString(36)}-${asked.length}`;
}

/**
 * The key of a write: made once, and the same again while nobody knows what became of it.
 *
 * @param asked method, path and contents
 */
export function writeKey(asked: string): { readonly keyFor: () => string; readonly settled: () => void } {
  const name = nameOf(asked);
  return {
    keyFor: () => {
      const known = kept()[name];
      if (typeof known === 'string') return known;
      const bytes = crypto.getRandomValues(new Uint8Array(16));
      const key = [...bytes].map((byte) => byte.toString(16).padStart(2, '0')).join('');
      keep({ ...kept(), [name]: key });
      return key;
    },
    settled: () => {
      const { [name]: _, ...rest } = kept();
      keep(rest);
    },
  };
}
