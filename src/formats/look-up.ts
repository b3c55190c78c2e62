/** What a plain object itself holds under a name, and nothing that every object answers to. */
export function lookUp<Value>(record: Readonly<Record<string, Value>>, name: string): Value | undefined {
  return Object.hasOwn(record, name) ? record[name] : undefined;
}
