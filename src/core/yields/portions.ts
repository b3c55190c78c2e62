import {
  blockArea,
  discArea,
  domeArea,
  dotVolume,
  fingerArea,
  lineVolume,
  logArea,
  roundArea,
  swirlVolume,
} from './surfaces';

/** A size that is asked for: name, unit, the reach that makes sense, and what stands there at first. */
export interface SizeField {
  readonly key: string;
  readonly unit: 'cm' | 'mm' | 'ml' | 'g' | '%' | '';
  readonly least: number;
  readonly most: number;
  readonly usual: number;
}

/** Sizes by the key of their field. */
export type Sizes = Readonly<Record<string, number>>;

/** One way to say how much: what is counted, its sizes, and what one of it takes. */
export interface PortionKind {
  readonly fields: readonly SizeField[];
  /** whether it is drawn over a surface, so that its sides can be left out or in */
  readonly sided: boolean;
  /** mL one of it takes, given a film or depth in mm; nothing for what is given in grams */
  readonly volumeMl?: (size: Sizes, mm: number, sides: boolean) => number;
  /** g one of it takes */
  readonly massG?: (size: Sizes) => number;
}

const cm = (key: string, usual: number, most = 100): SizeField => ({ key, unit: 'cm', least: 0.5, most, usual });
const of = (size: Sizes, key: string) => size[key] ?? 0;
/** mL in a layer of mm over cm². */
const film = (areaCm2: number, mm: number) => (areaCm2 * mm) / 10;
const EACH_ML: SizeField = { key: 'each', unit: 'ml', least: 1, most: 5000, usual: 100 };
const EACH_G: SizeField = { key: 'each', unit: 'g', least: 1, most: 5000, usual: 12 };

/** A dot stands a quarter as high as it is wide; a line half as high (J). */
const DOT_HEIGHT = 0.25;
const LINE_HEIGHT = 0.5;
/** Part of a scoop that a sauce runs down before it stops: the upper two thirds of the ball (J). */
const NAPPED_PART = 2 / 3;

/**
 * The ways to say how much, by key: closed forms over the sizes asked for. A `mm` is the film, the depth or the height of the job.
 *
 * @example PORTION_KINDS.finger.volumeMl?.({ length: 13, width: 3 }, 2, false) // 12.25
 */
