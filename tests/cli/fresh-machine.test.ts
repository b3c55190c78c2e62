import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';

const IMPORT = /^(?:import|export)\s(?:[^'"]*\sfrom\s+)?['"]([^'"]+)['"]/gm;

/** Packages that a program needs before it runs at all, with the file that asks for each. */
function packagesOf(program: string): string[] {
  const seen = new Set<string>();
  const found: string[] = [];
  const visit = (file: string) => {
    if (seen.has(file)) return;
    seen.add(file);
    for (const [, asked = ''] of readFileSync(file, 'utf8').matchAll(IMPORT)) {
      if (asked.startsWith('.')) visit(path.resolve(path.dirname(file), asked));
      else if (!asked.startsWith('node:')) found.push(`${asked} in ${path.relative('.', file)}`);
    }
  };
  visit(path.resolve(program));
  return found;
}

describe('on a machine where nothing is installed yet', () => {
  const programs = readdirSync('scripts').filter((name) => name.endsWith('.mjs'));

  it('there are programs to look at', () => {
    expect(programs).toEqual(expect.arrayContaining(['demo.mjs', 'start.mjs', 'test.mjs']));
  });

  it.each(programs)('%s begins: it installs the packages before it asks for one', (name) => {
    expect(packagesOf(path.join('scripts', name))).toEqual([]);
  });
});
