import { describe, expect, it } from 'vitest';
import { SLOW_STIR } from '@/core/flow/casson';
import { yieldForCoat } from '@/core/flow/film';
import { standingHeight } from '@/core/flow/piping';
import { type MomentReading, predictFormula } from '@/core/predict/predict-formula';
import { flowGateWords, flowWords } from '@/ui/flow-words';
import { LANDMARKS } from '@/ui/landmarks';
import { formulaOf } from '../support/kitchen';

const prediction = predictFormula(
  formulaOf([
    ['dark-couverture-60', 200],
    ['cream-35', 200],
  ]),
);
if (!prediction) throw new Error('empty pan');
const density = prediction.densityKgM3;
const reading = prediction.moments[0] as MomentReading;
/** The reading with another flow, at a pour or cold. */
const at = (temperatureC: number, yieldStressPa: number, resistancePa: number): MomentReading => ({
  ...reading,
  moment: { ...reading.moment, temperatureC },
  state: { ...reading.state, flow: { ...reading.state.flow, yieldStressPa, resistancePa } },
});

describe('flow, cling and set in words', () => {
  it('liken the flow by the same landmarks as the curve, thicker with more resistance', () => {
    const said = LANDMARKS.map(({ resistancePa }) =>
      flowWords('apparentViscosityPaS', at(36, 1, resistancePa), density),
    );
    expect(said).toEqual(LANDMARKS.map(({ name }) => `like ${name}`));
  });

  it('say how thick a film a side holds: 2 mm are 2 mm', () => {
    expect(flowWords('yieldStressPa', at(36, yieldForCoat(2, density), 30), density)).toBe(
      'holds 2.0\u202fmm on a side',
    );
    expect(flowWords('yieldStressPa', at(36, 0.1, 1), density)).toBe('runs off a side');
    expect(flowWords('yieldStressPa', at(36, yieldForCoat(50, density), 900), density)).toBe('stays where it is put');
  });

  it('say what it does once set, and how high it is piped while a hand can', () => {
    const said = flowWords('yieldStressPa', at(18, 250, 600), density);
    expect(said).toMatch(/^spreads, holds a swirl of [\d.]+\scm$/);
    const tall = Number(/of ([\d.]+)\scm/.exec(said ?? '')?.[1]);
    expect(10 * tall).toBeCloseTo(standingHeight(250, density), 0);
    expect(flowWords('yieldStressPa', at(4, 40_000, 60_000), density)).toBe('cuts');
  });

  it('say nothing of what is no flow', () => {
    expect(flowWords('shine', reading, density)).toBeUndefined();
  });

  it('say a gate as they say what stands in it, at both of its edges', () => {
    for (const { resistancePa, name } of LANDMARKS) {
      const gate = { quantity: 'apparentViscosityPaS', low: resistancePa / SLOW_STIR } as const;
      expect(flowGateWords(gate, 36, density)).toBe(`at least like ${name}`);
    }
    const flow = { quantity: 'apparentViscosityPaS', low: 0.2, high: 1 } as const;
    expect(flowGateWords(flow, 36, density)).toBe('like pouring cream to runny honey');
    const pull = yieldForCoat(1, density);
    const cling = { quantity: 'yieldStressPa', low: 0.5 * pull, high: 3 * pull } as const;
    expect(flowGateWords(cling, 36, density)).toBe('holds 0.50\u202fmm to 3.0\u202fmm on a side');
    expect(flowGateWords({ quantity: 'yieldStressPa', high: 2 * pull }, 36, density)).toBe(
      'holds at most 2.0\u202fmm on a side',
    );
    expect(flowGateWords({ quantity: 'yieldStressPa', low: 100, high: 50_000 }, 4, density)).toBe('mounds to cuts');
    expect(flowGateWords({ quantity: 'yieldStressPa', low: 400, high: 2000 }, 4, density)).toBe('spreads');
    expect(flowGateWords({ quantity: 'shine', low: 60 }, 36, density)).toBeUndefined();
  });
});
