import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Spot } from '@/core/film/fill-round';
import { type GridFilm, gridFilm, WET_M } from '@/core/film/grid-film';
import { type FilmFluid, mobility } from '@/core/film/mobility';
import { roundFilm } from '@/core/film/round-film';
import { dripAfter, dripLength, heldFilm } from '@/core/film/upright-film';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { GRAVITY } from '@/core/gravity';
import vectors from '../../support/film-vectors.json';

const fluid = (eta: number, ty: number, rho = 1150): FilmFluid => ({
  plasticViscosityPaS: eta,
  yieldStressPa: ty,
  densityKgM3: rho,
});

/** A drop of 20 ml let go from a ring of 50 mm in the middle of a square. */
function drop(of: FilmFluid, cells: number, sizeM: number, at: Spot = { x: sizeM / 2, y: sizeM / 2 }): GridFilm {
  const film = gridFilm(of, cells, sizeM);
  film.pour(at, 20e-6, 0.025);
  return film;
}

const run = (film: GridFilm, seconds: number, dt = 1 / 30, tiltX = 0) => {
  for (let s = 0; s < Math.round(seconds / dt); s++) film.step(dt, tiltX);
};

/** mm across a disc of the same area as all that is wet. */
const wetDiameter = ({ depthM, cellM }: GridFilm) =>
  2000 * Math.sqrt((depthM.filter((h) => h > WET_M).length * cellM * cellM) / Math.PI);

const flowing = fc.record({
  eta: fc.double({ min: 0.05, max: 20, noNaN: true }),
  ty: fc.double({ min: 0, max: 80, noNaN: true }),
});

describe('mobility', () => {
  it.each(vectors.mobility)('$h m at a slope of $slope, $eta Pa·s, $ty Pa', ({ h, slope, rho, eta, ty, M }) => {
    const found = mobility(fluid(eta, ty, rho), h, slope);
    if (M === 0) expect(found).toBe(0);
    else expect(found / M).toBeCloseTo(1, 4);
  });

  it('never falls with depth or slope, and is never more than without yield', () => {
    fc.assert(
      fc.property(
        flowing,
        fc.double({ min: 1e-4, max: 0.02, noNaN: true }),
        fc.double({ min: 0.001, max: 3, noNaN: true }),
        ({ eta, ty }, h, s) => {
          const of = fluid(eta, ty);
          const here = mobility(of, h, s);
          expect(here).toBeGreaterThanOrEqual(0);
          expect(mobility(of, 1.1 * h, s)).toBeGreaterThanOrEqual(here * (1 - 1e-9));
          expect(mobility(of, h, 1.1 * s)).toBeGreaterThanOrEqual(here * (1 - 1e-9));
          expect(here).toBeLessThanOrEqual(mobility(fluid(eta, 0), h, s) * (1 + 1e-9));
        },
      ),
    );
  });
});

describe('a round drop', () => {
  it.each(vectors.ring)(
    'of $volumeMl ml, $eta Pa·s, $ty Pa',
    ({ volumeMl, ringRadiusM, rho, eta, ty, diameterMm, closedFormMm }) => {
      const of = fluid(eta, ty, rho);
      const film = roundFilm(of, volumeMl, ringRadiusM, 180);
      for (const seconds of [10, 30, 180] as const) {
        film.runTo(seconds);
        expect(Math.abs(film.diameterMm() / diameterMm[`${seconds}`] - 1)).toBeLessThan(0.03);
        expect(Math.abs(film.diameterMm() / closedFormMm[`${seconds}`] - 1)).toBeLessThan(0.04);
        expect(spreadDiameter(of, volumeMl, seconds, 2000 * ringRadiusM) / closedFormMm[`${seconds}`]).toBeCloseTo(
          1,
          2,
        );
      }
      expect(film.volumeMl() / volumeMl).toBeCloseTo(1, 9);
      expect(film.depthM.every((h) => h >= 0)).toBe(true);
    },
  );

  it('without yield runs as Huppert has it, within 2 %', () => {
    const [eta, rho, volume, seconds] = [0.3, 1100, 20e-6, 30];
    const film = roundFilm(fluid(eta, 0, rho), 1e6 * volume, 0.012, seconds);
    film.runTo(seconds);
    const huppert = 0.894 * ((rho * GRAVITY * volume ** 3 * seconds) / (3 * eta)) ** (1 / 8);
    expect(film.diameterMm() / 2000 / huppert).toBeGreaterThan(0.98);
    expect(film.diameterMm() / 2000 / huppert).toBeLessThan(1.02);
  });
});

