import { spreadDiameter } from '@/core/flow/ring-spread';
import { type Evidence, type FlowMeasured, leaningOf, NO_OFFSETS } from '@/core/learn/evidence';
import {
  type KitchenKnowledge,
  type KitchenReading,
  kitchenSd,
  learnKitchen,
  NOTHING_LEARNT,
} from '@/core/learn/kitchen';
import { readingOf } from '@/core/learn/kitchen-tests';
import { CHOCOLATE_SD, FORMULA_SD, KITCHEN_PRIOR, LEARNT, type PerLearnt } from '@/core/learn/learnt';
import { DEFAULT_PROCESS, type Process, type ThermalHistory } from '@/core/matter/process';
import { TENTH_SD } from '@/core/normal';
import { nth } from '@/core/nth';
import { combineFlow, type FlowParts } from '@/core/predict/flow-parts';
import { flowAt } from '@/core/predict/state';
import { normalNumbers, seededNumbers } from '@/core/random';
import { batchOf } from './kitchen';

/** A formula hidden kitchens make, by its chocolate. */
export interface HiddenFormula {
  readonly name: string;
  readonly chocolate: string | undefined;
  readonly grams: Parameters<typeof batchOf>[0];
  readonly process?: Partial<Process>;
}

const ganache = (chocolateG: number, creamG: number, chocolate = 'dark'): HiddenFormula => ({
  name: `${chocolate} ${chocolateG}:${creamG}`,
  chocolate,
  grams: {
    water: 0.6 * creamG,
    cocoa_butter: 0.38 * chocolateG,
    cocoa_solids: 0.216 * chocolateG,
    sucrose: 0.392 * chocolateG,
    lecithin: 0.005 * chocolateG,
    milk_fat: 0.35 * creamG,
    milk_protein: 0.021 * creamG,
    lactose: 0.031 * creamG,
  },
});

export const GANACHE = ganache(100, 100);
const SYRUP: HiddenFormula = {
  name: 'cocoa syrup',
  chocolate: undefined,
  grams: { water: 200, sucrose: 200, cocoa_solids: 45, cocoa_butter: 5 },
};
export const GELATIN_GLAZE: HiddenFormula = {
  name: 'gelatin glaze',
  chocolate: undefined,
  grams: { water: 150, sucrose: 180, cocoa_solids: 50, cocoa_butter: 6, milk_fat: 35, milk_protein: 2, gelatin: 10 },
};
export const STARCH_SAUCE: HiddenFormula = {
  name: 'starch sauce',
  chocolate: undefined,
  grams: { water: 300, sucrose: 90, cocoa_solids: 30, cocoa_butter: 4, starch: 14 },
  process: { cook: 1 },
};
/** What a kitchen makes: ganaches of two chocolates, sauces. */
export const MENU: readonly HiddenFormula[] = [
  GANACHE,
  ganache(150, 100),
  ganache(100, 160, 'other'),
  ganache(120, 100, 'other'),
  ganache(90, 110),
  ganache(110, 90, 'other'),
  SYRUP,
  STARCH_SAUCE,
];

/** The first of the menu are ganaches. */
const GANACHES = 6;

/** Where something is read. */
export interface Place {
  readonly temperatureC: number;
  readonly history: ThermalHistory;
}
export const WARM: Place = { temperatureC: 40, history: [[0.3, 40]] };
export const FRIDGE: Place = { temperatureC: 5, history: [[24, 5]] };
export const CELLAR: Place = { temperatureC: 20, history: [[24, 20]] };

/** Parts of a formula's flow at a place, as the standard figures have them. */
export function partsAt({ grams, process }: HiddenFormula, { temperatureC, history }: Place): FlowParts {
  return flowAt(batchOf(grams, { ...DEFAULT_PROCESS, ...process }), temperatureC, history).parts;
}

/** A reading of what was measured. */
export function readingAt(
  formula: HiddenFormula,
  place: Place,
  measured: FlowMeasured,
  se: number,
  months = 0,
): KitchenReading {
  const evidence: Evidence = { of: 'flow', parts: partsAt(formula, place), measured };
  return { ...readingOf(evidence, se), months, formula: formula.name, chocolate: formula.chocolate };
}

