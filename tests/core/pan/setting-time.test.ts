import { describe, expect, it } from 'vitest';
import { BARELY_SET_PA, settingTime } from '@/core/pan/setting-time';
import { NO_FLOW_OFFSETS } from '@/core/predict/flow-parts';
import { addition, panWith, vesselOf } from '../../support/pan';

const ganache = panWith(vesselOf(0.2), [
  addition('cream-35', 200, { temperatureC: 40 }),
  addition('dark-couverture-60', 200, { temperatureC: 40 }),
]);
const FRIDGE = { surface: 12, aroundC: 4 };
const hours = (value: number | undefined) => value ?? Number.NaN;

describe('how long it takes to set', () => {
  it('the edge before the centre, a deeper tray later, a colder place sooner', () => {
    const thin = settingTime(ganache, { shape: 'slab', lengthM: 0.0075 }, FRIDGE, NO_FLOW_OFFSETS);
    const deep = settingTime(ganache, { shape: 'slab', lengthM: 0.02 }, FRIDGE, NO_FLOW_OFFSETS);
    const blast = settingTime(
      ganache,
      { shape: 'slab', lengthM: 0.0075 },
      { surface: 35, aroundC: 4 },
      NO_FLOW_OFFSETS,
    );
    expect(hours(thin.edgeH)).toBeLessThanOrEqual(hours(thin.centreH));
    expect(hours(deep.centreH)).toBeGreaterThan(1.3 * hours(thin.centreH));
    expect(hours(blast.centreH)).toBeLessThan(hours(thin.centreH));
    // The check vectors have its centre at 34 Pa after an hour and 2 300 Pa after two.
    expect(hours(thin.centreH)).toBeGreaterThan(1);
    expect(hours(thin.centreH)).toBeLessThan(2);
    expect(thin.endsAtPa).toBeGreaterThan(BARELY_SET_PA);
  });

  it('is at once where it holds as it is poured', () => {
    const stiff = panWith(vesselOf(0.2), [
      addition('cream-35', 40, { temperatureC: 24 }),
      addition('dark-couverture-70', 300, { temperatureC: 24 }),
    ]);
    expect(settingTime(stiff, { shape: 'slab', lengthM: 0.0075 }, FRIDGE, NO_FLOW_OFFSETS)).toMatchObject({
      edgeH: 0,
      centreH: 0,
    });
  });

  it('is later in a kitchen where fat sets slowly', () => {
    const tray = { shape: 'slab', lengthM: 0.0075 } as const;
    const here = (time: number) => settingTime(ganache, tray, FRIDGE, { ...NO_FLOW_OFFSETS, time });
    expect(hours(here(0.5).centreH)).toBeGreaterThan(1.1 * hours(here(0).centreH));
    expect(hours(here(-0.5).centreH)).toBeLessThan(hours(here(0).centreH));
  });

  it('says so where it never sets', () => {
    const milk = panWith(vesselOf(0.2), [addition('milk-whole', 400, { temperatureC: 40 })]);
    const never = settingTime(milk, { shape: 'slab', lengthM: 0.0075 }, FRIDGE, NO_FLOW_OFFSETS);
    expect([never.edgeH, never.centreH]).toEqual([undefined, undefined]);
    expect(never.endsAtPa).toBeLessThan(BARELY_SET_PA);
  });
});
