import { lookUp } from '@/formats/look-up';

/** How a use is said in a verdict. */
export interface UseWords {
  /** what it does at the pour when that gate is passed: "Coats at 32 °C" */
  readonly pours: string;
  /** completes "too thick to …" and "too thin to …" */
  readonly toPour: string;
  /** what it does once set: "holds its shape" */
  readonly sets: string;
  /** completes "too stiff to …" and "too soft to …" */
  readonly toSet: string;
}

const PLAIN: UseWords = { pours: 'Pours', toPour: 'pour well', sets: 'is set as wanted', toSet: 'be eaten as wanted' };

const WORDS: Readonly<Record<string, UseWords>> = {
  coat_eclair: { pours: 'Coats', toPour: 'coat', sets: 'stays put and bites soft', toSet: 'bite cleanly' },
  mirror_glaze: { pours: 'Glazes', toPour: 'glaze', sets: 'holds on the side', toSet: 'slice' },
  nappe_sauce: { pours: 'Naps', toPour: 'nap', sets: 'stays a sauce', toSet: 'spoon' },
  pour_icecream: { pours: 'Pours over ice cream', toPour: 'pour over ice cream', sets: 'keeps soft', toSet: 'spoon' },
  pool_plate: { pours: 'Pools', toPour: 'pool', sets: 'stays a sauce', toSet: 'spoon' },
  dip_stick: { pours: 'Clings', toPour: 'cling', sets: 'stays on', toSet: 'bite cleanly' },
  spread_fill: { pours: 'Pours', toPour: 'pour', sets: 'spreads', toSet: 'spread' },
  pipe_rosette: { pours: 'Pours', toPour: 'pour', sets: 'pipes and stands', toSet: 'pipe' },
  roll_truffle: { pours: 'Pours', toPour: 'pour', sets: 'rolls', toSet: 'roll' },
  cut_squares: { pours: 'Pours', toPour: 'pour', sets: 'cuts cleanly', toSet: 'cut cleanly' },
  drink: { pours: 'Pours thick', toPour: 'drink', sets: 'stays a drink', toSet: 'drink' },
  tart: { pours: 'Fills and levels', toPour: 'level in a tart', sets: 'slices cleanly', toSet: 'slice' },
  shell: { pours: 'Fills shells', toPour: 'fill shells', sets: 'holds and bites soft', toSet: 'bite softly' },
  sandwich: { pours: 'Pours', toPour: 'pour', sets: 'stays between the biscuits', toSet: 'sandwich' },
  cover: { pours: 'Pours', toPour: 'pour', sets: 'spreads and stays', toSet: 'spread' },
  whip: { pours: 'Pours', toPour: 'pour', sets: 'takes the whisk', toSet: 'whip' },
  spoon_cold: { pours: 'Pours', toPour: 'pour', sets: 'spoons', toSet: 'spoon' },
};

/** The words of a use; plain ones for a use of the cook's own. */
export function wordsForUse(use: string | undefined): UseWords {
  return (use !== undefined && lookUp(WORDS, use)) || PLAIN;
}

const MOMENT_TITLES: Readonly<Record<string, string>> = {
  pan: 'In the pan',
  pour: 'At the pour',
  bench: 'On the bench',
  fridge: 'From the fridge',
};

/** A moment's name as a title; a name of the cook's own as it is, with a capital. */
export function momentTitle(name: string): string {
  return lookUp(MOMENT_TITLES, name) || name.charAt(0).toUpperCase() + name.slice(1);
}
