/** The keys of a record that has no others: a table written in the code. */
export function keysOf<Key extends string>(record: Readonly<Partial<Record<Key, unknown>>>): Key[] {
  return Object.keys(record) as Key[];
}

/** A record with a value for each key. */
export function recordOf<Key extends string, Value>(
  keys: readonly Key[],
  value: (key: Key, place: number) => Value,
): Record<Key, Value> {
  const record: Partial<Record<Key, Value>> = {};
  for (let i = 0; i < keys.length; i++) {
    const key = keys[i];
    if (key !== undefined) record[key] = value(key, i);
  }
  return record as Record<Key, Value>;
}
