import { describe, expect, it } from 'vitest';
import { failingRegions } from '@/core/balance/failing-regions';
import { axisReach, mapField } from '@/core/balance/field-map';
import { predictFormula } from '@/core/predict/predict-formula';
import { axisChoices, axisKey, largestTwo } from '@/features/balance/material/map-axes';
import { mapWords } from '@/features/balance/material/map-edges';
import { LEFT, placeOf, WIDTH } from '@/features/balance/material/map-geometry';
import { QUANTITY_WORDS } from '@/ui/quantity-words';
import { formulaOf } from '../support/kitchen';

const formula = formulaOf(
  [
    ['glucose-syrup-de42', 20],
    ['dark-couverture-60', 200],
    ['butter-unsalted-82', 10],
    ['cream-35', 240],
  ],
  [
    { moment: 'pour', quantity: 'apparentViscosityPaS', low: 0.5, high: 2 },
    { moment: 'fridge', quantity: 'yieldStressPa', low: 300, high: 3000 },
  ],
);

describe('what a map is drawn over', () => {
  it('opens on the two rows there is most of, in their order', () => {
    expect(largestTwo(formula)).toEqual([
      { kind: 'grams', line: 1 },
      { kind: 'grams', line: 3 },
    ]);
  });

  it('can be each row, or the ratio of two of the three largest, each under a key of its own', () => {
    const choices = axisChoices(formula, (id) => id);
    expect(choices.map(({ key }) => key)).toEqual(['g0', 'g1', 'g2', 'g3', 'r0-1', 'r0-3', 'r1-3']);
    for (const { key, axis } of choices) expect(axisKey(axis)).toBe(key);
    expect(choices.at(-1)?.name).toBe('dark-couverture-60 : cream-35');
  });
});

describe('how far a map reaches', () => {
  it('from two fifths to twice of a row; an empty one to 15 % of the batch; a ratio to a third and to three times', () => {
    expect(axisReach(formula, { kind: 'grams', line: 1 })).toEqual([80, 400]);
    const empty = { ...formula, lines: formula.lines.map((line, i) => (i === 0 ? { ...line, grams: 0 } : line)) };
    expect(axisReach(empty, { kind: 'grams', line: 0 })).toEqual([0, 0.15 * 450]);
    const [least, most] = axisReach(formula, { kind: 'ratio', over: 1, under: 3 });
    expect(least).toBeCloseTo(200 / 240 / 3, 9);
    expect(most).toBeCloseTo(2.5, 9);
  });
});

describe('the edges on a map', () => {
  const drawing = mapField(formula, largestTwo(formula), { columns: 24, rows: 18 });
  let step = drawing.next();
  while (!step.done) step = drawing.next();
  const map = step.value;

  const regions = failingRegions(map);

  it('divide the failing part of the field: what is said of a place fails there, and most of all', () => {
    const landing = map.inside.filter((value) => value >= 0).length / map.inside.length;
    expect(regions.reduce((sum, { share }) => sum + share, landing)).toBeCloseTo(1, 9);
    for (const { gate, edge, cells } of regions) {
      for (const { column, row } of cells) {
        const at = row * map.columns + column;
        expect(map.gates[gate]?.[edge]?.[at]).toBeCloseTo(map.inside[at] as number, 12);
        expect(map.inside[at]).toBeLessThan(0);
      }
    }
    expect(regions.filter(({ border }) => border.length > 0).length).toBeGreaterThan(1);
  });

  it('say in words what happens beyond, within the field and not over one another', () => {
    const drawn = mapWords(map, formula, 'coat_eclair').regions;
    expect(drawn.length).toBeGreaterThan(1);
    expect(drawn.map(({ words, where }) => `${words}, ${where}`)).toContain('too thin to coat, at the pour');
    drawn.forEach((label, i) => {
      expect(label.x).toBeGreaterThan(LEFT);
      expect(label.x).toBeLessThan(WIDTH);
      for (const other of drawn.slice(i + 1))
        expect(
          Math.abs(label.y - other.y) > 15 || Math.abs(label.x - other.x) > 80,
          `${label.words} / ${other.words}`,
        ).toBe(true);
    });
  });

  it('are named on the line itself, each that borders the landing region once, by what it limits', () => {
    const { edges } = mapWords(map, formula, 'coat_eclair');
    const bordering = regions.filter(({ border }) => border.length > 0);
    expect(edges.length).toBeGreaterThan(1);
    for (const { key, words, x, y } of edges) {
      const region = bordering.find(({ gate, edge }) => `${gate}${edge}` === key);
      const gate = formula.gates[region?.gate ?? -1];
      const limit = gate?.[region?.edge ?? 'low'] ?? 0;
      expect(words).toContain(
        `${region?.edge === 'low' ? '≥' : '≤'} ${gate && QUANTITY_WORDS[gate.quantity].show(limit).number}`,
      );
      const spots = (region?.border ?? []).map((cell) => placeOf(map, cell));
      expect(Math.min(...spots.map((spot) => Math.hypot(spot.x - x, spot.y - y)))).toBeLessThan(1e-6);
    }
  });

  it('shade a cell just where the prediction says that every gate holds', () => {
    const at = map.inside.reduce((best, value, i) => (value > (map.inside[best] ?? 0) ? i : best), 0);
    const worst = map.inside.reduce((low, value, i) => (value < (map.inside[low] ?? 0) ? i : low), 0);
    expect(map.inside[at], 'somewhere it lands').toBeGreaterThan(0);
    expect(map.inside[worst], 'and somewhere it does not').toBeLessThan(0);
    for (const [cell, lands] of [
      [at, (map.inside[at] ?? -1) >= 0],
      [worst, (map.inside[worst] ?? 0) >= 0],
    ] as const) {
      const [column, row] = [cell % 24, Math.floor(cell / 24)];
      const grams = [...formula.lines.map((line) => line.grams)];
      grams[1] = map.xs[column] ?? 0;
      grams[3] = map.ys[row] ?? 0;
      const lines = formula.lines.map((line, i) => ({ ...line, grams: grams[i] ?? 0 }));
      expect(predictFormula({ ...formula, lines })?.lands).toBe(lands);
    }
  });
});
