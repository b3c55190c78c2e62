import type { PortionKey, Sizes } from '../yields/portions';
import type { JobUse } from './catalogue';

/** Something that is sauced, filled or eaten, by its name: how it is counted, its sizes, and how many a guest takes. */
export interface Piece {
  readonly use: JobUse;
  readonly portion: PortionKey;
  /** where the usual ones of the portion do not suit */
  readonly sizes?: Sizes;
  /** mm of coat, depth or height, where the use's own does not suit */
  readonly mm?: number;
  /** pieces a guest takes (J): below 1 for what is shared, an eighth of a cake */
  readonly each: number;
}

/** By name; the first of each use is what it begins with. */
const CATALOGUE = {
  eclair: { use: 'coat', portion: 'finger', each: 1 },
  glazedPuff: { use: 'coat', portion: 'dome', sizes: { diameter: 4.5 }, mm: 1.5, each: 3 },
  doughnut: { use: 'coat', portion: 'round', sizes: { diameter: 8.5, height: 3 }, each: 1 },
  smallCake: { use: 'coat', portion: 'block', sizes: { length: 3, width: 3, height: 2.5 }, mm: 1.5, each: 3 },
  cake: { use: 'glaze', portion: 'round', each: 1 / 8 },
  domeCake: { use: 'glaze', portion: 'dome', each: 1 },
  logCake: { use: 'glaze', portion: 'log', each: 1 / 10 },
  scoop: { use: 'nap', portion: 'scoop', each: 2 },
  profiterole: { use: 'nap', portion: 'dome', sizes: { diameter: 4.5 }, mm: 1.2, each: 3 },
  pancake: { use: 'nap', portion: 'millilitres', sizes: { each: 15 }, each: 3 },
  waffle: { use: 'nap', portion: 'millilitres', sizes: { each: 30 }, each: 1 },
  plate: { use: 'pool', portion: 'pool', each: 1 },
  wafer: { use: 'dip', portion: 'finger', each: 3 },
  strawberry: { use: 'dip', portion: 'dome', sizes: { diameter: 3.5 }, each: 4 },
  fonduePot: { use: 'fondue', portion: 'board', sizes: { guests: 6, each: 70 }, each: 1 / 6 },
  cup: { use: 'drink', portion: 'millilitres', sizes: { each: 120 }, each: 1 },
  smallTart: { use: 'tart', portion: 'tart', each: 1 },
  tart: { use: 'tart', portion: 'tart', sizes: { diameter: 24 }, each: 1 / 10 },
  shell: { use: 'shell', portion: 'millilitres', sizes: { each: 6 }, each: 3 },
  layerCake: { use: 'layers', portion: 'roundLayer', each: 1 / 10 },
  biscuit: { use: 'sandwich', portion: 'biscuit', each: 2 },
  swirl: { use: 'pipe', portion: 'swirl', each: 1 },
  borderedCake: { use: 'pipe', portion: 'border', each: 1 / 10 },
  coveredCake: { use: 'cover', portion: 'round', each: 1 / 10 },
  truffle: { use: 'roll', portion: 'ball', each: 3 },
  slab: { use: 'cut', portion: 'slab', each: 1 / 40 },
  jar: { use: 'spoon', portion: 'jar', each: 1 / 8 },
  whipped: { use: 'whip', portion: 'grams', sizes: { each: 25 }, each: 1 },
} as const satisfies Readonly<Record<string, Piece>>;

export type PieceKey = keyof typeof CATALOGUE;

export const PIECES: Readonly<Record<PieceKey, Piece>> = CATALOGUE;

export const PIECE_KEYS = Object.keys(CATALOGUE) as PieceKey[];

/** What a use is for, the usual first; never empty. */
export function piecesOfUse(use: JobUse): [PieceKey, ...PieceKey[]] {
  return PIECE_KEYS.filter((key) => PIECES[key].use === use) as [PieceKey, ...PieceKey[]];
}

/**
 * Pieces that so many guests need, whole ones.
 *
 * @param guests 1 or more
 * @param each pieces a guest takes, above 0; below 1 for what is shared
 * @example piecesForGuests(8, 3) // 24; piecesForGuests(12, 1 / 8) // 2 cakes
 */
export function piecesForGuests(guests: number, each: number): number {
  return Math.max(1, Math.ceil(guests * each - 1e-9));
}
