/** `npm run licences`: the licences of all that the app runs on, from what is installed. */
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ensureInstalled } from './run/ensure-installed.mjs';
import { inProject } from './run/project.mjs';

ensureInstalled();
const { packages } = JSON.parse(readFileSync(inProject('package-lock.json'), 'utf8'));
const byLicence = new Map();
for (const [place, { dev, version }] of Object.entries(packages)) {
  if (place === '' || dev) continue;
  let licence;
  try {
    const described = JSON.parse(readFileSync(inProject(place, 'package.json'), 'utf8'));
    licence = described.license?.type ?? described.license ?? 'not said';
  } catch {
    // For another system: not installed here.
    continue;
  }
  const name = place.slice(place.lastIndexOf(`node_modules${path.sep}`) + 'node_modules/'.length);
  byLicence.set(licence, [...(byLicence.get(licence) ?? []), `${name} ${version}`]);
}
for (const [licence, names] of [...byLicence].sort((a, b) => b[1].length - a[1].length)) {
  process.stdout.write(`${licence} (${names.length})\n  ${names.sort().join(', ')}\n`);
}
