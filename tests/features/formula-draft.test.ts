import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { piecesFrom } from '@/core/brief/plan';
import type { Edit, FormulaDraft } from '@/features/balance/draft/edit';
import {
  applyEdit,
  type DraftHistory,
  draftOf,
  fileOf,
  reduceDraft,
  totalGrams,
  yieldGrams,
} from '@/features/balance/draft/formula-draft';
import { changedRows, flowsOtherwise, heldPan } from '@/features/balance/draft/keep-flow';
import { forPieces } from '@/features/balance/pan/pieces-field';
import { type FormulaFile, readFormula } from '@/formats/formula-file';
import { keyed, type Predicted, predictPan } from '@/kitchen/known-pan';
import { lanternMillFormulas } from '@/server/demo/lantern-mill';
import { larder, fileOf as rawFile } from '../support/kitchen';

const file = readFormula({
  ...rawFile(
    [
      ['dark-couverture-60', 200, { minGrams: 150, maxGrams: 250 }],
      ['cream-35', 180],
      ['glucose-syrup-de42', 20, { locked: true }],
      ['butter-unsalted-82', 10],
    ],
    [
      { moment: 'pour', quantity: 'apparentViscosityPaS', low: 1, high: 5 },
      { moment: 'fridge', quantity: 'yieldStressPa', low: 200, high: 4000 },
      { moment: 'pour', quantity: 'shine', low: 50 },
    ],
  ),
  yield: { targetGrams: 390, bowlLossGrams: 10, evaporationGrams: 10 },
});
const KEYS = ['a', 'b', 'c', 'd'] as const;
const opened = (): FormulaDraft => {
  const keys = [...KEYS];
  return draftOf(file, () => keys.shift() as string);
};
const history = (): DraftHistory => {
  const present = opened();
  return { past: [], present, future: [], mark: undefined, reference: present };
};

const key = fc.constantFrom(...KEYS);
const amount = fc.double({ min: 0, max: 5000, noNaN: true });
const anyEdit: fc.Arbitrary<Edit> = fc.oneof(
  fc.record({ type: fc.constant('grams' as const), key, grams: amount }),
  fc.record({ type: fc.constant('lock' as const), key }),
  fc.record({ type: fc.constant('remove' as const), key }),
  fc.record({ type: fc.constant('move' as const), key, to: fc.integer({ min: -2, max: 8 }) }),
  fc.record({ type: fc.constant('scale' as const), totalGrams: fc.double({ min: 1, max: 9000, noNaN: true }) }),
  fc.record({
    type: fc.constant('gateEdge' as const),
    gate: fc.integer({ min: 0, max: 2 }),
    edge: fc.constantFrom('low' as const, 'high' as const),
    value: fc.double({ min: 0.01, max: 1e5, noNaN: true }),
  }),
  fc.record({
    type: fc.constant('shiftGate' as const),
    moment: fc.constantFrom('pour', 'fridge'),
    factor: fc.double({ min: 0.2, max: 5, noNaN: true }),
    deltaC: fc.double({ min: -40, max: 40, noNaN: true }),
  }),
  fc.record({ type: fc.constant('name' as const), name: fc.string({ minLength: 1, maxLength: 20 }) }),
);

