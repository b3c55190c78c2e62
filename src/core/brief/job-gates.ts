import { yieldForCoat } from '../flow/film';
import { handLimit, USUAL_NOZZLE_MM, yieldToStand } from '../flow/piping';
import type { GateQuantity } from '../formula/gate-quantities';
import { GRAVITY } from '../gravity';
import { JOB_FACTS, type JobUse } from '../uses/catalogue';
import { placeC } from '../uses/places';
import { portionKind } from '../yields/portions';
import { FILM_USES, type FilmUse, filmBands } from './film-gates';
import { type Job, pullDown } from './job';

/** Density a brief reckons with before there is a formula, kg/m³: the middle of sauces, ganaches and glazes (J). */
export const BRIEF_DENSITY = 1150;

/** When a gate of a job is read. */
export type JobMoment = 'work' | 'eat';

/** Which piece of physics or judgement gives a gate. */
export type Why =
  | 'film'
  | 'hangs'
  | 'stays'
  | 'levels'
  | 'pours'
  | 'pools'
  | 'drinks'
  | 'stands'
  | 'knife'
  | 'slices'
  | 'palm'
  | 'cuts'
  | 'bites'
  | 'spoons'
  | 'loosens';

/** A gate of a job with its reason. */
export interface JobGate {
  /** names the gate within its job, so that it can be overruled */
  readonly key: string;
  readonly at: JobMoment;
  readonly quantity: Extract<GateQuantity, 'apparentViscosityPaS' | 'yieldStressPa'>;
  readonly low?: number | undefined;
  readonly high?: number | undefined;
  readonly weight?: number | undefined;
  readonly why: Why;
  /** Pa that the reason asks for by itself, where it names one */
  readonly needsPa?: number | undefined;
}

/**
 * How many times its own weight a set coat must bear when it is handled (J): 150 Pa at 2 mm on pastry, 100 Pa at 2.5 mm on a cake that
 * stands, 300 Pa at 1.7 mm on what is taken by hand.
 */
const HANDLING = { coat: 6.65, glaze: 3.55, dip: 15.6, cover: 6.65 } as const;
/** How much more than standing a slice needs for a clean cut side (J). */
const CLEAN_SLICE = 10;
/** mm by which a poured filling may be out of level at its edge (J). */
const LEVEL_MM = 2;
/** Depth of a pool of 60 mL at 18 cm, and its bands, from which those of other pools are scaled. */
const POOL = { diameterCm: 18, mm: 2.36, viscosity: [0.08, 0.6], yieldPa: 4 } as const;

type Bare = Omit<JobGate, 'key'>;

const round = (value: number) => Number(value.toPrecision(3));

/** Yield stress that holds the coat of a job on its side for good, Pa. */
const coatHangsAt = (job: Job) => pullDown(job.slope) * yieldForCoat(job.mm, BRIEF_DENSITY);

/** Least and most of a coat once set: it must not slip, and be bitten softly. */
const setCoat = (job: Job, use: keyof typeof HANDLING, most: number): Bare => {
  const needsPa = coatHangsAt(job);
  return { at: 'eat', quantity: 'yieldStressPa', low: HANDLING[use] * needsPa, high: most, why: 'stays', needsPa };
};

/** A coat that is eaten as it was worked, at once: it is never handled set. */
const SOON_H = 0.5;
const SAME_C = 3;
const isEatenAsWorked = (job: Job) =>
  job.hours <= SOON_H && Math.abs(job.eatC - (job.workC ?? JOB_FACTS[job.use].workC ?? Number.NaN)) <= SAME_C;

const ofYield = (at: JobMoment, low: number, high: number, why: Why, needsPa?: number): Bare => ({
  at,
  quantity: 'yieldStressPa',
  low,
  high,
  why,
  needsPa,
});

/** A use that leaves a film. */
export type FilmJob = keyof typeof FILM_USES;

/** Whether a use leaves a film. */
export const leavesFilm = (use: JobUse): use is FilmJob => use in FILM_USES;

/**
 * How the film of a job runs: down the usual side, or as much further as the piece is higher than usual; a slope of the same height is the
 * longer way down.
 */
export function filmOf(job: Job, use: FilmJob): FilmUse {
  const usual = portionKind(job.portion).fields.find(({ key }) => key === 'height')?.usual;
  const { height } = job.sizes;
  const higher = job.sides && usual !== undefined && height !== undefined ? height / usual : 1;
  const pull = pullDown(job.slope);
  return { ...FILM_USES[use], sideM: (FILM_USES[use].sideM * higher) / pull, pull };
}

/** Both bands of a film. */
function filmGates(job: Job, use: FilmJob): Bare[] {
  const { yieldStressPa, apparentViscosityPaS } = filmBands(filmOf(job, use), job.mm, BRIEF_DENSITY);
  const needsPa = coatHangsAt(job);
  return [
    {
      at: 'work',
      quantity: 'apparentViscosityPaS',
      low: apparentViscosityPaS[0],
      high: apparentViscosityPaS[1],
      why: 'film',
    },
    { at: 'work', quantity: 'yieldStressPa', low: yieldStressPa[0], high: yieldStressPa[1], why: 'hangs', needsPa },
  ];
}

/** Yield stress up to which a filling levels itself: its depth must push it over half its width to within 2 mm, Pa. */
export function yieldThatLevels(depthMm: number, widthCm: number): number {
  return (BRIEF_DENSITY * GRAVITY * (depthMm / 1000) * (LEVEL_MM / 1000)) / (widthCm / 200);
}

/** Width a filling has to run over, cm. */
const widthOf = ({ portion, sizes }: Job) =>
  portion === 'slab' ? Math.min(sizes.length ?? 20, sizes.width ?? 20) : (sizes.diameter ?? 8);

