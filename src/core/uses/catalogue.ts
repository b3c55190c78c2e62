import type { JobFacts } from './job-facts';

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

/**
 * Every use, with what is usual for it. Temperatures of work as the fitted bands have them; the rest is kitchen judgement. The fitted bands
 * come from one-line physics, judgement in the kitchen figures: a coat that hangs on a side needs density x g x thickness of yield stress, a
 * rosette density x g x height / root 3, a slab that cuts 20-150 kPa, a poured film drains for the time until it stops.
 */
const CATALOGUE = {
  coat: {
    ...SET_AND_EATEN,
    moment: 'pour',
    extent: 'coat',
    mm: 2,
    reach: [0.3, 8],
    portions: ['finger', 'round', 'dome', 'block', 'log', 'grams'],
    workC: 32,
    runsOff: 0.1,
    count: 24,
    fitted: {
      coat_eclair: {
        pour: 32,
        bench: 18,
        fridge: 4,
        bands: [
          ['pour', 'apparentViscosityPaS', 1.5, 7],
          ['pour', 'yieldStressPa', 4, 25],
          ['bench', 'yieldStressPa', 150, 20_000],
        ],
      },
    },
  },
  glaze: {
    ...SET_AND_EATEN,
    moment: 'glaze',
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
    fitted: {
      mirror_glaze: {
        pour: 33,
        bench: 20,
        fridge: 5,
        bands: [
          ['pour', 'apparentViscosityPaS', 1, 4.5],
          ['pour', 'yieldStressPa', 0, 12],
          ['fridge', 'yieldStressPa', 100, 6_000],
        ],
      },
    },
  },
  nap: {
    ...SET_AND_EATEN,
    moment: 'nap',
    extent: 'coat',
    mm: 1,
    reach: [0.2, 5],
    portions: ['scoop', 'dome', 'board', 'jar', 'tub', 'millilitres', 'grams'],
    workC: 40,
    eatC: 40,
    hours: 0.3,
    runsOff: 0.25,
    count: 20,
    fitted: {
      nappe_sauce: {
        pour: 50,
        bench: 20,
        fridge: 4,
        bands: [
          ['pour', 'apparentViscosityPaS', 0.1, 0.8],
          ['pour', 'yieldStressPa', 0.3, 8],
        ],
      },
      pour_icecream: {
        pour: 40,
        bench: 20,
        fridge: 4,
        bands: [
          ['pour', 'apparentViscosityPaS', 0.3, 2],
          ['pour', 'yieldStressPa', 0, 15],
        ],
      },
    },
  },
  pool: {
    ...SET_AND_EATEN,
    moment: 'pool',
    extent: 'depth',
    mm: 2.4,
    reach: [0.8, 10],
    portions: ['pool', 'dots', 'line', 'board', 'jar', 'tub', 'millilitres', 'grams'],
    workC: 40,
    eatC: 40,
    hours: 0.3,
    count: 20,
    fitted: {
      pool_plate: {
        pour: 40,
        bench: 20,
        fridge: 4,
        bands: [
          ['pour', 'apparentViscosityPaS', 0.08, 0.6],
          ['pour', 'yieldStressPa', 0, 4],
        ],
      },
    },
  },
  dip: {
    ...SET_AND_EATEN,
    moment: 'dip',
    extent: 'coat',
    mm: 1.7,
    reach: [0.3, 6],
    portions: ['finger', 'dome', 'board', 'millilitres', 'grams'],
    sides: true,
    workC: 35,
    runsOff: 0.05,
    count: 40,
    fitted: {
      dip_stick: {
        pour: 35,
        bench: 18,
        fridge: 4,
        bands: [
          ['pour', 'apparentViscosityPaS', 1, 5],
          ['pour', 'yieldStressPa', 3, 25],
          ['bench', 'yieldStressPa', 300, 30_000],
        ],
      },
    },
  },
  fondue: {
    ...SET_AND_EATEN,
    moment: 'fondue',
    extent: 'coat',
    mm: 2,
    reach: [0.5, 6],
    portions: ['board', 'millilitres', 'grams'],
    workC: 45,
    eatC: 45,
    hours: 1,
    count: 1,
  },
  drink: {
    ...SET_AND_EATEN,
    moment: 'drink',
    portions: ['millilitres', 'grams'],
    workC: 60,
    eatC: 60,
    hours: 0.3,
    count: 8,
  },
  tart: {
    ...SET_AND_EATEN,
    moment: 'fill tarts',
    extent: 'depth',
    mm: 15,
    reach: [3, 60],
    portions: ['tart', 'slab', 'grams'],
    workC: 35,
    count: 12,
  },
  shell: {
    ...SET_AND_EATEN,
    moment: 'fill shells',
    portions: ['millilitres', 'grams'],
    workC: 28,
    count: 60,
  },
  layers: {
    ...SET_AND_EATEN,
    moment: 'spread',
    extent: 'depth',
    mm: 4,
    reach: [1, 25],
    portions: ['roundLayer', 'slab', 'grams'],
    place: 'fridge',
    count: 1,
    fitted: { spread_fill: { pour: 35, bench: 20, fridge: 4, bands: [['bench', 'yieldStressPa', 100, 3_000]] } },
  },
  sandwich: {
    ...SET_AND_EATEN,
    moment: 'sandwich',
    extent: 'depth',
    mm: 4,
    reach: [1, 15],
    portions: ['biscuit', 'grams'],
    eatC: 20,
    count: 30,
  },
  pipe: {
    ...SET_AND_EATEN,
    moment: 'pipe',
    extent: 'height',
    mm: 30,
    reach: [3, 120],
    portions: ['swirl', 'border', 'grams'],
    hours: 12,
    place: 'fridge',
    count: 24,
    fitted: { pipe_rosette: { pour: 35, bench: 20, fridge: 4, bands: [['bench', 'yieldStressPa', 190, 3_000]] } },
  },
  cover: {
    ...SET_AND_EATEN,
    moment: 'cover',
    extent: 'coat',
    mm: 3,
    reach: [1, 12],
    portions: ['round', 'block', 'log', 'grams'],
    sides: true,
    count: 1,
  },
  roll: {
    ...SET_AND_EATEN,
    moment: 'roll',
    portions: ['ball', 'scoopful', 'grams'],
    workC: 18,
    runsOff: 0.04,
    count: 60,
    fitted: { roll_truffle: { pour: 35, bench: 18, fridge: 4, bands: [['bench', 'yieldStressPa', 5_000, 40_000]] } },
  },
  cut: {
    ...SET_AND_EATEN,
    moment: 'cut',
    extent: 'depth',
    mm: 15,
    reach: [4, 50],
    portions: ['slab', 'grams'],
    workC: 18,
    count: 1,
    fitted: { cut_squares: { pour: 35, bench: 18, fridge: 4, bands: [['bench', 'yieldStressPa', 20_000, 150_000]] } },
  },
  spoon: {
    ...SET_AND_EATEN,
    moment: 'fill jars',
    portions: ['jar', 'tub', 'millilitres', 'grams'],
    workC: 45,
    eatC: 5,
    hours: 24,
    place: 'fridge',
    count: 12,
    fitted: { spoon_cold: { pour: 40, bench: 20, fridge: 5, bands: [['fridge', 'yieldStressPa', 30, 5_000]] } },
  },
  whip: {
    ...SET_AND_EATEN,
    moment: 'before whipping',
    portions: ['grams', 'millilitres'],
    workC: 4,
    eatC: 6,
    hours: 12,
    place: 'fridge',
    count: 20,
  },
} satisfies Readonly<Record<string, JobFacts>>;

/** What a sauce, ganache or glaze can be asked to do. */
export type JobUse = keyof typeof CATALOGUE;

/** Every use, in the order a cook is shown them. */
export const JOB_USES = Object.keys(CATALOGUE) as JobUse[];

/** What is usual for each use. */
export const JOB_FACTS: Readonly<Record<JobUse, JobFacts>> = CATALOGUE;

/** Names of the fitted sets; what each is called stands in the words. */
export type UseId = {
  [Use in JobUse]: (typeof CATALOGUE)[Use] extends { readonly fitted: infer Sets } ? keyof Sets : never;
}[JobUse];