describe('a film on a grid', () => {
  it.each(vectors.ring.slice(0, 5))(
    'spreads as the round one does: $eta Pa·s, $ty Pa',
    ({ volumeMl, ringRadiusM, rho, eta, ty, diameterMm }) => {
      const size = (1.25 * diameterMm['30']) / 1000;
      const film = gridFilm(fluid(eta, ty, rho), 96, size);
      film.pour({ x: size / 2, y: size / 2 }, volumeMl * 1e-6, ringRadiusM);
      run(film, 30);
      expect(Math.abs(wetDiameter(film) / diameterMm['30'] - 1)).toBeLessThan(0.03);
      expect(film.volumeM3() / (volumeMl * 1e-6)).toBeCloseTo(1, 9);
    },
  );

  it.each(vectors.tilt.cases)(
    'tilted by 20 degrees: $eta Pa·s, $ty Pa',
    ({ eta, ty, uphillMm, downhillMm, thickestMm }) => {
      const film = drop(fluid(eta, ty), 96, 0.3, { x: 0.1, y: 0.15 });
      run(film, 10);
      run(film, 5, 1 / 30, Math.tan((20 * Math.PI) / 180));
      // Both ends of each wet row, where the depth passes that of the edge between two cells.
      const ends = Array.from({ length: 96 }, (_, y) => Array.from(film.depthM.subarray(y * 96, y * 96 + 96))).flatMap(
        (row) => {
          const [first, last] = [row.findIndex((h) => h > WET_M), row.findLastIndex((h) => h > WET_M)];
          if (first < 1) return [];
          const beyond = (inside: number, outside: number) =>
            ((row[inside] ?? 0) - WET_M) / ((row[inside] ?? 0) - (row[outside] ?? 0));
          const mm = (cell: number) => 1000 * ((cell + 0.5) * film.cellM - 0.1);
          return [mm(first - beyond(first, first - 1)), mm(last + beyond(last, last + 1))];
        },
      );
      const within = (found: number, asked: number) =>
        expect(Math.abs(found - asked)).toBeLessThan(Math.max(3, 0.04 * asked));
      within(-Math.min(...ends), uphillMm);
      within(Math.max(...ends), downhillMm);
      expect(Math.max(...film.depthM) * 1000).toBeCloseTo(thickestMm, 1);
      expect(film.volumeM3() / 20e-6).toBeCloseTo(1, 9);
    },
  );

  it.each(vectors.groove.cases)('a spoon’s line: $eta Pa·s, $ty Pa', ({ eta, ty, depthMmAfter }) => {
    const film = gridFilm(fluid(eta, ty), 96, 0.12);
    film.depthM.fill(0.008);
    film.touch();
    film.groove({ x: -0.1, y: 0.06 }, { x: 0.3, y: 0.06 }, 0.014, 0.001);
    let past = 0;
    for (const seconds of [0.5, 2, 10] as const) {
      run(film, seconds - past, 1 / 60);
      past = seconds;
      const middle = 500 * ((film.depthM[47 * 96 + 48] ?? 0) + (film.depthM[48 * 96 + 48] ?? 0));
      expect(Math.abs(middle - depthMmAfter[`${seconds}`])).toBeLessThan(0.3);
    }
  });

  it('loses nothing, holds nothing negative and keeps its mirror, whatever flows', () => {
    fc.assert(
      fc.property(flowing, fc.double({ min: -0.5, max: 0.5, noNaN: true }), ({ eta, ty }, tilt) => {
        const n = 32;
        const film = drop(fluid(eta, ty), n, 0.16);
        run(film, 1, 1 / 30, tilt);
        expect(film.volumeM3() / 20e-6).toBeCloseTo(1, 9);
        expect(film.depthM.every((h) => h >= 0)).toBe(true);
        // What runs along x is the same above and below its middle.
        for (let y = 0; y < n / 2; y++) {
          for (let x = 0; x < n; x++) {
            expect(Math.abs((film.depthM[y * n + x] ?? 0) - (film.depthM[(n - 1 - y) * n + x] ?? 0))).toBeLessThan(
              1e-6,
            );
          }
        }
      }),
      { numRuns: 25 },
    );
  });

  it('looks the same turned by a quarter, within 1 %', () => {
    const film = drop(fluid(0.5, 3), 64, 0.12);
    run(film, 5);
    const across = (at: (i: number) => number) =>
      Array.from({ length: 64 }, (_, i) => film.depthM[at(i)] ?? 0).filter((h) => h > WET_M).length;
    expect(across((i) => 32 * 64 + i)).toBe(across((i) => i * 64 + 32));
    const middle = film.depthM[32 * 64 + 20] ?? 0;
    expect((film.depthM[20 * 64 + 32] ?? 0) / middle).toBeCloseTo(1, 2);
  });

  it('once it stands its stress is nowhere more than its yield', () => {
    const [of, n] = [fluid(2, 20), 48];
    const film = drop(of, n, 0.1);
    run(film, 400, 1 / 10);
    const { depthM, cellM } = film;
    for (let y = 1; y < n - 1; y++) {
      for (let x = 1; x < n - 1; x++) {
        const k = y * n + x;
        const at = (cell: number) => depthM[cell] ?? 0;
        if (Math.min(at(k), at(k - 1)) < 0.001) continue;
        // On the face between two cells, its slope aside the mean of theirs.
        const along = (at(k) - at(k - 1)) / cellM;
        const aside = (at(k + n) - at(k - n) + at(k - 1 + n) - at(k - 1 - n)) / (4 * cellM);
        const stress = of.densityKgM3 * GRAVITY * 0.5 * (at(k) + at(k - 1)) * Math.hypot(along, aside);
        // A Casson sauce creeps towards its yield for hours: after minutes 5 % are left.
        expect(stress).toBeLessThan(1.05 * of.yieldStressPa);
      }
    }
  });

  it('a thinner sauce is never smaller', () => {
    fc.assert(
      fc.property(flowing, fc.double({ min: 0.3, max: 0.9, noNaN: true }), ({ eta, ty }, thinner) => {
        const [thick, thin] = [drop(fluid(eta, ty), 40, 0.3), drop(fluid(eta * thinner, ty * thinner), 40, 0.3)];
        run(thick, 3);
        run(thin, 3);
        expect(wetDiameter(thin)).toBeGreaterThanOrEqual(wetDiameter(thick) - 1e-9);
      }),
      { numRuns: 12 },
    );
  });

  it('an empty ground stays empty, and a bar stays where it was put', () => {
    const empty = gridFilm(fluid(1, 1), 16, 0.1);
    run(empty, 1);
    expect(empty.volumeM3()).toBe(0);
    const bar = drop(fluid(1e6, 1e5), 48, 0.1);
    const before = Float64Array.from(bar.depthM);
    run(bar, 5);
    expect(bar.depthM).toEqual(before);
  });
});

describe('on an upright side', () => {
  it('a drip runs until it is left behind as the film its yield holds', () => {
    const of = fluid(0.5, 8);
    expect(heldFilm(of) * 1000).toBeCloseTo(0.709, 2);
    expect(dripLength(of, 0.3) * 1000).toBeCloseTo(47, 0);
    // The last of it creeps.
    expect(dripAfter(of, 0.3, 1e5) / dripLength(of, 0.3)).toBeGreaterThan(0.95);
  });

  it('it runs further with time, with more in it, and when it is thinner', () => {
    fc.assert(
      fc.property(
        flowing,
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        ({ eta, ty }, ml, s) => {
          const here = dripAfter(fluid(eta, ty), ml, s);
          expect(dripAfter(fluid(eta, ty), ml, 2 * s)).toBeGreaterThanOrEqual(here - 1e-9);
          expect(dripAfter(fluid(eta, ty), 2 * ml, s)).toBeGreaterThanOrEqual(here - 1e-9);
          expect(dripAfter(fluid(eta / 2, ty), ml, s)).toBeGreaterThanOrEqual(here - 1e-9);
          expect(here).toBeLessThanOrEqual(dripLength(fluid(eta, ty), ml) + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
});
