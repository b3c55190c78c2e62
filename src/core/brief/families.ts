import type { JobUse } from '../uses/catalogue';
import type { Thickener } from './brief';
import type { Role } from './stock';

/** When a row of a starting point goes in. */
export type FamilyStage = 'pan' | 'overChocolate' | 'offHeat' | 'coldAtEnd';

/** One row of a family: the part, grams in a batch of the family's own size, and when it goes in. */
export interface FamilyRow {
  readonly role: Role;
  readonly grams: number;
  readonly stage: FamilyStage;
  /** may be left out where the shelf has nothing for it */
  readonly optional?: boolean;
}

/** What each is called stands in the words. */
export type FamilyId =
  | 'dark-ganache'
  | 'firm-ganache'
  | 'milk-ganache'
  | 'white-ganache'
  | 'gianduja-ganache'
  | 'cream-sauce'
  | 'milk-sauce'
  | 'shine-glaze'
  | 'mirror-dark'
  | 'mirror-white'
  | 'starch-sauce'
  | 'thick-drink'
  | 'water-ganache'
  | 'condensed-sauce';

/** A kind of sauce, ganache or glaze to start from. */
export interface Family {
  readonly id: FamilyId;
  /** what a cook would make it for; others are not proposed for it */
  readonly suits: readonly JobUse[];
  readonly thickener: Exclude<Thickener, 'any'>;
  /** how far starch is cooked out, 0-1 */
  readonly cook?: number;
  readonly rows: readonly FamilyRow[];
}

const row = (role: Role, grams: number, stage: FamilyStage, optional = false): FamilyRow => ({
  role,
  grams,
  stage,
  optional,
});

const GANACHE: readonly JobUse[] = [
  ...([
    'coat',
    'glaze',
    'nap',
    'pool',
    'dip',
    'fondue',
    'tart',
    'shell',
    'layers',
    'sandwich',
    'pipe',
    'cover',
  ] as const),
  ...(['roll', 'cut', 'spoon', 'whip'] as const),
];
const SAUCE: readonly JobUse[] = ['coat', 'nap', 'pool', 'dip', 'fondue', 'drink', 'tart', 'spoon', 'layers', 'cover'];
const GLAZE: readonly JobUse[] = ['coat', 'glaze', 'dip', 'tart'];

/** The families with proportions to begin with (J): a balance does the rest. */
export const FAMILIES: readonly Family[] = [
  {
    id: 'dark-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [
      row('cream', 200, 'pan'),
      row('syrup', 20, 'pan', true),
      row('dark', 200, 'overChocolate'),
      row('butter', 15, 'coldAtEnd', true),
    ],
  },
  {
    id: 'firm-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [
      row('cream', 150, 'pan'),
      row('syrup', 18, 'pan', true),
      row('dark', 300, 'overChocolate'),
      row('butter', 24, 'coldAtEnd', true),
    ],
  },
  {
    id: 'milk-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [row('cream', 180, 'pan'), row('syrup', 18, 'pan', true), row('milkChocolate', 270, 'overChocolate')],
  },
  {
    id: 'white-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [row('cream', 150, 'pan'), row('syrup', 20, 'pan', true), row('white', 320, 'overChocolate')],
  },
  {
    id: 'gianduja-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [
      row('cream', 150, 'pan'),
      row('syrup', 15, 'pan', true),
      row('dark', 60, 'overChocolate', true),
      row('gianduja', 240, 'overChocolate'),
    ],
  },
  {
    id: 'cream-sauce',
    suits: SAUCE,
    thickener: 'chocolate',
    rows: [
      row('cream', 180, 'pan'),
      row('milk', 100, 'pan'),
      row('sugar', 45, 'pan'),
      row('cocoa', 18, 'pan'),
      row('syrup', 20, 'pan', true),
      row('dark', 110, 'overChocolate'),
      row('butter', 12, 'coldAtEnd', true),
    ],
  },
  {
    id: 'milk-sauce',
    suits: SAUCE,
    thickener: 'chocolate',
    rows: [
      row('cream', 120, 'pan'),
      row('milk', 110, 'pan'),
      row('syrup', 25, 'pan', true),
      row('milkChocolate', 180, 'overChocolate'),
    ],
  },
  {
    id: 'shine-glaze',
    suits: GLAZE,
    thickener: 'chocolate',
    rows: [
      row('cream', 190, 'pan'),
      row('syrup', 110, 'pan'),
      row('sugar', 30, 'pan', true),
      row('neutralGlaze', 60, 'pan', true),
      row('dark', 130, 'overChocolate'),
      row('cocoa', 12, 'overChocolate', true),
      row('butter', 24, 'coldAtEnd', true),
    ],
  },
  {
    id: 'mirror-dark',
    suits: GLAZE,
    thickener: 'gelatin',
    rows: [
      row('water', 90, 'pan'),
      row('sugar', 150, 'pan'),
      row('syrup', 130, 'pan'),
      row('condensed', 80, 'offHeat', true),
      row('gelatin', 9, 'offHeat'),
      row('dark', 140, 'overChocolate'),
      row('cocoa', 15, 'overChocolate', true),
    ],
  },
  {
    id: 'mirror-white',
    suits: GLAZE,
    thickener: 'gelatin',
    rows: [
      row('water', 90, 'pan'),
      row('sugar', 140, 'pan'),
      row('syrup', 140, 'pan'),
      row('condensed', 90, 'offHeat'),
      row('gelatin', 10, 'offHeat'),
      row('white', 150, 'overChocolate'),
    ],
  },
  {
    id: 'starch-sauce',
    suits: SAUCE,
    thickener: 'starch',
    cook: 0.95,
    rows: [
      row('water', 260, 'pan'),
      row('sugar', 100, 'pan'),
      row('cocoa', 28, 'pan'),
      row('starch', 7, 'pan'),
      row('dark', 45, 'overChocolate', true),
      row('butter', 12, 'coldAtEnd', true),
    ],
  },
  {
    id: 'thick-drink',
    suits: ['drink'],
    thickener: 'starch',
    cook: 0.95,
    rows: [
      row('milk', 400, 'pan'),
      row('sugar', 25, 'pan'),
      row('cocoa', 18, 'pan'),
      row('starch', 8, 'pan'),
      row('dark', 70, 'overChocolate'),
    ],
  },
  {
    id: 'water-ganache',
    suits: GANACHE,
    thickener: 'chocolate',
    rows: [row('water', 110, 'pan'), row('syrup', 30, 'pan', true), row('dark', 240, 'overChocolate')],
  },
  {
    id: 'condensed-sauce',
    suits: SAUCE,
    thickener: 'chocolate',
    rows: [
      row('cream', 120, 'pan'),
      row('condensed', 160, 'pan'),
      row('cocoa', 20, 'pan'),
      row('dark', 80, 'overChocolate'),
      row('butter', 15, 'coldAtEnd', true),
    ],
  },
];
