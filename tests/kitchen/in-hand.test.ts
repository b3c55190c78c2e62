import { expect, it } from 'vitest';
import type { Ingredient } from '@/formats/ingredient';
import { inHand } from '@/kitchen/cook/in-hand';
import { larder } from '../support/kitchen';

const kitchen = (stock: Readonly<Record<string, number>>): Ingredient[] =>
  [...larder.values()].map((each) => ({ ...each, stockG: stock[each.id] ?? each.stockG }));
const ids = (rows: readonly Ingredient[]) => rows.map(({ id }) => id);

it('offers the usual things and the rows of the formula while nobody counts', () => {
  const found = ids(inHand(kitchen({}), ['rum-40']));
  expect(found).toEqual(expect.arrayContaining(['water', 'milk-whole', 'rum-40']));
  expect(found).not.toContain('oat-drink');
});

it('offers what is said to be there, and nothing that is said to be used up', () => {
  const found = ids(
    inHand(kitchen({ 'oat-drink': 400, 'milk-whole': 0, 'rum-40': 0, 'gelatin-leaf-200': 50 }), ['rum-40']),
  );
  expect(found).toContain('oat-drink');
  for (const gone of ['milk-whole', 'rum-40', 'gelatin-leaf-200']) expect(found).not.toContain(gone);
});
