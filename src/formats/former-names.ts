/**
 * Reads a field that had another name in older files.
 *
 * @returns a step before a schema: an object that has the old name and not the new one, with the new one
 */
export function formerly(old: string, now: string): (value: unknown) => unknown {
  return (value) => {
    if (typeof value !== 'object' || value === null || !Object.hasOwn(value, old) || Object.hasOwn(value, now)) {
      return value;
    }
    const { [old]: kept, ...rest } = value as Record<string, unknown>;
    return { ...rest, [now]: kept };
  };
}
