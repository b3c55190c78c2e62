import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_MAKING } from '@/core/brief/brief';
import { finishedComponents } from '@/core/formula/formula';
import { COMPONENT_COUNT } from '@/core/matter/components';
import { coolingTime } from '@/core/pan/cooling-time';
import { bowlBody, COOLING_PLACES } from '@/core/set/cooling';
import { boiledOffInPan } from '@/core/yields/batch-size';
import { lukewarmHours, scaleBatch } from '@/core/yields/scaling';
import { formulaOf, larder } from '../../support/kitchen';

const SAUCE = [
  ['water', 260],
  ['sugar-caster', 100],
  ['cocoa-alkalised-22', 28],
  ['starch-corn', 7],
  ['dark-couverture-60', 45],
] as const;
const GANACHE = [
  ['cream-35', 240],
  ['dark-couverture-66', 220],
  ['glucose-syrup-de42', 40],
] as const;

/** Shares of what leaves the stove. */
function shares(lines: Parameters<typeof finishedComponents>[0]['lines'], evaporationG: number): Float64Array {
  const parts = finishedComponents({ lines, evaporationG });
  const mass = parts.reduce((sum, grams) => sum + grams, 0);
  return parts.map((grams) => grams / mass);
}

describe('scaling with sense', () => {
  it.each([
    ['a sauce with plain water', SAUCE],
    ['a ganache without', GANACHE],
  ] as const)('%s keeps its finished composition within half a per cent, whatever the batch and pan', (_, rows) => {
    const formula = formulaOf(rows);
    const weighed = rows.reduce((sum, [, grams]) => sum + grams, 0);
    fc.assert(
      fc.property(
        fc.double({ min: 0.25, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.integer({ min: 16, max: 45 }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        (factor, evaporationG, panCm, minutes) => {
          const from = { finishedG: weighed - evaporationG, evaporationG };
          const scaled = scaleBatch(
            formula.lines,
            { ...from, wantedG: factor * from.finishedG },
            { ...USUAL_MAKING, heat: 'boil', panCm, minutes },
          );
          const water = larder.get('water');
          const lines = [
            ...formula.lines.map((line, i) => ({ ...line, grams: scaled.grams[i] as number })),
            ...(scaled.extraWaterG > 0 && water
              ? [
                  {
                    ...(formulaOf([['water', 1]]).lines[0] as (typeof formula.lines)[number]),
                    grams: scaled.extraWaterG,
                  },
                ]
              : []),
          ];
          const [before, after] = [shares(formula.lines, evaporationG), shares(lines, scaled.evaporationG)];
          for (let i = 0; i < COMPONENT_COUNT; i++) {
            expect(Math.abs((after[i] as number) - (before[i] as number))).toBeLessThan(0.005);
          }
          const finished = lines.reduce((sum, line) => sum + line.grams, 0) - scaled.evaporationG;
          expect(finished / (factor * from.finishedG)).toBeCloseTo(1, 2);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('holds water back for a larger batch in the same pan, at the same minutes', () => {
    const { lines } = formulaOf(SAUCE);
    const making = { ...USUAL_MAKING, heat: 'boil', minutes: 3, panCm: 30 } as const;
    const lost = boiledOffInPan(making);
    const scaled = scaleBatch(lines, { finishedG: 440 - lost, evaporationG: lost, wantedG: 2 * (440 - lost) }, making);
    expect(scaled.minutes).toBeCloseTo(3, 6);
    expect(scaled.evaporationG).toBeCloseTo(lost, 6);
    expect(scaled.liquidG).toBeCloseTo(-lost, 6);
    expect(scaled.grams[0]).toBeCloseTo(520 - lost, 6);
  });

  it('boils longer where there is no plain water to hold back', () => {
    const { lines } = formulaOf(GANACHE);
    const making = { ...USUAL_MAKING, heat: 'boil', minutes: 1, panCm: 30 } as const;
    const lost = boiledOffInPan(making);
    const scaled = scaleBatch(lines, { finishedG: 500 - lost, evaporationG: lost, wantedG: 3 * (500 - lost) }, making);
    expect(scaled.liquidG).toBe(0);
    expect(scaled.minutes).toBeCloseTo(3, 6);
  });

  it('a formula that says nothing of boiling is scaled plainly', () => {
    const { lines } = formulaOf(GANACHE);
    const scaled = scaleBatch(lines, { finishedG: 500, evaporationG: 0, wantedG: 1250 }, USUAL_MAKING);
    expect(scaled.grams).toEqual([600, 550, 100]);
    expect(scaled.extraWaterG).toBe(0);
  });

  it('splits into equal pans, and a bigger bowl cools more slowly', () => {
    const { lines } = formulaOf(GANACHE);
    const making = { ...USUAL_MAKING, panCm: 20 };
    const scaled = scaleBatch(lines, { finishedG: 500, evaporationG: 0, wantedG: 3500 }, making);
    expect(scaled.pans).toBe(2);
    expect(scaled.inBowlG).toEqual([500, 1750]);
    expect(lukewarmHours(1750, 22)).toBeGreaterThan(lukewarmHours(500, 22));
    expect(lukewarmHours(1000, 30)).toBeGreaterThan(lukewarmHours(1000, 16));
  });

  it('adds water to boil off up to a quarter of the batch, and boils shorter past that', () => {
    const formula = formulaOf(SAUCE);
    const scaled = scaleBatch(
      formula.lines,
      { finishedG: 420, evaporationG: 20, wantedG: 100 },
      { ...USUAL_MAKING, heat: 'boil', minutes: 60 },
    );
    expect(scaled.liquidG).toBe(25);
    expect(scaled.minutes).toBeLessThan(60);
    expect(scaled.minutes * boiledOffInPan({ ...USUAL_MAKING, heat: 'boil' }, 1)).toBeCloseTo(25 + 20 * (100 / 420), 6);
  });

  it('counts as lukewarm what has come from 70 to 36 °C, and no kitchen as warmer than 34 °C', () => {
    const material = { densityKgM3: 1150, conductivity: 0.35, heatCapacityAt: () => 2900 };
    const hours = (grams: number, aroundC: number) =>
      coolingTime(bowlBody(grams, 1150), material, { surface: COOLING_PLACES.room, aroundC }, { fromC: 70, toC: 36 });
    expect(lukewarmHours(500, 22)).toBe(hours(500, 22));
    expect(lukewarmHours(1000, 22)).toBe(hours(1000, 22));
    expect(lukewarmHours(500, 45)).toBe(hours(500, 34));
  });
});
