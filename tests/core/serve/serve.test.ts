import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { noComponents } from '@/core/matter/component-vector';
import { COMPONENT_INDEX, type ComponentName, type Composition, compositionVector } from '@/core/matter/components';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { saturationPressure } from '@/core/pan/water';
import { stateAt } from '@/core/predict/state';
import { CUT_LAST, DIPPED, dippingBoard } from '@/core/serve/dipping-board';
import { moreOf, spiceHeat, tiresAt } from '@/core/serve/eating';
import { framedSlab, overrun, rolledPieces, shellFill } from '@/core/serve/finishing';
import { fillJars, fillWindow, jarRadiusM } from '@/core/serve/jars';
import { lengthOf, PLATE_PATTERNS, plateGuide } from '@/core/serve/plate-guides';
import { pourWindow } from '@/core/serve/pour-window';
import { drawingMatch } from '@/core/serve/second-sauce';
import { ballRadiusM, HANDS, softAt, staysFirmHours } from '@/core/serve/staying-firm';
import { COOLING_PLACES } from '@/core/set/cooling';
import { batchOf, EQUAL_GANACHE } from '../../support/kitchen';

/** Grams of components, as many as there are. */
function vectorOf(grams: Composition) {
  const vector = noComponents();
  for (const [name, amount] of Object.entries(grams)) vector[COMPONENT_INDEX[name as ComponentName]] = amount;
  return vector;
}

const ganache = batchOf(EQUAL_GANACHE);
/** Sets in a funnel below 38.5 °C. */
const firmer = batchOf({ ...EQUAL_GANACHE, water: 55, cocoa_butter: 50, cocoa_solids: 28 });
const truffle = batchOf({ ...EQUAL_GANACHE, water: 35, cocoa_butter: 60 });

describe('jars', () => {
  it('four and a rest by hand', () => {
    const { filled, leftG } = fillJars(1000, 1100, [{ brimMl: 250, headspace: 0.1 }]);
    expect(filled[0]?.count).toBe(4);
    expect(filled[0]?.eachG).toBeCloseTo(247.5, 9);
    expect(leftG).toBeCloseTo(10, 9);
  });

  it('gives out just what there is, never less than nothing', () => {
    const kind = fc.record({
      brimMl: fc.double({ min: 10, max: 2000, noNaN: true }),
      headspace: fc.double({ min: 0, max: 0.5, noNaN: true }),
      most: fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20_000, noNaN: true }),
        fc.array(kind, { maxLength: 4 }),
        (batchG, kinds) => {
          const { filled, leftG } = fillJars(batchG, 1100, kinds);
          const out = filled.reduce((sum, { count, eachG }) => sum + count * eachG, 0);
          expect(out + leftG).toBeCloseTo(batchG, 4);
          expect(leftG).toBeGreaterThan(-1e-3);
          for (const [i, { count }] of filled.entries()) expect(count).toBeLessThanOrEqual(kinds[i]?.most ?? 1e9);
        },
      ),
    );
  });

  it('runs through the funnel from its least temperature on and not just below it; the lid stays dry up to its own', () => {
    const { leastC, lidC } = fillWindow(firmer, 20);
    expect(leastC).toBeGreaterThan(20);
    const yieldAt = (t: number) => stateAt(firmer, t, [[0.3, t]]).flow;
    expect(yieldAt(leastC ?? 0).yieldStressPa).toBeLessThanOrEqual(25);
    const below = yieldAt((leastC ?? 0) - 1);
    expect(below.yieldStressPa > 25 || below.apparentViscosityPaS > 6).toBe(true);
    const damp = (t: number) => stateAt(firmer, t, [[0.3, t]]).waterActivity * saturationPressure(t);
    expect(damp(lidC)).toBeLessThanOrEqual(saturationPressure(20));
    expect(damp(lidC + 1)).toBeGreaterThan(saturationPressure(20));
    expect(fillWindow(firmer, 26).lidC).toBeGreaterThan(lidC);
  });

  it('a litre jar as high as it is wide', () => {
    const r = jarRadiusM(1000);
    expect(1e6 * Math.PI * r ** 2 * 2 * r).toBeCloseTo(1000, 6);
  });
});

