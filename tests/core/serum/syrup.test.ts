import { describe, expect, it } from 'vitest';
import { lactoseSolubility, sucroseSolubility } from '@/core/serum/dissolved';
import { sucroseSolutionViscosity } from '@/core/serum/viscosity';
import { MILK, stateOf, together } from '../../support/kitchen';

const mPaS = (components: object, temperatureC: number) =>
  1000 * stateOf(components, temperatureC, [[0.1, temperatureC]]).flow.plasticViscosityPaS;

describe('published syrup viscosities (mPa·s)', () => {
  it.each([
    ['sucrose 20 %, 20 °C', { water: 80, sucrose: 20 }, 20, 1.85, 2.05],
    ['sucrose 40 %, 20 °C', { water: 60, sucrose: 40 }, 20, 5.9, 6.6],
    ['sucrose 60 %, 20 °C', { water: 40, sucrose: 60 }, 20, 55, 62],
    ['sucrose 60 %, 40 °C', { water: 40, sucrose: 60 }, 40, 19, 23],
    ['glucose 60 %, 20 °C', { water: 40, glucose: 60 }, 20, 28, 42],
    ['fructose 60 %, 20 °C', { water: 40, fructose: 60 }, 20, 24, 42],
    ['DE 42 syrup 80 %, 38 °C', { water: 20, glucose: 15.2, maltose: 11.2, higher_saccharides: 53.6 }, 38, 5000, 22000],
    ['ethanol 20 %, 20 °C', { water: 80, ethanol: 20 }, 20, 1.8, 2.6],
    ['milk, 20 °C', MILK, 20, 1.5, 2.6],
  ])('%s', (_, components, temperatureC, low, high) => {
    const value = mPaS(components, temperatureC);
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
  });
});

it('metastable sucrose of 70 % at 20 °C, all of it kept in solution, is 420-540 mPa·s', () => {
  const moles = 70 / 342.3;
  const viscosity = 1000 * sucroseSolutionViscosity(moles / (moles + 30 / 18.015), 20);
  expect(viscosity).toBeGreaterThan(420);
  expect(viscosity).toBeLessThan(540);
});

describe('solubility', () => {
  it('grows with temperature', () => {
    expect(sucroseSolubility(20)).toBeCloseTo(1.99, 1);
    expect(sucroseSolubility(60)).toBeGreaterThan(sucroseSolubility(20));
    expect(lactoseSolubility(60)).toBeGreaterThan(3 * lactoseSolubility(10));
  });

  it('leaves crystals cold that were dissolved warm', () => {
    const syrup = { water: 25, sucrose: 75 };
    expect(stateOf(syrup, 80).flow.dissolved.crystalsG).toBeLessThan(1);
    expect(stateOf(syrup, 5).flow.dissolved.crystalsG).toBeGreaterThan(10);
  });

  it('never dissolves more than there is, nor less than nothing', () => {
    const { dissolved } = stateOf({ water: 5, sucrose: 60, lactose: 10, glucose: 25 }, 20).flow;
    expect(dissolved.sucroseG).toBeLessThanOrEqual(60);
    expect(dissolved.crystalsG + dissolved.sugarsG).toBeCloseTo(95, 6);
  });

  it('keeps glycerol, a liquid, in solution whatever the water', () => {
    const dry = stateOf({ water: 1, glycerol: 60, cocoa_butter: 40 }, 20).flow.dissolved;
    expect(dry.crystalsG).toBeLessThan(1e-6);
    const maltitol = stateOf({ water: 1, maltitol: 60, cocoa_butter: 40 }, 20).flow.dissolved;
    expect(maltitol.crystalsG).toBeGreaterThan(40);
  });
});

describe('published water activities', () => {
  it.each([
    ['sucrose 66.7 %', { water: 33.3, sucrose: 66.7 }, 0.84, 0.87],
    ['glucose 40 %', { water: 60, glucose: 40 }, 0.905, 0.93],
    ['salt 10 %', { water: 90, salt: 10 }, 0.925, 0.945],
    ['DE 42 syrup 80 %', { water: 20, glucose: 15.2, maltose: 11.2, higher_saccharides: 53.6 }, 0.73, 0.82],
    [
      'condensed milk',
      { water: 27, milk_fat: 8, milk_protein: 7.6, lactose: 11.5, milk_ash: 1.8, sucrose: 44.1 },
      0.8,
      0.87,
    ],
  ])('%s', (_, components, low, high) => {
    const aw = stateOf(components, 20).waterActivity;
    expect(aw).toBeGreaterThanOrEqual(low);
    expect(aw).toBeLessThanOrEqual(high);
  });

  it('falls with every solute added, each polyol by its own law', () => {
    const base = { water: 50, sucrose: 20 };
    const plain = stateOf(base, 20).waterActivity;
    for (const solute of [
      'sorbitol',
      'glycerol',
      'maltitol',
      'erythritol',
      'xylitol',
      'allulose',
      'trehalose',
      'isomaltulose',
      'ethanol',
      'acids',
      'salt',
    ]) {
      expect(stateOf(together(base, { [solute]: 5 }), 20).waterActivity, solute).toBeLessThan(plain);
    }
    const erythritol = stateOf(together(base, { erythritol: 5 }), 20).waterActivity;
    const maltitol = stateOf(together(base, { maltitol: 5 }), 20).waterActivity;
    expect(erythritol).toBeLessThan(maltitol);
  });
});
