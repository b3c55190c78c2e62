import { describe, expect, it } from 'vitest';
import { bandOfPart, weighBand } from '@/core/cook/weigh-band';
import { type Formula, finishedMass } from '@/core/formula/formula';
import { atThePour, onceSet } from '@/core/formula/moment-role';
import { keepingBand } from '@/core/keep/shelf';
import { keysOf } from '@/core/keys-of';
import { nth } from '@/core/nth';
import { linearChance } from '@/core/predict/linear-chance';
import { predictFormula } from '@/core/predict/predict-formula';
import { resolveFormula } from '@/formats/resolve-formula';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';

const FORMULAS = lanternMillFormulas().map((file) => ({
  name: file.name,
  formula: resolveFormula(file, larder, 'standard'),
}));

const withGrams = (formula: Formula, row: number, grams: number): Formula => ({
  ...formula,
  lines: formula.lines.map((line, i) => (i === row ? { ...line, grams } : line)),
});

/** Everything a cook could notice, as the definition has it, read anew here. */
function readings(formula: Formula) {
  const prediction = predictFormula(formula);
  if (!prediction) throw new Error('empty');
  return {
    chance: linearChance(formula, prediction).chance,
    flow: atThePour(prediction.moments)?.state.flow.resistancePa,
    set: onceSet(prediction.moments)?.state.flow.yieldStressPa,
    sweetness: prediction.taste.sweetness,
    yieldG: finishedMass(formula),
    keeping: keepingBand(prediction.asKept.waterActivity),
    risky: prediction.moments.map(({ state }) => keysOf(state.risks).filter((risk) => state.risks[risk] > 0.3)),
  };
}

describe('the band within which a weight does not matter', () => {
  it.each(FORMULAS)('$name: inside it nothing is noticed, and it is never wider than a quarter', ({ formula }) => {
    const before = readings(formula);
    for (const [row, { grams }] of formula.lines.entries()) {
      if (grams === 0) continue;
      const { low, high } = weighBand(formula, row);
      expect(low.grams).toBeGreaterThanOrEqual(0.75 * grams - 1e-9);
      expect(high.grams).toBeLessThanOrEqual(1.25 * grams + 1e-9);
      expect(low.grams).toBeLessThanOrEqual(grams);
      expect(high.grams).toBeGreaterThanOrEqual(grams);
      for (const { grams: at } of [low, high]) {
        const after = readings(withGrams(formula, row, at));
        expect(after.chance).toBeGreaterThanOrEqual(before.chance - 0.05 - 1e-9);
        if (before.flow && after.flow)
          expect(Math.abs(Math.log(after.flow / before.flow))).toBeLessThanOrEqual(Math.log(1.15) + 1e-9);
        if (before.set && after.set)
          expect(Math.abs(Math.log(after.set / before.set))).toBeLessThanOrEqual(Math.log(1.25) + 1e-9);
        expect(Math.abs(after.sweetness / before.sweetness - 1)).toBeLessThanOrEqual(0.08 + 1e-9);
        expect(Math.abs(after.yieldG / before.yieldG - 1)).toBeLessThanOrEqual(0.03 + 1e-9);
        expect(after.keeping).toBe(before.keeping);
        for (const [m, risky] of after.risky.entries()) expect(before.risky[m]).toEqual(expect.arrayContaining(risky));
      }
    }
  });

  it.each(FORMULAS)('$name: what stands as the reason is what is noticed just beyond', ({ formula }) => {
    const before = readings(formula);
    for (const [row, { grams }] of formula.lines.entries()) {
      if (grams === 0) continue;
      const { low, high } = weighBand(formula, row);
      for (const edge of [low, high]) {
        if (edge.reason !== 'flow' && edge.reason !== 'sweetness' && edge.reason !== 'yield') continue;
        // The last halving lies within a thousandth of a quarter of the row.
        const beyond = readings(withGrams(formula, row, edge.grams + Math.sign(edge.grams - grams) * grams * 0.0006));
        const moved = {
          flow: Math.abs(Math.log((beyond.flow ?? 1) / (before.flow ?? 1))) > Math.log(1.15),
          sweetness: Math.abs(beyond.sweetness / before.sweetness - 1) > 0.08,
          yield: Math.abs(beyond.yieldG / before.yieldG - 1) > 0.03,
        };
        expect(moved[edge.reason], `${row} ${edge.reason}`).toBe(true);
      }
    }
  });

  it('300 g of milk may not be off by half: its yield alone says so', () => {
    const milk = FORMULAS.flatMap(({ formula }) =>
      formula.lines.flatMap((line, row) => (line.grams > 0.4 * finishedMass(formula) ? [weighBand(formula, row)] : [])),
    );
    expect(milk.length).toBeGreaterThan(3);
    for (const { low, high } of milk) expect(high.grams / low.grams).toBeLessThan(1.2);
  });

  it('of a part is what the rest leaves of it, never below nothing', () => {
    const edge = (grams: number) => ({ grams, reason: 'flow' }) as const;
    const whole = { low: edge(230), high: edge(444) };
    expect(bandOfPart(whole, 0)).toEqual(whole);
    expect(bandOfPart(whole, 40)).toEqual({ low: edge(190), high: edge(404) });
    expect(bandOfPart(whole, 380)).toEqual({ low: edge(0), high: edge(64) });
    // So much of it is in already that any more is too much.
    expect(bandOfPart(whole, 500)).toEqual({ low: edge(0), high: edge(0) });
  });

  it('a pinch that carries nothing reaches a quarter', () => {
    const gloss = nth(
      FORMULAS.filter(({ name }) => name === 'Millrace éclair gloss'),
      0,
    ).formula;
    const rows = gloss.lines.map((_, row) => weighBand(gloss, row));
    expect(rows.some(({ high }) => high.reason === 'reach')).toBe(true);
  });
});
