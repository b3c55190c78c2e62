import { describe, expect, it } from 'vitest';
import { planBrief } from '@/core/brief/plan';
import { atThePour, onceSet, roleOf } from '@/core/formula/moment-role';
import { momentTests } from '@/core/predict/moment-tests';
import { predictFormula } from '@/core/predict/predict-formula';
import { yieldFromBall } from '@/core/set/indentation';
import { JOB_USES } from '@/core/uses/catalogue';
import { USES } from '@/core/uses/ready-gates';
import { briefOf, jobOf } from '../../support/brief';
import { formulaOf, stateOf } from '../../support/kitchen';

const GANACHE = {
  water: 59.9,
  cocoa_butter: 38,
  ffs: 21.6,
  sucrose: 39.2,
  lecithin: 0.5,
  milk_fat: 35,
  milk_protein: 2.1,
  lactose: 3.1,
  ash: 0.5,
};

describe('the role of a moment', () => {
  it('is its own, or told by temperature and time, never by its name', () => {
    const of = (name: string, temperatureC: number, hours: number, role?: 'eat') =>
      roleOf({ name, temperatureC, history: [[hours, temperatureC]], role } as Parameters<typeof roleOf>[0]);
    expect(of('anything', 60, 0.3)).toBe('pan');
    expect(of('nap', 45, 0.3)).toBe('pour');
    expect(of('glaze', 33, 0.3)).toBe('pour');
    expect(of('pipe', 22, 24)).toBe('bench');
    expect(of('pour', 4, 12)).toBe('fridge');
    expect(of('x', 18, 24, 'eat')).toBe('eat');
  });

  it('finds the pour and the set of every use and every job', () => {
    for (const { moments, id } of USES) {
      const readings = moments.map((moment) => ({ moment }));
      expect(atThePour(readings)?.moment.role, id).toBe('pour');
      expect(onceSet(readings)?.moment.role, id).toBe('fridge');
    }
    for (const use of JOB_USES) {
      const { moments } = planBrief(briefOf([jobOf(use)])).targets;
      const pour = atThePour(moments.map((moment) => ({ moment })))?.moment;
      expect(pour?.role, use).not.toBe('pan');
      expect(pour, use).toBeDefined();
    }
    expect(onceSet([{ moment: { name: 'nap', temperatureC: 40, history: [[0.3, 40]] } }])).toBeUndefined();
  });
});

describe('kitchen tests at a moment', () => {
  it('a spoon of 22 g and 19 mm sinks as deep as its weight asks of the yield stress', () => {
    const state = stateOf(GANACHE, 20, [[12, 20]]);
    const { spoonSinksMm = 0, pipes, standsMm } = momentTests(state);
    expect(spoonSinksMm).toBeGreaterThan(0);
    expect(yieldFromBall(22, 19, spoonSinksMm) / state.flow.yieldStressPa).toBeCloseTo(1, 6);
    expect(pipes).toBe(true);
    const { densityKgM3 } = state.flow.phases;
    expect(standsMm).toBeCloseTo((1000 * Math.sqrt(3) * state.flow.yieldStressPa) / (densityKgM3 * 9.81), 3);
  });

  it('warm it leaves on a side what hangs and what has not drained in 5 s, and the spoon sinks right in', () => {
    const state = stateOf(GANACHE, 35);
    const { sideMm, spoonSinksMm } = momentTests(state);
    const weight = state.flow.phases.densityKgM3 * 9.81;
    const hangs = (1000 * state.flow.yieldStressPa) / weight;
    const drains = 1000 * Math.sqrt((state.flow.apparentViscosityPaS * 0.05) / (weight * 5));
    expect(sideMm).toBeCloseTo(hangs + drains, 6);
    expect(spoonSinksMm).toBeUndefined();
  });
});

describe('kitchen tests along the day', () => {
  it('a warm sauce runs and lets a spoon sink, a cold one stands', () => {
    const prediction = predictFormula(
      formulaOf([
        ['dark-couverture-60', 200],
        ['cream-35', 200],
      ]),
    );
    const [pan, , , fridge] = (prediction?.moments ?? []).map(({ state }) => momentTests(state));
    expect(pan?.ringMm).toBeGreaterThan(fridge?.ringMm ?? 0);
    expect(pan?.spoonSinksMm).toBeUndefined();
    expect(fridge?.spoonSinksMm).toBeLessThan(2);
    expect(fridge?.standsMm).toBeGreaterThan(100);
    expect(pan?.pipes).toBe(true);
  });
});
