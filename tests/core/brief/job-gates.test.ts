import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_MAKING } from '@/core/brief/brief';
import { activityToKeep, briefTargets } from '@/core/brief/brief-gates';
import { FILM_USES, filmBands } from '@/core/brief/film-gates';
import { SLOPES } from '@/core/brief/job';
import { BRIEF_DENSITY, type JobGate, jobGates, jobHistory, yieldThatLevels } from '@/core/brief/job-gates';
import { filmThickness, yieldForCoat } from '@/core/flow/film';
import { HAND_LIMIT_PA, yieldToStand } from '@/core/flow/piping';
import { JOB_FACTS, JOB_USES, type JobUse } from '@/core/uses/catalogue';
import { findUse } from '@/core/uses/ready-gates';
import { batchSize, jobFilm } from '@/core/yields/batch-size';
import { briefOf, jobOf } from '../../support/brief';

const gate = (gates: readonly JobGate[], key: string) => gates.find((each) => each.key === key);

describe('gates from the job', () => {
  it.each([
    ['coat', 'coat_eclair', 'pour'],
    ['glaze', 'mirror_glaze', 'pour'],
    ['nap', 'pour_icecream', 'pour'],
    ['dip', 'dip_stick', 'pour'],
  ] as const)('%s at its usual coat asks what the fitted band of %s asks', (use, band, moment) => {
    const gates = jobGates(jobOf(use));
    for (const wanted of findUse(band)?.gates.filter((each) => each.moment === moment) ?? []) {
      const own = gate(gates, `work.${wanted.quantity}`);
      expect(own?.high ?? 0).toBeCloseTo(wanted.high ?? 0, 1);
      if (wanted.low) expect((own?.low ?? 0) / wanted.low).toBeCloseTo(1, 1);
    }
    expect(JOB_FACTS[use].workC).toBe(findUse(band)?.moments.find(({ name }) => name === moment)?.temperatureC);
  });

  it.each([
    ['pool', 'pool_plate'],
    ['pipe', 'pipe_rosette'],
    ['roll', 'roll_truffle'],
    ['cut', 'cut_squares'],
    ['layers', 'spread_fill'],
  ] as const)('%s asks for the band of %s', (use, band) => {
    const job = use === 'pool' ? jobOf('pool', { mm: 2.36, sizes: { diameter: 18 } }) : jobOf(use);
    const gates = jobGates(job);
    for (const wanted of findUse(band)?.gates ?? []) {
      const own = gate(gates, `work.${wanted.quantity}`);
      expect((own?.high ?? 0) / (wanted.high ?? 1)).toBeCloseTo(1, 1);
      if (wanted.low) expect((own?.low ?? 0) / wanted.low).toBeCloseTo(1, 1);
    }
  });

  it.each([
    ['coat', 150, 20_000],
    ['glaze', 100, 6000],
    ['dip', 300, 30_000],
    ['cover', 225, 30_000],
  ] as const)('%s once set must not slip from about %d Pa and bite up to %d Pa', (use, low, high) => {
    const own = gate(jobGates(jobOf(use)), 'eat.yieldStressPa');
    expect((own?.low ?? 0) / low).toBeCloseTo(1, 1);
    expect(own?.high).toBe(high);
  });

  it('a slice stands ten times over, so that its side is clean, and is never asked to be softer than 400 Pa', () => {
    const own = (mm: number) => gate(jobGates(jobOf('tart', { mm })), 'eat.yieldStressPa')?.low ?? 0;
    expect(own(20) / (10 * yieldToStand(20, BRIEF_DENSITY))).toBeCloseTo(1, 2);
    expect(own(4)).toBe(400);
  });

  it('a pool of the same depth runs further from a thinner sauce', () => {
    const pool = (diameter: number) => jobGates(jobOf('pool', { sizes: { diameter } }));
    expect(gate(pool(24), 'work.apparentViscosityPaS')?.high).toBeLessThan(
      gate(pool(12), 'work.apparentViscosityPaS')?.high ?? 0,
    );
    expect(gate(pool(24), 'work.yieldStressPa')?.high).toBeLessThan(gate(pool(12), 'work.yieldStressPa')?.high ?? 0);
  });

  it('2.5 mm on a side would hang for good at 27 Pa', () => {
    expect(yieldForCoat(2.5, 1100)).toBeCloseTo(27, 0);
    const own = gate(jobGates(jobOf('coat', { mm: 2.5 })), 'work.yieldStressPa');
    expect(own?.needsPa).toBeCloseTo((BRIEF_DENSITY * 9.81 * 2.5) / 1000, 6);
    expect(own?.why).toBe('hangs');
  });

  it('the edges of a film’s bands leave films on both sides of the coat wanted', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<keyof typeof FILM_USES>('coat', 'glaze', 'nap', 'dip'),
        fc.double({ min: 0.3, max: 8, noNaN: true }),
        fc.double({ min: 1000, max: 1350, noNaN: true }),
        (use, mm, density) => {
          const bands = filmBands(FILM_USES[use], mm, density);
          const film = (edge: 0 | 1) =>
            filmThickness(
              {
                apparentViscosityPaS: bands.apparentViscosityPaS[edge],
                yieldStressPa: bands.yieldStressPa[edge],
                densityKgM3: density,
              },
              FILM_USES[use].sideM,
              FILM_USES[use].stopsS,
            );
          expect(film(0)).toBeLessThan(mm);
          expect(film(1)).toBeGreaterThan(mm);
        },
      ),
    );
  });

  it('a thicker coat, a higher swirl and a deeper slice ask for more', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<JobUse>('coat', 'glaze', 'dip', 'pipe'),
        fc.double({ min: 1, max: 4, noNaN: true }),
        fc.double({ min: 1.1, max: 2, noNaN: true }),
        (use, part, more) => {
          const mm = (JOB_FACTS[use].mm * part) / 2;
          const [thin, thick] = [jobGates(jobOf(use, { mm })), jobGates(jobOf(use, { mm: mm * more }))];
          thin.forEach((each, i) => {
            expect(thick[i]?.low ?? 0).toBeGreaterThanOrEqual(each.low ?? 0);
            expect(thick[i]?.high ?? 0).toBeGreaterThanOrEqual((each.high ?? 0) * 0.999);
          });
        },
      ),
    );
    expect(gate(jobGates(jobOf('pipe', { mm: 30 })), 'work.yieldStressPa')?.low).toBeCloseTo(
      yieldToStand(30, BRIEF_DENSITY),
      0,
    );
  });

  it('on a slope less holds the same coat: the sine of what an upright side asks, down a way as much longer', () => {
    for (const use of ['coat', 'glaze', 'dip'] as const) {
      const [upright, sloping, shallow] = SLOPES.map((slope) => jobGates(jobOf(use, { slope, mm: 2.5 })));
      for (const [gates, degrees] of [
        [sloping, 60],
        [shallow, 30],
      ] as const) {
        const sine = Math.sin((degrees * Math.PI) / 180);
        const ratio = (key: string) => (gate(gates ?? [], key)?.high ?? 0) / (gate(upright ?? [], key)?.high ?? 1);
        expect(ratio('work.yieldStressPa')).toBeCloseTo(sine, 2);
        expect(ratio('work.apparentViscosityPaS')).toBeCloseTo(sine ** 2, 2);
        expect(
          (gate(gates ?? [], 'eat.yieldStressPa')?.low ?? 0) / (gate(upright ?? [], 'eat.yieldStressPa')?.low ?? 1),
        ).toBeCloseTo(sine, 2);
      }
    }
  });

  it('the film that is weighed for is the film of that slope, whatever the slope', () => {
    const grams = SLOPES.map((slope) => {
      const job = jobOf('coat', { slope });
      return batchSize([{ job, gates: jobGates(job) }], USUAL_MAKING).jobs[0]?.eachG ?? 0;
    });
    for (const each of grams) expect(each / (grams[0] ?? 1)).toBeCloseTo(1, 1);
    const flow = { apparentViscosityPaS: 2, yieldStressPa: 6, densityKgM3: 1100 };
    const thick = SLOPES.map((slope) => jobFilm(jobOf('glaze', { slope }), 'glaze', flow));
    expect(thick[1]).toBeGreaterThan(thick[0] ?? 0);
    expect(thick[2]).toBeGreaterThan(thick[1] ?? 0);
  });

  it('a narrow tip tires the hand sooner; a border is piped through what is as wide as it', () => {
    const most = (nozzle: number) =>
      gate(jobGates(jobOf('pipe', { sizes: { diameter: 3.5, nozzle } })), 'work.yieldStressPa')?.high ?? 0;
    expect(most(10)).toBe(HAND_LIMIT_PA);
    expect(most(4)).toBeLessThan(most(10) / 2);
    expect(most(18)).toBeGreaterThan(1.5 * most(10));
    const border = jobOf('pipe', { portion: 'border', sizes: { length: 60, width: 1.8 }, mm: 15 });
    expect(gate(jobGates(border), 'work.yieldStressPa')?.high).toBe(most(18));
  });

  it('a wide shallow tart must be looser to find its level than a small deep one', () => {
    expect(yieldThatLevels(15, 24)).toBeLessThan(yieldThatLevels(15, 8));
    expect(yieldThatLevels(25, 8)).toBeGreaterThan(yieldThatLevels(15, 8));
  });

  it('what the cook says goes over what physics gives, edge by edge', () => {
    const key = 'work.apparentViscosityPaS';
    const own = jobOf('coat', { overruled: { [key]: { low: 2, high: undefined } } });
    expect(gate(jobGates(own), key)).toMatchObject({ low: 2, high: undefined });
    expect(gate(jobGates(own), 'work.yieldStressPa')).toMatchObject({ high: 25 });
  });
});

