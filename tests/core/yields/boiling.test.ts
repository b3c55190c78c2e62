import { describe, expect, it } from 'vitest';
import { cookedStarch } from '@/core/method/starch-cooking';
import { boilMinutes, evaporationRate, HOB_EFFICIENCY } from '@/core/yields/boiling';
import reference from '../../support/check-vectors.json';

const { auxiliary } = reference;
const within = (got: number, expected: number) => expect(Math.abs(got / expected - 1)).toBeLessThan(0.005);

describe('boiling', () => {
  it('reproduces the check figures', () => {
    for (const { power, eff, pan, level, g_min } of auxiliary.evaporation) {
      within(evaporationRate({ powerW: power, efficiency: eff, panDiameterM: pan, level }), g_min);
    }
    for (const { T, minutes, sugar, f } of auxiliary.cook_fraction) within(cookedStarch(T, minutes, sugar), f);
  });

  it('takes twice as long for twice the loss once the base is the limit', () => {
    const pan = { powerW: 6000, efficiency: HOB_EFFICIENCY.induction, panDiameterM: 0.2, level: 1 };
    const boil = (massG: number, lossG: number) => boilMinutes(pan, massG, 3400, 0, lossG);
    expect(boil(1000, 80) / boil(500, 40)).toBeCloseTo(2, 6);
    expect(boilMinutes(pan, 1000, 3400, 80, 80)).toBeGreaterThan(boil(1000, 80));
    expect(evaporationRate({ ...pan, panDiameterM: 0.28 })).toBeGreaterThan(evaporationRate(pan));
  });
});
