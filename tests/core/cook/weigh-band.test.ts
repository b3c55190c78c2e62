import { describe, expect, it } from 'vitest';
import { bandOfPart, weighBand } from '@/core/cook/weigh-band';
import { predictFormula } from '@/core/predict/predict-formula';
import { resolveFormula } from '@/formats/resolve-formula';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder } from '../../support/kitchen';

const FORMULAS = lanternMillFormulas().map((file) => ({
  name: file.name,
  formula: resolveFormula(file, larder, 'standard'),
}));

describe('the band within which a weight does not matter', () => {
  it.each(FORMULAS)('$name: inside it all that lands still lands, just outside something does not', ({ formula }) => {
    const landed = predictFormula(formula)?.gates.map(({ lands }) => lands) ?? [];
    const landsWith = (row: number, grams: number) => {
      const lines = formula.lines.map((line, i) => (i === row ? { ...line, grams } : line));
      return predictFormula({ ...formula, lines })?.gates.every((gate, g) => !landed[g] || gate.lands);
    };
    for (const [row, { grams }] of formula.lines.entries()) {
      const { low, high } = weighBand(formula, row);
      expect(low.grams).toBeLessThanOrEqual(grams);
      expect(high.grams).toBeGreaterThanOrEqual(grams);
      for (const edge of [low, high]) {
        if (landed.includes(true)) expect(landsWith(row, edge.grams)).toBe(true);
        if (edge.gate)
          expect(landsWith(row, edge.grams + (edge.grams - grams) * 0.02 + Math.sign(edge.grams - grams) * 0.05)).toBe(
            false,
          );
      }
    }
  });

  it('is narrower for what carries the flow than for what hardly does', () => {
    const gloss = FORMULAS.at(-1)?.formula;
    if (!gloss) throw new Error('no formula');
    const width = (row: number) => {
      const { low, high } = weighBand(gloss, row);
      return (high.grams - low.grams) / (gloss.lines[row]?.grams ?? 1);
    };
    const rowOf = (ingredient: string) => gloss.lines.findIndex((line) => line.ingredient === ingredient);
    expect(width(rowOf('dark-couverture-66'))).toBeLessThan(width(rowOf('rum-40')));
  });

  it('of a part is what the rest leaves of it, never below nothing', () => {
    const edge = (grams: number) => ({ grams, gate: undefined });
    const whole = { low: edge(230), high: edge(444) };
    expect(bandOfPart(whole, 0)).toEqual(whole);
    expect(bandOfPart(whole, 40)).toEqual({ low: edge(190), high: edge(404) });
    expect(bandOfPart(whole, 380)).toEqual({ low: edge(0), high: edge(64) });
    // So much of it is in already that any more is too much.
    expect(bandOfPart(whole, 500)).toEqual({ low: edge(0), high: edge(0) });
  });

  it('without gates it is where the flow is felt to change', () => {
    const [first] = FORMULAS;
    if (!first) throw new Error('no formula');
    const { low, high } = weighBand({ ...first.formula, gates: [] }, 0);
    const grams = first.formula.lines[0]?.grams ?? 0;
    expect(low.grams).toBeGreaterThan(0.4 * grams);
    expect(high.grams).toBeLessThan(1.6 * grams);
    expect(low.gate ?? high.gate).toBeUndefined();
  });
});