describe('guides of a plate', () => {
  const plate = { flatCm: 20, isSquare: false, depthMm: 2, drawnMm: 4 };

  it('areas and volumes as the closed forms have them', () => {
    // A pool of 12 cm, 2 mm deep; a mirror of 19.2 cm, round and square.
    expect(plateGuide('pool', plate).pouredMl).toBeCloseTo(Math.PI * 36 * 0.2, 6);
    expect(plateGuide('mirror', plate).pouredMl).toBeCloseTo(Math.PI * 9.6 ** 2 * 0.2, 6);
    expect(plateGuide('mirror', { ...plate, isSquare: true }).pouredMl).toBeCloseTo(19.2 ** 2 * 0.2, 6);
    // 16 cm of line, 4 mm wide and 2 mm high: half an oval.
    expect(plateGuide('line', plate).drawnMl).toBeCloseTo((Math.PI / 4) * 0.4 * 0.2 * 16, 6);
    // Six drops of 4 mm: half balls of pi d³/12.
    expect(plateGuide('hearts', plate).drawnMl).toBeCloseTo((6 * Math.PI * 0.4 ** 3) / 12, 6);
  });

  it('a spiral is as long as the integral says', () => {
    const [stroke] = plateGuide('swirl', plate).strokes;
    const [radius, turns] = [0.85 * 10, 4];
    const b = radius / (2 * Math.PI * turns);
    const t = 2 * Math.PI * turns;
    const exact = (b / 2) * (t * Math.sqrt(1 + t * t) + Math.asinh(t));
    expect(lengthOf(stroke?.points ?? []) / exact).toBeCloseTo(1, 2);
  });

  it('never leaves the plate, and the same seed wanders the same way', () => {
    for (const pattern of PLATE_PATTERNS) {
      for (const seed of [1, 2, 3, 4, 5]) {
        const { strokes, dots, picks, poolCm } = plateGuide(pattern, plate, seed);
        for (const { x, y } of [...strokes.flatMap(({ points }) => points), ...dots, ...picks.flat()]) {
          expect(Math.hypot(x, y)).toBeLessThanOrEqual(10);
        }
        expect(poolCm).toBeLessThanOrEqual(20);
      }
    }
    expect(plateGuide('random', plate, 7)).toEqual(plateGuide('random', plate, 7));
    expect(plateGuide('random', plate, 7).strokes).not.toEqual(plateGuide('random', plate, 8).strokes);
  });

  it('takes four times as much on a plate twice as wide', () => {
    for (const pattern of ['pool', 'mirror'] as const) {
      const wide = plateGuide(pattern, { ...plate, flatCm: 40 });
      expect(wide.pouredMl / plateGuide(pattern, plate).pouredMl).toBeCloseTo(4, 9);
    }
  });
});

describe('the window of a pour', () => {
  it('holds its own temperature, within x/÷ 1.6 at both edges and not beyond', () => {
    const { leastC, mostC } = pourWindow(firmer, 45);
    expect(leastC).toBeLessThan(45);
    expect(mostC).toBeGreaterThan(45);
    const at = (t: number) => stateAt(firmer, t, [[0.3, t]]).flow.apparentViscosityPaS;
    expect(at(leastC) / at(45)).toBeLessThanOrEqual(1.6);
    expect(at(leastC - 0.5) / at(45)).toBeGreaterThan(1.6);
    expect(at(mostC) / at(45)).toBeGreaterThanOrEqual(1 / 1.6);
  });
});

describe('a second sauce', () => {
  const flow = (apparentViscosityPaS: number, yieldStressPa: number, densityKgM3: number) => ({
    apparentViscosityPaS,
    yieldStressPa,
    phases: { densityKgM3 },
  });

  it('holds within x/÷ 1.6, under 6 Pa, within 6 % of the density, either way round', () => {
    expect(drawingMatch(flow(1, 2, 1100), flow(1.59, 5.9, 1160)).holds).toBe(true);
    expect(drawingMatch(flow(1.59, 5.9, 1160), flow(1, 2, 1100)).holds).toBe(true);
    expect(drawingMatch(flow(1, 2, 1100), flow(1.7, 2, 1100)).holds).toBe(false);
    expect(drawingMatch(flow(1, 2, 1100), flow(1, 7, 1100)).holds).toBe(false);
    expect(drawingMatch(flow(1, 2, 1100), flow(1, 2, 1200)).holds).toBe(false);
  });
});

