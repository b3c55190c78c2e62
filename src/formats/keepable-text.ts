/** Letters that no database keeps in a text: a NUL, and one half of a pair that stands alone. */
const UNKEEPABLE = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/**
 * Why a value read from JSON cannot be kept: a text in it, or a name, holds a letter that nobody can write.
 *
 * @returns nothing where it can
 */
export function unkeepable(value: unknown): string | undefined {
  // A list of what is still to be looked at, not a call within a call: a value may be as deep as it is long.
  const open: unknown[] = [value];
  while (open.length > 0) {
    const each = open.pop();
    if (typeof each === 'string' && UNKEEPABLE.test(each)) return 'it holds a character that nobody can write';
    if (Array.isArray(each)) for (const within of each) open.push(within);
    else if (each !== null && typeof each === 'object') {
      for (const [name, within] of Object.entries(each)) open.push(name, within);
    }
  }
  return undefined;
}
