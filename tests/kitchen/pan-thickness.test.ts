import { describe, expect, it } from 'vitest';
import type { BatchEvent, Happening } from '@/formats/batch';
import { foldBatch } from '@/formats/batch-state';
import { readFormula } from '@/formats/formula-file';
import { cookedBatch } from '@/kitchen/cook/cook-batch';
import { freezeBatch } from '@/kitchen/cook/freeze';
import { panThickness } from '@/kitchen/cook/pan-thickness';
import { fileOf, larder } from '../support/kitchen';

const stove = { panCm: 20, powerW: 2000, hob: 'gas', microwaveW: 800, altitudeM: 0, dampPercent: 50 } as const;
const ganache = readFormula(
  fileOf([
    ['dark-couverture-60', 200],
    ['cream-35', 200],
  ]),
);
const frozen = freezeBatch(ganache, larder, 'standard', { times: 1, stove, kitchenC: 20 });
if (!frozen) throw new Error('it can be cooked');
const cooked = cookedBatch(frozen);

/** How thick a pan is believed to be after what was told of it. */
function believed(...whats: readonly Happening[]) {
  const events = whats.map(
    (what, i): BatchEvent => ({ seq: i + 1, key: `event-${i}-key`, tablet: 'a', tabletMs: 0, serverMs: i, what }),
  );
  return panThickness(cooked, foldBatch(cooked.method.followed.length, 0, events));
}
const saw = (step: number, sign?: 'bitThin' | 'bitThick'): Happening => ({
  kind: 'check',
  step,
  check: 'coats',
  isGood: sign === undefined,
  ...(sign && { sign }),
});

describe('how thick a pan is believed to be', () => {
  it('is as calculated before anything is seen; the line that is tapped moves it', () => {
    expect(believed()).toBeUndefined();
    const [thin, like, thick] = [believed(saw(1, 'bitThin')), believed(saw(1)), believed(saw(1, 'bitThick'))];
    expect(thin?.mean).toBeLessThan(-0.3);
    expect(Math.abs(like?.mean ?? 1)).toBeLessThan(1e-9);
    expect(thick?.mean).toBeGreaterThan(0.3);
  });

  it('the last word on a step counts, and each step says something', () => {
    expect(believed(saw(1, 'bitThick'), saw(1))).toEqual(believed(saw(1)));
    const [once, twice] = [believed(saw(1, 'bitThick')), believed(saw(1, 'bitThick'), saw(2, 'bitThick'))];
    expect(twice?.mean).toBeGreaterThan(once?.mean ?? 9);
    expect(twice?.sd).toBeLessThan(once?.sd ?? 0);
  });

  it('a ring says more than an eye, and both together more than either', () => {
    const ring: Happening = { kind: 'ring', diameterMm: 70, temperatureC: 36 };
    const [measured, seen, both] = [believed(ring), believed(saw(1, 'bitThick')), believed(ring, saw(1, 'bitThick'))];
    expect(measured?.sd).toBeLessThan(seen?.sd ?? 0);
    expect(both?.sd).toBeLessThanOrEqual(measured?.sd ?? 0);
    expect(both?.mean).toBeGreaterThanOrEqual(measured?.mean ?? 9);
  });
});
