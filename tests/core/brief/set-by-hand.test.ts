import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type OnBench, withBenchChanges } from '@/core/brief/bench-changes';
import type { Brief } from '@/core/brief/brief';
import { planBrief } from '@/core/brief/plan';
import type { Gate } from '@/core/formula/gates';
import { JOB_USES } from '@/core/uses/catalogue';
import { briefSchema } from '@/formats/brief';
import { briefOf, jobOf } from '../../support/brief';

/** What a brief puts on the bench. */
function onBench(brief: Brief): OnBench {
  const { moments, gates } = planBrief(brief).targets;
  return { moments, gates: gates.map(({ gate }) => gate) };
}

const change = (bench: OnBench, at: number, next: Partial<Gate>): OnBench => ({
  ...bench,
  gates: bench.gates.map((gate, i) => (i === at ? { ...gate, ...next } : gate)),
});

/** As it comes back from where it is kept. */
const kept = (brief: Brief): Brief => briefSchema.parse(JSON.parse(JSON.stringify(brief)));

const plain = (value: unknown) => JSON.parse(JSON.stringify(value));
const sorted = ({ moments, gates }: OnBench) => ({
  moments: plain(moments.toSorted((a, b) => a.name.localeCompare(b.name))),
  gates: plain(gates)
    .map((gate: Gate) => JSON.stringify(Object.entries(gate).sort()))
    .sort(),
});

const coatAndPipe = briefOf([jobOf('coat'), jobOf('pipe', { workC: 18 })], { wishes: { shine: 'satin' } });

describe('what was changed on the bench', () => {
  it('is nothing where nothing was, for every use alone and all pairs with a coat', () => {
    for (const use of JOB_USES) {
      for (const jobs of [[jobOf(use)], [jobOf('coat'), jobOf(use, { workC: 20 })]]) {
        const brief = briefOf(jobs, { wishes: { shine: 'high', keepDays: 14 } });
        expect(plain(withBenchChanges(brief, onBench(brief))), use).toEqual(plain(brief));
      }
    }
  });

  it('a band of a job becomes said otherwise, with its weight, and goes back to what physics gives', () => {
    const bench = change(onBench(coatAndPipe), 0, { low: 3, high: undefined, weight: 3 });
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(brief.jobs[0]?.overruled['work.apparentViscosityPaS']).toEqual({ low: 3, weight: 3 });
    expect(brief.byHand).toBeUndefined();
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
    const back = { ...brief, jobs: brief.jobs.map((job) => ({ ...job, overruled: {} })) };
    expect(sorted(onBench(back))).toEqual(sorted(onBench(coatAndPipe)));
  });

  it('how much a miss counts is kept also where the band is left as it was', () => {
    const bench = change(onBench(coatAndPipe), 0, { weight: 3 });
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(onBench(brief).gates[0]?.weight).toBe(3);
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
  });

  it('a second gate on what a job asks stands beside it, and does not take its place', () => {
    const full = onBench(coatAndPipe);
    const second: Gate = { moment: 'pour', quantity: 'apparentViscosityPaS', high: 3 };
    const bench = { ...full, gates: [...full.gates, second] };
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
  });

  it('a gate that was let go stays so, until the cook takes it back', () => {
    const full = onBench(coatAndPipe);
    const bench = { ...full, gates: full.gates.slice(1) };
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
    expect(planBrief(brief).targets.asked[0]?.from).toMatchObject({ low: undefined, high: undefined });
  });

  it('pieces that ask the same once are all said otherwise', () => {
    const two = briefOf([jobOf('coat'), jobOf('coat', { portion: 'dome', sizes: { diameter: 6 } })]);
    const bench = change(onBench(two), 0, { high: 5 });
    expect(sorted(onBench(withBenchChanges(two, bench)))).toEqual(sorted(bench));
  });

  it('a moment and a gate of the cook’s own stay when the brief changes', () => {
    const full = onBench(coatAndPipe);
    const car = { name: 'in the car', temperatureC: 28, history: [[2, 28] as const] };
    const gate: Gate = { moment: car.name, quantity: 'yieldStressPa', low: 40 };
    const brief = kept(
      withBenchChanges(coatAndPipe, { moments: [...full.moments, car], gates: [...full.gates, gate] }),
    );
    const later = onBench({ ...brief, jobs: brief.jobs.map((job) => ({ ...job, count: 99, mm: 2.5 })), kitchenC: 25 });
    expect(plain(later.moments)).toContainEqual(plain(car));
    expect(plain(later.gates)).toContainEqual(plain(gate));
  });

  it('a moment that was renamed and moved stays so while the brief gives it, and follows once the brief says otherwise', () => {
    const full = onBench(coatAndPipe);
    const moments = full.moments.map((moment) =>
      moment.name === 'pour'
        ? { ...moment, name: 'at the window' }
        : { ...moment, temperatureC: moment.temperatureC + 1 },
    );
    const named = (name: string) => (name === 'pour' ? 'at the window' : name);
    const bench = { moments, gates: full.gates.map((gate) => ({ ...gate, moment: named(gate.moment) })) };
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
    const warmer = onBench({ ...brief, jobs: brief.jobs.map((job, i) => (i === 0 ? { ...job, workC: 36 } : job)) });
    const names = warmer.moments.map(({ name }) => name);
    expect(names).toContain('pour');
    expect(names).not.toContain('at the window');
    for (const gate of warmer.gates) expect(names).toContain(gate.moment);
  });

  it('a wish’s gate set on the bench goes over the wish', () => {
    const full = onBench(coatAndPipe);
    const at = full.gates.findIndex(({ quantity }) => quantity === 'shine');
    const bench = change(full, at, { low: 51 });
    const brief = kept(withBenchChanges(coatAndPipe, bench));
    expect(brief.byHand?.gates).toHaveLength(1);
    expect(sorted(onBench(brief))).toEqual(sorted(bench));
  });

  it('any bands, own moments and own gates come back as they stood, however often the brief is opened', () => {
    const edits = fc.array(
      fc.record({
        at: fc.nat({ max: 20 }),
        low: fc.option(fc.double({ min: 0.1, max: 10, noNaN: true }), { nil: undefined }),
        high: fc.double({ min: 11, max: 1e5, noNaN: true }),
      }),
      { maxLength: 6 },
    );
    const own = fc.uniqueArray(fc.constantFrom('car', 'boat', 'shop', 'window'), { maxLength: 4 });
    fc.assert(
      fc.property(fc.constantFrom(...JOB_USES), edits, own, (use, bands, places) => {
        let brief = briefOf([jobOf(use), jobOf('dip')], { wishes: { shine: 'satin' } });
        let bench = onBench(brief);
        for (const { at, low, high } of bands) bench = change(bench, at % bench.gates.length, { low, high });
        bench = {
          moments: [
            ...bench.moments,
            ...places.map((name, i) => ({ name, temperatureC: 10 + i, history: [[1, 9]] as const })),
          ],
          gates: [
            ...bench.gates,
            ...places.map((moment) => ({ moment, quantity: 'resistancePa' as const, high: 500 })),
          ],
        };
        for (let time = 0; time < 3; time++) {
          brief = kept(withBenchChanges(brief, bench));
          expect(sorted(onBench(brief))).toEqual(sorted(bench));
          bench = onBench(brief);
        }
      }),
    );
  });
});
