/**
 * Completes package-lock.json: npm drops optional packages for other systems from the lock when it cannot see them, and then refuses its own
 * lock. Adds each optional dependency that has an exact version and a system or processor in its name and is missing.
 * Run after every change of dependencies.
 */
import { readFileSync, writeFileSync } from 'node:fs';

const SYSTEMS = [
  'linux',
  'darwin',
  'win32',
  'android',
  'freebsd',
  'openbsd',
  'netbsd',
  'sunos',
  'aix',
  'openharmony',
  'wasi',
];
const PROCESSORS = ['x64', 'arm64', 'arm', 'ia32', 'ppc64', 's390x', 'riscv64', 'loong64', 'mips64el', 'wasm32'];

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8'));
const added = [];
for (const [place, entry] of Object.entries(lock.packages)) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (!/^\d+\.\d+\.\d+/.test(version)) continue;
    const words = name.split(/[/@-]/);
    const os = SYSTEMS.filter((system) => words.includes(system));
    const cpu = PROCESSORS.filter((processor) => words.includes(processor));
    if (os.length === 0 && cpu.length === 0) continue;
    const nested = `${place}/node_modules/${name}`;
    if (lock.packages[`node_modules/${name}`] || lock.packages[nested]) continue;
    const parentIsNested = place.lastIndexOf('node_modules/') > 0;
    const where = parentIsNested
      ? `${place.slice(0, place.lastIndexOf('/node_modules/'))}/node_modules/${name}`
      : `node_modules/${name}`;
    lock.packages[where] = {
      version,
      ...(entry.dev ? { dev: true } : {}),
      optional: true,
      ...(os.length ? { os } : {}),
      ...(cpu.length ? { cpu } : {}),
    };
    added.push(where);
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync('package-lock.json', `${JSON.stringify(lock, null, 2)}\n`);
process.stdout.write(`${added.length} optional packages added to the lock\n`);
