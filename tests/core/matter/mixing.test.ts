import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COMPONENT_INDEX, COMPONENT_NAMES, CompositionError, compositionVector } from '@/core/matter/components';
import { boilOff, componentGrams, mix } from '@/core/matter/mixing';
import { foldMixture } from '@/core/matter/mixture';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { predictFormula } from '@/core/predict/predict-formula';
import { formulaOf, larder } from '../../support/kitchen';

const anyIngredient = fc.constantFrom(...larder.values());
const anyPan = fc.array(fc.tuple(anyIngredient, fc.double({ min: 0, max: 5000, noNaN: true })), { maxLength: 20 });

describe('mass balance', () => {
  it('keeps the mass of any pan, and of each component', () => {
    fc.assert(
      fc.property(anyPan, (pan) => {
        const lines = pan.map(([{ components }, grams]) => ({ perGram: compositionVector(components), grams }));
        const batch = mix(lines);
        const weighed = pan.reduce((sum, [, grams]) => sum + grams, 0);
        expect(batch.reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(weighed, 6);
        const sugar = pan.reduce(
          (sum, [{ components }, grams]) =>
            sum +
            (grams * (components.sucrose ?? 0)) /
              Math.max(
                100,
                Object.values(components).reduce((a, b) => a + b, 0),
              ),
          0,
        );
        expect(componentGrams(batch).sucrose).toBeCloseTo(sugar, 6);
      }),
    );
  });

  it('counts what a composition leaves unsaid as inert matter', () => {
    const vector = compositionVector({ water: 2, cocoa_butter: 20, liquid_oil: 30, sucrose: 40 });
    expect(vector[COMPONENT_INDEX.other]).toBeCloseTo(0.08);
    expect(vector.reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 12);
  });

  it('scales rounded tables back to 100 g and refuses more', () => {
    expect(compositionVector({ water: 40.2, sucrose: 60.1 }).reduce((sum, part) => sum + part, 0)).toBeCloseTo(1, 12);
    expect(() => compositionVector({ water: 50, sucrose: 60 })).toThrow(CompositionError);
    expect(() => compositionVector({ water: -1 })).toThrow(/water/);
    expect(() => compositionVector({ water: Number.NaN })).toThrow(CompositionError);
  });
});

describe('folding into model species', () => {
  it('loses no mass: every component has a place', () => {
    for (const name of COMPONENT_NAMES) {
      const mixture = foldMixture(mix([{ perGram: compositionVector({ [name]: 100 }), grams: 50 }]), DEFAULT_PROCESS);
      expect(mixture.massG).toBeCloseTo(50, 9);
      const accounted =
        mixture.waterG +
        mixture.fatG +
        mixture.cocoaSolidsG +
        mixture.proteinG +
        mixture.mineralsG +
        mixture.sugarsG +
        mixture.starchG +
        mixture.gelatinG +
        mixture.pectinG +
        mixture.agarG +
        mixture.gumsG +
        mixture.ethanolG +
        mixture.saltG +
        mixture.acidsG +
        mixture.inertG;
      expect(accounted, name).toBeCloseTo(50.005, 6);
    }
  });

  it('takes hard fat as milk fat, and agar as itself', () => {
    const mixture = foldMixture(
      mix([{ perGram: compositionVector({ agar: 10, hard_fat: 20 }), grams: 100 }]),
      DEFAULT_PROCESS,
    );
    expect(mixture.agarG).toBeCloseTo(10);
    expect(mixture.pectinG).toBe(0);
    expect(mixture.milkFatG).toBeCloseTo(20);
  });
});

describe('what boils off', () => {
  it('is water alone, and never nearly all of it', () => {
    const cream = mix([{ perGram: compositionVector({ water: 60, milk_fat: 40 }), grams: 100 }]);
    const boiled = boilOff(cream.slice(), 20);
    expect(boiled[COMPONENT_INDEX.water]).toBeCloseTo(40, 9);
    expect(boiled[COMPONENT_INDEX.milk_fat]).toBe(cream[COMPONENT_INDEX.milk_fat]);
    expect(boilOff(cream.slice(), 500)[COMPONENT_INDEX.water]).toBeCloseTo(3, 9);
    expect(boilOff(cream.slice(), 0)).toEqual(cream);
  });

  it('thickens the finished batch and lightens it by as much', () => {
    const formula = formulaOf([
      ['dark-couverture-60', 100],
      ['cream-35', 200],
    ]);
    const [plain, boiled] = [formula, { ...formula, evaporationG: 30 }].map((each) => predictFormula(each));
    expect(boiled?.massG).toBeCloseTo((plain?.massG ?? 0) - 30, 9);
    expect(boiled?.moments[0]?.state.flow.resistancePa ?? 0).toBeGreaterThan(
      plain?.moments[0]?.state.flow.resistancePa ?? 0,
    );
  });
});
