import { describe, expect, it } from 'vitest';
import { crystallised } from '@/core/fat/crystallisation';
import { solidFat } from '@/core/fat/solid-fat';
import { climateAt } from '@/core/predict/climate';
import { batchOf, stateOf } from '../../support/kitchen';

const solid = (fat: string, temperatureC: number, temper = 0) =>
  stateOf({ [fat]: 100 }, temperatureC, [[480, temperatureC]], { temper }).flow.solidFatFraction;

/** The unstable form alone, without the share that turns stable by itself. */
const unstable = (temperatureC: number) => {
  const { mixture, melting } = batchOf({ cocoa_butter: 100 });
  return solidFat(mixture, { ...melting, stableShare: 0 }, climateAt(temperatureC, [[480, temperatureC]])).cocoaButter;
};

describe('published solid fat', () => {
  it.each([
    ['cocoa butter, tempered, 20 °C', 'cocoa_butter', 20, 1, 0.7, 0.88],
    ['cocoa butter, tempered, 30 °C', 'cocoa_butter', 30, 1, 0.3, 0.5],
    ['cocoa butter, tempered, 35 °C', 'cocoa_butter', 35, 1, 0, 0.06],
    ['milk fat, 5 °C', 'milk_fat', 5, 0, 0.42, 0.56],
    ['milk fat, 20 °C', 'milk_fat', 20, 0, 0.12, 0.24],
    ['milk fat, 30 °C', 'milk_fat', 30, 0, 0.02, 0.07],
  ])('%s', (_, fat, temperatureC, temper, low, high) => {
    const share = solid(fat, temperatureC, temper);
    expect(share).toBeGreaterThanOrEqual(low);
    expect(share).toBeLessThanOrEqual(high);
  });

  it('of the unstable form of cocoa butter', () => {
    expect(unstable(20)).toBeCloseTo(0.6438, 3);
    expect(unstable(25)).toBeCloseTo(0.3401, 3);
  });

  it('two forms side by side melt over a wider range than one, and a day’s rest leaves some of the stable one', () => {
    for (const temperatureC of [18, 20, 22, 24, 26, 28]) {
      const rested = solid('cocoa_butter', temperatureC);
      expect(rested).toBeGreaterThan(unstable(temperatureC));
      expect(rested).toBeLessThan(solid('cocoa_butter', temperatureC, 1));
      expect(solid('cocoa_butter', temperatureC, 0.5)).toBeGreaterThan(rested);
    }
  });

  it('softens when fats mix', () => {
    const alone = stateOf({ cocoa_butter: 50 }, 20, [[480, 20]]).flow.solidFatFraction;
    const withOil = stateOf({ cocoa_butter: 50, liquid_oil: 50 }, 20, [[480, 20]]).flow.solidFatFraction;
    expect(withOil).toBeLessThan(alone / 2);
  });
});

describe('crystallisation in time', () => {
  it('is half done in an emulsion after 4 h at 20 °C and 16 min at 5 °C', () => {
    expect(crystallised([[4, 20]], 1)).toBeCloseTo(0.5, 6);
    expect(crystallised([[16 / 60, 5]], 1)).toBeCloseTo(0.5, 2);
  });

  it('goes on with time and never past the end', () => {
    let last = 0;
    for (const hours of [0.1, 1, 3, 10, 30, 100]) {
      const now = crystallised([[hours, 15]], 1);
      expect(now).toBeGreaterThanOrEqual(last);
      expect(now).toBeLessThanOrEqual(1);
      last = now;
    }
  });

  it('is undone by warming and remembers the order of things', () => {
    expect(
      crystallised(
        [
          [10, 10],
          [1, 45],
        ],
        1,
      ),
    ).toBeLessThan(0.1);
    expect(
      crystallised(
        [
          [1, 45],
          [10, 10],
        ],
        1,
      ),
    ).toBeGreaterThan(0.9);
  });

  it('is sixteen times as fast in bulk fat as in droplets', () => {
    for (const hours of [0.05, 0.3, 1]) {
      expect(crystallised([[hours, 20]], 0)).toBeCloseTo(crystallised([[16 * hours, 20]], 1), 6);
    }
  });
});
