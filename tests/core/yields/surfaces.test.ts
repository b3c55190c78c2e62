import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PORTION_KINDS, type PortionKey, portionGrams, portionKind, usualSizes } from '@/core/yields/portions';
import {
  blockArea,
  discArea,
  domeArea,
  dotVolume,
  fingerArea,
  lineVolume,
  logArea,
  roundArea,
  swirlVolume,
} from '@/core/yields/surfaces';

const STEPS = 20_000;

/** Surface of a body turned about its axis, by adding up thin rings: r(x) along x from 0 to length. */
function turned(length: number, radius: (x: number) => number): number {
  let area = 0;
  for (let i = 0; i < STEPS; i++) {
    const [a, b] = [(i / STEPS) * length, ((i + 1) / STEPS) * length];
    const [ra, rb] = [radius(a), radius(b)];
    area += Math.PI * (ra + rb) * Math.hypot(b - a, rb - ra);
  }
  return area;
}

/** Volume under an outline, by adding up thin slices of a given area. */
function stacked(height: number, area: (z: number) => number): number {
  let volume = 0;
  for (let i = 0; i < STEPS; i++) volume += (height / STEPS) * area(((i + 0.5) / STEPS) * height);
  return volume;
}

describe('surfaces', () => {
  it('a finger all round is a round-ended bar, its top half of it', () => {
    const bar = turned(13, (x) => {
      const into = Math.min(x, 13 - x);
      return into >= 1.5 ? 1.5 : Math.sqrt(1.5 ** 2 - (1.5 - into) ** 2);
    });
    expect(fingerArea(13, 3, true)).toBeCloseTo(bar, 1);
    expect(fingerArea(13, 3, false)).toBeCloseTo(fingerArea(13, 3, true) / 2, 10);
  });

  it('a finger as long as it is wide is a ball', () => {
    expect(fingerArea(4, 4, true)).toBeCloseTo(4 * Math.PI * 2 ** 2, 10);
    expect(fingerArea(3, 4, true)).toBeCloseTo(4 * Math.PI * 1.5 ** 2, 10);
  });

  it('a dome is half a ball, a round cake a disc and its rim', () => {
    expect(domeArea(7)).toBeCloseTo(turned(7, (x) => Math.sqrt(Math.max(3.5 ** 2 - (x - 3.5) ** 2, 0))) / 2, 1);
    expect(roundArea(18, 4.5, false)).toBeCloseTo(Math.PI * 81, 10);
    expect(roundArea(18, 4.5, true) - roundArea(18, 4.5, false)).toBeCloseTo(2 * Math.PI * 9 * 4.5, 10);
  });

  it('a log is half a cylinder, its ends two half discs', () => {
    expect(logArea(25, 8, false)).toBeCloseTo(0.5 * 2 * Math.PI * 4 * 25, 10);
    expect(logArea(25, 8, true) - logArea(25, 8, false)).toBeCloseTo(Math.PI * 16, 10);
  });

  it('a block is its top and four sides', () => {
    expect(blockArea(6, 4, 3, false)).toBe(24);
    expect(blockArea(6, 4, 3, true)).toBe(24 + 2 * 18 + 2 * 12);
  });
});

describe('volumes', () => {
  it('a dot is half a flattened ball', () => {
    const [radius, height] = [0.75, 0.4];
    expect(dotVolume(1.5, height)).toBeCloseTo(
      stacked(height, (z) => Math.PI * radius ** 2 * (1 - (z / height) ** 2)),
      4,
    );
  });

  it('a line has a half-oval section', () => {
    const height = 0.3;
    const section = stacked(height, (z) => 0.6 * Math.sqrt(1 - (z / height) ** 2));
    expect(lineVolume(20, 0.6, height)).toBeCloseTo(20 * section, 3);
  });

  it('a swirl holds more than its cone and less than its cylinder', () => {
    const cone = (discArea(3.5) * 3) / 3;
    expect(swirlVolume(3.5, 3)).toBeGreaterThan(cone);
    expect(swirlVolume(3.5, 3)).toBeLessThan(3 * cone);
  });
});

describe('portions', () => {
  const keys = Object.keys(PORTION_KINDS) as PortionKey[];

  it.each([
    ['finger', 2, 'top', (0.2 * fingerArea(13, 3, false) * 1150) / 1000],
    ['tart', 15, 'top', (1.5 * discArea(8) * 1150) / 1000],
    ['jar', 0, 'top', 200 * 0.92 * 1.15],
    ['grams', 0, 'top', 12],
    ['roundLayer', 4, 'top', 2 * 0.4 * discArea(18) * 1.15],
    ['slab', 15, 'top', 30 * 20 * 1.5 * 1.15],
  ] as const)('%s at %d mm takes what its closed form says', (key, mm, over, expected) => {
    expect(portionGrams(key, usualSizes(key), mm, over !== 'top', 1150)).toBeCloseTo(expected, 8);
  });

  it('every kind grows with each of its sizes but the headspace, and a swirl is as big by any tip', () => {
    for (const key of keys) {
      const usual = usualSizes(key);
      const grams = portionGrams(key, usual, 10, true, 1150);
      expect(grams, key).toBeGreaterThan(0);
      for (const field of portionKind(key).fields) {
        const more = { ...usual, [field.key]: (usual[field.key] ?? 0) * 1.2 };
        const grown = portionGrams(key, more, 10, true, 1150);
        if (field.key === 'headspace') expect(grown).toBeLessThan(grams);
        else if (field.key === 'nozzle') expect(grown).toBe(grams);
        else expect(grown, `${key} ${field.key}`).toBeGreaterThan(grams);
      }
    }
  });

  it('sides only ever add', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...keys.filter((key) => portionKind(key).sided)),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        (key, size) => {
          const sizes = Object.fromEntries(portionKind(key).fields.map((field) => [field.key, size]));
          expect(portionGrams(key, sizes, 2, true, 1150)).toBeGreaterThanOrEqual(
            portionGrams(key, sizes, 2, false, 1150),
          );
        },
      ),
    );
  });
});
