import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { USUAL_MAKING } from '@/core/brief/brief';
import { FILM_USES } from '@/core/brief/film-gates';
import type { Job } from '@/core/brief/job';
import { BRIEF_DENSITY, jobGates } from '@/core/brief/job-gates';
import { briefSize, piecesFrom, planBrief } from '@/core/brief/plan';
import { filmThickness } from '@/core/flow/film';
import { boilOffRate } from '@/core/pan/boil-off';
import { USUAL_KITCHEN } from '@/core/pan/vessel';
import { JOB_USES } from '@/core/uses/catalogue';
import { batchSize, boiledOffInPan, jobFilm, panHolds } from '@/core/yields/batch-size';
import { portionGrams } from '@/core/yields/portions';
import { briefOf, jobOf } from '../../support/brief';

const sized = (jobs: readonly Job[], making = USUAL_MAKING) =>
  batchSize(
    jobs.map((job) => ({ job, gates: jobGates(job) })),
    making,
  );

describe('how much', () => {
  it('takes the very thickness asked: 2 mm is 2 mm, whatever the gates let the film be', () => {
    for (const use of ['coat', 'glaze', 'nap', 'dip'] as const) {
      for (const mm of [1, 2, 3.3]) {
        const job = jobOf(use, { mm });
        expect(sized([job]).jobs[0]?.mm).toBe(mm);
        expect(sized([job]).jobs[0]?.eachG).toBeCloseTo(
          portionGrams(job.portion, job.sizes, mm, job.sides, BRIEF_DENSITY),
          9,
        );
        // The film inside the gates is the doubt about it.
        const film = (edge: 'low' | 'high') => {
          const [eta, tau] = jobGates(job);
          const flow = {
            apparentViscosityPaS: eta?.[edge] ?? 0,
            yieldStressPa: tau?.[edge] ?? 0,
            densityKgM3: BRIEF_DENSITY,
          };
          return filmThickness(flow, FILM_USES[use].sideM, FILM_USES[use].stopsS);
        };
        expect(mm).toBeGreaterThan(0.9 * film('low'));
        expect(mm).toBeLessThan(film('high'));
      }
    }
    // On paper: an éclair of 13 × 3 cm, half of it above the line, 61.3 cm²; 2 mm over it, 12.25 ml, 14.1 g.
    expect(sized([jobOf('coat', { count: 1 })]).jobs[0]?.eachG).toBeCloseTo(14.09, 1);
  });

  it('fills by volume: a denser formula takes more grams, a portion by weight does not', () => {
    const jar = jobOf('spoon', { portion: 'jar', sizes: { each: 200, headspace: 8 }, count: 10 });
    const at = (job: Job, densityKgM3: number) =>
      batchSize([{ job, gates: jobGates(job) }], USUAL_MAKING, densityKgM3).jobs[0]?.usedG;
    expect(at(jar, 1200)).toBeCloseTo(10 * 184 * 1.2, 9);
    expect(at(jar, 1080)).toBeCloseTo(10 * 184 * 1.08, 9);
    const weighed = jobOf('spoon', { portion: 'grams', sizes: { each: 50 }, count: 10 });
    expect(at(weighed, 1200)).toBe(500);
    expect(at(weighed, 1080)).toBe(500);
  });

  it('counts tubs, boards and scoopfuls', () => {
    const each = (job: Job) => (1000 * (sized([job]).jobs[0]?.eachG ?? 0)) / BRIEF_DENSITY;
    expect(each(jobOf('pool', { portion: 'tub', sizes: { each: 500, headspace: 4 } }))).toBeCloseTo(480, 9);
    expect(each(jobOf('nap', { portion: 'board', sizes: { guests: 12, each: 30 } }))).toBeCloseTo(360, 9);
    expect(each(jobOf('roll', { portion: 'scoopful', sizes: { each: 12 } }))).toBeCloseTo(12, 9);
  });

  it('a gate that is moved or let go changes nothing of the amount, only of the doubt', () => {
    const job = jobOf('coat', { count: 40 });
    const with_ = (overruled: Job['overruled']) => sized([{ ...job, overruled }]);
    const changes: Job['overruled'][] = [
      { 'work.yieldStressPa': {} },
      { 'work.apparentViscosityPaS': {} },
      { 'work.yieldStressPa': { low: 20, high: 40 } },
    ];
    for (const overruled of changes) {
      expect(with_(overruled).finishedG).toBeCloseTo(sized([job]).finishedG, 9);
    }
    expect(with_({ 'work.apparentViscosityPaS': { low: 0.5, high: 20 } }).doubtG).toBeGreaterThan(sized([job]).doubtG);
  });

  it('law: what a batch makes is what it was made for', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...JOB_USES), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 900, max: 1300 }),
        (uses, count, densityKgM3) => {
          const brief = briefOf(uses.map((use) => jobOf(use, { count })));
          const { finishedG } = briefSize(brief, densityKgM3);
          expect(piecesFrom(brief, finishedG, densityKgM3)).toEqual(uses.map(() => count));
          // One gram short is one piece short, and nothing makes nothing.
          expect(piecesFrom(brief, finishedG - 0.1, densityKgM3)[0]).toBe(count - 1);
          expect(piecesFrom(brief, 0, densityKgM3)).toEqual(uses.map(() => 0));
        },
      ),
    );
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
    const rate = boilOffRate({ powerW: 3500, efficiency: 0.85, level: 1 }, { ...USUAL_KITCHEN, diameterM: 0.28 });
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
