import { type PortionKey, type Sizes, usualSizes } from '../yields/portions';

/** What a sauce, ganache or glaze can be asked to do. */
export const JOB_USES = [
  'coat',
  'glaze',
  'nap',
  'pool',
  'dip',
  'drink',
  'tart',
  'shell',
  'layers',
  'sandwich',
  'pipe',
  'cover',
  'roll',
  'cut',
  'spoon',
  'whip',
] as const;

export type JobUse = (typeof JOB_USES)[number];

/** Where it stands between the work and the eating. */
export const PLACES = ['kitchen', 'case', 'fridge'] as const;

export type Place = (typeof PLACES)[number];

/** A refrigerated case in a shop, °C. */
export const CASE_C = 6;
const FRIDGE_C = 4;

/** °C where a batch stands; the kitchen has its own. */
export function placeC(place: Place, kitchenC: number): number {
  return place === 'kitchen' ? kitchenC : place === 'case' ? CASE_C : FRIDGE_C;
}

/** How steep the side is that a coat must hold to. */
export const SLOPES = ['upright', 'sloping', 'shallow'] as const;

export type Slope = (typeof SLOPES)[number];

/** Degrees from the flat, by slope. */
const SLOPE_DEGREES: Readonly<Record<Slope, number>> = { upright: 90, sloping: 60, shallow: 30 };

/** Part of its weight that pulls a coat down a side: the sine of the slope, 0 to 1. */
export function pullDown(slope: Slope): number {
  return Math.sin((SLOPE_DEGREES[slope] * Math.PI) / 180);
}

/** Both edges as the cook says them over what physics gives: one that is left out is open, without either there is no gate. */
export interface Overruled {
  readonly low?: number | undefined;
  readonly high?: number | undefined;
  /** how much a miss counts, as in a gate */
  readonly weight?: number | undefined;
}

/** One job of a batch: the use, how much of it, and when and where it is worked and eaten. */
export interface Job {
  readonly use: JobUse;
  /** what it is for, in the cook's words; may be empty */
  readonly what: string;
  readonly count: number;
  readonly portion: PortionKey;
  readonly sizes: Sizes;
  /** mm of coat, depth or height, whichever the use has */
  readonly mm: number;
  /** the sides are done too, not the top alone */
  readonly sides: boolean;
  /** the steepest side a coat must hold to; other uses leave it be */
  readonly slope: Slope;
  /** °C it is worked at; the kitchen's when left out */
  readonly workC?: number | undefined;
  /** °C it is eaten at */
  readonly eatC: number;
  /** h between the work and the eating */
  readonly hours: number;
  readonly place: Place;
  /** what runs off is caught and used again */
  readonly caught: boolean;
  /** gates the cook set otherwise, by {@link JobGate.key} */
  readonly overruled: Readonly<Record<string, Overruled>>;
}

/** What the millimetres of a job are. */
export type Extent = 'coat' | 'depth' | 'height';

/** What is usual for a use, before the cook says otherwise. */
export interface JobFacts {
  /** what its millimetres are; nothing for what is only counted */
  readonly extent?: Extent;
  readonly mm: number;
  /** mm that make sense */
  readonly reach: readonly [number, number];
  readonly portions: readonly [PortionKey, ...PortionKey[]];
  readonly sides: boolean;
  /** °C; nothing for what is worked at the kitchen's own temperature */
  readonly workC?: number;
  readonly eatC: number;
  readonly hours: number;
  readonly place: Place;
  /** part of what is poured that runs off (J) */
  readonly runsOff: number;
  /** pieces to begin with, and their sizes where the usual ones of the portion do not suit */
  readonly count: number;
  readonly sizes?: Sizes;
}

/** What most uses share: set in the kitchen for a day, eaten there, nothing runs off. */
const SET_AND_EATEN = {
  mm: 0,
  reach: [0, 0],
  sides: false,
  eatC: 18,
  hours: 24,
  place: 'kitchen',
  runsOff: 0,
} as const;

