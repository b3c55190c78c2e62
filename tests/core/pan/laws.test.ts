import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partOf } from '@/core/matter/component-vector';
import type { ComponentVector } from '@/core/matter/components';
import { mix } from '@/core/matter/mixing';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { add, perGramOf } from '@/core/pan/add';
import { type Doing, heatIn, heatLost, readPan } from '@/core/pan/advance';
import type { Lump } from '@/core/pan/lump';
import { heatCapacityOf, latentHeat } from '@/core/pan/melting';
import { pouredBody, stand, standingFlow, stillMaterial } from '@/core/pan/still';
import { STEAM_HEAT } from '@/core/pan/water';
import { prepareBatch } from '@/core/predict/state';
import {
  addition,
  DOING,
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

/** A pan a kitchen may have on the hob: something wet, something sweet, something fat, with heat and hands. */
const kitchenPan = fc.record({
  diameterM: fc.double({ min: 0.12, max: 0.3, noNaN: true }),
  altitudeM: fc.double({ min: 0, max: 4000, noNaN: true }),
  wetG: fc.double({ min: 60, max: 600, noNaN: true }),
  wet: fc.constantFrom('cream-35', 'milk-whole', 'water', 'cream-12'),
  sugarG: fc.double({ min: 5, max: 250, noNaN: true }),
  chocolateG: fc.double({ min: 5, max: 500, noNaN: true }),
  chocolate: fc.constantFrom('dark-couverture-66', 'milk-couverture-36', 'white-couverture-28', 'chips-semisweet'),
  rumG: fc.constantFrom(0, 30),
  mm: fc.double({ min: 1, max: 12, noNaN: true }),
  level: fc.double({ min: 0, max: 1, noNaN: true }),
  stir: fc.double({ min: 0, max: 1, noNaN: true }),
  cover: fc.constantFrom(0, 0.9),
  seconds: fc.integer({ min: 1, max: 400 }),
});

type Kitchen = typeof kitchenPan extends fc.Arbitrary<infer T> ? T : never;

const panOf = (k: Kitchen): PanState =>
  panWith(vesselOf(k.diameterM, { altitudeM: k.altitudeM }), [
    addition(k.wet, k.wetG, { temperatureC: 8 }),
    addition('sugar-granulated', k.sugarG, grains(0.25)),
    addition(k.chocolate, k.chocolateG, pieces(k.mm)),
    ...(k.rumG > 0 ? [addition('rum-40', k.rumG)] : []),
  ]);

const doingOf = (k: Kitchen): Doing => ({ hob: gas(k.level), stir: k.stir, tool: 'whisk', cover: k.cover });

const waterOf = ({ liquid, lumps }: PanState) =>
  lumps.reduce((sum, { perGram: parts, grams }) => sum + grams * partOf(parts, 'water'), partOf(liquid, 'water'));

describe('whatever is done to a pan', () => {
  it('water in it and water lost are always what went in, and so is everything else', () => {
    fc.assert(
      fc.property(kitchenPan, (k) => {
        const before = panOf(k);
        const { pan } = follow(before, doingOf(k), forSeconds(k.seconds));
        expect(waterOf(pan) + pan.lostWaterG).toBeCloseTo(waterOf(before), 6);
        expect(massG(pan) + pan.lostWaterG + pan.lostEthanolG).toBeCloseTo(massG(before), 6);
      }),
      { numRuns: 40 },
    );
  });

  it('nothing is negative, nothing is endless, and shares are shares', () => {
    fc.assert(
      fc.property(kitchenPan, (k) => {
        const { pan } = follow(panOf(k), doingOf(k), forSeconds(k.seconds));
        expect(pan.liquid.every((grams) => grams >= 0 && Number.isFinite(grams))).toBe(true);
        for (const { grams, startG } of pan.lumps) expect(grams > 0 && grams <= startG).toBe(true);
        for (const share of [pan.cook, pan.mix]) expect(share >= 0 && share <= 1).toBe(true);
        for (const amount of [pan.catching, pan.skin, pan.lostWaterG, pan.lostEthanolG]) {
          expect(amount).toBeGreaterThanOrEqual(0);
        }
        expect(pan.temperatureC).toBeGreaterThan(-5);
        // One boiled dry is left: nobody is told of a sauce far hotter than it boils.
        expect(pan.temperatureC).toBeLessThanOrEqual(Math.max(readPan(pan).boilsAtC + 30.1, 130));
      }),
      { numRuns: 40 },
    );
  });

  it('nothing comes out of warmth: whatever temperature a thing goes in at, the pan weighs what went in', () => {
    const warmth = fc.double({ min: -25, max: 120, noNaN: true });
    fc.assert(
      fc.property(
        kitchenPan,
        warmth,
        warmth,
        warmth,
        fc.constantFrom('dextrose-monohydrate', 'praline-50', 'butter-unsalted-82'),
        fc.boolean(),
        (k, wetC, chocolateC, otherC, other, isWet) => {
          const before = panWith(vesselOf(k.diameterM), [
            ...(isWet ? [addition(k.wet, k.wetG, { temperatureC: wetC })] : []),
            addition(k.chocolate, k.chocolateG, pieces(k.mm, chocolateC)),
            addition(other, k.sugarG, pieces(k.mm, otherC)),
            addition('sugar-granulated', k.sugarG, grains(0.25, otherC)),
          ]);
          const { pan } = follow(before, doingOf(k), forSeconds(Math.min(k.seconds, 120)));
          expect(massG(pan) + pan.lostWaterG + pan.lostEthanolG).toBeCloseTo(massG(before), 6);
          expect(pan.liquid.every((grams) => grams >= 0)).toBe(true);
          expect(pan.temperatureC).toBeGreaterThan(-30);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('what heat brought is in it, in its steam or in the kitchen, within 1 %', () => {
    /** J/kg of something above 0 °C: its heat capacity grows with the temperature, so that it is summed (Simpson). */
    const warmthOf = (parts: ComponentVector, t: number) =>
      (t / 6) * (heatCapacityOf(parts, 0) + 4 * heatCapacityOf(parts, t / 2) + heatCapacityOf(parts, t));
    const enthalpyJ = ({ liquid, lumps, temperatureC }: PanState) => {
      const own = liquid.reduce((sum, grams) => sum + grams, 0) * warmthOf(perGramOf(liquid), temperatureC);
      const lump = ({ kind, perGram: parts, grams, temperatureC: t }: Lump) =>
        grams * (warmthOf(parts, t) - (kind === 'piece' ? latentHeat(parts) : 0));
      return (own + lumps.reduce((sum, each) => sum + lump(each), 0)) / 1000;
    };
    fc.assert(
      fc.property(
        // What melts within a second is followed in one step: pieces of a kitchen's size, in liquid enough for them.
        kitchenPan.filter(
          ({ level, seconds, mm, chocolateG, wetG }) =>
            level > 0.2 && seconds >= 60 && mm >= 3 && chocolateG <= 1.5 * wetG,
        ),
        (k) => {
          const doing = doingOf(k);
          let last = panOf(k);
          const startJ = enthalpyJ(last);
          let [inJ, lostJ, steamJ] = [0, 0, 0];
          follow(last, doing, forSeconds(k.seconds), (pan) => {
            const seconds = pan.seconds - last.seconds;
            inJ += heatIn(last, doing) * seconds;
            lostJ += ((heatLost(last) + heatLost(pan)) / 2) * seconds;
            // Steam takes its own heat along, alcohol what it holds.
            steamJ +=
              ((pan.lostWaterG - last.lostWaterG) / 1000) * (STEAM_HEAT + 4180 * pan.temperatureC) +
              ((pan.lostEthanolG - last.lostEthanolG) / 1000) * 0.6 * 4180 * pan.temperatureC;
            last = pan;
          });
          const off = Math.abs(enthalpyJ(last) - startJ - (inJ - lostJ - steamJ));
          expect(off / inJ).toBeLessThan(0.01);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('can be left and continued: two halves are the whole', () => {
    fc.assert(
      fc.property(kitchenPan, fc.integer({ min: 1, max: 200 }), (k, first) => {
        const whole = follow(panOf(k), doingOf(k), forSeconds(first + 60)).pan;
        // Near dryness its boiling point climbs by degrees within the seconds a reading stands.
        fc.pre(waterOf(whole) > 0.4 * waterOf(panOf(k)));
        const half = follow(panOf(k), doingOf(k), forSeconds(first)).pan;
        const rest = follow(JSON.parse(JSON.stringify(half), revive), doingOf(k), forSeconds(60)).pan;
        expect(Math.abs(rest.temperatureC - whole.temperatureC)).toBeLessThan(1);
        expect(Math.abs(massG(rest) - massG(whole))).toBeLessThan(1);
      }),
      { numRuns: 20 },
    );
  });
});

/** A vector comes out of JSON as an object of its places. */
const revive = (name: string, value: unknown) =>
  name === 'liquid' || name === 'perGram' ? Float64Array.from(Object.values(value as Record<string, number>)) : value;

describe('more of one thing', () => {
  it('more power never comes later to the boil', () => {
    fc.assert(
      fc.property(kitchenPan, fc.double({ min: 0.35, max: 0.6, noNaN: true }), (k, level) => {
        const at = (higher: number) =>
          follow(panOf(k), { ...DOING, hob: gas(higher, 2400), stir: 0.5 }, until('boil')).seconds;
        expect(at(level + 0.3)).toBeLessThanOrEqual(at(level));
      }),
      { numRuns: 25 },
    );
  });

  it('a finer piece never melts later', () => {
    fc.assert(
      fc.property(kitchenPan, fc.double({ min: 1.2, max: 3, noNaN: true }), (k, times) => {
        const melts = (mm: number) => {
          const pan = panWith(vesselOf(k.diameterM), [
            addition(k.wet, k.wetG, { temperatureC: 95 }),
            addition(k.chocolate, k.wetG * 0.6, pieces(mm)),
          ]);
          const { reached, seconds } = follow(pan, { ...DOING, stir: k.stir }, until('melted'), undefined, 1200);
          return reached ? seconds : Number.POSITIVE_INFINITY;
        };
        expect(melts(k.mm)).toBeLessThanOrEqual(melts(k.mm * times));
      }),
      { numRuns: 25 },
    );
  });

  it('the edge of what cools never lags behind its centre', () => {
    const batch = prepareBatch(
      mix([
        { perGram: perGram('cream-35'), grams: 100 },
        { perGram: perGram('dark-couverture-60'), grams: 100 },
      ]),
      DEFAULT_PROCESS,
    );
    const material = stillMaterial(batch);
    fc.assert(
      fc.property(
        fc.constantFrom('slab', 'cylinder', 'sphere'),
        fc.double({ min: 0.003, max: 0.08, noNaN: true }),
        fc.double({ min: 30, max: 80, noNaN: true }),
        fc.double({ min: -18, max: 25, noNaN: true }),
        fc.double({ min: 5, max: 600, noNaN: true }),
        fc.double({ min: 0.05, max: 12, noNaN: true }),
        (shape, lengthM, fromC, aroundC, surface, hours) => {
          const body = stand(pouredBody({ shape, lengthM }, fromC), material, { hours, surface, aroundC });
          const { centre, edge } = standingFlow(body, batch);
          expect(edge.temperatureC).toBeLessThanOrEqual(centre.temperatureC + 1e-9);
          expect(edge.temperatureC).toBeGreaterThanOrEqual(aroundC - 1e-9);
          expect(centre.temperatureC).toBeLessThanOrEqual(fromC + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('kitchens that go wrong', () => {
  it('a cold pan never boils, and says where it stays', () => {
    const pan = panWith(vesselOf(0.2), [addition('milk-whole', 500, { temperatureC: 20 })]);
    const given = follow(pan, { ...DOING, hob: gas(0.05) }, until('boil'));
    expect([given.reached, given.stopped]).toEqual([false, 'standing']);
    expect(given.pan.temperatureC).toBeLessThan(60);
  });

  it('zero watts melt nothing cold, and time still passes', () => {
    const pan = panWith(vesselOf(0.2), [
      addition('water', 100, { temperatureC: 5 }),
      addition('cocoa-butter', 50, pieces(5)),
    ]);
    const { pan: after, reached } = follow(pan, { ...DOING, hob: gas(0.5, 0) }, until('melted'), undefined, 600);
    expect([reached, unmeltedG(after), after.seconds]).toEqual([false, 50, 600]);
  });

  it('boils cooler on a mountain', () => {
    const boils = (altitudeM: number) =>
      follow(
        panWith(vesselOf(0.2, { altitudeM }), [addition('water', 300)]),
        { ...DOING, hob: gas(0.8), stir: 0.3 },
        until('boil'),
      ).pan.temperatureC;
    expect(boils(4000)).toBeLessThan(boils(0) - 12);
  });

  it('chocolate alone melts on a gentle heat, and in the microwave', () => {
    const pan = () => panWith(vesselOf(0.16), [addition('dark-couverture-66', 200, pieces(4))]);
    for (const doing of [
      { ...DOING, hob: gas(0.05), stir: 0.3 },
      { ...DOING, microwaveW: 300, stir: 0.3 },
    ]) {
      const { pan: after, reached } = follow(pan(), doing, until('melted'));
      expect(reached).toBe(true);
      expect(after.temperatureC).toBeGreaterThan(33.9);
      expect(massG(after)).toBeCloseTo(200, 0);
    }
  });

  it('chocolate alone, too long in the microwave, burns', () => {
    const pan = panWith(vesselOf(0.16), [addition('dark-couverture-66', 200, pieces(4))]);
    const burst = (seconds: number) => follow(pan, { ...DOING, microwaveW: 800 }, forSeconds(seconds));
    expect(burst(10).pan.catching).toBeLessThan(0.3);
    expect(burst(90).hottestC).toBeGreaterThan(150);
    expect(burst(90).pan.catching).toBeGreaterThan(1);
  });

  it('a surface that stands still loses water to a skin, until it is stirred; a cover keeps it', () => {
    const pan = panWith(vesselOf(0.2), [addition('cream-35', 300, { temperatureC: 70 })]);
    const still = follow(pan, DOING, forSeconds(300)).pan;
    const area = (Math.PI * 0.2 ** 2) / 4;
    expect(still.skin).toBeCloseTo(still.lostWaterG / area, 6);
    expect(still.skin).toBeGreaterThan(60);
    expect(follow(still, { ...DOING, stir: 0.3 }, forSeconds(1)).pan.skin).toBe(0);
    const covered = follow(pan, { ...DOING, cover: 0.9 }, forSeconds(300)).pan;
    expect(covered.lostWaterG).toBeLessThan(0.15 * still.lostWaterG);
  });

  it('alcohol leaves six times as fast as water, in logarithms; a quarter of an hour of simmering takes most of it', () => {
    const pan = panWith(vesselOf(0.2), [addition('cream-35', 300), addition('rum-40', 40)]);
    const { pan: after } = follow(pan, { ...DOING, hob: gas(0.35), stir: 0.3 }, forSeconds(900));
    const left = (name: 'water' | 'ethanol') => Math.log(partOf(after.liquid, name) / partOf(pan.liquid, name));
    expect(left('ethanol') / left('water')).toBeCloseTo(6, 6);
    expect(after.lostEthanolG / partOf(pan.liquid, 'ethanol')).toBeGreaterThan(0.5);
  });

  it('a pan that boils dry is left there, with the second it was and no temperature beyond', () => {
    const pan = panWith(vesselOf(0.2), [addition('water', 60), addition('sugar-granulated', 60, grains(0.25))]);
    const dry = follow(pan, { ...DOING, hob: gas(1) }, forSeconds(900));
    expect([dry.reached, dry.stopped]).toEqual([false, 'dry']);
    expect(dry.seconds).toBeLessThan(400);
    expect(dry.pan.catching).toBeGreaterThan(1);
    expect(waterOf(dry.pan)).toBeLessThan(3);
    const hotter = follow(dry.pan, { ...DOING, hob: gas(1) }, forSeconds(900));
    expect(hotter.seconds).toBeLessThanOrEqual(1);
    expect(hotter.pan.temperatureC).toBeLessThan(200);
  });

  it('dissolves sugar in the time a cook knows, and not at the price of its water', () => {
    const syrup = (waterG: number, sugarG: number) =>
      follow(
        panWith(vesselOf(0.2), [addition('water', waterG), addition('sugar-granulated', sugarG, grains(0.25))]),
        { ...DOING, hob: { powerW: 2000, efficiency: 0.65, level: 0.5 }, stir: 0.3 },
        until('dissolved'),
      );
    const two = syrup(100, 200);
    expect(two.reached).toBe(true);
    expect(two.seconds).toBeGreaterThan(135);
    expect(two.seconds).toBeLessThan(165);
    const same = syrup(75, 150);
    expect(same.reached).toBe(true);
    expect(same.pan.temperatureC).toBeLessThan(115);
    expect(undissolvedG(same.pan)).toBeLessThanOrEqual(0.75);
  });

  it('eight kilograms take the hours they take', () => {
    const pan = panWith(vesselOf(0.3), [addition('cream-35', 8000, { temperatureC: 100 })]);
    const cooled = follow(pan, { ...DOING, stir: 0.3 }, { kind: 'cooled', temperatureC: 32 });
    expect(cooled.reached).toBe(true);
    expect(cooled.seconds).toBeGreaterThan(2 * 3600);
  });

  it('grains stay where there is no water for them', () => {
    const pan = panWith(vesselOf(0.16), [
      addition('cocoa-butter', 100, { temperatureC: 60 }),
      addition('sugar-granulated', 50, grains(0.12)),
    ]);
    const { pan: after, reached } = follow(pan, { ...DOING, stir: 0.6 }, until('dissolved'), undefined, 300);
    expect(reached).toBe(false);
    expect(undissolvedG(after)).toBe(50);
  });

  it('starch that comes later is still raw', () => {
    const pan = panWith(vesselOf(0.2), [addition('water', 300), addition('starch-corn', 10)]);
    const { pan: cooked } = follow(pan, { ...DOING, hob: gas(0.8), stir: 0.6 }, { kind: 'cooked', share: 0.9 });
    expect(add(cooked, addition('starch-corn', 10)).cook).toBeCloseTo(cooked.cook / 2, 9);
  });
});
