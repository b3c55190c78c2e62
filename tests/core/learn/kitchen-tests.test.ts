import { describe, expect, it } from 'vitest';
import { filmThickness, yieldForSpoonLine } from '@/core/flow/film';
import { yieldToStand } from '@/core/flow/piping';
import { spreadDiameter } from '@/core/flow/ring-spread';
import { inAnyKitchen } from '@/core/learn/kitchen';
import { hoursToSet, type KitchenTest, readTest } from '@/core/learn/kitchen-tests';
import { LAMP_SHINE } from '@/core/learn/lamp';
import { DEFAULT_PROCESS, type ThermalHistory } from '@/core/matter/process';
import { stateAt } from '@/core/predict/state';
import { ballDepth } from '@/core/set/indentation';
import { batchOf } from '../../support/kitchen';

const GANACHE = {
  water: 60,
  cocoa_butter: 38,
  cocoa_solids: 21.6,
  sucrose: 39.2,
  milk_fat: 35,
  milk_protein: 2.1,
  lactose: 3.1,
};
const batch = batchOf(GANACHE, inAnyKitchen(DEFAULT_PROCESS));
const warm = stateAt(batch, 38, [[0.3, 38]]).flow;
const cold = stateAt(batch, 5, [[12, 5]]);
const SET = { temperatureC: 5, hours: 12 };

/** What a ring would show of a flow so many times as thick. */
const ringOf = (factor: number, seconds: number) =>
  spreadDiameter(
    {
      plasticViscosityPaS: factor * warm.plasticViscosityPaS,
      yieldStressPa: factor * warm.yieldStressPa,
      densityKgM3: warm.phases.densityKgM3,
    },
    20,
    seconds,
  );
const residual = (test: KitchenTest) => readTest(batch, test)?.residual ?? Number.NaN;

describe('a kitchen test held against the book', () => {
  it.each([30, 180])(
    'a ring after %i s says how much thicker it is, and nothing where it is as reckoned',
    (seconds) => {
      for (const factor of [0.6, 1, 1.7]) {
        const test = { test: 'ring', diameterMm: ringOf(factor, seconds), temperatureC: 38, seconds } as const;
        expect(residual(test)).toBeCloseTo(Math.log(factor), 3);
        expect(readTest(batch, test)?.about).toBe('warm');
      }
      // A ring that did not spread at all says "thick", not "endless".
      expect(residual({ test: 'ring', diameterMm: 50, temperatureC: 38, seconds })).toBeLessThan(15);
    },
  );

  it('a film is as thick as its flow: more of it is a thicker sauce', () => {
    const flow = { ...warm, densityKgM3: warm.phases.densityKgM3 };
    const mm = filmThickness(flow, 0.05, 5);
    expect(residual({ test: 'film', mm, temperatureC: 38 })).toBeCloseTo(0, 3);
    expect(residual({ test: 'film', mm: 1.4 * mm, temperatureC: 38 })).toBeGreaterThan(0.2);
  });

  it('yes and no say something only where they contradict the book', () => {
    const holds = warm.yieldStressPa >= yieldForSpoonLine({ ...warm, densityKgM3: warm.phases.densityKgM3 });
    expect(residual({ test: 'spoonLine', holds, temperatureC: 38 })).toBe(0);
    expect(Math.sign(residual({ test: 'spoonLine', holds: !holds, temperatureC: 38 }))).toBe(holds ? -1 : 1);
    const tallMm = (30 * 4 * cold.flow.yieldStressPa) / yieldToStand(30, cold.flow.phases.densityKgM3);
    expect(residual({ test: 'stands', heightMm: Math.min(tallMm, 150), holds: true, ...SET })).toBeGreaterThanOrEqual(
      0,
    );
    expect(residual({ test: 'stands', heightMm: 3, holds: true, ...SET })).toBe(0);
    expect(residual({ test: 'stands', heightMm: 3, holds: false, ...SET })).toBeLessThan(0);
  });

  it('a dent tells of the set: deeper is softer, and what is dropped reads high', () => {
    const onTheBench = { temperatureC: 24, hours: 12 };
    const depthMm = ballDepth(stateAt(batch, 24, [[12, 24]]).flow.yieldStressPa, 22, 19);
    expect(depthMm).toBeGreaterThan(0.3);
    expect(residual({ test: 'spoonRest', depthMm, ...onTheBench })).toBeCloseTo(0, 2);
    expect(readTest(batch, { test: 'spoonRest', depthMm, ...SET })?.about).toBe('cold');
    expect(readTest(batch, { test: 'spoonRest', depthMm: 19, ...SET })).toBeUndefined();
    for (const test of ['handle', 'ball', 'spoonRest'] as const) {
      expect(residual({ test, depthMm: 12, ...SET })).toBeLessThan(residual({ test, depthMm: 6, ...SET }));
    }
  });

  it('a ruler is worth more than a dent, a dent more than a feel or a lamp', () => {
    const se = (test: KitchenTest) => readTest(batch, test)?.se;
    expect(se({ test: 'ring', diameterMm: 90, temperatureC: 38, seconds: 30 })).toBe(0.25);
    expect(se({ test: 'film', mm: 1, temperatureC: 38 })).toBe(0.25);
    expect(se({ test: 'handle', depthMm: 8, ...SET })).toBe(0.35);
    expect(se({ test: 'spoonRest', depthMm: 4, ...SET })).toBe(0.35);
    expect(se({ test: 'feels', likePa: 1000, ...SET })).toBe(0.5);
    expect(se({ test: 'spoonLine', holds: true, temperatureC: 38 })).toBe(0.3);
    expect(se({ test: 'stands', heightMm: 20, holds: true, ...SET })).toBe(0.3);
    expect(se({ test: 'lamp', seen: 'glow', ...SET })).toBe(0.5);
  });

  it('a feel and a lamp are read on their own scales', () => {
    expect(residual({ test: 'feels', likePa: cold.flow.resistancePa, ...SET })).toBeCloseTo(0, 9);
    const lamps = (['dull', 'glow', 'edgeSoft', 'edgeClear', 'mirror'] as const).map((seen) =>
      residual({ test: 'lamp', seen, ...SET }),
    );
    expect(lamps).toEqual(lamps.toSorted((a, b) => a - b));
    expect(readTest(batch, { test: 'lamp', seen: 'glow', ...SET })?.about).toBe('shine');
    expect(LAMP_SHINE.mirror).toBeGreaterThan(LAMP_SHINE.dull);
  });

  it('the time it takes to set is longer in a deeper layer and a warmer place', () => {
    const hours = hoursToSet(batch, 20, 35, 4) ?? Number.NaN;
    expect(hours).toBeGreaterThan(0.2);
    expect(hours).toBeLessThan(12);
    expect(hoursToSet(batch, 50, 35, 4)).toBeGreaterThan(hours);
    expect(residual({ test: 'sets', hours: 2 * hours, depthMm: 20, fromC: 35, aroundC: 4 })).toBeCloseTo(Math.LN2, 6);
    expect(readTest(batch, { test: 'sets', hours: 5, depthMm: 20, fromC: 60, aroundC: 60 })).toBeUndefined();
  });

  it('history is that of the test, not of the batch', () => {
    const fresh: ThermalHistory = [[0.5, 5]];
    const state = stateAt(batch, 5, fresh);
    expect(residual({ test: 'feels', likePa: state.flow.resistancePa, temperatureC: 5, hours: 0.5 })).toBeCloseTo(0, 9);
  });
});
