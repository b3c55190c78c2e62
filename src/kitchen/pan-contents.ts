import { type Allergen, inOrder, isUnrecognised } from '@/core/matter/allergens';
import { type Contents, contentsOf } from '@/core/matter/contents';
import { type Restriction, type Standing, standingTo } from '@/core/swap/restrictions';
import { itemsIn, type KnownItem, type Larder, type WithOwn } from './known-item';

/** What all rows of a pan hold together. What is unknown of one row is unknown of the pan. */
export interface PanContents {
  readonly items: readonly KnownItem[];
  /** names of rows nobody knows */
  readonly unknownRows: readonly string[];
  readonly contains: readonly Allergen[];
  readonly mayContain: readonly Allergen[];
  /** what is not known of single rows, and why */
  readonly undecided: readonly {
    readonly name: string;
    readonly why: 'undeclared' | 'unrecognised' | 'unknown';
    readonly texts: readonly string[];
  }[];
  readonly vegan: Contents['vegan'];
  /** how each row that is not free of it stands to a restriction */
  standing(
    restriction: Restriction,
  ): readonly { readonly name: string; readonly standing: Exclude<Standing, 'free'> }[];
}

type Pan = WithOwn & { readonly lines: readonly { readonly ingredient: string; readonly grams: number }[] };

/** What the rows of a pan hold: the one place that allergens, wishes, cautions and labels read. */
export function panContents(pan: Pan, larder: Larder): PanContents {
  const { items, unknown } = itemsIn(pan, larder);
  const each = items.map((item) => ({ item, contents: contentsOf(item) }));
  const contains = inOrder(each.flatMap(({ contents }) => contents.contains));
  const vegan = each.map(({ contents }) => contents.vegan);
  return {
    items,
    unknownRows: unknown,
    contains,
    mayContain: inOrder(each.flatMap(({ contents }) => contents.mayContain)).filter((one) => !contains.includes(one)),
    undecided: [
      ...each.flatMap(({ item, contents }) => [
        ...(contents.isDeclared ? [] : [{ name: item.name, why: 'undeclared' as const, texts: [] }]),
        ...(contents.unrecognised.length > 0
          ? [{ name: item.name, why: 'unrecognised' as const, texts: contents.unrecognised.map(bare) }]
          : []),
      ]),
      ...unknown.map((name) => ({ name, why: 'unknown' as const, texts: [] })),
    ],
    vegan: vegan.includes('no')
      ? 'no'
      : vegan.length === 0 || vegan.includes('unknown') || unknown.length > 0
        ? 'unknown'
        : 'yes',
    standing: (restriction) => [
      ...items.flatMap((item) => {
        const standing = standingTo(restriction, item);
        return standing === 'free' ? [] : [{ name: item.name, standing }];
      }),
      ...unknown.map((name) => ({ name, standing: 'unknown' as const })),
    ],
  };
}

/** What was written, without the mark that it was not recognised. */
const bare = (declared: `other: ${string}`) => (isUnrecognised(declared) ? declared.slice('other: '.length) : declared);
