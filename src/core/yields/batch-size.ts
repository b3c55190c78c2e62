import type { Making } from '../brief/brief';
import type { Job } from '../brief/job';
import { BRIEF_DENSITY, type FilmJob, filmOf, type JobGate, jobGates, leavesFilm } from '../brief/job-gates';
import { type FilmFlow, filmThickness } from '../flow/film';
import { TENTH_SD } from '../normal';
import { boilOffRate } from '../pan/boil-off';
import { FILL_FOR_BOILING, rimMl } from '../pan/fill';
import { HOB_EFFICIENCY } from '../pan/heat-source';
import { USUAL_KITCHEN } from '../pan/vessel';
import { JOB_FACTS } from '../uses/catalogue';
import { portionGrams } from './portions';

/** What one job takes of the finished batch. */
export interface JobAmount {
  /** mm of film, depth or height it was reckoned with */
  readonly mm: number;
  /** g on or in what is eaten */
  readonly usedG: number;
  /** g that run off and are not used again, or must be there for the last piece */
  readonly runOffG: number;
  /** g of a single piece */
  readonly eachG: number;
}

/** How much to make, and what becomes of it. */
export interface BatchSize {
  readonly jobs: readonly JobAmount[];
  /** g that stay in bowl and bag, and are kept in hand */
  readonly bowlG: number;
  readonly reserveG: number;
  /** g as it leaves the stove */
  readonly finishedG: number;
  /** g of water boiled off on the way */
  readonly evaporationG: number;
  /** g to weigh in */
  readonly weighedG: number;
  /** g either way within which the need falls eight times in ten */
  readonly doubtG: number;
  /** most one pan takes, g, and pans that are needed */
  readonly panG: number;
  readonly pans: number;
}

/** Part of a hob's power a heat takes (J). */
const LEVEL = { none: 0, simmer: 0.3, boil: 1 } as const;
/** Doubts, standard deviations of ln (J): sizes of pieces, what boils off, what sticks. */
const PIECE_SD = 0.06;
const BOIL_SD = 0.25;
const BOWL_SD = 0.4;

/** What is poured over a surface runs off it, what is rolled sticks to hands; a jar is filled to its line. */
const RUNS_OFF: ReadonlySet<Job['portion']> = new Set([
  'finger',
  'round',
  'dome',
  'log',
  'block',
  'scoop',
  'ball',
  'scoopful',
]);

/** An edge between those of a gate, in logarithms; without a lower one, between a tenth of the upper one and it. */
function within(gate: JobGate | undefined, part: number): number {
  const high = gate?.high ?? 10 * (gate?.low ?? 1);
  const low = gate?.low ?? high / 10;
  return Math.exp(Math.log(low) * (1 - part) + Math.log(high) * part);
}

/** Film that flow leaves in a job, mm. */
export function jobFilm(job: Job, use: FilmJob, flow: FilmFlow): number {
  const { sideM, stopsS, pull } = filmOf(job, use);
  return filmThickness(flow, sideM, stopsS, pull);
}

/**
 * Spread of the logarithm of what a piece takes: of its size, and of a film as the gates let it vary. The thickness itself is what was asked:
 * 2 mm is 2 mm.
 */
function extentSd(job: Job, gates: readonly JobGate[]): number {
  const { use } = job;
  if (!leavesFilm(use)) return job.mm > 0 ? PIECE_SD : 0;
  // Where the cook let a gate go, the coat wanted still says what will be poured.
  const given = jobGates({ ...job, overruled: {} });
  const worked = (quantity: JobGate['quantity']) => {
    const isIt = (gate: JobGate) => gate.at === 'work' && gate.quantity === quantity;
    return gates.find((gate) => isIt(gate) && (gate.low ?? gate.high) !== undefined) ?? given.find(isIt);
  };
  const at = (part: number) =>
    jobFilm(job, use, {
      apparentViscosityPaS: within(worked('apparentViscosityPaS'), part),
      yieldStressPa: within(worked('yieldStressPa'), part),
      densityKgM3: BRIEF_DENSITY,
    });
  return Math.log(at(0.7) / at(0.3)) / 2;
}

