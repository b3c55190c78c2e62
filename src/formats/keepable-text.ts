/** Letters that no database keeps in a text: a NUL, and one half of a pair that stands alone. */
const UNKEEPABLE = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Whether every letter of a text can be kept. */
const isKeepable = (text: string): boolean => !UNKEEPABLE.test(text);

/**
 * Why a value read from JSON cannot be kept: a text in it, or a name, holds a letter that nobody can write.
 *
 * @returns nothing where it can
 */
export function unkeepable(value: unknown): string | undefined {
  const isWell = (each: unknown): boolean => {
    if (typeof each === 'string') return isKeepable(each);
    if (Array.isArray(each)) return each.every(isWell);
    if (each !== null && typeof each === 'object')
      return Object.entries(each).every(([name, within]) => isKeepable(name) && isWell(within));
    return true;
  };
  return isWell(value) ? undefined : 'it holds a character that nobody can write';
}
