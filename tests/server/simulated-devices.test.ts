import { describe, expect, it } from 'vitest';
import { foldBatch } from '@/formats/batch-state';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { panTemperature } from '@/kitchen/cook/pan-temperature';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { simulatedProbe } from '@/server/devices/simulated-probe';
import { simulatedScale } from '@/server/devices/simulated-scale';
import { larder } from '../support/kitchen';

function clockOf() {
  let now = 100;
  return {
    now: () => now,
    pass: (seconds: number) => {
      now += seconds;
    },
  };
}
const grams = (reading: ReturnType<ReturnType<typeof simulatedScale>['read']>) =>
  reading.kind === 'grams' ? reading.grams : Number.NaN;

describe('the scale for practice', () => {
  it('fills at a hand’s pace, and is still once nothing comes any more', () => {
    const clock = clockOf();
    const scale = simulatedScale(clock.now, 1);
    scale.pour(200);
    clock.pass(2);
    expect(grams(scale.read())).toBeCloseTo(80, -1);
    expect(scale.read()).toMatchObject({ isStill: false });
    clock.pass(10);
    expect(grams(scale.read())).toBeCloseTo(200, 0);
    expect(scale.read()).toMatchObject({ isStill: true });
    scale.tare();
    expect(Math.abs(grams(scale.read()))).toBeLessThanOrEqual(1);
    scale.pour(35);
    clock.pass(5);
    expect(grams(scale.read())).toBeCloseTo(35, 0);
  });

  it.each([[0.1], [1], [5]])('shows steps of %s g', (step) => {
    const clock = clockOf();
    const scale = simulatedScale(clock.now, 2);
    scale.setResolution(step);
    scale.pour(123.4);
    clock.pass(20);
    for (let i = 0; i < 30; i++) {
      const shown = grams(scale.read()) / step;
      expect(Math.abs(shown - Math.round(shown))).toBeLessThan(1e-6);
    }
  });

  it('drifts slowly, says when it bears no more and when it is lost', () => {
    const clock = clockOf();
    const scale = simulatedScale(clock.now, 3);
    scale.setResolution(0.1);
    scale.pour(100);
    clock.pass(3600);
    expect(grams(scale.read())).toBeGreaterThan(103);
    scale.pour(9000);
    clock.pass(400);
    expect(scale.read().kind).toBe('overload');
    scale.clear();
    expect(Math.abs(grams(scale.read()))).toBeLessThan(0.5);
    scale.lose(true);
    expect(scale.read()).toEqual({ kind: 'lost' });
    scale.lose(false);
    expect(scale.read().kind).toBe('grams');
  });
});

describe('the probe for practice', () => {
  it('lags behind its pan by some seconds, then reads it within half a degree', () => {
    const clock = clockOf();
    let pan = 20;
    const probe = simulatedProbe(() => pan, clock.now, 1);
    probe.read();
    pan = 80;
    clock.pass(2);
    const soon = probe.read();
    expect(soon.kind === 'celsius' && soon.temperatureC).toBeLessThan(60);
    clock.pass(30);
    const later = probe.read();
    expect(later.kind === 'celsius' && Math.abs(later.temperatureC - 80)).toBeLessThan(0.6);
    probe.lose(true);
    expect(probe.read()).toEqual({ kind: 'lost' });
  });

  it('follows the pan of a batch along its step, from its beginning to its end', () => {
    const file = lanternMillFormulas().at(-1);
    const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
    const frozen = file && freezeBatch(file, larder, 'standard', { times: 1, stove, kitchenC: 22 });
    if (!frozen) throw new Error('nothing to cook');
    const cooked = cookedBatch(frozen);
    const first = cooked.method.followed[0];
    const state = foldBatch(cooked.method.followed.length, 0, []);
    const at = [0, 20, 60, (first?.seconds ?? 0) + 100].map((seconds) => panTemperature(cooked, state, seconds));
    expect(at[0]).toBeCloseTo(first?.start.temperatureC ?? 0, 6);
    expect(at[3]).toBeCloseTo(first?.end.temperatureC ?? 0, 6);
    expect(at).toEqual([...at].sort((a, b) => a - b));
  });
});
