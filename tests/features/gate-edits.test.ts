import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EDGES_APART } from '@/core/formula/gates';
import type { FormulaDraft } from '@/features/balance/draft/edit';
import { draftOf } from '@/features/balance/draft/formula-draft';
import { moveEdge, shiftGate } from '@/features/balance/draft/gate-edits';
import { readFormula } from '@/formats/formula-file';
import { fileOf } from '../support/kitchen';

const draft = (): FormulaDraft => {
  let n = 0;
  const file = fileOf(
    [
      ['dark-couverture-60', 200],
      ['cream-35', 180],
    ],
    [
      { moment: 'pour', quantity: 'apparentViscosityPaS', low: 1, high: 5 },
      { moment: 'fridge', quantity: 'yieldStressPa', low: 200, high: 4000 },
      { moment: 'pour', quantity: 'shine', low: 50 },
      { moment: 'bench', quantity: 'resistancePa', high: 900 },
    ],
  );
  return draftOf(readFormula(file), () => `row ${n++}`);
};

const positive = fc.double({ min: 1e-3, max: 1e6, noNaN: true });

describe('an edge that is dragged', () => {
  it('goes where it is put, to four figures, and touches no other gate', () => {
    const moved = moveEdge(draft(), { type: 'gateEdge', gate: 0, edge: 'high', value: 2.71935 });
    expect(moved.gates[0]).toMatchObject({ low: 1, high: 2.719 });
    expect(moved.gates.slice(1)).toEqual(draft().gates.slice(1));
  });

  it('never passes the other edge, wherever it is put', () => {
    fc.assert(
      fc.property(fc.constantFrom<'low' | 'high'>('low', 'high'), positive, (edge, value) => {
        const { low = 0, high = 0 } = moveEdge(draft(), { type: 'gateEdge', gate: 1, edge, value }).gates[1] ?? {};
        expect(high / low).toBeGreaterThan(EDGES_APART - 1e-3);
      }),
    );
  });

  it('has nothing to stop it where the other side is open', () => {
    expect(moveEdge(draft(), { type: 'gateEdge', gate: 3, edge: 'high', value: 2 }).gates[3]?.high).toBe(2);
    expect(moveEdge(draft(), { type: 'gateEdge', gate: 2, edge: 'low', value: 99 }).gates[2]?.low).toBe(99);
  });
});

describe('a gate that is dragged as a whole', () => {
  const shift = (moment: string, factor: number, deltaC: number, from = draft()) =>
    shiftGate(from, { type: 'shiftGate', moment, factor, deltaC });

  it('moves the flow of its moment by one factor, and neither shine nor other moments', () => {
    const moved = shift('pour', 2, 0);
    expect(moved.gates[0]).toMatchObject({ low: 2, high: 10 });
    expect(moved.gates.slice(1)).toEqual(draft().gates.slice(1));
    expect(moved.moments).toEqual(draft().moments);
  });

  it('takes its moment along in temperature, with the last of its history', () => {
    const moved = shift('fridge', 1, 3);
    const fridge = moved.moments.find(({ name }) => name === 'fridge');
    expect(fridge?.temperatureC).toBe(7);
    expect(fridge?.history).toEqual([[12, 7]]);
  });

  it('stays within what can be worked', () => {
    expect(shift('pan', 1, 500).moments.find(({ name }) => name === 'pan')?.temperatureC).toBe(110);
    expect(shift('fridge', 1, -500).moments.find(({ name }) => name === 'fridge')?.temperatureC).toBe(-5);
  });

  it('comes back when it is dragged back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 10, noNaN: true }), fc.integer({ min: -3, max: 20 }), (factor, deltaC) => {
        const back = shift('pour', 1 / factor, -deltaC, shift('pour', factor, deltaC));
        for (const edge of ['low', 'high'] as const) {
          expect((back.gates[0]?.[edge] ?? 0) / (draft().gates[0]?.[edge] ?? 1)).toBeCloseTo(1, 2);
        }
        expect(back.moments.map(({ temperatureC }) => temperatureC)).toEqual(
          draft().moments.map(({ temperatureC }) => temperatureC),
        );
      }),
    );
  });
});
