/** What lies on a sauce for the eye: it changes no figure of it. */
export interface SurfaceMarks {
  /** flecks of fat that did not melt, or grains of sugar */
  readonly grit?: 'flecks' | 'sandy' | undefined;
  readonly hasBubbles?: boolean;
  readonly hasSkin?: boolean;
  /** above it, on the wall of the pan */
  readonly hasDriedRim?: boolean;
}

/** m of a square that is a mark or none, the part of squares that are, and how much darker (below 0) or lighter each is (J). */
const FLECKS = { sideM: 0.0026, part: 0.06, shade: -0.75 } as const;
const GRAINS = { sideM: 0.0014, part: 0.16, shade: 0.45 } as const;
const BUBBLES = { sideM: 0.0032, part: 0.045, shade: 0.5 } as const;
/** m between the folds of a skin, and how much lighter they are (J). */
const SKIN = { foldsM: 0.014, shade: 0.2 } as const;

/** A number of 0-1 that belongs to a square. */
function hashOf(i: number, j: number): number {
  const mixed = Math.sin(i * 127.1 + j * 311.7) * 43_758.545_3;
  return mixed - Math.floor(mixed);
}

const spotAt = ({ sideM, part, shade }: typeof FLECKS | typeof GRAINS | typeof BUBBLES, x: number, y: number) =>
  hashOf(Math.floor(x / sideM), Math.floor(y / sideM)) < part ? shade : 0;

/**
 * How much lighter or darker a sauce is at a point by what lies on it there.
 *
 * @param x m from the middle, to the right
 * @param y m from the middle, to the front
 * @returns -1 black, 0 the sauce itself, 1 white
 */
export function markedAt({ grit, hasBubbles, hasSkin }: SurfaceMarks, x: number, y: number): number {
  const spot = grit === 'flecks' ? spotAt(FLECKS, x, y) : grit === 'sandy' ? spotAt(GRAINS, x, y) : 0;
  if (spot !== 0) return spot;
  if (hasBubbles) {
    const bubble = spotAt(BUBBLES, x, y);
    if (bubble !== 0) return bubble;
  }
  if (!hasSkin) return 0;
  const fold = Math.sin((2 * Math.PI * (x + 0.006 * Math.sin(y / 0.011))) / SKIN.foldsM);
  return fold > 0.86 ? SKIN.shade : 0;
}
