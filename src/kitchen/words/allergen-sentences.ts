import type { Contents } from '@/core/matter/contents';
import type { PanContents } from '../pan-contents';

/** A list of allergens as a label and the rest of what must be said of it. */
export interface AllergenWords {
  /** 'milk, soya', or that nothing is declared */
  readonly contains: string;
  /** '' when no pack says so */
  readonly mayContain: string;
  /** one sentence for each thing nobody knows: each may be anything */
  readonly unknown: readonly string[];
}

const NOTHING = 'no declared allergen';
const NOBODY = 'not declared';

const WHY = {
  undeclared: (name: string) => `${name}: nobody has said what it contains, so it may contain anything.`,
  unrecognised: (name: string, texts: readonly string[]) =>
    `${name}: “${texts.join('”, “')}” is no allergen of the list, so it may contain anything until someone decides.`,
  unknown: (name: string) => `${name}: not in the larder, so it may contain anything.`,
} as const;

/** What is said of a pan's allergens, on the bench, the card, the label and beside a start. */
export function allergenWords({ contains, mayContain, undecided }: PanContents): AllergenWords {
  return {
    contains: contains.join(', ') || (undecided.length > 0 ? NOBODY : NOTHING),
    mayContain: mayContain.join(', '),
    unknown: undecided.map(({ name, why, texts }) => WHY[why](name, texts)),
  };
}

/** The same of one ingredient, in a line. */
export function allergenLine({ contains, mayContain, unrecognised, isDeclared }: Contents): string {
  const parts = [
    contains.join(', ') || (isDeclared && unrecognised.length === 0 ? NOTHING : ''),
    mayContain.length > 0 ? `may contain ${mayContain.join(', ')}` : '',
    ...unrecognised.map((text) => `“${text.replace('other: ', '')}”, not recognised`),
    isDeclared ? '' : NOBODY,
  ];
  return parts.filter(Boolean).join('; ');
}
