import { describe, expect, it } from 'vitest';
import { areaOf } from '@/core/film/pick';
import { PLATE_PATTERNS, type Point, plateGuide } from '@/core/serve/plate-guides';
import { handShapes, laidShapes, picked, plateShapes } from '@/core/serve/plate-shapes';

const plate = { flatCm: 18, isSquare: false, depthMm: 2, drawnMm: 9 };
const area = (shapes: readonly Float64Array<ArrayBuffer>[]) => shapes.reduce((sum, shape) => sum + areaOf(shape), 0);

describe('the finished plate', () => {
  it.each(PLATE_PATTERNS)('%s: a pick moves what is drawn and takes none of it away', (pattern) => {
    const guide = plateGuide(pattern, plate);
    const [laid, done] = [laidShapes(guide), plateShapes(guide)];
    expect(done).toHaveLength(guide.strokes.length + guide.dots.length);
    if (guide.picks.length === 0) expect(done).toEqual(laid);
    else {
      expect(done).not.toEqual(laid);
      expect(Math.abs(area(done) / area(laid) - 1)).toBeLessThan(0.02);
    }
    for (const shape of done) expect(shape.every(Number.isFinite)).toBe(true);
  });

  it('by hand, a drag moves what lies there and nothing that is dropped after it', () => {
    const way = [
      { x: -2, y: 0 },
      { x: 2, y: 0 },
    ];
    const [before, after] = handShapes([{ dot: { x: -1, y: 0 } }, { pick: way }, { dot: { x: 1, y: 0 } }], 9);
    expect(before).not.toEqual(handShapes([{ dot: { x: -1, y: 0 } }], 9)[0]);
    expect(after).toEqual(handShapes([{ dot: { x: 1, y: 0 } }], 9)[0]);
  });

  it('a pick that is not wiped drags wider each time, and takes none away either', () => {
    const guide = plateGuide('star', plate);
    const [wiped, sticky] = [plateShapes(guide), plateShapes(guide, false)];
    expect(sticky).not.toEqual(wiped);
    expect(plateShapes({ ...guide, picks: guide.picks.slice(0, 1) }, false)).toEqual(
      plateShapes({ ...guide, picks: guide.picks.slice(0, 1) }),
    );
    expect(Math.abs(area(sticky) / area(wiped) - 1)).toBeLessThan(0.03);
    const marks = [{ dot: { x: 0, y: 0 } }, ...guide.picks.slice(0, 3).map((pick) => ({ pick }))];
    expect(handShapes(marks, 30, false)).not.toEqual(handShapes(marks, 30));
  });

  it('a drag of one point, or beside everything, moves nothing', () => {
    const laid = laidShapes(plateGuide('dots', plate));
    expect(picked(laid, [{ x: 0, y: 0 }])).toEqual(laid);
    expect(
      picked(laid, [
        { x: 20, y: 20 },
        { x: 22, y: 20 },
      ]),
    ).toEqual(laid);
  });
});

describe('feathered lines', () => {
  const plate = { flatCm: 20, isSquare: false, depthMm: 2, drawnMm: 5 };
  const guide = plateGuide('feather', plate);
  const [laid, drawn] = [laidShapes(guide), plateShapes(guide)];

  /** How far the middle line is drawn along a drag, m; up positive. */
  const pulled = (way: readonly Point[]) => {
    const x = (way[0]?.x ?? 0) / 100;
    const line = drawn[2] as Float64Array;
    let [least, most] = [0, 0];
    for (let i = 0; i < line.length; i += 2) {
      if (Math.abs((line[i] as number) - x) > 0.001) continue;
      least = Math.min(least, line[i + 1] as number);
      most = Math.max(most, line[i + 1] as number);
    }
    return most + least;
  };

  it('keep their areas, and are drawn down and up in turn', () => {
    expect(drawn).toHaveLength(5);
    for (const [i, shape] of drawn.entries())
      expect(areaOf(shape) / areaOf(laid[i] as Float64Array<ArrayBuffer>)).toBeCloseTo(1, 1.7);
    for (const [i, way] of guide.picks.entries()) {
      expect(Math.sign(pulled(way))).toBe(i % 2 === 0 ? 1 : -1);
      expect(Math.abs(pulled(way))).toBeGreaterThan(0.002);
    }
  });
});