describe('laws of the open formula', () => {
  it('whatever was done can be undone step by step, and done again', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { minLength: 1, maxLength: 25 }), (edits) => {
        const first = history();
        let now = first;
        for (const edit of edits) {
          now = reduceDraft(reduceDraft(now, { type: 'edit', edit }), { type: 'pause' });
        }
        const last = now.present;
        for (const _ of edits) now = reduceDraft(now, { type: 'undo' });
        expect(now.present).toBe(first.present);
        for (const _ of edits) now = reduceDraft(now, { type: 'redo' });
        expect(now.present).toEqual(last);
      }),
    );
  });

  it('edges of a gate never pass each other, wherever they are dragged', () => {
    fc.assert(
      fc.property(fc.array(anyEdit, { maxLength: 25 }), (edits) => {
        const draft = edits.reduce(applyEdit, opened());
        for (const { low, high } of draft.gates) {
          if (low !== undefined && high !== undefined) expect(low).toBeLessThan(high);
        }
        for (const { temperatureC } of draft.moments) {
          expect(temperatureC).toBeGreaterThanOrEqual(-5);
          expect(temperatureC).toBeLessThanOrEqual(110);
        }
      }),
    );
  });

  it('scaling keeps every share, and takes limits and losses along', () => {
    fc.assert(
      fc.property(fc.double({ min: 40, max: 90_000, noNaN: true }), (total) => {
        const before = opened();
        const after = applyEdit(before, { type: 'scale', totalGrams: total });
        expect(totalGrams(after)).toBeCloseTo(total, 1);
        const factor = total / totalGrams(before);
        after.lines.forEach((line, i) => {
          expect(line.grams).toBeCloseTo((before.lines[i]?.grams ?? 0) * factor, 2);
        });
        expect(after.lines[0]?.minGrams).toBeCloseTo(150 * factor, 2);
        expect(yieldGrams(after) / totalGrams(after)).toBeCloseTo(yieldGrams(before) / totalGrams(before), 3);
      }),
    );
  });

  it('moving loses no row and makes none', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(key, fc.integer({ min: -3, max: 9 })), { maxLength: 20 }), (moves) => {
        const draft = moves.reduce<FormulaDraft>(
          (now, [each, to]) => applyEdit(now, { type: 'move', key: each, to }),
          opened(),
        );
        expect(draft.lines.map((line) => line.key).toSorted()).toEqual([...KEYS]);
      }),
    );
  });

  it('a formula opened and closed is the same file', () => {
    expect(fileOf(opened())).toEqual(file);
  });
});

describe('single edits', () => {
  it('typing on in one field is one step back; a pause begins the next', () => {
    let now = history();
    for (const grams of [2, 21, 210])
      now = reduceDraft(now, { type: 'edit', edit: { type: 'grams', key: 'a', grams } });
    expect(now.past).toHaveLength(1);
    now = reduceDraft(now, { type: 'pause' });
    now = reduceDraft(now, { type: 'edit', edit: { type: 'grams', key: 'a', grams: 5 } });
    expect(now.past).toHaveLength(2);
    expect(reduceDraft(now, { type: 'undo' }).present.lines[0]?.grams).toBe(210);
  });

  it('letting go takes just that lock, limit or gate', () => {
    const draft = applyEdit(opened(), {
      type: 'loosen',
      things: [
        { kind: 'lock', key: 'c' },
        { kind: 'least', key: 'a' },
        { kind: 'gate', gate: 1 },
      ],
    });
    expect(draft.lines.map(({ locked }) => locked)).toEqual([false, false, false, false]);
    expect(draft.lines[0]).toMatchObject({ minGrams: undefined, maxGrams: 250 });
    expect(draft.gates.map(({ quantity }) => quantity)).toEqual(['apparentViscosityPaS', 'shine']);
  });

  it('shifting a moment moves its flow gates and no other', () => {
    const draft = applyEdit(opened(), { type: 'shiftGate', moment: 'pour', factor: 2, deltaC: 3 });
    expect(draft.gates[0]).toMatchObject({ low: 2, high: 10 });
    expect(draft.gates[1]).toMatchObject({ low: 200, high: 4000 });
    expect(draft.gates[2]).toMatchObject({ low: 50 });
    expect(draft.moments.find(({ name }) => name === 'pour')?.temperatureC).toBe(39);
    expect(draft.moments.find(({ name }) => name === 'pour')?.history.at(-1)?.[1]).toBe(39);
  });

  it('the yield is never below nothing', () => {
    const tiny = applyEdit(opened(), { type: 'lines', lines: [] });
    expect(yieldGrams(tiny)).toBe(0);
    expect(applyEdit(tiny, { type: 'scale', totalGrams: 100 })).toBe(tiny);
  });
});

