import { describe, expect, it } from 'vitest';
import { gridFilm } from '@/core/film/grid-film';
import {
  DROP,
  drawSpoonAcross,
  dropOnPlate,
  flowFor,
  layerInPan,
  lineClosed,
  lineClosedAfter,
} from '@/core/film/scenes';
import { coveredM2, cutSurface, diameterMm, emptySurface } from '@/core/film/surface';
import { spreadDiameter } from '@/core/flow/ring-spread';

const fluid = (eta: number, ty: number) => ({ plasticViscosityPaS: eta, yieldStressPa: ty, densityKgM3: 1150 });

describe('the surface that is drawn', () => {
  it.each([
    [0.1, 0.5],
    [0.5, 3],
    [2, 10],
    [8, 40],
    [200, 3000],
  ])('is as wide as 20 ml of %d Pa·s and %d Pa run, within 4 %%', (eta, ty) => {
    const film = dropOnPlate(fluid(eta, ty), 30);
    flowFor(film, 30);
    const surface = emptySurface(film.cells);
    cutSurface(film, surface);
    const wanted = spreadDiameter(fluid(eta, ty), DROP.volumeMl, 30, DROP.ringMm);
    expect(Math.abs(diameterMm(surface) / wanted - 1)).toBeLessThan(0.04);
  });

  it('is round, faces up, comes down to the ground at its edge, and needs no new arrays', () => {
    const film = gridFilm(fluid(1, 1e5), 64, 0.1);
    film.pour({ x: 0.05, y: 0.05 }, 40e-6, 0.03);
    const surface = emptySurface(64);
    const { positions } = surface;
    cutSurface(film, surface);
    const first = surface.corners;
    cutSurface(film, surface);
    expect(surface.corners).toBe(first);
    expect(surface.positions).toBe(positions);
    expect(coveredM2(surface) / (Math.PI * 0.03 ** 2)).toBeLessThan(1.06);
    let [lowest, highest, furthest, nearest] = [1, 0, 0, 1];
    for (let i = 0; i < surface.corners; i++) {
      const [x = 0, height = 0, y = 0] = positions.subarray(3 * i, 3 * i + 3);
      expect(surface.normals[3 * i + 1]).toBeGreaterThan(0);
      if (height > 0) lowest = Math.min(lowest, height);
      highest = Math.max(highest, height);
      if (height < 1e-3) {
        furthest = Math.max(furthest, Math.hypot(x, y));
        nearest = Math.min(nearest, Math.hypot(x, y));
      }
    }
    expect(lowest).toBeLessThan(0.001);
    expect(highest).toBeGreaterThan(0.012);
    // The lowest of the rim is a narrow ring.
    expect(furthest - nearest).toBeLessThan(1.5 * film.cellM);
  });

  it('an empty ground is drawn as nothing', () => {
    const surface = emptySurface(16);
    cutSurface(gridFilm(fluid(1, 1), 16, 0.1), surface);
    expect([surface.corners, diameterMm(surface)]).toEqual([0, 0]);
  });
});

describe('a spoon’s line in a pan', () => {
  const closed = (eta: number, ty: number, seconds: number) => lineClosedAfter(fluid(eta, ty), seconds);

  it('closes at once, in some seconds, or stays', () => {
    expect(closed(0.1, 0.3, 1)).toBeGreaterThan(0.6);
    expect(closed(1, 5, 3)).toBeGreaterThan(0.05);
    expect(closed(1, 5, 3)).toBeLessThan(0.8);
    expect(closed(10, 80, 30)).toBeLessThan(0.02);
  });

  it('closes no less with time', () => {
    const film = layerInPan(fluid(0.8, 4), 48);
    drawSpoonAcross(film);
    let before = 0;
    for (let s = 0; s < 20; s++) {
      flowFor(film, 0.5);
      expect(lineClosed(film)).toBeGreaterThanOrEqual(before - 0.01);
      before = lineClosed(film);
    }
  });
});

describe('a round pan', () => {
  it('holds what is in it, level at rest and tilted', () => {
    const film = layerInPan(fluid(0.2, 0.5), 48);
    const volume = film.volumeM3();
    const before = Float64Array.from(film.depthM);
    flowFor(film, 2);
    expect(film.depthM).toEqual(before);
    flowFor(film, 2, 0.3);
    expect(film.volumeM3() / volume).toBeCloseTo(1, 9);
    for (const [wall] of film.wall) expect(film.depthM[wall]).toBe(0);
    const half = (side: (x: number) => boolean) =>
      film.depthM.reduce((sum, h, k) => sum + (side((k % 48) - 23.5) ? h : 0), 0);
    expect(half((x) => x > 0)).toBeGreaterThan(1.2 * half((x) => x < 0));
  });
});
