import { describe, expect, it } from 'vitest';
import { coolingTime } from '@/core/pan/cooling-time';
import { DAY_BODY, dayBranches } from '@/core/pan/day-path';
import { stillMaterial } from '@/core/pan/still';
import { flowAt } from '@/core/predict/state';
import { COOLING_PLACES } from '@/core/set/cooling';
import { batchOf } from '../../support/kitchen';

const GANACHE = {
  water: 59.9,
  cocoa_butter: 38,
  ffs: 21.6,
  sucrose: 39.2,
  lecithin: 0.5,
  milk_fat: 35,
  milk_protein: 2.1,
  lactose: 3.1,
  ash: 0.5,
};

describe('the day of a batch', () => {
  const batch = batchOf(GANACHE);
  const moments = [
    { name: 'pan', temperatureC: 60, history: [[0.3, 60]] },
    { name: 'pipe', temperatureC: 20, history: [[24, 20]] },
    {
      name: 'served',
      temperatureC: 15,
      history: [
        [12, 4],
        [1, 15],
      ],
    },
  ] as const;
  const branches = dayBranches(batch, moments);

  it('arrives at each moment with the very resistance the moment is judged by', () => {
    expect(branches.map(({ moment }) => moment.name)).toEqual(['pipe', 'served']);
    branches.forEach(({ moment, hours, resistancePa }) => {
      const judged = flowAt(batch, moment.temperatureC, moment.history).resistancePa;
      expect(resistancePa.at(-1)).toBe(judged);
      expect(hours.at(-1)).toBeCloseTo(
        moment.history.reduce((sum, [h]) => sum + h, 0),
        12,
      );
    });
  });

  it('cools from the pour to where it stands, as the engine lets a layer cool', () => {
    const poured = [{ name: 'pour', temperatureC: 36, history: [[0.3, 36]] }, ...moments.slice(1)] as const;
    const [pour, bench, served] = dayBranches(batch, poured);
    expect([...(pour?.temperaturesC ?? [])].every((t) => Math.abs(t - 36) < 1e-6)).toBe(true);
    // Poured at 36 °C, a layer of 1 cm in a kitchen of 20 °C: halfway down within the hour, there by the evening.
    const at = (branch: typeof bench, after: number) =>
      branch?.temperaturesC[branch.hours.findIndex((h) => h >= after)] ?? Number.NaN;
    expect(bench?.temperaturesC[0]).toBeCloseTo(36, 0);
    expect(at(bench, 0.9)).toBeGreaterThan(20.5);
    expect(at(bench, 0.9)).toBeLessThan(28);
    expect(at(bench, 12)).toBeCloseTo(20, 1);
    const material = stillMaterial(batch);
    const place = { surface: COOLING_PLACES.room, aroundC: 20 };
    const hours = coolingTime(DAY_BODY, material, place, { fromC: 36, toC: 28 }) ?? Number.NaN;
    const after = bench?.temperaturesC.findIndex((t) => t <= 28) ?? 0;
    expect(hours).toBeGreaterThan(bench?.hours[after - 1] ?? Number.NaN);
    expect(hours).toBeLessThanOrEqual((bench?.hours[after] ?? Number.NaN) + 1 / 60);
    expect([...(served?.temperaturesC ?? [])].slice(0, 12)).toEqual(
      [...(served?.temperaturesC ?? [])].slice(0, 12).toSorted((a, b) => b - a),
    );
  });

  it('goes on in time, stiffens while it cools, and softens when it is taken out to be eaten', () => {
    for (const { hours } of branches) expect([...hours]).toEqual([...hours].toSorted((a, b) => a - b));
    const [bench, served] = branches;
    expect([...(bench?.resistancePa ?? [])]).toEqual([...(bench?.resistancePa ?? [])].toSorted((a, b) => a - b));
    const cold = Math.max(...(served?.resistancePa ?? [0]));
    expect(served?.resistancePa.at(-1)).toBeLessThan(cold);
    // Long in the fridge, how it cooled hardly matters any more: what hours of that place alone would say.
    const at = served?.hours.findIndex((h) => h > 9) ?? 0;
    const alone = flowAt(batch, 4, [[served?.hours[at] ?? 0, 4]]).resistancePa;
    expect(Math.abs((served?.resistancePa[at] ?? 0) / alone - 1)).toBeLessThan(0.03);
  });

  it('goes on over a fortnight', () => {
    const weeks = dayBranches(batch, [
      moments[0],
      {
        name: 'kept',
        temperatureC: 18,
        history: [
          [336, 4],
          [2, 18],
        ],
      },
    ]);
    expect(weeks[0]?.hours.at(-1)).toBe(338);
    expect([...(weeks[0]?.resistancePa ?? [])].every((pa) => pa > 0 && Number.isFinite(pa))).toBe(true);
  });
});
