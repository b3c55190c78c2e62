import { type Outline, pickThrough, ribbon, roundDot } from '../film/pick';
import type { PlateGuide, Point } from './plate-guides';

const CM = 0.01;
const metres = ({ x, y }: Point) => ({ x: CM * x, y: CM * y });

/** What is drawn on a plate before a pick goes through it: outlines in m from its middle. */
export function laidShapes({ strokes, dots }: Pick<PlateGuide, 'strokes' | 'dots'>): Outline[] {
  return [
    ...strokes.flatMap(({ points, widthMm }) =>
      points.length > 1 ? [ribbon(points.map(metres), widthMm / 1000)] : [],
    ),
    ...dots.map((each) => roundDot(metres(each), each.acrossMm / 2000)),
  ];
}

/** The same after one drag of a pick, along a way in cm. */
export const picked = (shapes: readonly Outline[], way: readonly Point[]): Outline[] =>
  way.length > 1 ? pickThrough(shapes, way.map(metres)) : [...shapes];

/**
 * The finished plate: what is drawn, with the pick dragged through it in its order.
 *
 * @returns outlines in m from the middle of the plate, strokes first, then dots
 */
export const plateShapes = (guide: Pick<PlateGuide, 'strokes' | 'dots' | 'picks'>): Outline[] =>
  guide.picks.reduce<Outline[]>(picked, laidShapes(guide));

/** One thing a hand did on a plate: a dot dropped, or a pick dragged; cm from the middle. */
export type PlateMark = { readonly dot: Point } | { readonly pick: readonly Point[] };

/**
 * A plate drawn by hand, mark by mark: a drag moves what lies there already, and nothing that is dropped after it.
 *
 * @param acrossMm mm of a dot
 */
export function handShapes(marks: readonly PlateMark[], acrossMm: number): Outline[] {
  let shapes: Outline[] = [];
  for (const mark of marks) {
    if ('dot' in mark) shapes.push(roundDot(metres(mark.dot), acrossMm / 2000));
    else shapes = picked(shapes, mark.pick);
  }
  return shapes;
}
