import { describe, expect, it } from 'vitest';
import { CREAM_35, DARK_60, EQUAL_GANACHE, stateOf, times, together } from '../../support/kitchen';

const yieldPa = (components: object, t: number, hours = 24) => stateOf(components, t, [[hours, t]]).flow.yieldStressPa;
const eta10 = (components: object, t: number) => stateOf(components, t, [[0.3, t]]).flow.apparentViscosityPaS;
const ganache = (chocolate: number, cream: number) => together(times(chocolate, DARK_60), times(cream, CREAM_35));
const syrup = { water: 4.8, glucose: 3.648, maltose: 2.688, higher_saccharides: 12.86 };

describe('what the trade expects of a ganache', () => {
  it.each([
    ['1:1 at 35 °C, Pa·s', () => eta10(EQUAL_GANACHE, 35), 1, 3],
    ['1:1 at 45 °C, Pa·s', () => eta10(EQUAL_GANACHE, 45), 0.25, 1],
    ['1:2 at 40 °C, Pa·s', () => eta10(ganache(1, 2), 40), 0.1, 0.4],
    ['3:1 set 24 h at 20 °C, kPa', () => yieldPa(ganache(3, 1), 20) / 1000, 20, 90],
    ['2:1 set 24 h at 20 °C, kPa', () => yieldPa(ganache(2, 1), 20) / 1000, 8, 30],
    ['1:1 set 12 h at 20 °C, kPa', () => yieldPa(EQUAL_GANACHE, 20, 12) / 1000, 0.3, 2],
    ['1:1 set 24 h at 5 °C, kPa', () => yieldPa(EQUAL_GANACHE, 5) / 1000, 5, 20],
    ['1:2 at 20 °C, Pa', () => yieldPa(ganache(1, 2), 20), 4, 80],
    ['1:1 at 24 °C is soft, Pa', () => yieldPa(EQUAL_GANACHE, 24), 50, 600],
    ['1:1 at 26 °C slumps, Pa', () => yieldPa(EQUAL_GANACHE, 26), 15, 250],
    ['water activity of 1:1', () => stateOf(EQUAL_GANACHE, 20).waterActivity, 0.895, 0.935],
    ['water activity of 2:1', () => stateOf(ganache(2, 1), 20).waterActivity, 0.83, 0.88],
  ])('%s', (_, value, low, high) => {
    expect(value()).toBeGreaterThanOrEqual(low);
    expect(value()).toBeLessThanOrEqual(high);
  });
});

describe('what must not turn round', () => {
  it('the warm look lies: a ganache that pours at 45 °C is beyond a piping bag from the fridge', () => {
    expect(eta10(EQUAL_GANACHE, 45)).toBeLessThan(1);
    expect(stateOf(EQUAL_GANACHE, 5, [[4, 5]]).flow.yieldStressPa).toBeGreaterThan(3000);
  });

  it('butter and syrup soften the set, syrup shines and keeps', () => {
    const butter = together(EQUAL_GANACHE, { milk_fat: 16.4, water: 3.24, milk_protein: 0.14 });
    const sweetened = together(EQUAL_GANACHE, syrup);
    expect(yieldPa(butter, 5) / yieldPa(EQUAL_GANACHE, 5)).toBeLessThan(0.98);
    expect(yieldPa(sweetened, 5) / yieldPa(EQUAL_GANACHE, 5)).toBeLessThan(0.9);
    expect(stateOf(sweetened, 20).shine).toBeGreaterThan(stateOf(EQUAL_GANACHE, 20).shine + 2);
    expect(stateOf(sweetened, 20).waterActivity).toBeLessThan(stateOf(EQUAL_GANACHE, 20).waterActivity - 0.003);
  });

  it('a little water seizes chocolate, much water frees it', () => {
    const wet = (grams: number) => stateOf(together(DARK_60, { water: grams }), 45, [[0.1, 45]]);
    expect(wet(0).risks.seized).toBeLessThan(0.05);
    expect(wet(5).risks.seized).toBeGreaterThan(0.6);
    expect(wet(5).flow.yieldStressPa).toBeGreaterThan(500);
    expect(wet(25).risks.seized).toBeLessThan(0.15);
    expect(wet(25).flow.yieldStressPa / wet(5).flow.yieldStressPa).toBeLessThan(0.15);
  });

  it('the emulsion breaks more easily with more fat, cold and overworked', () => {
    const risk = (parts: object, process = {}) => stateOf(parts, 38, [[0.3, 38]], process).risks.broken;
    expect(risk(EQUAL_GANACHE)).toBeLessThan(0.15);
    expect(risk(ganache(3, 1))).toBeGreaterThan(0.3);
    expect(risk(ganache(2, 1), { overwork: 1, mixTemperatureC: 30 })).toBeGreaterThan(risk(ganache(2, 1)) + 0.2);
  });

  it('gelatin sets cold and not warm, and stronger leaves set firmer', () => {
    const jelly = { water: 93.33, gelatin: 6.67 };
    const at = (t: number, bloomG = 200) => stateOf(jelly, t, [[17, t]], { bloomG }).flow.yieldStressPa;
    expect(at(10)).toBeGreaterThan(2500);
    expect(at(40)).toBeLessThan(5);
    expect(at(10, 240)).toBeGreaterThan(at(10, 200));
  });

  it('a glaze without cocoa shows no warm yield stress', () => {
    const white = { water: 30, sucrose: 30, glucose: 20, milk_fat: 10, milk_protein: 4, cocoa_butter: 6 };
    expect(stateOf(white, 40).flow.cocoaYieldPa).toBe(0);
  });
});
