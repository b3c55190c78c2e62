import { describe, expect, it } from 'vitest';
import { areaOf } from '@/core/film/pick';
import { PLATE_PATTERNS, plateGuide } from '@/core/serve/plate-guides';
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