describe('a board', () => {
  it('for twelve by hand', () => {
    const need = dippingBoard(12, [
      { kind: 'fruit', piecesEach: 4 },
      { kind: 'salty', piecesEach: 2.5 },
    ]);
    expect(need.items.map(({ pieces }) => pieces)).toEqual([48, 30]);
    expect(need.dippedG).toBeCloseTo(48 * DIPPED.fruit.gramsADip + 30 * DIPPED.salty.gramsADip, 9);
    // 15 % of all that stands ready stays in the bowl.
    expect(need.standingG / (need.dippedG + need.standingG)).toBeCloseTo(0.15, 9);
    expect(need.portionG).toBeCloseTo(need.dippedG / 12, 9);
    expect(CUT_LAST.has('fruit')).toBe(true);
  });
});

describe('finishing', () => {
  it('truffles by the scoop: nothing is made of nothing', () => {
    const { pieces, leftG, coatingG } = rolledPieces(500, 12, 'cocoa');
    expect([pieces, leftG]).toEqual([41, 8]);
    // 6 % of 492 g stays on, a third and more of what is in the bowl is lost.
    expect(coatingG).toBeCloseTo((492 * 0.06) / 0.65, 9);
  });

  it('a frame gives whole cuts and trimmings, and holds what both weigh', () => {
    const slab = framedSlab({ lengthCm: 20, widthCm: 15, depthMm: 10, cutCm: 2.5 }, 1200);
    expect([slab.cuts, slab.along, slab.across]).toEqual([48, 8, 6]);
    expect(slab.holdsG).toBeCloseTo(360, 9);
    expect(slab.cuts * slab.eachG + slab.trimG).toBeCloseTo(slab.holdsG, 9);
  });

  it('a shell holds what is inside it, and nothing where it is all shell', () => {
    expect(shellFill(30, 18, 2, 2, 1200).volumeMl).toBeCloseTo((Math.PI / 4) * 2.6 ** 2 * 1.4, 9);
    expect(shellFill(4, 18, 2, 2, 1200).grams).toBe(0);
  });

  it('half the weight in a cup is twice the volume', () => {
    expect(overrun(250, 125)).toBe(1);
  });

  it('stays rollable longer where it is cooler, and hands are quicker than air', () => {
    const ball = { shape: 'sphere', lengthM: ballRadiusM(12, 1200) } as const;
    const stays = (aroundC: number, surface: number) =>
      staysFirmHours(truffle, ball, 4, 1500, { aroundC, surface }) ?? 99;
    expect(stays(30, COOLING_PLACES.room)).toBeLessThan(stays(27, COOLING_PLACES.room));
    expect(stays(HANDS.aroundC, HANDS.surface)).toBeLessThan(stays(HANDS.aroundC, COOLING_PLACES.room));
    const soft = softAt(truffle, 4, 1500) ?? 0;
    expect(
      stateAt(truffle, soft, [
        [12, 4],
        [0.2, soft],
      ]).flow.yieldStressPa,
    ).toBeGreaterThanOrEqual(1500);
    // A sauce that never was firm is too soft at once.
    expect(staysFirmHours(ganache, ball, 20, 1e6, HANDS)).toBe(0);
  });
});

describe('eating it', () => {
  it('twice as sweet tires at half as much', () => {
    expect((tiresAt(20) ?? 0) / (tiresAt(40) ?? 1)).toBeCloseTo(2, 9);
    expect(tiresAt(0)).toBeUndefined();
  });

  it('sugar sweetens and thins or thickens, none changes nothing', () => {
    const pour = { temperatureC: 36, history: [[0.3, 36]] } as const;
    const sugar = compositionVector({ sucrose: 100 });
    const components = vectorOf(EQUAL_GANACHE);
    const none = moreOf(components, DEFAULT_PROCESS, sugar, 0, pour);
    const more = moreOf(components, DEFAULT_PROCESS, sugar, 10, pour);
    expect(none.flowTimes).toBeCloseTo(1, 12);
    expect(more.sweetness).toBeGreaterThan(none.sweetness);
    expect(more.balance).toBeGreaterThan(none.balance);
  });

  it('spice rises with its grams', () => {
    expect([0, 0.5, 1, 3, 20].map(spiceHeat)).toEqual(['mild', 'mild', 'warm', 'hot', 'fierce']);
  });
});
