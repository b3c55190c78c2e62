import { describe, expect, it } from 'vitest';
import { shelfIndex } from '@/core/keep/shelf';
import { lnDoubtOfResistance, modelDoubt } from '@/core/predict/doubt';
import { chocolateColour } from '@/core/shine/colour';
import { alcoholPercentVol, taste } from '@/core/taste/taste';
import { batchOf, CREAM_35, DARK_60, EQUAL_GANACHE, stateOf, times, together } from '../../support/kitchen';

const luminance = (hex: string) =>
  [0.2126, 0.7152, 0.0722].reduce(
    (sum, weight, i) => sum + weight * Number.parseInt(hex.slice(1 + 2 * i, 3 + 2 * i), 16),
    0,
  );

describe('keeping', () => {
  it('gets longer as water activity falls and alcohol rises, to a ceiling', () => {
    expect(shelfIndex(0.9, 0).fridgeDays).toBeGreaterThan(shelfIndex(0.95, 0).fridgeDays);
    expect(shelfIndex(0.95, 5).fridgeDays).toBeGreaterThan(shelfIndex(0.95, 0).fridgeDays);
    expect(shelfIndex(0.3, 0).roomDays).toBeLessThanOrEqual(180);
  });
});

describe('taste', () => {
  it('knows each sweetener and balances cocoa against it', () => {
    expect(taste(batchOf({ water: 80, sucrose: 20 }).mixture).sweetness).toBeCloseTo(20, 1);
    expect(taste(batchOf({ water: 80, fructose: 20 }).mixture).sweetness).toBeCloseTo(24, 1);
    expect(taste(batchOf(EQUAL_GANACHE).mixture).balance).toBeGreaterThan(0.3);
    expect(taste(batchOf({ cocoa_solids: 50, water: 50 }).mixture).balance).toBe(0);
  });

  it('reads 40 % spirit as 40 % vol', () => {
    const spirit = stateOf({ water: 66.6, ethanol: 33.3 }, 20).flow;
    expect(alcoholPercentVol(33.3, spirit.phases.volumeMl)).toBeGreaterThan(38);
    expect(alcoholPercentVol(33.3, spirit.phases.volumeMl)).toBeLessThan(42);
  });
});

describe('doubt', () => {
  it('is smaller for the family known best', () => {
    for (const [dark, cream] of [
      [1, 2],
      [1, 1],
      [2, 1],
    ] as const) {
      const known = modelDoubt(batchOf(together(times(dark, DARK_60), times(cream, CREAM_35))).mixture);
      expect(known.lnViscosity).toBeCloseTo(0.5, 1);
      expect(known.lnYield).toBeCloseTo(0.7, 1);
    }
    for (const other of [{ ...EQUAL_GANACHE, gelatin: 12 }, DARK_60, { water: 60, sucrose: 40 }]) {
      expect(modelDoubt(batchOf(other).mixture).lnYield).toBeGreaterThan(0.95);
    }
  });

  it('of the resistance lies between that of viscosity and that of yield', () => {
    const doubt = modelDoubt(batchOf(EQUAL_GANACHE).mixture);
    const warm = lnDoubtOfResistance(stateOf(EQUAL_GANACHE, 45).flow, doubt);
    const cold = lnDoubtOfResistance(stateOf(EQUAL_GANACHE, 5).flow, doubt);
    expect(warm).toBeGreaterThan(0.5);
    expect(cold).toBeLessThanOrEqual(0.7);
    expect(cold).toBeGreaterThan(warm);
  });
});

describe('drawn colour', () => {
  it('is dark for dark, brown for milk and ivory for white', () => {
    const dark = luminance(chocolateColour(batchOf(DARK_60).mixture));
    const milk = luminance(
      chocolateColour(
        batchOf({ cocoa_butter: 30, cocoa_solids: 7, milk_fat: 6, milk_protein: 6, lactose: 9, sucrose: 42 }).mixture,
      ),
    );
    const white = luminance(
      chocolateColour(batchOf({ cocoa_butter: 34, milk_fat: 6, milk_protein: 6, lactose: 9, sucrose: 45 }).mixture),
    );
    expect(dark).toBeLessThan(60);
    expect(milk).toBeGreaterThan(dark + 20);
    expect(white).toBeGreaterThan(milk + 80);
  });
});
