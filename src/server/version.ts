import { readFileSync } from 'node:fs';
import path from 'node:path';

/** Version of this Dark Pour, from its package file. */
export function productVersion(): string {
  const file = path.join(/* turbopackIgnore: true */ process.cwd(), 'package.json');
  return (JSON.parse(readFileSync(file, 'utf8')) as { version: string }).version;
}
