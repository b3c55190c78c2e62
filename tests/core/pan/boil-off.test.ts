import { describe, expect, it } from 'vitest';
import { boilOffRate } from '@/core/pan/boil-off';
import { HOB_EFFICIENCY } from '@/core/pan/heat-source';
import { cookedStarch } from '@/core/pan/starch-cooking';
import reference from '../../support/check-vectors.json';
import { addition, DOING, follow, gas, panWith, until, vesselOf } from '../../support/pan';

const { auxiliary } = reference;
const within = (got: number, expected: number) => expect(Math.abs(got / expected - 1)).toBeLessThan(0.005);

describe('boiling off', () => {
  it('reproduces the check figures', () => {
    for (const { power, eff, pan, level, g_min } of auxiliary.evaporation) {
      within(boilOffRate({ powerW: power, efficiency: eff, level }, { diameterM: pan, kitchenC: 25 }), g_min);
    }
    for (const { T, minutes, sugar, f } of auxiliary.cook_fraction) within(cookedStarch(T, minutes, sugar), f);
  });

  it('is what a pan that is followed comes to', () => {
    const hob = gas(0.7);
    const boiling = follow(panWith(vesselOf(0.2), [addition('water', 500)]), { ...DOING, hob }, until('boil')).pan;
    const { pan, seconds } = follow(boiling, { ...DOING, hob }, { kind: 'lost', grams: 60 });
    const perMinute = (60 * (pan.lostWaterG - boiling.lostWaterG)) / seconds;
    expect(Math.abs(perMinute / boilOffRate(hob, vesselOf(0.2)) - 1)).toBeLessThan(0.03);
  });

  it('of a double batch in the same pan takes twice the time to the boil, and the same grams a minute', () => {
    const hob = { powerW: 3000, efficiency: HOB_EFFICIENCY.induction, level: 0.5 };
    const boil = (grams: number) => {
      const start = panWith(vesselOf(0.2), [addition('cream-35', grams, { temperatureC: 5 })]);
      const hot = follow(start, { ...DOING, hob, stir: 0.3 }, until('boil'));
      const lost = follow(hot.pan, { ...DOING, hob, stir: 0.3 }, { kind: 'seconds', seconds: 120 }).pan;
      return { seconds: hot.seconds, lostG: lost.lostWaterG - hot.pan.lostWaterG };
    };
    const [one, two] = [boil(400), boil(800)];
    expect(two.seconds / one.seconds).toBeGreaterThan(1.9);
    expect(two.seconds / one.seconds).toBeLessThan(2.2);
    expect(Math.abs(two.lostG / one.lostG - 1)).toBeLessThan(0.06);
  });

  it('grows with the width of the pan once the base is the limit', () => {
    const hob = { powerW: 6000, efficiency: HOB_EFFICIENCY.induction, level: 1 };
    expect(boilOffRate(hob, vesselOf(0.28))).toBeGreaterThan(1.5 * boilOffRate(hob, vesselOf(0.2)));
  });
});
