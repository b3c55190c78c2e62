import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_MAKING } from '@/core/brief/brief';
import { FILM_USES } from '@/core/brief/film-gates';
import { JOB_USES, type Job } from '@/core/brief/job';
import { BRIEF_DENSITY, jobGates } from '@/core/brief/job-gates';
import { planBrief } from '@/core/brief/plan';
import { filmThickness } from '@/core/flow/film';
import { batchSize, boiledOffInPan, jobFilm, panHolds } from '@/core/yields/batch-size';
import { evaporationRate } from '@/core/yields/boiling';
import { briefOf, jobOf } from '../../support/brief';

const sized = (jobs: readonly Job[], making = USUAL_MAKING) =>
  batchSize(
    jobs.map((job) => ({ job, gates: jobGates(job) })),
    making,
  );

describe('how much', () => {
  it('reckons with the film the flow core gives inside the gates', () => {
    for (const use of ['coat', 'glaze', 'nap', 'dip'] as const) {
      const job = jobOf(use);
      const { mm } = sized([job]).jobs[0] as { mm: number };
      const film = (edge: 'low' | 'high') => {
        const [eta, tau] = jobGates(job);
        return filmThickness(
          {
            apparentViscosityPaS: eta?.[edge] ?? 0,
            yieldStressPa: tau?.[edge] ?? 0,
            densityKgM3: BRIEF_DENSITY,
          },
          FILM_USES[use].sideM,
          FILM_USES[use].stopsS,
        );
      };
      expect(mm, use).toBeGreaterThan(film('low'));
      expect(mm, use).toBeLessThan(film('high'));
      expect(mm / job.mm, use).toBeGreaterThan(0.75);
      expect(mm / job.mm, use).toBeLessThan(1.35);
    }
  });

  it('reckons with the formula’s own film once there is one', () => {
    const job = jobOf('coat', { count: 10 });
    const flow = { apparentViscosityPaS: 3, yieldStressPa: 8, densityKgM3: 1120 };
    const size = batchSize([{ job, gates: jobGates(job) }], USUAL_MAKING, () => flow);
    expect(size.jobs[0]?.mm).toBeCloseTo(filmThickness(flow, 0.02, 8), 12);
    expect(jobFilm(job, 'coat', flow)).toBeCloseTo(filmThickness(flow, 0.02, 8), 12);
    expect(size.doubtG).toBeLessThan(sized([job]).doubtG);
  });

  it('a gate that is let go changes nothing of the amount; one that is moved does', () => {
    const job = jobOf('coat', { count: 40 });
    const without = (key: string) => sized([{ ...job, overruled: { [key]: {} } }]).finishedG;
    expect(without('work.yieldStressPa')).toBeCloseTo(sized([job]).finishedG, 9);
    expect(without('work.apparentViscosityPaS')).toBeCloseTo(sized([job]).finishedG, 9);
    const stiffer = { ...job, overruled: { 'work.yieldStressPa': { low: 20, high: 40 } } };
    expect(sized([stiffer]).finishedG).toBeGreaterThan(1.2 * sized([job]).finishedG);
  });

  it('a film runs further down a higher cake, and its gate asks for more', () => {
    const low = jobOf('glaze', { sizes: { diameter: 18, height: 4.5 } });
    const high = jobOf('glaze', { sizes: { diameter: 18, height: 9 } });
    expect(jobGates(high)[0]?.low).toBeCloseTo((jobGates(low)[0]?.low ?? 0) / 2, 2);
    const flow = { apparentViscosityPaS: 2, yieldStressPa: 0, densityKgM3: 1200 };
    expect(jobFilm(high, 'glaze', flow) / jobFilm(low, 'glaze', flow)).toBeCloseTo(Math.SQRT2, 6);
    expect(jobGates({ ...high, sides: false })).toEqual(jobGates({ ...low, sides: false }));
  });

  it('what sticks to hands is lost with every truffle', () => {
    const [roll] = sized([jobOf('roll', { count: 50 })]).jobs;
    expect((roll?.runOffG ?? 0) / (roll?.usedG ?? 1)).toBeCloseTo(0.04 / 0.96, 9);
  });

  it('every gram goes somewhere', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...JOB_USES), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 500 }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (uses, count, bowlPercent, reservePercent) => {
          const size = sized(
            uses.map((use) => jobOf(use, { count })),
            { ...USUAL_MAKING, bowlPercent, reservePercent },
          );
          const used = size.jobs.reduce((sum, job) => sum + job.usedG + job.runOffG, 0);
          expect(used + size.reserveG + size.bowlG).toBeCloseTo(size.finishedG, 6);
          expect(size.finishedG + size.evaporationG).toBeCloseTo(size.weighedG, 9);
          expect(size.weighedG / size.pans).toBeLessThanOrEqual(size.panG * 1.0001);
        },
      ),
    );
  });

  it('several jobs add up, and twice as many pieces take twice as much', () => {
    const [coat, nap] = [jobOf('coat'), jobOf('nap')];
    const used = (jobs: readonly Job[]) => sized(jobs).jobs.reduce((sum, job) => sum + job.usedG, 0);
    expect(used([coat, nap])).toBeCloseTo(used([coat]) + used([nap]), 9);
    expect(used([jobOf('coat', { count: 2 * coat.count })])).toBeCloseTo(2 * used([coat]), 9);
  });

  it('what runs off is needed once when caught, every time when lost', () => {
    const runOff = (caught: boolean) => sized([jobOf('glaze', { count: 10, caught })]).jobs[0]?.runOffG ?? 0;
    expect(runOff(false)).toBeCloseTo(10 * runOff(true), 9);
    expect(sized([jobOf('nap', { portion: 'jar', sizes: { each: 200, headspace: 8 } })]).jobs[0]?.runOffG).toBe(0);
  });

  it('boils off what the hob core says, pan by pan', () => {
    const making = { ...USUAL_MAKING, heat: 'boil', minutes: 5, hob: 'induction', powerW: 3500, panCm: 28 } as const;
    const rate = evaporationRate({ powerW: 3500, efficiency: 0.85, panDiameterM: 0.28, level: 1 });
    expect(boiledOffInPan(making)).toBeCloseTo(5 * rate, 9);
    expect(boiledOffInPan({ ...making, heat: 'none' })).toBe(0);
    const size = sized([jobOf('tart', { count: 100 })], making);
    expect(size.pans).toBeGreaterThan(1);
    expect(size.evaporationG).toBeCloseTo(size.pans * 5 * rate, 6);
    expect(panHolds({ ...making, heat: 'none' })).toBeGreaterThan(panHolds(making));
  });

  it('ten thousand plates are a number like any other', () => {
    const { size } = planBrief(briefOf([jobOf('pool', { count: 10_000 })]));
    expect(size.finishedG).toBeGreaterThan(400_000);
    expect(size.pans).toBeGreaterThan(100);
    expect(Number.isFinite(size.doubtG)).toBe(true);
  });
});
