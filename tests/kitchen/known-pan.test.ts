import { describe, expect, it } from 'vitest';
import { compositionVector } from '@/core/matter/components';
import { swap } from '@/core/swap/swap';
import { applyEdit, withGrams } from '@/features/balance/draft/formula-draft';
import { readFormula } from '@/formats/formula-file';
import { byKey, keyed, knownPan, predictPan } from '@/kitchen/known-pan';
import { fileOf, larder } from '../support/kitchen';

const pan = keyed(
  readFormula(
    fileOf([
      ['ghost', 77],
      ['dark-couverture-60', 200],
      ['cream-35', 150],
      ['butter-unsalted-82', 20],
    ]),
  ),
);

describe('a pan whose first row nobody knows', () => {
  it('keeps figures with the rows they belong to', () => {
    const known = knownPan(pan, larder, 'standard');
    expect(known.unknown).toEqual(['ghost']);
    expect(known.formula.lines.map(({ ingredient }) => ingredient)).toEqual([
      'dark-couverture-60',
      'cream-35',
      'butter-unsalted-82',
    ]);
    const grams = byKey(known, [210, 140, 20]);
    expect(withGrams(pan.lines, grams).map(({ grams: g }) => g)).toEqual([77, 210, 140, 20]);
    const draft = applyEdit(pan, { type: 'balanced', grams, byVolume: new Set(['row-2']) });
    expect(draft.lines.map(({ ingredient, grams: g, byVolume }) => [ingredient, g, byVolume ?? false])).toEqual([
      ['ghost', 77, false],
      ['dark-couverture-60', 210, false],
      ['cream-35', 140, true],
      ['butter-unsalted-82', 20, false],
    ]);
  });

  it('lets go the lock of the row that is meant', () => {
    const locked = { ...pan, lines: pan.lines.map((line) => ({ ...line, locked: true })) };
    const { keys } = knownPan(locked, larder, 'standard');
    const draft = applyEdit(locked, { type: 'loosen', things: [{ kind: 'lock', key: keys[1] as string }] });
    expect(draft.lines.map((line) => line.locked)).toEqual([true, true, false, true]);
  });

  it('a swap without dairy moves the cream and the butter, not the rows beside them', () => {
    const known = knownPan(pan, larder, 'standard');
    const coconut = larder.get('coconut-cream-22');
    if (!coconut) throw new Error('no coconut cream');
    const substitute = {
      ingredient: coconut.id,
      perGram: compositionVector(coconut.components),
      kind: 'other' as const,
    };
    const line = known.keys.indexOf('row-2');
    const { formula } = swap(known.formula, new Map([[line, substitute]]));
    const after = withGrams(
      pan.lines,
      byKey(
        known,
        formula.lines.map(({ grams }) => grams),
      ),
    );
    expect(after[0]?.grams).toBe(77);
    expect(after.find(({ key }) => key === 'row-1')?.grams).toBe(formula.lines[0]?.grams);
    expect(after.find(({ key }) => key === 'row-2')?.grams).toBe(formula.lines[line]?.grams);
  });

  it('is predicted from the rows that are known', () => {
    expect(predictPan(pan, larder, 'standard')?.prediction.massG).toBeCloseTo(370, 6);
    expect(predictPan({ ...pan, lines: pan.lines.slice(0, 1) }, larder, 'standard')).toBeUndefined();
  });
});
