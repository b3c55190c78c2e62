import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

/** Ticks of the kernel's clock in a second, as Linux counts processor time. */
const TICKS = 100;

/** A process and all it started, with the memory of each, kB. */
function familyOf(pid: number): readonly { readonly pid: number; readonly rssKb: number }[] {
  const table = execFileSync('ps', ['-eo', 'pid=,ppid=,rss='], { encoding: 'utf8' })
    .trim()
    .split('\n')
    .map((line) => line.trim().split(/\s+/).map(Number) as [number, number, number]);
  const family = new Set([pid]);
  for (let grew = true; grew; ) {
    grew = false;
    for (const [own, parent] of table) {
      if (!family.has(own) && family.has(parent)) {
        family.add(own);
        grew = true;
      }
    }
  }
  return table.flatMap(([own, , rssKb]) => (family.has(own) ? [{ pid: own, rssKb }] : []));
}

/** Memory of a server and all it started, MB. */
export const memoryMb = (pid: number) => familyOf(pid).reduce((sum, { rssKb }) => sum + rssKb, 0) / 1024;

/** Processor time a server and all it started have used, s. */
export function cpuSeconds(pid: number): number {
  return familyOf(pid).reduce((sum, each) => {
    try {
      const [, after = ''] = readFileSync(`/proc/${each.pid}/stat`, 'utf8').split(') ');
      const fields = after.split(' ');
      return sum + (Number(fields[11]) + Number(fields[12])) / TICKS;
    } catch {
      // Ended meanwhile: what it used is its parent's no more.
      return sum;
    }
  }, 0);
}
