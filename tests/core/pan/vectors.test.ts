import { describe, expect, it } from 'vitest';
import { mix } from '@/core/matter/mixing';
import { DEFAULT_PROCESS, usualHistory } from '@/core/matter/process';
import { add } from '@/core/pan/add';
import { readPan } from '@/core/pan/advance';
import { solubilityOf } from '@/core/pan/dissolving';
import { microwaveHeat } from '@/core/pan/heat-source';
import { meltHeat, meltingPoint } from '@/core/pan/melting';
import { meanTemperature, pouredBody, stand, standingFlow, stillMaterial } from '@/core/pan/still';
import { together } from '@/core/pan/together';
import { airPressure, boilingPoint, saturationPressure, surfaceLoss } from '@/core/pan/water';
import { flowAt, prepareBatch } from '@/core/predict/state';
import {
  addition,
  DOING,
  type Followed,
  follow,
  forSeconds,
  gas,
  grains,
  massG,
  type PanState,
  panWith,
  perGram,
  pieces,
  undissolvedG,
  unmeltedG,
  until,
  vesselOf,
} from '../../support/pan';
import vectors from '../../support/pan-vectors.json';

const { helpers, stirred, still } = vectors;
type Row = readonly (string | number)[];
const rows = (table: readonly (readonly (string | number)[])[]) => table as readonly Row[];

/** Within half a per cent. */
function near(value: number, wanted: unknown): void {
  expect(Math.abs(value / (wanted as number) - 1)).toBeLessThanOrEqual(0.005);
}

describe('the helpers of the pan', () => {
  it('agree with the check vectors within 0.5 %', () => {
    for (const [t, p] of rows(helpers.p_sat)) near(saturationPressure(t as number), p);
    for (const [m, p] of rows(helpers.p_atm)) near(airPressure(m as number), p);
    for (const [aw, m, t] of rows(helpers.boiling_point)) near(boilingPoint(aw as number, m as number), t);
    for (const [t, aw, d, cover, loss] of rows(helpers.surface_loss_g_min)) {
      near(60_000 * surfaceLoss(t as number, aw as number, vesselOf(d as number), cover as number), loss);
    }
    for (const [id, t] of rows(helpers.melting_point)) near(meltingPoint(perGram(id as string)), t);
    for (const [id, t, heat] of rows(helpers.melt_heat_kJ_kg)) {
      near(meltHeat(perGram(id as string), t as number) / 1000, heat);
    }
    for (const [watts, kg, taken] of rows(helpers.microwave_W)) {
      near(microwaveHeat(watts as number, 1000 * (kg as number)), taken);
    }
    for (const [name, t, most] of rows(helpers.solubility)) {
      // Polyols have tables of their own, one by one.
      if (name !== 'polyol') near(solubilityOf(name as 'sucrose' | 'lactose', t as number), most);
    }
  });

  it('say how warm parts stand together and what stays unmelted', () => {
    const parts = (list: readonly Row[]) =>
      list.map(([id, grams, t]) => ({
        perGram: perGram(id as string),
        grams: grams as number,
        temperatureC: t as number,
      }));
    for (const { liquid, solid, T, unmelted } of helpers.mixed) {
      const found = together(parts(rows(liquid)), parts(rows(solid)));
      near(found.temperatureC, T);
      expect(found.unmelted).toBeCloseTo(unmelted, 3);
    }
  });
});

interface Reading {
  readonly [name: string]: number;
}

/** Compares a pan with a line of the log: 3 % or 2 s, 0.5 °C, 2 % or 0.5 g. */
function agrees({ pan, hottestC }: Pick<Followed, 'pan' | 'hottestC'>, wanted: Reading, wider = 0): void {
  const found: Record<string, number | undefined> = {
    seconds: pan.seconds,
    temperatureC: pan.temperatureC,
    lostWaterG: pan.lostWaterG,
    lostEthanolG: pan.lostEthanolG,
    cook: pan.cook,
    mix: pan.mix,
    catching: pan.catching,
    massG: massG(pan),
    unmeltedG: unmeltedG(pan),
    undissolvedG: undissolvedG(pan),
    boilsAtC: readPan(pan).boilsAtC,
    hottestC,
    apparentViscosity40: flowAt(
      prepareBatch(pan.liquid, { ...DEFAULT_PROCESS, cook: pan.cook, mix: pan.mix }),
      40,
      usualHistory(40),
    ).apparentViscosityPaS,
  };
  for (const [name, value] of Object.entries(wanted)) {
    const off = Math.abs((found[name] ?? Number.NaN) - value);
    const allowed =
      name === 'seconds'
        ? Math.max((0.03 + wider) * value, 2)
        : name.endsWith('C')
          ? 0.5 + 6 * wider
          : name.endsWith('G')
            ? Math.max((0.02 + wider) * value, 0.5)
            : Math.max(0.05 * value, 0.01);
    expect(off, `${name}: ${found[name]}, not ${value}`).toBeLessThanOrEqual(allowed);
  }
}

/** What stands in the log of a scenario. */
const logOf = (scenario: number): readonly Reading[] =>
  (stirred[scenario] as { log: unknown[][] }).log.map(([, reading]) => reading as Reading);
const at = (log: readonly Reading[], place: number) => log[place] as Reading;

