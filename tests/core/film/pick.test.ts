import { describe, expect, it } from 'vitest';
import type { Spot } from '@/core/film/fill-round';
import { areaOf, type Outline, pickThrough, ribbon, roundDot } from '@/core/film/pick';

const ring = (count: number, radiusM: number): Spot[] =>
  Array.from({ length: count }, (_, i) => ({
    x: radiusM * Math.cos((2 * Math.PI * i) / count),
    y: radiusM * Math.sin((2 * Math.PI * i) / count),
  }));

/** A stroke once round through all dots of a ring, and past the first. */
const round = (radiusM: number, parts = 240): Spot[] =>
  Array.from({ length: parts + 1 }, (_, i) => {
    const angle = -0.25 + ((2 * Math.PI + 0.3) * i) / parts;
    return { x: radiusM * Math.cos(angle), y: radiusM * Math.sin(angle) };
  });

const middleOf = (outline: Outline): Spot => {
  let [x, y] = [0, 0];
  for (let i = 0; i < outline.length; i += 2) {
    x += outline[i] ?? 0;
    y += outline[i + 1] ?? 0;
  }
  return { x: (2 * x) / outline.length, y: (2 * y) / outline.length };
};

/** How often an outline crosses a line across a direction at so far along it, near a place. */
function crossings(outline: Outline, along: Spot, at: number, from: Spot): number {
  let count = 0;
  for (let i = 0; i < outline.length; i += 2) {
    const next = (i + 2) % outline.length;
    const ahead = (k: number) =>
      ((outline[k] ?? 0) - from.x) * along.x + ((outline[k + 1] ?? 0) - from.y) * along.y - at;
    const isNear = Math.hypot((outline[i] ?? 0) - from.x, (outline[i + 1] ?? 0) - from.y) < 0.02;
    if (isNear && ahead(i) < 0 !== ahead(next) < 0) count++;
  }
  return count;
}

/** How wide a shape lies across a direction at so far along it, m. */
function widthAt(outline: Outline, along: Spot, at: number, from: Spot): number {
  const across: number[] = [];
  for (let i = 0; i < outline.length; i += 2) {
    const [x, y] = [(outline[i] ?? 0) - from.x, (outline[i + 1] ?? 0) - from.y];
    // What is pulled on round the ring as a thread is no part of the shape.
    if (Math.hypot(x, y) < 0.02 && Math.abs(x * along.x + y * along.y - at) < 0.0006)
      across.push(y * along.x - x * along.y);
  }
  return across.length > 1 ? Math.max(...across) - Math.min(...across) : 0;
}

describe('a pick drawn through dots', () => {
  const [radius, size] = [0.04, 0.005];
  const dots = ring(8, radius).map((at) => roundDot(at, size));
  const after = pickThrough(dots, round(radius));

  it('eight dots and one stroke give eight shapes with two lobes and a tip', () => {
    expect(after).toHaveLength(8);
    for (const [i, shape] of after.entries()) {
      // The dots the stroke begins and ends in are passed twice.
      if (i === 0) continue;
      const start = ring(8, radius)[i] as Spot;
      const along = { x: -start.y / radius, y: start.x / radius };
      // Behind it has two lobes with a notch between; ahead it runs out into a tip, which may hold a thread of what was behind.
      expect(crossings(shape, along, -1.1 * size, start), `behind dot ${i}`).toBe(4);
      const widths = [-0.4, 0, 0.6, 1, 1.6].map((at) => widthAt(shape, along, at * size, start));
      expect(widths[0]).toBeGreaterThan(1.9 * size);
      expect(widths).toEqual(widths.toSorted((a, b) => b - a));
      expect(widths.at(-1)).toBeLessThan(0.5 * size);
    }
  });

  it('areas stay within 1 %', () => {
    for (const [i, shape] of after.entries()) {
      const part = areaOf(shape) / areaOf(dots[i] as Outline);
      expect(Math.abs(part - 1), `dot ${i}`).toBeLessThan(i === 0 ? 0.02 : 0.01);
    }
  });

  it('leaves what it was given as it was, and does nothing far away', () => {
    expect(dots[0]).toEqual(roundDot(ring(8, radius)[0] as Spot, size));
    const far = roundDot({ x: 0.2, y: 0.2 }, size);
    expect(pickThrough([far], round(radius))[0]).toEqual(far);
  });

  it('a stroke down the middle keeps the two sides alike', () => {
    const [shape] = pickThrough(
      [roundDot({ x: 0, y: 0 }, size)],
      [
        { x: -0.02, y: 0 },
        { x: 0.02, y: 0 },
      ],
    );
    const middle = middleOf(shape as Outline);
    expect(Math.abs(middle.y)).toBeLessThan(1e-5);
    expect(middle.x).toBeGreaterThan(0);
  });

  it('a line of sauce is as wide as it was drawn', () => {
    const line = ribbon(
      [
        { x: 0, y: 0 },
        { x: 0.1, y: 0 },
      ],
      0.004,
    );
    expect(areaOf(line)).toBeCloseTo(0.1 * 0.004, 6);
    const crossed = pickThrough(
      [line],
      [
        { x: 0.05, y: -0.02 },
        { x: 0.05, y: 0.02 },
      ],
    );
    expect(areaOf(crossed[0] as Outline) / areaOf(line)).toBeCloseTo(1, 1.9);
  });
});
