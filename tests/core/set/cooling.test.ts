import { describe, expect, it } from 'vitest';
import { plateDiameter } from '@/core/flow/ring-spread';
import { flowAt } from '@/core/predict/state';
import {
  bowlBody,
  COOLING_PLACES,
  CoolingError,
  coolingHistory,
  coolingHours,
  stirredCoolingHours,
} from '@/core/set/cooling';
import { apparentHeatCapacity, heatProperties } from '@/core/set/heat';
import reference from '../../support/check-vectors.json';
import { batchOf, EQUAL_GANACHE } from '../../support/kitchen';

const { auxiliary } = reference;
const within = (got: number, expected: number) => expect(Math.abs(got / expected - 1)).toBeLessThan(0.005);

const ganache = batchOf(EQUAL_GANACHE);
const material = {
  densityKgM3: 1090,
  conductivity: heatProperties(ganache).conductivity,
  heatCapacity: apparentHeatCapacity(ganache, 45, 10, 1),
};
const span = { fromC: 45, toC: 10, aroundC: 4 };

describe('cooling', () => {
  it('reproduces the check figures of unstirred and stirred bodies', () => {
    for (const { L, h, k, rho, cp, T0, Tinf, T1, shape, hours } of auxiliary.time_body) {
      within(
        coolingHours(
          { shape: shape as 'slab', lengthM: L },
          { densityKgM3: rho, heatCapacity: cp, conductivity: k },
          { fromC: T0, toC: T1, aroundC: Tinf },
          h,
        ),
        hours,
      );
    }
    const { m_g, area, h, cp, T0, Tinf, T1, min } = auxiliary.time_lumped;
    within(60 * stirredCoolingHours(m_g, area, cp, { fromC: T0, toC: T1, aroundC: Tinf }, h), min);
  });

  it('takes the times a kitchen knows for an equal-weights ganache', () => {
    expect(apparentHeatCapacity(ganache, 45, 20, 1)).toBeCloseTo(3240, -2);
    expect(heatProperties(ganache, 90).heatCapacity).toBeGreaterThan(heatProperties(ganache, 20).heatCapacity);
    for (const [depthCm, hours] of [
      [1, 1.9],
      [2, 4.3],
      [3, 7.3],
    ] as const) {
      const got = coolingHours({ shape: 'slab', lengthM: depthCm / 100 }, material, span, COOLING_PLACES.fridge);
      expect(Math.abs(got / hours - 1)).toBeLessThan(0.06);
    }
    for (const [massG, hours] of [
      [500, 3.4],
      [1000, 4.7],
      [2000, 6.7],
    ] as const) {
      const got = coolingHours(bowlBody(massG, 1090), material, span, COOLING_PLACES.fridge);
      expect(Math.abs(got / hours - 1)).toBeLessThan(0.06);
    }
  });

  it('reaches the edge before the average and the average before the centre, in every shape and place', () => {
    for (const shape of ['slab', 'cylinder', 'sphere'] as const) {
      for (const surface of Object.values(COOLING_PLACES)) {
        const at = (point: 'edge' | 'average' | 'centre') =>
          coolingHours({ shape, lengthM: 0.03 }, material, span, surface, point);
        expect(at('edge')).toBeLessThan(at('average'));
        expect(at('average')).toBeLessThan(at('centre'));
      }
    }
    const tray = (point: 'edge' | 'centre') =>
      coolingHours({ shape: 'slab', lengthM: 0.02 }, material, { ...span, toC: 8 }, COOLING_PLACES.fridge, point);
    const ratio = tray('edge') / tray('centre');
    expect(ratio).toBeGreaterThan(0.75);
    expect(ratio).toBeLessThan(0.95);
  });

  it('refuses a target outside start and surroundings', () => {
    expect(() => coolingHours(bowlBody(500, 1100), material, { ...span, toC: 3 }, 12)).toThrow(CoolingError);
    expect(() => stirredCoolingHours(500, 0.04, 3000, { ...span, toC: 50 }, 12)).toThrow(CoolingError);
  });

  it('gives a history that sets a slow bowl later than a quick tray', () => {
    const setAfter = (timeConstant: number, hours: number) =>
      flowAt(ganache, 5, coolingHistory(45, 5, timeConstant, hours)).yieldStressPa / 1000;
    const rested = flowAt(ganache, 5, [[24, 5]]).yieldStressPa / 1000;
    expect(rested).toBeCloseTo(5.2, 1);
    expect(setAfter(0.9, 4)).toBeGreaterThan(0.95 * rested);
    expect(setAfter(2, 4)).toBeCloseTo(1.6, 1);
    expect(setAfter(2, 8)).toBeGreaterThan(0.95 * rested);
    const total = coolingHistory(45, 4, 1, 6).reduce((sum, [hours]) => sum + hours, 0);
    expect(total).toBeCloseTo(6, 9);
    expect(plateDiameter({ plasticViscosityPaS: 1, yieldStressPa: 5, densityKgM3: 1100 })).toBeGreaterThan(50);
  });
});
