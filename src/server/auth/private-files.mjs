// @ts-check
import { chmodSync, existsSync, lstatSync, readdirSync } from 'node:fs';
import path from 'node:path';

/** Permissions of everybody but the owner. */
const OTHERS = 0o077;

/**
 * Takes from everybody but the owner what earlier versions left open: folders 700, files 600. What points elsewhere is left alone.
 *
 * @param {string} folder
 */
export function makePrivate(folder) {
  if (!existsSync(folder)) return;
  /** @param {string} place */
  const visit = (place) => {
    const found = lstatSync(place);
    if (found.isSymbolicLink()) return;
    if (found.mode & OTHERS) chmodSync(place, found.isDirectory() ? 0o700 : 0o600);
    if (found.isDirectory()) for (const name of readdirSync(place)) visit(path.join(place, name));
  };
  visit(folder);
}