describe('a stirred pan', () => {
  it('brings a light cream base to the boil, melts chips in it and keeps most of a spirit', () => {
    const log = logOf(0);
    let pan: PanState = panWith(vesselOf(0.16), [
      addition('cream-12', 220, { temperatureC: 6 }),
      addition('sugar-granulated', 40, grains(0.25, 6)),
      addition('butter-unsalted-82', 35, pieces(8, 6)),
    ]);
    agrees({ pan }, at(log, 0));
    const step = (next: Followed, wanted: Reading) => {
      agrees(next, wanted);
      pan = next.pan;
    };
    step(follow(pan, { ...DOING, hob: gas(0.7), stir: 0.3 }, until('boil')), at(log, 1));
    step(follow(pan, { ...DOING, hob: gas(0.35), stir: 0.1 }, forSeconds(120)), at(log, 2));
    pan = add(pan, addition('chips-semisweet', 160, pieces(4)));
    step(follow(pan, { ...DOING, stir: 0.4 }, until('melted')), at(log, 3));
    pan = add(pan, addition('orange-liqueur-40', 30));
    step(follow(pan, { ...DOING, stir: 0.3 }, forSeconds(60)), at(log, 4));
  });

  it('melts chocolate that hot cream was poured over', () => {
    const pan = panWith(vesselOf(0.2), [
      addition('cream-35', 240, { temperatureC: 98 }),
      addition('dark-couverture-66', 240, pieces(6, 20)),
    ]);
    agrees(follow(pan, DOING, until('melted')), at(logOf(1), 0));
  });

  it('leaves chocolate unmelted where there is not enough heat', () => {
    const pan = panWith(vesselOf(0.2), [
      addition('cream-35', 90, { temperatureC: 80 }),
      addition('dark-couverture-66', 330, pieces(6, 18)),
    ]);
    agrees(follow(pan, { ...DOING, stir: 0.3 }, forSeconds(300)), at(logOf(2), 0));
  });

  it('melts in bursts of a microwave, with a hot spot', () => {
    let pan = panWith(vesselOf(0.14), [
      addition('cream-35', 60, { temperatureC: 6 }),
      addition('dark-couverture-54', 200, pieces(3, 21)),
    ]);
    logOf(3).forEach((wanted, i) => {
      const next =
        i % 2 === 0
          ? follow(pan, { ...DOING, microwaveW: 800 }, forSeconds(20))
          : follow(pan, { ...DOING, stir: 0.6, tool: 'whisk' }, forSeconds(15));
      agrees(next, wanted);
      pan = next.pan;
    });
  });

  it('cooks a starch sauce', () => {
    const log = logOf(4);
    let pan = panWith(vesselOf(0.2), [
      addition('water', 400, { temperatureC: 20 }),
      addition('sugar-granulated', 150, grains(0.25, 20)),
      addition('cocoa-alkalised-11', 40, { temperatureC: 20 }),
    ]);
    const step = (level: number, end: Parameters<typeof follow>[2], wanted: Reading) => {
      const next = follow(pan, { ...DOING, ...(level > 0 ? { hob: gas(level) } : {}), stir: 0.6 }, end);
      agrees(next, wanted);
      pan = next.pan;
    };
    step(0.7, until('boil'), at(log, 0));
    pan = add(pan, addition('dark-couverture-58', 150, pieces(3)));
    step(0, until('melted'), at(log, 1));
    step(0.5, until('boil'), at(log, 2));
    pan = add(pan, addition('starch-corn', 8, { temperatureC: 20 }));
    pan = add(pan, addition('water', 40, { temperatureC: 20 }));
    step(0.5, forSeconds(60), at(log, 3));
    step(0.5, forSeconds(60), at(log, 4));
    step(0.5, forSeconds(180), at(log, 5));
    step(0.5, forSeconds(300), at(log, 6));
  });

  it('dissolves a sweetener in cream, but hardly in fat', () => {
    // Its solubility is this larder's own table, not the one of the vectors: a quarter off is what that may make.
    const log = logOf(5);
    const fat = panWith(vesselOf(0.18), [
      addition('butter-salted-80', 110, { temperatureC: 45 }),
      addition('monk-fruit-erythritol', 150, grains(0.4)),
    ]);
    const before = follow(fat, { ...DOING, hob: gas(0.06), stir: 0.6 }, forSeconds(300));
    agrees(before, at(log, 0), 0.25);
    const pan = add(before.pan, addition('cream-36', 230, { temperatureC: 6 }));
    agrees(follow(pan, { ...DOING, hob: gas(0.4), stir: 0.6 }, until('dissolved')), at(log, 1), 0.25);
  });
});

describe('a body that stands still', () => {
  it('sets at its edge and centre as the check vectors do', () => {
    for (const { grams, fromC, shape, lengthM, rows: wanted } of still) {
      const lines = Object.entries(grams).map(([id, amount]) => ({ perGram: perGram(id), grams: amount as number }));
      const batch = prepareBatch(mix(lines), DEFAULT_PROCESS);
      const material = stillMaterial(batch);
      let body = pouredBody({ shape: shape as 'slab' | 'cylinder' | 'sphere', lengthM }, fromC);
      for (const { hours, h, aroundC, edgeC, centreC, meanC, edgeYieldPa, centreYieldPa } of wanted) {
        body = stand(body, material, { hours: hours - body.hours, surface: h, aroundC });
        const { centre, edge } = standingFlow(body, batch);
        expect(Math.abs(edge.temperatureC - edgeC)).toBeLessThan(0.05);
        expect(Math.abs(centre.temperatureC - centreC)).toBeLessThan(0.05);
        expect(Math.abs(meanTemperature(body) - meanC)).toBeLessThan(0.05);
        near(edge.yieldStressPa, edgeYieldPa);
        near(centre.yieldStressPa, centreYieldPa);
      }
    }
  });
});