/** Opening a job is piped through, mm: what is said, or what draws a line as wide. */
export const nozzleMm = ({ portion, sizes }: Job) =>
  portion === 'border' ? 10 * (sizes.width ?? 1.5) : (sizes.nozzle ?? USUAL_NOZZLE_MM);

/** A pool runs by its depth and width: thin ones need a thinner sauce, as the spread laws have it. */
function poolGates(job: Job): Bare[] {
  const diameterCm = job.portion === 'pool' ? (job.sizes.diameter ?? POOL.diameterCm) : POOL.diameterCm;
  const wide = diameterCm / POOL.diameterCm;
  const volume = (job.mm / POOL.mm) * wide ** 2;
  const viscosity = volume ** 3 / wide ** 8;
  return [
    {
      at: 'work',
      quantity: 'apparentViscosityPaS',
      low: POOL.viscosity[0] * viscosity,
      high: POOL.viscosity[1] * viscosity,
      why: 'pools',
    },
    ofYield('work', 0, (POOL.yieldPa * volume ** 2) / wide ** 5, 'pools'),
  ];
}

const GATES: Readonly<Record<JobUse, (job: Job) => Bare[]>> = {
  coat: (job) => [...filmGates(job, 'coat'), setCoat(job, 'coat', 20_000)],
  glaze: (job) => [...filmGates(job, 'glaze'), setCoat(job, 'glaze', 6000)],
  nap: (job) => filmGates(job, 'nap'),
  pool: poolGates,
  dip: (job) => [...filmGates(job, 'dip'), ...(isEatenAsWorked(job) ? [] : [setCoat(job, 'dip', 30_000)])],
  fondue: (job) => filmGates(job, 'fondue'),
  drink: () => [
    { at: 'work', quantity: 'apparentViscosityPaS', low: 0.1, high: 0.5, why: 'drinks' },
    ofYield('work', 0, 3, 'drinks'),
  ],
  tart: (job) => [
    { at: 'work', quantity: 'apparentViscosityPaS', low: 0.1, high: 6, why: 'pours' },
    ofYield('work', 0, yieldThatLevels(job.mm, widthOf(job)), 'levels'),
    ofYield('eat', Math.max(CLEAN_SLICE * yieldToStand(job.mm, BRIEF_DENSITY), 400), 30_000, 'slices'),
  ],
  shell: () => [
    { at: 'work', quantity: 'apparentViscosityPaS', low: 0.5, high: 8, why: 'pours' },
    ofYield('work', 0, 25, 'levels'),
    ofYield('eat', 800, 30_000, 'bites'),
  ],
  layers: () => [ofYield('work', 100, 3000, 'knife'), ofYield('eat', 300, 30_000, 'bites')],
  sandwich: () => [ofYield('work', 150, 3000, 'knife'), ofYield('eat', 300, 30_000, 'bites')],
  pipe: (job) => {
    const needsPa = yieldToStand(job.mm, BRIEF_DENSITY);
    return [
      ofYield('work', needsPa, Math.max(handLimit(nozzleMm(job)), 2 * needsPa), 'stands', needsPa),
      ofYield('eat', needsPa, 30_000, 'bites', needsPa),
    ];
  },
  cover: (job) => [ofYield('work', 150, 2500, 'knife'), setCoat(job, 'cover', 30_000)],
  roll: () => [ofYield('work', 5000, 40_000, 'palm')],
  cut: () => [ofYield('work', 20_000, 150_000, 'cuts')],
  spoon: () => [ofYield('eat', 30, 5000, 'spoons')],
  whip: () => [ofYield('work', 100, 2500, 'loosens')],
};

/**
 * The gates of one job: what its physics gives, and what the cook said over it.
 *
 * @param job within the reach of its use
 * @returns with the reason of each; edges of 0 are left out
 * @example jobGates(coatOfTwoMm)[1] // yield stress 4-25 Pa at the work, since 2 mm on a side hangs at 22.6 Pa
 */
export function jobGates(job: Job): JobGate[] {
  return GATES[job.use](job).map((gate) => {
    const key = `${gate.at}.${gate.quantity}`;
    const own = job.overruled[key];
    const { low, high, weight } = own ?? { low: gate.low && round(gate.low), high: gate.high && round(gate.high) };
    return { ...gate, key, low: low || undefined, high, weight };
  });
}

/** °C at which a job is worked. */
export function workTemperature(job: Job, kitchenC: number): number {
  return job.workC ?? JOB_FACTS[job.use].workC ?? kitchenC;
}

/** From here up a poured batch is worked as it was made: it has no time to set. */
const WARM_ABOVE_C = 26;

/** Hours a batch worked cool has rested by then. */
const RESTED_H = 24;

/**
 * What a job's batch has been through when it is worked, and when it is eaten.
 *
 * @returns [h, °C] steps
 */
export function jobHistory(job: Job, at: JobMoment, kitchenC: number): readonly (readonly [number, number])[] {
  const workC = workTemperature(job, kitchenC);
  if (at === 'work') {
    // A pot stands on its warmer until it is empty: it is judged at the end.
    if (job.use === 'fondue') return [[Math.max(job.hours, 0.3), workC]];
    if (job.use === 'whip') return [[Math.max(job.hours, 1), workC]];
    const poured = JOB_FACTS[job.use].workC !== undefined && workC > WARM_ABOVE_C;
    return poured ? [[0.3, workC]] : [[RESTED_H, workC]];
  }
  const standsC = placeC(job.place, kitchenC);
  return Math.abs(standsC - job.eatC) < 1
    ? [[job.hours, job.eatC]]
    : [
        [job.hours, standsC],
        [1, job.eatC],
      ];
}