export const PORTION_KINDS = {
  finger: {
    fields: [cm('length', 13), cm('width', 3, 30)],
    sided: true,
    volumeMl: (size, mm, sides) => film(fingerArea(of(size, 'length'), of(size, 'width'), sides), mm),
  },
  round: {
    fields: [cm('diameter', 18), cm('height', 4.5, 40)],
    sided: true,
    volumeMl: (size, mm, sides) => film(roundArea(of(size, 'diameter'), of(size, 'height'), sides), mm),
  },
  dome: {
    fields: [cm('diameter', 7)],
    sided: false,
    volumeMl: (size, mm) => film(domeArea(of(size, 'diameter')), mm),
  },
  log: {
    fields: [cm('length', 25), cm('diameter', 8, 40)],
    sided: true,
    volumeMl: (size, mm, sides) => film(logArea(of(size, 'length'), of(size, 'diameter'), sides), mm),
  },
  block: {
    fields: [cm('length', 6), cm('width', 6), cm('height', 3, 40)],
    sided: true,
    volumeMl: (size, mm, sides) =>
      film(blockArea(of(size, 'length'), of(size, 'width'), of(size, 'height'), sides), mm),
  },
  scoop: {
    fields: [cm('diameter', 5.5, 15)],
    sided: false,
    volumeMl: (size, mm) => film(NAPPED_PART * Math.PI * of(size, 'diameter') ** 2, mm),
  },
  pool: {
    fields: [cm('diameter', 14, 40)],
    sided: false,
    volumeMl: (size, mm) => film(discArea(of(size, 'diameter')), mm),
  },
  dots: {
    fields: [{ key: 'dots', unit: '', least: 1, most: 60, usual: 7 }, cm('diameter', 1.5, 8)],
    sided: false,
    volumeMl: (size) => of(size, 'dots') * dotVolume(of(size, 'diameter'), DOT_HEIGHT * of(size, 'diameter')),
  },
  line: {
    fields: [cm('length', 20), cm('width', 0.6, 8)],
    sided: false,
    volumeMl: (size) => lineVolume(of(size, 'length'), of(size, 'width'), LINE_HEIGHT * of(size, 'width')),
  },
  swirl: {
    // The opening piped through moves no volume: a swirl is as big as it is said to be. It moves what a hand can squeeze.
    fields: [cm('diameter', 3.5, 12), { key: 'nozzle', unit: 'mm', least: 2, most: 25, usual: 10 }],
    sided: false,
    volumeMl: (size, mm) => swirlVolume(of(size, 'diameter'), mm / 10),
  },
  border: {
    fields: [cm('length', 60, 400), cm('width', 1.5, 8)],
    sided: false,
    volumeMl: (size, mm) => lineVolume(of(size, 'length'), of(size, 'width'), mm / 10),
  },
  tart: {
    fields: [cm('diameter', 8, 60)],
    sided: false,
    volumeMl: (size, mm) => film(discArea(of(size, 'diameter')), mm),
  },
  roundLayer: {
    fields: [cm('diameter', 18, 60), { key: 'layers', unit: '', least: 1, most: 12, usual: 2 }],
    sided: false,
    volumeMl: (size, mm) => of(size, 'layers') * film(discArea(of(size, 'diameter')), mm),
  },
  slab: {
    fields: [cm('length', 30, 200), cm('width', 20, 200)],
    sided: false,
    volumeMl: (size, mm) => film(of(size, 'length') * of(size, 'width'), mm),
  },
  ball: {
    fields: [cm('diameter', 2.6, 12)],
    sided: false,
    volumeMl: (size) => (Math.PI * of(size, 'diameter') ** 3) / 6,
  },
  biscuit: {
    fields: [cm('diameter', 5, 20)],
    sided: false,
    volumeMl: (size, mm) => film(discArea(of(size, 'diameter')), mm),
  },
  jar: {
    fields: [
      { ...EACH_ML, usual: 200 },
      { key: 'headspace', unit: '%', least: 0, most: 50, usual: 8 },
    ],
    sided: false,
    volumeMl: (size) => of(size, 'each') * (1 - of(size, 'headspace') / 100),
  },
  tub: {
    fields: [
      { ...EACH_ML, usual: 500 },
      { key: 'headspace', unit: '%', least: 0, most: 50, usual: 4 },
    ],
    sided: false,
    volumeMl: (size) => of(size, 'each') * (1 - of(size, 'headspace') / 100),
  },
  scoopful: {
    fields: [{ ...EACH_ML, most: 200, usual: 12 }],
    sided: false,
    volumeMl: (size) => of(size, 'each'),
  },
  board: {
    fields: [
      { key: 'guests', unit: '', least: 1, most: 500, usual: 8 },
      { ...EACH_ML, usual: 25 },
    ],
    sided: false,
    volumeMl: (size) => of(size, 'guests') * of(size, 'each'),
  },
  millilitres: { fields: [EACH_ML], sided: false, volumeMl: (size) => of(size, 'each') },
  grams: { fields: [EACH_G], sided: false, massG: (size) => of(size, 'each') },
} as const satisfies Record<string, PortionKind>;

export type PortionKey = keyof typeof PORTION_KINDS;

/** A portion kind by its key. */
export function portionKind(key: PortionKey): PortionKind {
  return PORTION_KINDS[key];
}

/** Sizes to begin with. */
export function usualSizes(key: PortionKey): Record<string, number> {
  return Object.fromEntries(portionKind(key).fields.map((field) => [field.key, field.usual]));
}

/**
 * What one of a kind takes.
 *
 * @param sizes by field, within its reach
 * @param mm film, depth or height of the job, 0 or more
 * @param densityKgM3 kg/m³
 * @returns g
 */
export function portionGrams(key: PortionKey, sizes: Sizes, mm: number, sides: boolean, densityKgM3: number): number {
  const kind = portionKind(key);
  return kind.massG?.(sizes) ?? ((kind.volumeMl?.(sizes, mm, sides) ?? 0) * densityKgM3) / 1000;
}
