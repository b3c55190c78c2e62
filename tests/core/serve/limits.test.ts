import { describe, expect, it } from 'vitest';
import { noComponents } from '@/core/matter/component-vector';
import { COMPONENT_INDEX, type ComponentName, type Composition, compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { coolingTime } from '@/core/pan/cooling-time';
import { stillMaterial } from '@/core/pan/still';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { dippingBoard } from '@/core/serve/dipping-board';
import { moreOf, tiresAt } from '@/core/serve/eating';
import { fillWindow } from '@/core/serve/jars';
import { ballRadiusM, HANDS, softAt, staysFirmHours } from '@/core/serve/staying-firm';
import { batchOf, EQUAL_GANACHE } from '../../support/kitchen';

const vectorOf = (grams: Composition) => {
  const vector = noComponents();
  for (const [name, amount] of Object.entries(grams)) vector[COMPONENT_INDEX[name as ComponentName]] = amount;
  return vector;
};

describe('by figures that can be worked out by hand', () => {
  it('a syrup that holds nothing by itself is kept from the funnel by its thickness', () => {
    const syrup = batchOf({ water: 22, higher_saccharides: 60, maltose: 30, glucose: 20 });
    const { leastC } = fillWindow(syrup, 10);
    const at = (t: number) => stateAt(syrup, t, usualHistory(t)).flow;
    expect(leastC).toBeGreaterThan(11);
    expect(at((leastC ?? 0) - 1).yieldStressPa).toBeLessThan(25);
    expect(at((leastC ?? 0) - 1).apparentViscosityPaS).toBeGreaterThan(6);
    expect(at(leastC ?? 0).apparentViscosityPaS).toBeLessThanOrEqual(6);
  });

  it('half a piece is cut whole', () => {
    expect(dippingBoard(5, [{ kind: 'salty', piecesEach: 2.5 }]).items[0]?.pieces).toBe(13);
  });

  it('a ball weighs what it is made of', () => {
    const r = ballRadiusM(12, 1200);
    expect((4 / 3) * Math.PI * r ** 3 * 1200 * 1000).toBeCloseTo(12, 9);
  });

  it('what is held goes soft at its skin first', () => {
    const firm = batchOf({ ...EQUAL_GANACHE, water: 35, cocoa_butter: 60 });
    const body = { shape: 'sphere', lengthM: ballRadiusM(12, 1200) } as const;
    const span = { fromC: 4, toC: softAt(firm, 4, 1500) ?? Number.NaN };
    const at = (point: 'edge' | 'centre') => coolingTime(body, stillMaterial(firm), HANDS, span, point) ?? Number.NaN;
    expect(staysFirmHours(firm, body, 4, 1500, HANDS)).toBe(at('edge'));
    expect(at('edge')).toBeLessThan(at('centre'));
  });

  it('a hundred grams as sweet as 25 g of sugar are enough', () => {
    expect(tiresAt(25)).toBeCloseTo(100, 9);
  });

  it('more of a row does to the flow what the batch with it does', () => {
    const components = vectorOf(EQUAL_GANACHE);
    const pour = { temperatureC: 36, history: usualHistory(36) };
    const viscosity = (grams: typeof components) =>
      stateAt(prepareBatch(grams, DEFAULT_PROCESS), 36, pour.history).flow.apparentViscosityPaS;
    const wetter = components.slice();
    wetter[COMPONENT_INDEX.water] = (wetter[COMPONENT_INDEX.water] ?? 0) + 10;
    const { flowTimes } = moreOf(components, DEFAULT_PROCESS, compositionVector({ water: 100 }), 10, pour);
    expect(flowTimes).toBeCloseTo(viscosity(wetter) / viscosity(components), 9);
    expect(flowTimes).toBeLessThan(0.9);
  });
});