/** g of water that boil off in one pan. */
export function boiledOffInPan(making: Making, minutes = making.minutes): number {
  if (making.heat === 'none') return 0;
  const { powerW, hob, panCm, heat } = making;
  const rate = boilOffRate(
    { powerW, efficiency: HOB_EFFICIENCY[hob], level: LEVEL[heat] },
    { ...USUAL_KITCHEN, diameterM: panCm / 100 },
  );
  return rate * minutes;
}

/** Most a pan takes of a batch, g: half full where it boils and foams, nearly full where nothing boils. */
export function panHolds(making: Making, densityKgM3 = BRIEF_DENSITY): number {
  const rim = rimMl({ diameterM: making.panCm / 100 });
  return ((making.heat === 'none' ? 1.6 : 1) * FILL_FOR_BOILING * rim * densityKgM3) / 1000;
}

/** Least part of a full pan that must be left once the water has boiled off, so that it counts as a pan of sauce. */
const LEAST_LEFT = 0.1;

/** Pans of one size that a finished batch needs: each takes its share and the water that boils off it. */
export function pansFor(finishedG: number, making: Making): number {
  const holds = panHolds(making);
  return Math.max(1, Math.ceil(finishedG / Math.max(holds - boiledOffInPan(making), LEAST_LEFT * holds)));
}

/**
 * How much to make for some jobs together.
 *
 * Pieces by closed forms at the thickness asked; what runs off a rack is caught for the next piece or lost; then what sticks, the reserve,
 * and the water that boils off, pan by pan.
 *
 * @param jobs with the gates of each
 * @param making pan, heat and losses
 * @param densityKgM3 of the formula, once there is one: jars and films are filled by volume
 * @returns g
 */
export function batchSize(
  jobs: readonly { readonly job: Job; readonly gates: readonly JobGate[] }[],
  making: Making,
  densityKgM3 = BRIEF_DENSITY,
): BatchSize {
  let variance = 0;
  const amounts = jobs.map(({ job, gates }): JobAmount => {
    const { mm } = job;
    const sd = extentSd(job, gates);
    const eachG = portionGrams(job.portion, job.sizes, mm, job.sides, densityKgM3);
    const usedG = job.count * eachG;
    const { runsOff } = JOB_FACTS[job.use];
    const poured = runsOff / (1 - runsOff);
    const runOffG = RUNS_OFF.has(job.portion) ? (job.caught ? eachG : usedG) * poured : 0;
    variance += ((usedG + runOffG) * Math.hypot(sd, PIECE_SD)) ** 2;
    return { mm, usedG, runOffG, eachG };
  });
  const neededG = amounts.reduce((sum, { usedG, runOffG }) => sum + usedG + runOffG, 0);
  const reserveG = (neededG * making.reservePercent) / 100;
  const finishedG = (neededG + reserveG) / (1 - making.bowlPercent / 100);
  const bowlG = finishedG - neededG - reserveG;
  const panG = panHolds(making, densityKgM3);
  const each = neededG > 0 ? boiledOffInPan(making) : 0;
  const pans = pansFor(finishedG, making);
  const evaporationG = pans * each;
  variance += (BOWL_SD * bowlG) ** 2 + (BOIL_SD * evaporationG) ** 2;
  return {
    jobs: amounts,
    bowlG,
    reserveG,
    finishedG,
    evaporationG,
    weighedG: finishedG + evaporationG,
    doubtG: TENTH_SD * Math.sqrt(variance),
    panG,
    pans,
  };
}

/**
 * How many pieces a finished batch makes: {@link batchSize} read backwards, all jobs in the proportion they were asked for.
 *
 * @param finishedG g as it leaves the stove, 0 or more
 * @returns pieces of each job, whole ones; none where not even one of each comes out
 */
export function piecesOf(
  jobs: readonly { readonly job: Job; readonly gates: readonly JobGate[] }[],
  making: Making,
  finishedG: number,
  densityKgM3 = BRIEF_DENSITY,
): number[] {
  const needs = (factor: number) =>
    batchSize(
      jobs.map(({ job, gates }) => ({ job: { ...job, count: job.count * factor }, gates })),
      making,
      densityKgM3,
    ).finishedG;
  // What a batch needs rises with its pieces in a straight line; what runs off a rack once does not.
  const once = needs(0);
  const factor = Math.max((finishedG - once) / Math.max(needs(1) - once, 1e-9), 0);
  return jobs.map(({ job }) => Math.floor(job.count * factor + 1e-6));
}
