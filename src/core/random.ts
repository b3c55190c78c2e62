/**
 * A small deterministic generator of numbers in 0-1, so that the same request gives the same answer.
 *
 * @param seed any integer
 * @see mulberry32, public domain
 */
export function seededNumbers(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * Normal numbers, mean 0 and standard deviation 1, from a seeded generator.
 *
 * @param random numbers in 0-1
 * @see Box & Muller 1958
 */
export function normalNumbers(random: () => number): () => number {
  let spare: number | undefined;
  return () => {
    if (spare !== undefined) {
      const value = spare;
      spare = undefined;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(1 - random()));
    const angle = 2 * Math.PI * random();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
}
