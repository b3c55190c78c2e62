import { nth } from '../nth';
import type { FieldMap } from './field-map';

/** A part of a field where one edge of one gate is missed by most. */
export interface FailingRegion {
  /** place among the gates */
  readonly gate: number;
  readonly edge: 'low' | 'high';
  /** of the field, 0-1 */
  readonly share: number;
  readonly cells: readonly Cell[];
  /** those of its cells beside which the landing region begins; none where it lies apart */
  readonly border: readonly Cell[];
}

/** A place of the grid. */
export interface Cell {
  readonly column: number;
  readonly row: number;
}

/**
 * Divides the failing part of a field by what fails most there.
 *
 * @param map a field worked out
 * @returns the regions, the largest first; together with the landing cells they cover the field
 */
export function failingRegions(map: FieldMap): FailingRegion[] {
  const { columns, rows, inside } = map;
  const lands = (column: number, row: number) =>
    column >= 0 && column < columns && row >= 0 && row < rows && nth(inside, row * columns + column) >= 0;
  const parts = new Map<string, { gate: number; edge: 'low' | 'high'; cells: Cell[] }>();
  for (let cell = 0; cell < inside.length; cell++) {
    if (nth(inside, cell) >= 0) continue;
    let worst: { gate: number; edge: 'low' | 'high'; value: number } | undefined;
    map.gates.forEach((field, gate) => {
      for (const edge of ['low', 'high'] as const) {
        const value = field[edge]?.[cell];
        if (value !== undefined && value < (worst?.value ?? 0)) worst = { gate, edge, value };
      }
    });
    if (!worst) continue;
    const key = `${worst.gate}${worst.edge}`;
    const part = parts.get(key) ?? { gate: worst.gate, edge: worst.edge, cells: [] };
    part.cells.push({ column: cell % columns, row: Math.floor(cell / columns) });
    parts.set(key, part);
  }
  const isBeside = ({ column, row }: Cell) =>
    lands(column - 1, row) || lands(column + 1, row) || lands(column, row - 1) || lands(column, row + 1);
  return [...parts.values()]
    .map(({ gate, edge, cells }) => ({
      gate,
      edge,
      share: cells.length / inside.length,
      cells,
      border: cells.filter(isBeside),
    }))
    .sort((a, b) => b.share - a.share);
}