/** A ring of 20 ml after 30 s that a flow so many times as thick would give. */
export function ringOf(parts: FlowParts, offsets: PerLearnt, lnMore: number): FlowMeasured {
  const flow = combineFlow(parts, offsets);
  const factor = Math.exp(lnMore);
  const { densityKgM3 } = parts;
  const diameterMm = spreadDiameter(
    {
      plasticViscosityPaS: factor * flow.plasticViscosityPaS,
      yieldStressPa: factor * flow.yieldStressPa,
      densityKgM3,
    },
    20,
    30,
  );
  return { kind: 'ring', diameterMm, volumeMl: 20, seconds: 30, ringMm: 50 };
}

/** A dent that tells of a yield stress so many times as high. */
export const dentOf = (parts: FlowParts, offsets: PerLearnt, lnMore: number): FlowMeasured => ({
  kind: 'yieldStress',
  pa: combineFlow(parts, offsets).yieldStressPa * Math.exp(lnMore),
});

/** How the truth of a kitchen is told from the standard figures, and what is not known of it. */
export interface HiddenKitchen {
  readonly offsets: PerLearnt;
  readonly effect: (formula: HiddenFormula) => number;
  readonly normal: () => number;
}

/** A kitchen drawn from what is known before any test. */
export function hiddenKitchen(seed: number): HiddenKitchen {
  const normal = normalNumbers(seededNumbers(seed));
  const offsets = { ...NO_OFFSETS };
  for (const about of LEARNT) (offsets as Record<string, number>)[about] = KITCHEN_PRIOR[about].sd * normal();
  const effects = new Map<string, number>();
  const drawn = (key: string, sd: number) => {
    const known = effects.get(key) ?? sd * normal();
    effects.set(key, known);
    return known;
  };
  const effect = ({ name, chocolate }: HiddenFormula) =>
    drawn(name, FORMULA_SD) + (chocolate === undefined ? 0 : drawn(`chocolate ${chocolate}`, CHOCOLATE_SD));
  return { offsets, effect, normal };
}

/** So many tests of each kind a kitchen makes of formulas: a ring while it is warm, a dent out of the fridge. */
export function testsIn(kitchen: HiddenKitchen, menu: readonly HiddenFormula[], each: number): KitchenReading[] {
  return Array.from({ length: each }, (_, i) => {
    const formula = nth(menu, i % menu.length);
    const [warm, cold] = [partsAt(formula, WARM), partsAt(formula, FRIDGE)];
    const own = kitchen.effect(formula);
    return [
      readingAt(formula, WARM, ringOf(warm, kitchen.offsets, own + 0.25 * kitchen.normal()), 0.25),
      readingAt(formula, FRIDGE, dentOf(cold, kitchen.offsets, own + 0.35 * kitchen.normal()), 0.35),
    ];
  }).flat();
}

/** ln(truth / predicted) of a formula's yield stress at a place, and the sd the kitchen's tests leave. */
const lnTruth = (kitchen: HiddenKitchen, formula: HiddenFormula, place: Place) =>
  Math.log(combineFlow(partsAt(formula, place), kitchen.offsets).yieldStressPa) + kitchen.effect(formula);

/** What a kitchen predicts of a formula's yield stress at a place, ln Pa, and the sd its tests leave. */
function predicted(knowledge: KitchenKnowledge, formula: HiddenFormula, place: Place) {
  const parts = partsAt(formula, place);
  const { offsets, chocolates, formulas } = knowledge;
  const means = { ...NO_OFFSETS };
  for (const about of LEARNT) (means as Record<string, number>)[about] = offsets[about].mean;
  const effect = (formulas[formula.name]?.mean ?? 0) + (chocolates[formula.chocolate ?? '']?.mean ?? 0);
  const { slopes } = leaningOf({ of: 'flow', parts, measured: { kind: 'yieldStress', pa: 1 } }, means);
  return {
    ln: Math.log(combineFlow(parts, means).yieldStressPa) + effect,
    sd: kitchenSd(knowledge, slopes, { chocolate: formula.chocolate, formula: formula.name }),
  };
}

const middle = (values: readonly number[]) =>
  nth(
    values.toSorted((a, b) => a - b),
    Math.floor(values.length / 2),
  );