describe('moments of a brief', () => {
  it('every gate names a moment that is there, each moment once', () => {
    const brief = briefOf(JOB_USES.map((use) => jobOf(use)));
    const { moments, gates } = briefTargets(brief, 20);
    const names = moments.map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    for (const { gate: each } of gates) {
      expect(names).toContain(each.moment);
      expect(each.low ?? each.high).toBeDefined();
      expect(each.low ?? 0).toBeLessThan(each.high ?? Number.POSITIVE_INFINITY);
    }
  });

  it('other pieces of the same coat ask the same once, of another coat once more', () => {
    const one = briefTargets(briefOf([jobOf('coat')]), 20).gates;
    const two = briefTargets(briefOf([jobOf('coat'), jobOf('coat', { portion: 'dome', sizes: { diameter: 6 } })]), 20);
    expect(two.gates.map(({ gate: each }) => each)).toEqual(one.map(({ gate: each }) => each));
    expect(two.moments).toHaveLength(3);
    const thicker = briefTargets(briefOf([jobOf('coat'), jobOf('coat', { mm: 2.5 })]), 20);
    expect(thicker.gates).toHaveLength(2 * one.length);
    expect(thicker.moments).toHaveLength(3);
  });

  it('what is worked at room temperature follows the kitchen, what is poured does not', () => {
    const at = (kitchenC: number, use: JobUse) =>
      briefTargets(briefOf([jobOf(use)], { kitchenC }), 20).moments[1]?.temperatureC;
    expect(at(28, 'pipe')).toBe(28);
    expect(at(19, 'pipe')).toBe(19);
    expect(at(28, 'coat')).toBe(32);
    expect(briefTargets(briefOf([jobOf('pipe', { workC: 18 })], { kitchenC: 28 }), 20).moments[1]?.temperatureC).toBe(
      18,
    );
  });

  it('what is poured is fresh, what is worked cool has rested, and what is kept elsewhere comes back', () => {
    expect(jobHistory(jobOf('coat'), 'work', 22)).toEqual([[0.3, 32]]);
    expect(jobHistory(jobOf('pipe'), 'work', 22)).toEqual([[24, 22]]);
    expect(jobHistory(jobOf('coat', { place: 'case', hours: 10, eatC: 18 }), 'eat', 22)).toEqual([
      [10, 6],
      [1, 18],
    ]);
    expect(jobHistory(jobOf('coat', { place: 'case', hours: 10, eatC: 6 }), 'eat', 22)).toEqual([[10, 6]]);
  });

  it('wishes become gates, and none where nothing is wished', () => {
    const quantities = (wishes: Parameters<typeof briefOf>[1]) =>
      briefTargets(briefOf([jobOf('nap')], wishes), 25)
        .gates.filter(({ job }) => job === undefined)
        .map(({ gate: each }) => each);
    expect(quantities({})).toEqual([]);
    expect(
      quantities({ wishes: { shine: 'high', cocoaPercent: 25, keepDays: 14, portionCost: 0.3, taste: 'bitter' } }),
    ).toEqual([
      { moment: 'nap', quantity: 'shine', low: 60 },
      { moment: 'nap', quantity: 'tasteBalance', low: undefined, high: 0.38 },
      { moment: 'nap', quantity: 'cocoaPercent', low: 25 },
      { moment: 'nap', quantity: 'waterActivity', high: 0.9 },
      { moment: 'nap', quantity: 'costPerKg', high: 12 },
    ]);
  });

  it('longer keeping asks for less water activity, and the room for less than the fridge', () => {
    const days = [1, 3, 7, 20, 60, 300];
    for (const place of ['fridge', 'room'] as const) {
      const asked = days.map((each) => activityToKeep(each, place) ?? 1);
      expect(asked).toEqual(asked.toSorted((a, b) => b - a));
    }
    for (const each of days) {
      expect(activityToKeep(each, 'room') ?? 1).toBeLessThanOrEqual(activityToKeep(each, 'fridge') ?? 1);
    }
  });
});
