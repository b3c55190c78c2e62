import type { FieldMap } from './field-map';

/** A part of a field where one edge of one gate is missed by most. */
export interface FailingRegion {
  /** place among the gates */
  readonly gate: number;
  readonly edge: 'low' | 'high';
  /** of the field, 0-1 */
  readonly share: number;
  /** the landing region begins where this one ends */
  readonly bordersLanding: boolean;
  /** a cell in the midst of it; of one that borders the landing region, off the middle of that border */
  readonly cell: { readonly column: number; readonly row: number };
}

/** Cells between a border and what is said of it. */
const OFF_BORDER = 3;

interface Cell {
  readonly column: number;
  readonly row: number;
}

/** The member nearest to the middle of some cells. */
function midst(members: readonly Cell[], of: readonly Cell[]): Cell | undefined {
  const mean = (pick: (cell: Cell) => number) => of.reduce((sum, cell) => sum + pick(cell), 0) / of.length;
  const [column, row] = [mean((cell) => cell.column), mean((cell) => cell.row)];
  const away = (cell: Cell) => (cell.column - column) ** 2 + (cell.row - row) ** 2;
  return members.reduce<Cell | undefined>((best, cell) => (!best || away(cell) < away(best) ? cell : best), undefined);
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
    column >= 0 && column < columns && row >= 0 && row < rows && (inside[row * columns + column] as number) >= 0;
  const parts = new Map<string, { gate: number; edge: 'low' | 'high'; cells: Cell[] }>();
  for (let cell = 0; cell < inside.length; cell++) {
    if ((inside[cell] as number) >= 0) continue;
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
  const isNear = ({ column, row }: Cell, distance: number) => {
    for (let y = row - distance; y <= row + distance; y++)
      for (let x = column - distance; x <= column + distance; x++) if (lands(x, y)) return true;
    return false;
  };
  return [...parts.values()]
    .map(({ gate, edge, cells }) => {
      const border = cells.filter((cell) => isNear(cell, 1));
      const off = border.length > 0 ? cells.filter((cell) => !isNear(cell, OFF_BORDER)) : cells;
      const at = midst(off.length > 0 ? off : cells, border.length > 0 ? border : cells) as Cell;
      return { gate, edge, share: cells.length / inside.length, bordersLanding: border.length > 0, cell: at };
    })
    .sort((a, b) => b.share - a.share);
}
