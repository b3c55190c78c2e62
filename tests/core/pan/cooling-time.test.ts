import { describe, expect, it } from 'vitest';
import { coolingTime } from '@/core/pan/cooling-time';
import { bowlBody, COOLING_PLACES, coolingHours } from '@/core/set/cooling';

const MATERIAL = { densityKgM3: 1090, conductivity: 0.33, heatCapacityAt: () => 3400 };
const FRIDGE = { surface: COOLING_PLACES.fridge, aroundC: 4 };
const SPAN = { fromC: 45, toC: 10 };

describe('hours until it is cold', () => {
  it('agree with the closed form of one place within 8 %, at centre and edge', () => {
    for (const lengthM of [0.01, 0.02, 0.03]) {
      for (const shape of ['slab', 'cylinder', 'sphere'] as const) {
        for (const point of ['centre', 'edge'] as const) {
          const closed = coolingHours(
            { shape, lengthM },
            { ...MATERIAL, heatCapacity: 3400 },
            { ...SPAN, aroundC: 4 },
            FRIDGE.surface,
            point,
          );
          const found = coolingTime({ shape, lengthM }, MATERIAL, FRIDGE, SPAN, point) ?? Number.NaN;
          expect(Math.abs(found / closed - 1), `${shape} ${lengthM} ${point}`).toBeLessThan(0.08);
        }
      }
    }
  });

  it('grow with the batch and the warmth around, and end where it never comes there', () => {
    const bowl = (grams: number, aroundC: number) =>
      coolingTime(bowlBody(grams, 1150), MATERIAL, { surface: COOLING_PLACES.room, aroundC }, { fromC: 70, toC: 36 });
    expect(bowl(1000, 22)).toBeGreaterThan(bowl(500, 22) ?? Number.NaN);
    expect(bowl(500, 30)).toBeGreaterThan(bowl(500, 16) ?? Number.NaN);
    expect(bowl(500, 36)).toBeUndefined();
    expect(bowl(500, 40)).toBeUndefined();
  });

  it('count warming, too', () => {
    const thaw = coolingTime(
      { shape: 'slab', lengthM: 0.01 },
      MATERIAL,
      { surface: 9, aroundC: 22 },
      { fromC: 4, toC: 18 },
    );
    expect(thaw).toBeGreaterThan(0.5);
    expect(thaw).toBeLessThan(6);
  });
});
