import type { Cell } from '@/core/balance/failing-regions';
import type { FieldMap } from '@/core/balance/field-map';
import { LEFT, PLOT, placeOf, TOP } from './map-geometry';

/** About as wide as a letter of a label; above and below its first line, as drawn. */
const LETTER = 7.4;
const ABOVE = 16;
const LINE = 15;
const BELOW = 5;
/** Room between labels. */
const GAP = 4;
/** Places across and down a label at which it is asked over what it stands. */
const ACROSS = 5;
const DOWN = 3;

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly half: number;
  /** how far it reaches below its first line */
  readonly below: number;
}

const overlaps = (a: Box, b: Box) =>
  Math.abs(a.x - b.x) < a.half + b.half + GAP && a.y - ABOVE < b.y + b.below + GAP && b.y - ABOVE < a.y + a.below + GAP;

/** Whether a label stands within the field. */
const fits = ({ x, y, half, below }: Box) =>
  x - half >= LEFT + 4 &&
  x + half <= LEFT + PLOT.width - 4 &&
  // the name of the axis stands in the first lines
  y - ABOVE >= TOP + 22 &&
  y + below <= TOP + PLOT.height - 4;

/**
 * Finds a place for each label: as much over its own cells as can be, near their middle, and over no label placed before it. A label there is no room
 * for is left out.
 *
 * @param placed boxes of labels that stand already; those of the labels placed are added
 */
export function placeLabels<
  T extends { readonly words: string; readonly where: string; readonly cells: readonly Cell[] },
>(
  map: FieldMap,
  labels: readonly T[],
  placed: Box[] = [],
): (Omit<T, 'cells'> & { readonly x: number; readonly y: number })[] {
  return labels.flatMap(({ cells, ...label }) => {
    const own = new Set(cells.map(({ column, row }) => row * map.columns + column));
    const isOwn = (x: number, y: number) => {
      const column = Math.round(((x - LEFT) / PLOT.width) * (map.columns - 1));
      const row = Math.round(((TOP + PLOT.height - y) / PLOT.height) * (map.rows - 1));
      return own.has(row * map.columns + column);
    };
    const half = (label.words.length * LETTER) / 2;
    const below = label.where === '' ? BELOW : BELOW + LINE;
    const spots = cells.map((cell) => placeOf(map, cell));
    const middle = {
      x: spots.reduce((sum, { x }) => sum + x, 0) / spots.length,
      y: spots.reduce((sum, { y }) => sum + y, 0) / spots.length,
    };
    /** how much of it stands over its own cells, less how far it is from their middle */
    const worth = ({ x, y }: Box) => {
      let over = 0;
      for (let i = 0; i < ACROSS; i++)
        for (let j = 0; j < DOWN; j++)
          if (isOwn(x - half + (2 * half * i) / (ACROSS - 1), y - ABOVE + ((ABOVE + below) * j) / (DOWN - 1))) over++;
      return over / (ACROSS * DOWN) - Math.hypot(x - middle.x, y - middle.y) / PLOT.width;
    };
    const boxes = spots
      .map((spot) => ({ ...spot, half, below }))
      .filter((box) => fits(box) && !placed.some((each) => overlaps(box, each)));
    const best = boxes.reduce<{ box: Box; worth: number } | undefined>((found, box) => {
      const value = worth(box);
      return !found || value > found.worth ? { box, worth: value } : found;
    }, undefined);
    if (!best) return [];
    placed.push(best.box);
    return [{ ...label, x: best.box.x, y: best.box.y }];
  });
}
