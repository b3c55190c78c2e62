import { describe, expect, it } from 'vitest';
import { crystallised } from '@/core/fat/crystallisation';
import { stateOf } from '../../support/kitchen';

const solid = (fat: string, temperatureC: number, temper = 0) =>
  stateOf({ [fat]: 100 }, temperatureC, [[480, temperatureC]], { temper }).flow.solidFatFraction;

describe('published solid fat', () => {
  it.each([
    ['cocoa butter, untempered, 20 °C', 'cocoa_butter', 20, 0, 0.5, 0.75],
    ['cocoa butter, untempered, 25 °C', 'cocoa_butter', 25, 0, 0.15, 0.4],
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

  it('softens when fats mix', () => {
    const alone = stateOf({ cocoa_butter: 50 }, 20, [[480, 20]]).flow.solidFatFraction;
    const withOil = stateOf({ cocoa_butter: 50, liquid_oil: 50 }, 20, [[480, 20]]).flow.solidFatFraction;
    expect(withOil).toBeLessThan(alone / 2);
  });
});

describe('crystallisation in time', () => {
  it('is half done in an emulsion after 6 h at 20 °C and 1.2 h at 5 °C', () => {
    expect(crystallised([[6, 20]], 1)).toBeCloseTo(0.5, 2);
    expect(crystallised([[1.2, 5]], 1)).toBeCloseTo(0.5, 1);
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

  it('is far faster in bulk fat than in droplets', () => {
    expect(crystallised([[1, 20]], 0)).toBeGreaterThan(10 * crystallised([[1, 20]], 1));
  });
});
