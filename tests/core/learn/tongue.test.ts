import { describe, expect, it } from 'vitest';
import { inAnyKitchen } from '@/core/learn/kitchen';
import { readTest } from '@/core/learn/kitchen-tests';
import { feltByTheBook, TASTED, tastedByTheBook } from '@/core/learn/tongue';
import { DEFAULT_PROCESS } from '@/core/matter/process';
import { taste } from '@/core/taste/taste';
import { batchOf } from '../../support/kitchen';

const of = (grams: Parameters<typeof batchOf>[0]) => batchOf(grams, inAnyKitchen(DEFAULT_PROCESS));
const sauce = (sucrose: number, cocoa_solids: number) =>
  of({ water: 100, sucrose, cocoa_solids, cocoa_butter: 0.3 * cocoa_solids });

describe('what the tongue says by the book', () => {
  it('goes from bitter to very sweet as sugar goes in, and never back', () => {
    const rungs = Object.keys(TASTED);
    const places = [2, 10, 20, 40, 60, 90, 140].map((sugar) => rungs.indexOf(tastedByTheBook(sauce(sugar, 25))));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect([places[0], places.at(-1)]).toEqual([0, rungs.length - 1]);
  });

  it('takes the word that lies nearest', () => {
    const batch = sauce(30, 20);
    const { balance } = taste(batch.mixture);
    const word = tastedByTheBook(batch);
    for (const each of Object.values(TASTED)) {
      expect(Math.abs(TASTED[word] - balance)).toBeLessThanOrEqual(Math.abs(each - balance));
    }
  });

  it('is smooth with water enough for the sugar and sandy without', () => {
    const history = [[0.3, 50]] as const;
    expect(feltByTheBook(sauce(60, 20), 50, history)).toBe('smooth');
    expect(feltByTheBook(of({ water: 60, sucrose: 300, cocoa_solids: 10, cocoa_butter: 5 }), 50, history)).toBe(
      'sandy',
    );
  });

  it('moves no figure of the kitchen', () => {
    const batch = sauce(60, 20);
    expect(readTest(batch, { test: 'taste', tasted: 'bitter' })).toBeUndefined();
    expect(readTest(batch, { test: 'grains', felt: 'sandy', temperatureC: 5, hours: 12 })).toBeUndefined();
  });
});
