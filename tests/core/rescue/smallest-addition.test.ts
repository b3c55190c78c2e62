import { describe, expect, it } from 'vitest';
import { COMPONENT_COUNT, COMPONENT_INDEX, type ComponentName, compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { prepareBatch, stateAt } from '@/core/predict/state';
import { smallestAddition } from '@/core/rescue/smallest-addition';
import reference from '../../support/check-vectors.json';
import { CREAM_35, EQUAL_GANACHE, MILK } from '../../support/kitchen';

const vector = (parts: Record<string, number>) => {
  const grams = new Float64Array(COMPONENT_COUNT);
  for (const [name, amount] of Object.entries(parts)) grams[COMPONENT_INDEX[name as ComponentName]] = amount;
  return grams;
};
const ganache = vector(EQUAL_GANACHE as Record<string, number>);
const thinner = {
  components: ganache,
  process: DEFAULT_PROCESS,
  temperatureC: 40,
  history: [[0.3, 40]] as const,
  read: (state: ReturnType<typeof stateAt>) => state.flow.apparentViscosityPaS,
  target: 0.4,
};

describe('the smallest addition', () => {
  it('reproduces the check figures', () => {
    const EXTRA = { milk: MILK, cream35: CREAM_35, water: { water: 100 }, rum40: { water: 66.7, ethanol: 33.3 } };
    for (const { extra, target, grams } of reference.auxiliary.rescue) {
      const got = smallestAddition({ ...thinner, target }, compositionVector(EXTRA[extra as keyof typeof EXTRA]));
      expect(Math.abs((got as number) / grams - 1)).toBeLessThan(0.005);
    }
  });

  it('really reaches the target', () => {
    const milk = compositionVector(MILK);
    const grams = smallestAddition(thinner, milk) as number;
    const after = ganache.map((g, i) => g + grams * (milk[i] as number));
    const state = stateAt(prepareBatch(after, DEFAULT_PROCESS), 40, [[0.3, 40]]);
    expect(state.flow.apparentViscosityPaS / 0.4).toBeCloseTo(1, 6);
  });

  it('says when an ingredient cannot mend it', () => {
    expect(smallestAddition(thinner, compositionVector({ cocoa_solids: 100 }))).toBeUndefined();
  });
});