/** How far the cold offset is missed in the middle, ln, after so many tests of each kind, each of a formula of its own. */
export function medianColdError(each: number, kitchens: number): number {
  const menu = Array.from({ length: each }, (_, i) => ({
    ...nth(MENU, i % GANACHES),
    name: `formula ${i}`,
    chocolate: undefined,
  }));
  return middle(
    Array.from({ length: kitchens }, (_, seed) => {
      const kitchen = hiddenKitchen(seed + 1);
      return Math.abs(learnKitchen(testsIn(kitchen, menu, each)).offsets.cold.mean - kitchen.offsets.cold);
    }),
  );
}

/** Share of hidden kitchens whose truth the 80 % band holds, of a formula out of the fridge: one of the menu, or a new one. */
export function coverage(menu: readonly HiddenFormula[], each: number, of: HiddenFormula, kitchens: number): number {
  const held = Array.from({ length: kitchens }, (_, seed) => {
    const kitchen = hiddenKitchen(1000 + seed);
    const { ln, sd } = predicted(learnKitchen(testsIn(kitchen, menu, each)), of, FRIDGE);
    return Math.abs(lnTruth(kitchen, of, FRIDGE) - ln) <= TENTH_SD * sd;
  });
  return held.filter(Boolean).length / kitchens;
}

/** How far a kitchen's thickness is missed, ln, once it has drifted by 0.6 over a year of a test every other week. */
export function missedDrift(kitchens: number): number {
  const misses = Array.from({ length: kitchens }, (_, seed) => {
    const { normal } = hiddenKitchen(seed + 1);
    const readings = Array.from({ length: 26 }, (_, i) => {
      const months = 12 - (12 * i) / 25;
      const formula = nth(MENU, i % GANACHES);
      const here = { ...NO_OFFSETS, warm: (0.6 * (12 - months)) / 12 };
      return readingAt(formula, WARM, ringOf(partsAt(formula, WARM), here, 0.25 * normal()), 0.25, months);
    });
    const knowledge = learnKitchen(readings);
    const standard = Math.log(combineFlow(partsAt(GANACHE, WARM), NO_OFFSETS).yieldStressPa);
    return 0.6 - (predicted(knowledge, GANACHE, WARM).ln - standard);
  });
  return middle(misses);
}

/** So many tests of a kitchen that makes many formulas. */
export const manyTests = (tests: number): KitchenReading[] =>
  testsIn(
    hiddenKitchen(1),
    Array.from({ length: 200 }, (_, i) => ({ ...nth(MENU, i % MENU.length), name: `formula ${i}` })),
    tests / 2,
  );

/** How many times the ganache's yield stress out of the fridge is predicted to be after these tests what it was before. */
export const fridgeMoves = (readings: readonly KitchenReading[]) =>
  Math.exp(predicted(learnKitchen(readings), GANACHE, FRIDGE).ln - predicted(NOTHING_LEARNT, GANACHE, FRIDGE).ln);

/** Rings of a ganache while it is warm, dents of it out of the fridge, each so far from the standard figures. */
export const warmRing = (ln: number, formula = GANACHE, months = 0) =>
  readingAt(formula, WARM, ringOf(partsAt(formula, WARM), NO_OFFSETS, ln), 0.25, months);
export const coldDent = (ln: number, formula = GANACHE) =>
  readingAt(formula, FRIDGE, dentOf(partsAt(formula, FRIDGE), NO_OFFSETS, ln), 0.35);

/** Three rings of a syrup on the bench, and ten dents of a gelatin glaze: all twice as thick as predicted. */
export const syrupRings = () =>
  [0.7, 0.7, 0.7].map((ln) => readingAt(SYRUP, CELLAR, ringOf(partsAt(SYRUP, CELLAR), NO_OFFSETS, ln), 0.25));
export const glazeDents = () => Array.from({ length: 10 }, () => coldDent(0.7, GELATIN_GLAZE));

/** Ten times "it stands" of what is forty times as firm as it needs to be. */
export const certainStands = () => {
  const { yieldStressPa } = combineFlow(partsAt(GANACHE, FRIDGE), NO_OFFSETS);
  const measured = { kind: 'stands', neededPa: yieldStressPa / 40, held: true } as const;
  return Array.from({ length: 10 }, () => readingAt(GANACHE, FRIDGE, measured, 0.3));
};
