import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lensOf, meet, rayOf, slantOf } from '@/core/photo/camera';
import { ellipseOf, fitEllipse, groundOfCircle, pointsOn } from '@/core/photo/circle-pose';

const finite = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('an ellipse through points', () => {
  it('is the one they lie on', () => {
    fc.assert(
      fc.property(
        fc.record({
          x: finite(-500, 900),
          y: finite(-500, 900),
          longer: finite(40, 400),
          flat: finite(0.3, 0.95),
          turn: finite(0.1, 3),
        }),
        ({ flat, ...rest }) => {
          const ellipse = { ...rest, shorter: flat * rest.longer };
          const conic = fitEllipse(pointsOn(ellipse, 40));
          const found = conic && ellipseOf(conic);
          expect(found?.x).toBeCloseTo(ellipse.x, 3);
          expect(found?.y).toBeCloseTo(ellipse.y, 3);
          expect(found?.longer).toBeCloseTo(ellipse.longer, 3);
          expect(found?.shorter).toBeCloseTo(ellipse.shorter, 3);
          expect(Math.cos(2 * ((found?.turn ?? 0) - ellipse.turn))).toBeCloseTo(1, 6);
        },
      ),
    );
  });

  it('is none through fewer than six, nor through a line', () => {
    expect(
      fitEllipse([
        [0, 0],
        [1, 1],
        [2, 0],
      ]),
    ).toBeUndefined();
    const line = fitEllipse(Array.from({ length: 12 }, (_, i) => [i, 2 * i] as const));
    expect(line && ellipseOf(line)).toBeUndefined();
  });
});

describe('the ground a circle lies on', () => {
  it('is found from how the circle is seen: its slant, and how far away it is', () => {
    fc.assert(
      fc.property(finite(4, 50), finite(250, 900), finite(-60, 60), (slantDeg, farMm, besideMm) => {
        const lens = lensOf(1600, 1200);
        const slant = (slantDeg * Math.PI) / 180;
        const radius = 135;
        // The circle in front of the camera: y is down, z is forward; its far side is up.
        const seen = Array.from({ length: 60 }, (_, i) => {
          const t = (2 * Math.PI * i) / 60;
          const [a, b] = [radius * Math.cos(t), radius * Math.sin(t)];
          const [x, y, z] = [besideMm + a, -b * Math.cos(slant), farMm + b * Math.sin(slant)];
          return [800 + (lens.focalPx * x) / z, 600 + (lens.focalPx * y) / z] as const;
        });
        const conic = fitEllipse(seen);
        const ellipse = conic && ellipseOf(conic);
        const ground = ellipse && groundOfCircle(lens, ellipse, radius);
        if (!ground) throw new Error('no ground');
        expect((slantOf(ground) * 180) / Math.PI).toBeCloseTo(slantDeg, 1);
        // The middle of the circle lies on it.
        const middle = meet(ground, rayOf(lens, 800 + (lens.focalPx * besideMm) / farMm, 600));
        expect(Math.abs((middle?.[2] ?? 0) / farMm - 1)).toBeLessThan(0.005);
      }),
      { numRuns: 60 },
    );
  });
});
