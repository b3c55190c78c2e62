import { execFileSync, spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, mkdtempSync, openSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const IMAGE_BYTES = 512 * 2 ** 20;
/** `EXT4_IOC_SHUTDOWN` with `NOLOGFLUSH`: nothing reaches the disk from here on, as when the power goes. */
const CUT = 'open(F, "<", $ARGV[0]) or die; my $how = pack("L", 2); ioctl(F, 0x8004587D, $how) or die "$!"';

const run = (command, ...args) => execFileSync(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });

/** A disk whose power can be cut: ext4 in a file of its own. Nothing where it cannot be had, with why. */
export function makeDisk() {
  if (process.getuid?.() !== 0) return { why: 'it needs root' };
  for (const tool of ['losetup', 'mkfs.ext4', 'mount', 'perl']) {
    if (spawnSync('sh', ['-c', `command -v ${tool}`]).status !== 0) return { why: `it needs ${tool}` };
  }
  const home = mkdtempSync(path.join(tmpdir(), 'dark-pour-power-'));
  const [image, place] = [path.join(home, 'disk.img'), path.join(home, 'disk')];
  closeSync(openSync(image, 'w'));
  truncateSync(image, IMAGE_BYTES);
  mkdirSync(place);
  const mount = () => run('mount', '-o', 'loop', image, place);
  const unmount = () => {
    for (let tries = 0; spawnSync('umount', [place]).status !== 0 && tries < 50; tries++) spawnSync('sleep', ['0.1']);
  };
  try {
    run('mkfs.ext4', '-q', image);
    mount();
  } catch (error) {
    rmSync(home, { recursive: true, force: true });
    return { why: `no loop device can be mounted (${String(error.message).split('\n')[0]})` };
  }
  return {
    disk: {
      folder: path.join(place, 'data'),
      /** The power goes. The disk is as it is then. */
      cut: () => run('perl', '-e', CUT, place),
      /** The power comes back; whoever had files open must be gone. */
      back: () => {
        unmount();
        mount();
      },
      throwAway: () => {
        unmount();
        rmSync(home, { recursive: true, force: true });
      },
    },
  };
}