/** What is usual for each use. Temperatures of work as the bands of the uses were fitted; the rest is kitchen judgement. */
export const JOB_FACTS: Readonly<Record<JobUse, JobFacts>> = {
  coat: {
    ...SET_AND_EATEN,
    extent: 'coat',
    mm: 2,
    reach: [0.3, 8],
    portions: ['finger', 'round', 'dome', 'block', 'log', 'grams'],
    workC: 32,
    runsOff: 0.1,
    count: 24,
  },
  glaze: {
    ...SET_AND_EATEN,
    extent: 'coat',
    mm: 2.5,
    reach: [0.5, 8],
    portions: ['round', 'dome', 'block', 'log', 'grams'],
    sides: true,
    workC: 33,
    eatC: 5,
    hours: 12,
    place: 'fridge',
    runsOff: 0.4,
    count: 1,
  },
  nap: {
    ...SET_AND_EATEN,
    extent: 'coat',
    mm: 1,
    reach: [0.2, 5],
    portions: ['scoop', 'board', 'jar', 'tub', 'millilitres', 'grams'],
    workC: 40,
    eatC: 40,
    hours: 0.3,
    runsOff: 0.25,
    count: 20,
  },
  pool: {
    ...SET_AND_EATEN,
    extent: 'depth',
    mm: 2.4,
    reach: [0.8, 10],
    portions: ['pool', 'dots', 'line', 'board', 'jar', 'tub', 'millilitres', 'grams'],
    workC: 40,
    eatC: 40,
    hours: 0.3,
    count: 20,
  },
  dip: {
    ...SET_AND_EATEN,
    extent: 'coat',
    mm: 1.7,
    reach: [0.3, 6],
    portions: ['finger', 'dome', 'board', 'millilitres', 'grams'],
    sides: true,
    workC: 35,
    runsOff: 0.05,
    count: 40,
  },
  drink: {
    ...SET_AND_EATEN,
    portions: ['millilitres', 'grams'],
    workC: 60,
    eatC: 60,
    hours: 0.3,
    count: 8,
    sizes: { each: 120 },
  },
  tart: {
    ...SET_AND_EATEN,
    extent: 'depth',
    mm: 15,
    reach: [3, 60],
    portions: ['tart', 'slab', 'grams'],
    workC: 35,
    count: 12,
  },
  shell: { ...SET_AND_EATEN, portions: ['millilitres', 'grams'], workC: 28, count: 60, sizes: { each: 6 } },
  layers: {
    ...SET_AND_EATEN,
    extent: 'depth',
    mm: 4,
    reach: [1, 25],
    portions: ['roundLayer', 'slab', 'grams'],
    place: 'fridge',
    count: 1,
  },
  sandwich: {
    ...SET_AND_EATEN,
    extent: 'depth',
    mm: 4,
    reach: [1, 15],
    portions: ['biscuit', 'grams'],
    eatC: 20,
    count: 30,
  },
  pipe: {
    ...SET_AND_EATEN,
    extent: 'height',
    mm: 30,
    reach: [3, 120],
    portions: ['swirl', 'border', 'grams'],
    hours: 12,
    place: 'fridge',
    count: 24,
  },
  cover: {
    ...SET_AND_EATEN,
    extent: 'coat',
    mm: 3,
    reach: [1, 12],
    portions: ['round', 'block', 'log', 'grams'],
    sides: true,
    count: 1,
  },
  roll: { ...SET_AND_EATEN, portions: ['ball', 'scoopful', 'grams'], workC: 18, runsOff: 0.04, count: 60 },
  cut: { ...SET_AND_EATEN, extent: 'depth', mm: 15, reach: [4, 50], portions: ['slab', 'grams'], workC: 18, count: 1 },
  spoon: {
    ...SET_AND_EATEN,
    portions: ['jar', 'tub', 'millilitres', 'grams'],
    workC: 45,
    eatC: 5,
    hours: 24,
    place: 'fridge',
    count: 12,
  },
  whip: {
    ...SET_AND_EATEN,
    portions: ['grams', 'millilitres'],
    workC: 4,
    eatC: 6,
    hours: 12,
    place: 'fridge',
    count: 20,
    sizes: { each: 25 },
  },
};

/** Uses whose run-off goes with the portion: down the scoop onto the plate, onto the hands. */
const LOST_ON_THE_WAY: ReadonlySet<JobUse> = new Set(['nap', 'roll']);

/** A job before anything else is said of it. */
export function usualJob(use: JobUse): Job {
  const { count, portions, mm, sides, eatC, hours, place, sizes } = JOB_FACTS[use];
  const [portion] = portions;
  return {
    use,
    what: '',
    count,
    portion,
    sizes: { ...usualSizes(portion), ...sizes },
    mm,
    sides,
    slope: 'upright',
    eatC,
    hours,
    place,
    caught: !LOST_ON_THE_WAY.has(use),
    overruled: {},
  };
}
