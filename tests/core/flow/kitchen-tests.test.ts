import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filmThickness, spoonCoat, yieldForCoat, yieldForSpoonLine } from '@/core/flow/film';
import { HAND_LIMIT_PA, standingHeight, yieldToStand } from '@/core/flow/piping';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { flowFromTwoSpreads, spreadMultiplier } from '@/core/flow/spread-inversion';
import {
  ballDepth,
  yieldFromBall,
  yieldFromCone,
  yieldFromDroppedBall,
  yieldFromDroppedRod,
} from '@/core/set/indentation';
import reference from '../../support/check-vectors.json';

const { auxiliary } = reference;
const within = (got: number, expected: number) => expect(Math.abs(got / expected - 1)).toBeLessThan(0.005);

describe('check figures of the kitchen tests', () => {
  it('film on a side', () => {
    for (const { eta, tau, rho, L, t, h_mm } of auxiliary.film) {
      within(filmThickness({ apparentViscosityPaS: eta, yieldStressPa: tau, densityKgM3: rho }, L, t), h_mm);
    }
  });

  it('piping, cone, ball, dropped ball and dropped rod', () => {
    const { pipe_min_yield: pipe, cone, ball_rest: ball, ball_drop: drop, flat_drop: rod } = auxiliary;
    within(yieldToStand(1000 * pipe.H, pipe.rho), pipe.Pa);
    within(yieldFromCone((1000 * cone.W_N) / 9.81, 1000 * cone.depth, cone.half_angle), cone.Pa);
    within(yieldFromBall((1000 * ball.W_N) / 9.81, 1000 * ball.R, 1000 * ball.depth), ball.Pa);
    within(yieldFromDroppedBall(1000 * drop.m, 1000 * drop.H, 1000 * drop.R, 1000 * drop.depth), drop.Pa);
    const acrossMm = 2000 * Math.sqrt(rod.area / Math.PI);
    within(yieldFromDroppedRod(1000 * rod.m, 1000 * rod.H, acrossMm, 1000 * rod.depth), rod.Pa);
  });
});

describe('the tests read backwards', () => {
  const flows = fc.record({
    plasticViscosityPaS: fc.double({ min: 0.02, max: 20, noNaN: true }),
    yieldStressPa: fc.double({ min: 0.5, max: 80, noNaN: true }),
    densityKgM3: fc.double({ min: 1000, max: 1300, noNaN: true }),
  });

  it('a ring that spread as predicted asks for no change, another one for its own factor', () => {
    fc.assert(
      fc.property(flows, fc.double({ min: 0.2, max: 5, noNaN: true }), (flow, factor) => {
        const real = {
          ...flow,
          plasticViscosityPaS: factor * flow.plasticViscosityPaS,
          yieldStressPa: factor * flow.yieldStressPa,
        };
        const reading = { volumeMl: 50, seconds: 30, diameterMm: spreadDiameter(real, 50, 30) };
        expect(spreadMultiplier(flow, reading) / factor).toBeCloseTo(1, 3);
      }),
    );
  });

  it('an early and a late ring give viscosity and yield stress back', () => {
    const real = { plasticViscosityPaS: 4, yieldStressPa: 2, densityKgM3: 1150 };
    const at = (seconds: number) => ({ volumeMl: 50, seconds, diameterMm: spreadDiameter(real, 50, seconds) });
    const found = flowFromTwoSpreads({ plasticViscosityPaS: 1, yieldStressPa: 10, densityKgM3: 1150 }, at(10), at(180));
    expect(found.plasticViscosityPaS / 4).toBeCloseTo(1, 1);
    expect(found.yieldStressPa / 2).toBeCloseTo(1, 1);
  });

  it('heights, depths and coats go both ways', () => {
    fc.assert(
      fc.property(fc.double({ min: 100, max: 20_000, noNaN: true }), (tau) => {
        expect(yieldToStand(standingHeight(tau, 1100), 1100) / tau).toBeCloseTo(1, 9);
        const depth = ballDepth(tau, 22, 19);
        if (depth < 19) expect(yieldFromBall(22, 19, depth) / tau).toBeCloseTo(1, 6);
      }),
    );
    const hung = { apparentViscosityPaS: 1e-9, yieldStressPa: yieldForCoat(2, 1100), densityKgM3: 1100 };
    expect(filmThickness(hung, 0.05, 60)).toBeCloseTo(2, 2);
    expect(HAND_LIMIT_PA).toBeGreaterThan(yieldToStand(30, 1100));
  });

  it('a line on the spoon is held by the yield stress, not by viscosity', () => {
    const thick = { apparentViscosityPaS: 5, yieldStressPa: 0.1, densityKgM3: 1100 };
    expect(spoonCoat(thick)).toBeGreaterThan(spoonCoat({ ...thick, apparentViscosityPaS: 0.1 }));
    // Worked out on paper: sqrt(0.1 × 0.05 / (1100 × 9.81 × 5)) = 0.304 mm, times 1100 × 9.81 = 3.28 Pa.
    expect(yieldForSpoonLine({ plasticViscosityPaS: 0.1, densityKgM3: 1100 })).toBeCloseTo(3.28, 2);
    for (const plasticViscosityPaS of [0.01, 0.03, 0.14]) {
      const least = yieldForSpoonLine({ plasticViscosityPaS, densityKgM3: 1120 });
      expect(least).toBeGreaterThan(0.9);
      expect(least).toBeLessThan(4);
    }
  });
});
