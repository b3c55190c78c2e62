import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cassonViscosity, resistance } from '@/core/flow/casson';
import { packingFactor } from '@/core/flow/phases';
import { plateDiameter, spreadDiameter } from '@/core/flow/ring-spread';
import reference from '../../support/check-vectors.json';

describe('ring on a plate', () => {
  it.each(reference.auxiliary.ring_spread)('spreads to $D_mm mm at $eta Pa·s and $tau Pa', (given) => {
    const flow = { plasticViscosityPaS: given.eta, yieldStressPa: given.tau, densityKgM3: given.rho };
    const diameter = spreadDiameter(flow, given.V_ml, given.t);
    expect(Math.abs(diameter - given.D_mm) / given.D_mm).toBeLessThan(0.005);
  });

  it('spreads less the stiffer it is, and never below its ring', () => {
    const log = fc.double({ min: -3, max: 4, noNaN: true });
    fc.assert(
      fc.property(log, log, fc.double({ min: 0.01, max: 2, noNaN: true }), (eta, tau, more) => {
        const soft = { plasticViscosityPaS: 10 ** eta, yieldStressPa: 10 ** tau, densityKgM3: 1100 };
        const stiff = { ...soft, plasticViscosityPaS: 10 ** (eta + more), yieldStressPa: 10 ** (tau + more) };
        expect(plateDiameter(stiff)).toBeLessThan(plateDiameter(soft) + 1e-9);
        expect(plateDiameter(stiff)).toBeGreaterThanOrEqual(50);
      }),
    );
  });
});

describe('Casson fluid', () => {
  it('gives the published apparent viscosity of a warm equal-weights ganache', () => {
    expect(cassonViscosity(3.656, 0.1105, 10)).toBeCloseTo(0.878, 3);
  });

  it('is thinner the faster it is stirred, and water-like without a yield stress', () => {
    expect(cassonViscosity(10, 1, 50)).toBeLessThan(cassonViscosity(10, 1, 5));
    expect(cassonViscosity(0, 2, 5)).toBeCloseTo(cassonViscosity(0, 2, 500), 12);
    expect(resistance(0, 2)).toBeCloseTo(20, 12);
  });
});

describe('packing', () => {
  it('is 1 without particles, grows with them and stays finite when jammed', () => {
    expect(packingFactor(0, 0.655)).toBeCloseTo(1, 12);
    expect(packingFactor(0.3, 0.655)).toBeGreaterThan(packingFactor(0.2, 0.655));
    expect(packingFactor(0.9, 0.655)).toBeLessThan(1e6);
  });
});
