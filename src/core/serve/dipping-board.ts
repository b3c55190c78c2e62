/** What is dipped, by what hangs on to it: g of sauce a dip at the warm gate, and how much of it is eaten (J). */
export const DIPPED = {
  crisp: { gramsADip: 2.5, biteG: 6 },
  salty: { gramsADip: 2, biteG: 5 },
  fruit: { gramsADip: 3.5, biteG: 14 },
  cake: { gramsADip: 4, biteG: 12 },
  fried: { gramsADip: 4.5, biteG: 15 },
} as const;
export type Dipped = keyof typeof DIPPED;

/** A kind of thing on the board: how many pieces each guest takes. */
export interface BoardItem {
  readonly kind: Dipped;
  readonly piecesEach: number;
}

/** What a board needs. */
export interface BoardNeed {
  readonly items: readonly {
    readonly kind: Dipped;
    readonly pieces: number;
    readonly grams: number;
    readonly sauceG: number;
  }[];
  /** g that are dipped, and that must be there so that the last piece still goes under */
  readonly dippedG: number;
  readonly standingG: number;
  readonly portionG: number;
}

/** A bowl is no use to the last centimetre: part of all that stays in it (J). */
const STAYS_IN_BOWL = 0.15;

/**
 * How much is cut and how much sauce stands ready, one dip a piece: bites are small enough to go into the mouth whole, so that nobody dips twice.
 *
 * @param guests 1 or more
 */
export function dippingBoard(guests: number, items: readonly BoardItem[]): BoardNeed {
  const lines = items.map(({ kind, piecesEach }) => {
    const pieces = Math.ceil(guests * piecesEach);
    const { gramsADip, biteG } = DIPPED[kind];
    return { kind, pieces, grams: pieces * biteG, sauceG: pieces * gramsADip };
  });
  const dippedG = lines.reduce((sum, { sauceG }) => sum + sauceG, 0);
  const standingG = dippedG / (1 - STAYS_IN_BOWL) - dippedG;
  return { items: lines, dippedG, standingG, portionG: guests > 0 ? dippedG / guests : 0 };
}

/** Cut apples and pears go brown, bread goes dry: what is cut last (J). */
export const CUT_LAST: ReadonlySet<Dipped> = new Set<Dipped>(['fruit', 'cake']);
/** Frying oil: °C between which dough browns through without soaking, and pieces in a litre of oil at a time (J). */
export const FRYING = { leastC: 170, mostC: 180, piecesALitre: 6 } as const;