describe('a pan scaled by its pieces', () => {
  const feast = lanternMillFormulas().find(({ brief }) => brief) as FormulaFile;
  const draft = keyed(feast);
  const predict = (file: FormulaFile) => (predictPan(keyed(file), larder, 'standard') as Predicted).prediction;

  it('makes as many as were typed, the others in proportion, and keeps what it is made of', () => {
    const [first] = feast.brief?.jobs ?? [];
    const wanted = 3 * (first?.count ?? 1);
    const change = forPieces(draft, predict(feast), wanted);
    if (!change) throw new Error('no change');
    const scaled = fileOf(applyEdit(draft, change));
    const { massG, densityKgM3 } = predict(scaled);
    expect(piecesFrom(scaled.brief as NonNullable<typeof scaled.brief>, massG + 0.5, densityKgM3)[0]).toBe(wanted);
    expect(scaled.brief?.jobs.map(({ count }) => count)).toEqual(feast.brief?.jobs.map(({ count }) => 3 * count));
    const share = (file: FormulaFile) => file.lines.map(({ grams }) => grams / (file.lines[0]?.grams ?? 1));
    share(scaled).forEach((part, i) => {
      expect(part).toBeCloseTo(share(feast)[i] ?? 0, 4);
    });
  });

  it('without a brief counts nothing', () => {
    expect(forPieces({ ...draft, brief: undefined }, predict(feast), 10)).toBeUndefined();
  });
});

describe('keeping the flow', () => {
  const reference = keyed(
    readFormula(
      rawFile([
        ['dark-couverture-60', 200],
        ['cream-35', 200],
        ['sugar-caster', 20],
      ]),
    ),
  );
  const withLiqueur = {
    ...reference,
    lines: [...reference.lines, { key: 'new', ingredient: 'orange-liqueur-40', grams: 30, locked: false }],
  };
  const now = (pan: typeof reference) => predictPan(pan, larder, 'standard') as Predicted;

  it('is offered when an edit moved the flow, not when nothing did', () => {
    expect(flowsOtherwise(now(reference), reference, larder, 'standard')).toBe(false);
    expect(flowsOtherwise(now(withLiqueur), reference, larder, 'standard')).toBe(true);
  });

  it('holds what was put in or changed, and lets the rest move', () => {
    expect([...changedRows(withLiqueur, reference)]).toEqual(['new']);
    const more = applyEdit(withLiqueur, { type: 'grams', key: 'row-2', grams: 40 });
    expect([...changedRows(more, reference)]).toEqual(['row-2', 'new']);
    const all = applyEdit(more, { type: 'scale', totalGrams: 900 });
    expect([...changedRows(all, reference)]).toEqual(['new']);
    expect(heldPan(more, reference, larder, 'standard').formula.lines.map(({ locked }) => locked)).toEqual([
      false,
      false,
      true,
      true,
    ]);
  });

  it('the reference is the pan as opened, or as last balanced; rows that ended at nothing leave', () => {
    let history: DraftHistory = { past: [], present: reference, future: [], mark: undefined, reference };
    history = reduceDraft(history, { type: 'edit', edit: { type: 'grams', key: 'row-0', grams: 210 } });
    expect(history.reference).toBe(reference);
    history = reduceDraft(history, {
      type: 'edit',
      edit: {
        type: 'balanced',
        grams: new Map([
          ['row-2', 0],
          ['row-1', 230],
        ]),
      },
    });
    expect(history.present.lines.map(({ key }) => key)).toEqual(['row-0', 'row-1']);
    expect(history.reference).toBe(history.present);
    history = reduceDraft(history, { type: 'undo' });
    expect(history.present.lines).toHaveLength(3);
  });
});
