import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FilmFluid } from '@/core/film/mobility';
import { drawnDrop, layerInPan, RIBBON, ribbonInPan } from '@/core/film/scenes';
import { cutSurface, type DrawnFilm, diameterMm, emptySurface } from '@/core/film/surface';
import { ribbonOf } from '@/core/flow/ribbon';
import { spreadDiameter } from '@/core/flow/ring-spread';

const fluid = (plasticViscosityPaS: number, yieldStressPa: number): FilmFluid => ({
  plasticViscosityPaS,
  yieldStressPa,
  densityKgM3: 1150,
});

const volumeMl = ({ depthM, cellM }: DrawnFilm) => 1e6 * depthM.reduce((sum, h) => sum + h, 0) * cellM * cellM;

/** How far the surface stands above and below its middle height within the pan, m. */
const unevenness = (film: DrawnFilm) => {
  const wet = film.depthM.filter((h) => h > 0.001);
  return Math.max(...wet) - Math.min(...wet);
};

describe('a drop drawn in the round', () => {
  it('keeps its 20 ml and is as wide as the ring test says, coarse or fine', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        fc.double({ min: 0.5, max: 60, noNaN: true }),
        fc.constantFrom([72, 120] as const, [40, 40] as const),
        (eta, ty, [cells, rings]) => {
          const of = fluid(eta, ty);
          const film = drawnDrop(of, 30, cells, rings);
          const surface = emptySurface(cells);
          cutSurface(film, surface);
          const expected = spreadDiameter(of, 20, 30);
          expect(Math.abs(volumeMl(film) - 20)).toBeLessThan(rings === 120 ? 0.6 : 1.6);
          expect(Math.abs(diameterMm(surface) / expected - 1)).toBeLessThan(rings === 120 ? 0.05 : 0.08);
        },
      ),
      { numRuns: 40 },
    );
  });

  it.each([
    ['water', 0.001, 0],
    ['a bar', 50, 1e6],
    ['a syrup without yield', 0.3, 0],
    ['a thick one without yield', 400, 0],
  ])('%s is drawn too: nothing negative, nothing without end', (_, eta, ty) => {
    const film = drawnDrop(fluid(eta, ty), 30, 40, 40);
    expect(film.depthM.every((h) => Number.isFinite(h) && h >= 0)).toBe(true);
    expect(Math.max(...film.depthM)).toBeGreaterThan(0);
    expect(Math.max(...film.depthM)).toBeLessThan(0.02);
  });

  it('is the same along its axes and across them', () => {
    const { cells, depthM } = drawnDrop(fluid(1, 8), 30);
    const at = (x: number, y: number) => depthM[y * cells + x];
    for (let y = 0; y < cells; y++) {
      for (let x = 0; x < cells; x++) {
        expect(at(x, y)).toBe(at(y, x));
        expect(at(x, y)).toBe(at(cells - 1 - x, y));
      }
    }
  });
});

describe('a ribbon let fall into a pan', () => {
  it('adds what fell, and melts in the sooner the thinner the pan is', () => {
    const before = volumeMl(layerInPan(fluid(1, 1), 48));
    const left = [0.05, 1, 30].map((eta) => {
      const film = ribbonInPan(fluid(eta, 4 * eta), 1, 48);
      expect(volumeMl(film) - before).toBeCloseTo(RIBBON.mlPerS * RIBBON.lastsS, 2);
      return unevenness(film);
    });
    expect(left[0]).toBeLessThan(left[1] ?? 0);
    expect(left[1]).toBeLessThan(left[2] ?? 0);
  });

  it('is called by how thick the pan is, thinnest first', () => {
    expect([0, 1.9, 2, 11, 12, 59, 60, 1e6].map(ribbonOf)).toEqual([
      'runs',
      'runs',
      'falls',
      'falls',
      'lies',
      'lies',
      'mounds',
      'mounds',
    ]);
  });
});
