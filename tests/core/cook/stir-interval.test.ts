import { describe, expect, it } from 'vitest';
import { RIM_AHEAD_C, stirInterval } from '@/core/cook/stir-interval';
import { pouredBody, stand, stillMaterial } from '@/core/pan/still';
import { COOLING_PLACES } from '@/core/set/cooling';
import { batchOf } from '../../support/kitchen';

const material = stillMaterial(
  batchOf({ water: 60, cocoa_butter: 38, sucrose: 39.2, milk_fat: 35, milk_protein: 2.1, lactose: 3.1 }),
);
const bowl = (lengthM: number) => ({ shape: 'slab', lengthM }) as const;
const room = { surface: COOLING_PLACES.room, aroundC: 22 };

describe('how often a cooling bowl is stirred', () => {
  it('is when the rim is four degrees ahead of the middle', () => {
    const seconds = stirInterval(bowl(0.04), material, room, 60);
    const { temperaturesC } = stand(pouredBody(bowl(0.04), 60), material, { ...room, hours: seconds / 3600 });
    const lag = (temperaturesC[0] ?? 0) - (temperaturesC.at(-1) ?? 0);
    expect(lag).toBeGreaterThanOrEqual(RIM_AHEAD_C - 1e-6);
    expect(lag).toBeLessThan(RIM_AHEAD_C + 1);
  });

  it('is sooner in colder air and when hotter, within a minute and a quarter of an hour', () => {
    const iceBath = { surface: COOLING_PLACES.iceBath, aroundC: 1 };
    expect(stirInterval(bowl(0.04), material, iceBath, 60)).toBe(60);
    expect(stirInterval(bowl(0.04), material, room, 80)).toBeLessThanOrEqual(
      stirInterval(bowl(0.04), material, room, 50),
    );
    expect(stirInterval(bowl(0.04), material, room, 23)).toBe(900);
  });
});
